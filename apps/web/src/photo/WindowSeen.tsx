/** The card's window laid flat, with what was read marked over it: each stitch, or of stitches side by side the edges between which they lie. */
import type { Point } from '@lemmata/core/geometry'
import { marksOf, type ReadStitches, type RowKind, WINDOW } from '@lemmata/core/photo'
import { type KeyboardEvent, type MouseEvent, useEffect, useRef, useState } from 'react'
import './photo.css'

interface Props {
  /** Of the strip that is drawn along, and of the picture in it. */
  readonly names: { readonly strip: string; readonly window: string }
  readonly window: ImageBitmap
  readonly kind: RowKind
  readonly stitches: ReadStitches
  /** Marked apart from the others; null where none is. */
  readonly chosen: number | null
  /** Where she is asked to touch: the thread, or a stitch. */
  readonly asked: { readonly label: string; readonly onTouch: (at: Point) => void } | null
}

/** Cloth before the first stitch that is seen, and how far an arrow key goes, mm. */
const [BEFORE_MM, KEY_MM] = [5, 0.5]
const [WIDE, TALL] = [WINDOW.right - WINDOW.left, WINDOW.bottom - WINDOW.top]
const ARROWS: Readonly<Record<string, Point>> = { ArrowLeft: { x: -1, y: 0 }, ArrowRight: { x: 1, y: 0 }, ArrowUp: { x: 0, y: -1 }, ArrowDown: { x: 0, y: 1 } }

export function WindowSeen({ names, window, kind, stitches, chosen, asked }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const along = useRef<HTMLDivElement>(null)
  const first = stitches[0]?.[0].x ?? null
  const shown = chosen === null ? null : (stitches[chosen]?.[0].x ?? null)
  useEffect(() => {
    const drawn = canvas.current
    if (!drawn) return
    drawn.width = window.width
    drawn.height = window.height
    drawn.getContext('2d')?.drawImage(window, 0, 0)
  }, [window])
  useEffect(() => {
    const strip = along.current
    if (!strip || first === null) return
    // The row's beginning; while marks are put right, the stitch that was chosen, in the middle.
    const leftMm = shown === null ? first - BEFORE_MM : shown - (WIDE * strip.clientWidth) / strip.scrollWidth / 2
    strip.scrollLeft = ((leftMm - WINDOW.left) / WIDE) * strip.scrollWidth
  }, [first, shown])
  return (
    // Wider than a phone, so that each stitch is seen: it is drawn along under the thumb.
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what can be scrolled is reached by the keyboard too.
    <div ref={along} className="photo-along" tabIndex={0} role="group" aria-label={names.strip}>
      <div className="photo-window">
        <canvas ref={canvas} role="img" aria-label={names.window} />
        <svg viewBox={`${WINDOW.left} ${WINDOW.top} ${WIDE} ${TALL}`} aria-hidden="true">
          {marksOf(kind, stitches).map(([a, b], index) => (
            <g key={index} className={`photo-stitch${kind === 'side-by-side' ? ' edge' : index % 2 === 0 ? '' : ' other'}${index === chosen ? ' chosen' : ''}`}>
              <path d={`M ${a.x} ${a.y} L ${b.x} ${b.y}`} className="under" />
              <path d={`M ${a.x} ${a.y} L ${b.x} ${b.y}`} />
            </g>
          ))}
        </svg>
        {asked && <Touch {...asked} />}
      </div>
    </div>
  )
}

/** By a finger where it lies; by the keyboard with a cross that the arrows move. */
function Touch({ label, onTouch }: NonNullable<Props['asked']>) {
  const [at, setAt] = useState<Point | null>(null)
  const touch = ({ detail, currentTarget, clientX, clientY }: MouseEvent<HTMLButtonElement>): void => {
    // Enter and space come without a place.
    if (detail === 0) return onTouch(at ?? { x: 0, y: 0 })
    const box = currentTarget.getBoundingClientRect()
    onTouch({ x: WINDOW.left + ((clientX - box.left) / box.width) * WIDE, y: WINDOW.top + ((clientY - box.top) / box.height) * TALL })
  }
  const move = (event: KeyboardEvent): void => {
    const by = ARROWS[event.key]
    if (!by) return
    event.preventDefault()
    const far = event.shiftKey ? 4 * KEY_MM : KEY_MM
    setAt((now) => {
      const from = now ?? { x: 0, y: 0 }
      return {
        x: Math.min(WINDOW.right, Math.max(WINDOW.left, from.x + far * by.x)),
        y: Math.min(WINDOW.bottom, Math.max(WINDOW.top, from.y + far * by.y)),
      }
    })
  }
  return (
    <button type="button" className="photo-touch" aria-label={label} onClick={touch} onKeyDown={move}>
      {at && (
        <svg viewBox={`${WINDOW.left} ${WINDOW.top} ${WIDE} ${TALL}`} aria-hidden="true">
          <path d={`M ${at.x - 2} ${at.y} h 4 M ${at.x} ${at.y - 2} v 4`} className="photo-cross under" />
          <path d={`M ${at.x - 2} ${at.y} h 4 M ${at.x} ${at.y - 2} v 4`} className="photo-cross" />
        </svg>
      )}
    </button>
  )
}
