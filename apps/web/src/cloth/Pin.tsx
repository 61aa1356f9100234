import { type Handle, innerOf } from '@lemmata/core/guide'
import type { KeyboardEvent, PointerEvent } from 'react'
import { DYES } from '../look/theme.ts'
import { toScreen, type View } from './view.ts'

interface PinProps {
  readonly handle: Handle
  readonly view: View
  readonly name: string
  readonly dragged: boolean
  readonly onPointerDown: (event: PointerEvent) => void
  readonly onKeyDown: (event: KeyboardEvent) => void
  readonly onFocus: () => void
}

/** A pin with a glass head where one takes hold: indigo on the guide's own points, brass on what lies within it, walnut for the whole. */
export function Pin({ handle, view, name, dragged, onPointerDown, onKeyDown, onFocus }: PinProps) {
  const at = toScreen(view, handle.at)
  const head = dragged ? DYES.weldFill : handle.id === 'whole' ? DYES.walnut : handle.of !== undefined || innerOf(handle.id) !== null ? DYES.brass : DYES.indigo
  const isPlace = handle.id.includes('point-')
  const r = handle.of !== undefined ? 3.5 : handle.id.startsWith('spot') || isPlace ? 4.5 : 5.5
  return (
    <g
      className="handle"
      role="button"
      tabIndex={0}
      data-handle={handle.id}
      aria-label={`${name}, at ${handle.at.x.toFixed(1)} and ${handle.at.y.toFixed(1)} mm. Arrow keys move it.${isPlace ? ' S makes it smooth or a corner, A adds a place after it, Delete takes it away.' : ''}`}
      transform={`translate(${at.x} ${at.y})`}
      onPointerDown={onPointerDown}
      onKeyDown={onKeyDown}
      onFocus={onFocus}
    >
      <circle r="14" fill="transparent" />
      <path d="M1.5 2 L7 8" stroke="#20140a" strokeWidth="1.4" opacity="0.45" />
      <circle r={r + 1.6} fill={DYES.paper} />
      <circle r={r} fill={head} />
      <circle cx={-r * 0.32} cy={-r * 0.36} r={r * 0.3} fill="#ffffff" opacity="0.75" />
    </g>
  )
}
