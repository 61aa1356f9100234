/**
 * Lines with corners taken to another size: a hole lies on each corner, so each leg should be whole stitches long. Within a
 * little of the size that all the rest is taken to, the size of its own at which they come out is chosen.
 */
import type { WorkedExercise } from '../exercise/index.ts'

/** So much larger or smaller than the rest it may become, and so far its outermost place may move: more would part it from what it touches. */
const MOST_OWN = 0.08
const MOST_MOVED_MM = 2
const STEP = 0.0025
/** A hundredth nearer to whole stitches is worth so many hundredths of size. */
const WORTH = 2

/** `reachMm`: from its middle to its outermost place, at the new size. 1 where it has no corners, or where its legs come out as well as they can. */
export function ownFactor(done: WorkedExercise, factor: number, reachMm: number): number {
  const legs = done.pieces.flatMap(({ worked: { fitted } }) =>
    fitted.legs.length > 1 && fitted.askedMm > 0 ? fitted.legs.map((leg) => leg.lengthMm / fitted.askedMm) : [],
  )
  if (legs.length === 0) return 1
  let best = { own: 1, cost: off(legs, factor) * WORTH }
  const most = Math.min(MOST_OWN, MOST_MOVED_MM / Math.max(1e-6, reachMm))
  for (let own = 1 - most; own <= 1 + most + 1e-9; own += STEP) {
    const cost = off(legs, factor * own) * WORTH + Math.abs(own - 1)
    if (cost < best.cost - 1e-9) best = { own, cost }
  }
  return best.own
}

/** How far stitches are made longer or shorter so that each leg is whole: the mean over the legs' lengths, as a share. */
function off(legs: readonly number[], factor: number): number {
  let [sum, length] = [0, 0]
  for (const leg of legs) {
    const stitches = leg * factor
    const whole = Math.max(1, Math.round(stitches))
    sum += stitches * Math.abs(stitches / whole - 1)
    length += stitches
  }
  return length > 0 ? sum / length : 0
}
