/** The stitch as it would be worked, its places lettered: a press puts a move there, a letter that is dragged takes its moves along. */
import type { WorkedExercise } from '@lemmata/core/exercise'
import { boxOfExercise } from '@lemmata/core/extent'
import type { Point } from '@lemmata/core/geometry'
import { type PointerEvent, useRef, useState } from 'react'
import { swatchView } from '../../drawing/paint-thread.ts'
import { ThreadCanvas } from '../../drawing/ThreadCanvas.tsx'
import { useSize } from '../../drawing/use-size.ts'
import type { LetteredPlace } from './letters.ts'

interface Props {
  readonly done: WorkedExercise
  readonly clothHex: string
  readonly places: readonly LetteredPlace[]
  /** The letter of the move that is being put somewhere; null where none is. */
  readonly held: string | null
  readonly onPress: (at: Point) => void
  readonly onDrag: (letter: string, to: Point) => void
}

const HEIGHT_PX = 170
const PX_PER_MM = 13
/** Further than this and a letter is dragged, not pressed. */
const DRAG_PX = 4

export function LetteredDrawing({ done, clothHex, places, held, onPress, onDrag }: Props) {
  const box = useRef<HTMLDivElement>(null)
  const { width } = useSize(box)
  const dragged = useRef<{ readonly letter: string; readonly x: number; readonly y: number } | null>(null)
  const [drag, setDrag] = useState<{ readonly letter: string; readonly at: Point } | null>(null)
  const wide = boxOfExercise(done)
  // The whole of it, however long: its last place is one that can be taken hold of.
  const pxPerMm = wide ? Math.min(PX_PER_MM, Math.max(1, width - 40) / Math.max(1, wide.right - wide.left)) : PX_PER_MM
  const view = width > 0 ? swatchView(done, width, HEIGHT_PX, pxPerMm, true) : null
  const onCloth = (event: PointerEvent): Point | null => {
    const rect = box.current?.getBoundingClientRect()
    return rect && view ? { x: (event.clientX - rect.left - view.x) / view.scale, y: (event.clientY - rect.top - view.y) / view.scale } : null
  }
  const end = (event: PointerEvent): void => {
    const at = onCloth(event)
    const from = dragged.current
    dragged.current = null
    setDrag(null)
    if (!at) return
    if (from && Math.hypot(event.clientX - from.x, event.clientY - from.y) > DRAG_PX) onDrag(from.letter, at)
    else onPress(at)
  }
  return (
    <div
      ref={box}
      className="lettered"
      onPointerMove={(event) => {
        const at = onCloth(event)
        if (dragged.current && at) setDrag({ letter: dragged.current.letter, at })
      }}
      onPointerUp={end}
    >
      <ThreadCanvas
        done={done}
        heightPx={HEIGHT_PX}
        pxPerMm={pxPerMm}
        whole
        clothHex={clothHex}
        label={`${done.assigned.document.name}, front, with its places lettered`}
      />
      {view &&
        places.map(({ letter, at }) => {
          const there = drag?.letter === letter ? drag.at : at
          if (!there) return null
          return (
            <span
              key={letter}
              className={`place-letter${held === letter ? ' held' : ''}`}
              style={{ left: there.x * view.scale + view.x, top: there.y * view.scale + view.y }}
              onPointerDown={(event) => {
                dragged.current = { letter, x: event.clientX, y: event.clientY }
                box.current?.setPointerCapture(event.pointerId)
              }}
            >
              <b>{letter}</b>
            </span>
          )
        })}
    </div>
  )
}
