/** The line of the guide that is held: dragged, the whole goes along; pressed twice, it has a place more there. */
import type { Guide } from '@lemmata/core/guide'
import type { PointerEvent } from 'react'
import { guideLines } from './draw/guide-lines.ts'
import type { View } from './view.ts'

const WIDE_PX = 10

interface Props {
  readonly guide: Guide
  readonly view: View
  readonly onPointerDown: (event: PointerEvent) => void
}

export function GuideLine({ guide, view, onPointerDown }: Props) {
  if (guide.kind !== 'line' && guide.kind !== 'shape' && guide.kind !== 'band') return null
  const [line] = guideLines(guide)
  return line === undefined ? null : (
    <path
      className="guide-line"
      d={line}
      fill="none"
      stroke="transparent"
      strokeWidth={WIDE_PX / view.scale}
      transform={`translate(${view.x} ${view.y}) scale(${view.scale})`}
      aria-hidden="true"
      onPointerDown={onPointerDown}
    />
  )
}
