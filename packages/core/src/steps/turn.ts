/**
 * Which way a picture lies. A right hand's needle points to the left or toward the learner: work that goes from side to side of a
 * band with loops runs toward her; otherwise, of four turns, the one in which the needle points best.
 */
import type { ReadGuide } from '../guide/index.ts'
import type { WorkedStitch } from '../work/index.ts'
import type { Gesture } from './gestures.ts'
import type { Turn } from './hand.ts'

const TURNS: readonly Turn[] = [0, 2, 1, 3]
/** Two turns as good as each other. */
const ALIKE = 0.08

/** `isLeaf`: worked from tip to foot of a shape. */
export function turnOf(gestures: readonly Gesture[], { holes }: WorkedStitch, guide: ReadGuide, isLeaf: boolean): Turn {
  // A leaf lies with its tip away from the learner.
  if (guide.kind === 'shape') return isLeaf ? 1 : 0
  if (guide.kind !== 'line' || guide.centre) return 0
  const sewn = gestures.flatMap(({ kind, happenings: [down, up] }) => {
    const [from, to] = [holes[down.hole ?? -1], holes[up?.hole ?? -1]]
    if (kind !== 'sew' || !from || !to || !up) return []
    const size = Math.hypot(to.x - from.x, to.y - from.y)
    const loops = up.move !== null && 'up' in up.move && up.move.round === 'inside'
    return size < 1e-6 ? [] : [{ x: (to.x - from.x) / size, y: (to.y - from.y) / size, loops }]
  })
  if (sewn.length === 0) return 0
  const loops = sewn.filter((one) => one.loops).length * 2 > sewn.length
  if (guide.width && loops) return 1
  const scores = TURNS.map((turn) => {
    const sum = sewn.reduce((total, { x, y }) => {
      const [a, b] = turn === 0 ? [x, y] : turn === 1 ? [-y, x] : turn === 2 ? [-x, -y] : [y, -x]
      return total + Math.max(-a, b, 0)
    }, 0)
    return sum / sewn.length
  })
  const best = Math.max(...scores)
  const good = TURNS.filter((_, index) => (scores[index] as number) > best - ALIKE)
  // A loop caught by a needle that runs along the line is worked toward the learner.
  const along = sewn.reduce((sum, { x }) => sum + Math.abs(x), 0) / sewn.length > 0.7
  return loops && along && good.includes(1) ? 1 : (good[0] ?? 0)
}
