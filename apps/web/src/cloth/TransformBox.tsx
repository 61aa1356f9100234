/** A box about all that is held, with handles: dragged, turned, made larger or smaller as one; quarter turns and eighths are met. */
import type { Box, Matrix } from '@lemmata/core/geometry'
import { useLayoutEffect, useRef, useState } from 'react'
import Moveable from 'react-moveable'
import { toScreen, type View } from './view.ts'

export interface Lift {
  /** On the screen, about the middle of the box. */
  readonly css: string
  readonly origin: string
}

interface Props {
  readonly box: Box
  readonly view: View
  readonly onLift: (lift: Lift | null) => void
  readonly onDone: (matrix: Matrix) => void
}

/** Straight, and half way between. */
const NEAT_DEGREES = [0, 45, 90, 135, 180, 225, 270, 315]
/** Smaller than this a box cannot be taken hold of, pixels. */
const LEAST_PX = 12

export function TransformBox({ box, view, onLift, onDone }: Props) {
  const target = useRef<HTMLDivElement>(null)
  const handles = useRef<Moveable>(null)
  const [now, setNow] = useState('')
  const from = toScreen(view, { x: box.left, y: box.top })
  const to = toScreen(view, { x: box.right, y: box.bottom })
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 }
  const [width, height] = [Math.max(LEAST_PX, to.x - from.x), Math.max(LEAST_PX, to.y - from.y)]
  // About the same middle, also where a line alone is no higher than itself.
  const size = { left: middle.x - width / 2, top: middle.y - height / 2, width, height }
  const origin = `${middle.x}px ${middle.y}px`
  useLayoutEffect(() => handles.current?.updateRect(), [size.left, size.top, size.width, size.height])
  const lift = (css: string): void => {
    setNow(css)
    onLift({ css, origin })
  }
  const done = (): void => {
    const matrix = now === '' ? null : onCloth(now, { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 }, view.scale)
    setNow('')
    onLift(null)
    if (matrix) onDone(matrix)
  }
  return (
    <div className="transform-box">
      <div ref={target} className="transform-target" style={{ ...size, transform: now }} />
      <Moveable
        ref={handles}
        target={target}
        draggable
        rotatable
        scalable
        keepRatio
        snappable
        snapRotationDegrees={NEAT_DEGREES}
        snapRotationThreshold={3}
        origin={false}
        renderDirections={['nw', 'ne', 'sw', 'se']}
        onDrag={({ transform }) => lift(transform)}
        onRotate={({ drag }) => lift(drag.transform)}
        onScale={({ drag }) => lift(drag.transform)}
        onDragEnd={done}
        onRotateEnd={done}
        onScaleEnd={done}
      />
    </div>
  )
}

/** What was done on the screen about the middle of the box, as a matrix in millimetres; null where nothing was. */
export function onCloth(css: string, middle: { readonly x: number; readonly y: number }, scale: number): Matrix | null {
  const { a, b, c, d, e, f } = new DOMMatrix(css)
  const factor = Math.hypot(a, b)
  const isStill = Math.abs(a - 1) + Math.abs(b) + Math.abs(c) + Math.abs(d - 1) < 1e-4 && Math.hypot(e, f) < 0.5
  // Turned inside out by a corner dragged past the other: nobody means that.
  if (isStill || factor < 0.05 || a * d - b * c <= 0) return null
  return [a, b, c, d, middle.x + e / scale - (a * middle.x + c * middle.y), middle.y + f / scale - (b * middle.x + d * middle.y)]
}
