/** What the hands should know before they begin: whether one is enough, and how often the thread wants to untwist. */
import type { Motion, MotionCounts, WorkedStitch } from '../work/index.ts'

/** Motions for which the second hand holds, winds or lays. */
const SECOND_HAND: readonly Motion[] = ['wind', 'lay', 'tie', 'leave-loop', 'cut', 'weave']

/** The motions of this work that want the second hand; none where one is enough. */
export function secondHandMotions(motions: MotionCounts): readonly Motion[] {
  return SECOND_HAND.filter((motion) => (motions[motion] ?? 0) > 0)
}

/** A passage through the cloth turns the thread by a twenty-fourth in the fingers, a wrap by half a turn: judgement, +-50 %. */
const TURN_PER_TRIP = 1 / 24
const TURN_PER_WRAP = 0.5

/** Stitches after which the thread has turned once about itself: then the needle should hang and untwist. At least 1. */
export function untwistEvery({ fitted, motions }: Pick<WorkedStitch, 'fitted' | 'motions'>): number {
  const count = Math.max(1, fitted.count)
  const trips = (motions.up ?? 0) + (motions.down ?? 0)
  const turns = (trips * TURN_PER_TRIP + (motions.wrap ?? 0) * TURN_PER_WRAP) / count
  return Math.max(1, Math.round(1 / Math.max(0.02, turns)))
}
