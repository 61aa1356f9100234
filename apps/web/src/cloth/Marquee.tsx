/** With Shift a drag holds all that lies wholly within it. */
import type { WorkedExercise } from '@lemmata/core/exercise'
import { boxOfExercise } from '@lemmata/core/extent'
import type { Box, Point } from '@lemmata/core/geometry'
import { useCallback, useRef, useState } from 'react'
import { DYES } from '../look/theme.ts'
import { toScreen, type View } from './view.ts'

export function useMarquee(done: readonly WorkedExercise[], mirroredMm: number | null, onHeld: (ids: readonly string[]) => void) {
  const from = useRef<Point | null>(null)
  const [box, setBox] = useState<Box | null>(null)
  const onDrag = useCallback(
    (at: Point, first: boolean, last: boolean): void => {
      if (first) from.current = at
      const begun = from.current
      if (!begun) return
      const now = { left: Math.min(begun.x, at.x), right: Math.max(begun.x, at.x), top: Math.min(begun.y, at.y), bottom: Math.max(begun.y, at.y) }
      if (!last) return setBox(now)
      from.current = null
      setBox(null)
      const inside = done.filter((one) => {
        const own = boxOfExercise(one)
        if (!own) return false
        const seen = mirroredMm === null ? own : { ...own, left: mirroredMm - own.right, right: mirroredMm - own.left }
        return seen.left >= now.left && seen.right <= now.right && seen.top >= now.top && seen.bottom <= now.bottom
      })
      if (inside.length > 0) onHeld(inside.map((one) => one.exercise.id))
    },
    [done, mirroredMm, onHeld],
  )
  return { box, onDrag }
}

export function Marquee({ box, view }: { box: Box; view: View }) {
  const from = toScreen(view, { x: box.left, y: box.top })
  const to = toScreen(view, { x: box.right, y: box.bottom })
  const frame = { x: from.x, y: from.y, width: to.x - from.x, height: to.y - from.y }
  return (
    <g aria-hidden="true" data-testid="marquee">
      <rect {...frame} fill={DYES.paper} fillOpacity="0.22" stroke={DYES.paper} strokeWidth="3" />
      <rect {...frame} fill="none" stroke={DYES.indigo} strokeWidth="1.4" strokeDasharray="2 5" strokeLinecap="round" />
    </g>
  )
}
