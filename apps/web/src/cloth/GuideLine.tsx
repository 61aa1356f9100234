/** The line of the guide that is held: dragged, the whole goes along; pressed twice, it has a place more there. What lies within it is shown. */
import { type Guide, innerPaths } from '@lemmata/core/guide'
import { type PointerEvent, useMemo } from 'react'
import { DYES } from '../look/theme.ts'
import { guideLines } from './draw/guide-lines.ts'
import type { View } from './view.ts'

const WIDE_PX = 10

interface Props {
  readonly guide: Guide
  readonly view: View
  readonly onPointerDown: (event: PointerEvent) => void
}

export function GuideLine({ guide, view, onPointerDown }: Props) {
  // Read once: a view changes with every frame of a pan.
  const [line, inner] = useMemo(() => (hasLine(guide) ? [guideLines(guide)[0], innerPaths(guide)] : [undefined, []]), [guide])
  const place = `translate(${view.x} ${view.y}) scale(${view.scale})`
  return line === undefined ? null : (
    <>
      {inner.map(({ id, path }) => (
        <g key={id} transform={place} fill="none" strokeWidth={1.2 / view.scale} aria-hidden="true" pointerEvents="none">
          <path d={path} stroke={DYES.paper} />
          <path d={path} stroke={DYES.indigo} strokeDasharray={`${3 / view.scale} ${3 / view.scale}`} />
        </g>
      ))}
      <path
        className="guide-line"
        d={line}
        fill="none"
        stroke="transparent"
        strokeWidth={WIDE_PX / view.scale}
        transform={place}
        aria-hidden="true"
        onPointerDown={onPointerDown}
      />
    </>
  )
}

const hasLine = ({ kind }: Guide): boolean => kind === 'line' || kind === 'shape' || kind === 'band'
