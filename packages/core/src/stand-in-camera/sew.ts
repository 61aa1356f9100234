/**
 * A practice row as a hand might have worked it: every hole a little beside where it was meant, all threads through it with it. What it then
 * measures is known, so that what a photograph of it is measured as can be compared.
 */
import { normal, seeded, sum } from '../base/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import { type Point, rmsOffLine } from '../geometry/index.ts'
import type { RowPlan } from '../photo/index.ts'
import type { Segment } from '../work/index.ts'

export interface Handwork {
  /** Of each hole about where it was meant, each way, mm. */
  readonly scatterMm: number
  /** From the first stitch to the last: 0.3 begins 15 % longer and ends 15 % shorter than the mean. */
  readonly trend: number
  /** How far the row leaves its line in the middle, mm. */
  readonly bendMm: number
  /** Of a stitch across the row, degrees from where it was meant; the upper edge goes to the right. */
  readonly leanDeg: number
  /** Stitches left out, by their place in the row, from 0. */
  readonly missing: readonly number[]
  readonly seed: number
}

export const EVEN_HANDWORK: Handwork = { scatterMm: 0, trend: 0, bendMm: 0, leanDeg: 0, missing: [], seed: 1 }

export interface SewnRow {
  /** On the front, later over earlier; mm from the middle of the card's window. */
  readonly threads: readonly { readonly points: readonly Point[]; readonly widthMm: number }[]
  readonly holes: readonly Point[]
  readonly truth: RowTruth
}

/** What there is to be measured, mm and degrees. */
export interface RowTruth {
  readonly count: number
  /** Of each: from hole to hole; from one to the next where they lie beside the last, are looped or crossed. */
  readonly lengthsMm: readonly number[]
  readonly meanMm: number
  readonly spreadMm: number
  readonly meanGapMm: number
  /** From where one begins to where the next does, mean. */
  readonly pitchMm: number
  /** Of the holes on a line, about the straight line that fits them best. */
  readonly driftMm: number
  /** Of stitches across the row, from upright; positive to the right above. */
  readonly leanDeg: number
}

export function sewRow(done: WorkedExercise, plan: RowPlan, hand: Handwork): SewnRow {
  const [piece] = done.pieces
  const { holes, segments } = piece.worked
  const random = seeded(hand.seed)
  const [left, right] = [Math.min(...holes.map((one) => one.x)), Math.max(...holes.map((one) => one.x))]
  const [top, bottom] = [Math.min(...holes.map((one) => one.y)), Math.max(...holes.map((one) => one.y))]
  const length = right - left
  const level = plan.acrossMm === 0 ? 0 : (top + bottom) / 2
  const phase = random() * 0.6 - 0.3
  const meant = ({ x, y }: Point): Point => {
    const share = (x - left) / length
    const along = share + hand.trend * 0.5 * share * (1 - share)
    const slow = hand.bendMm * Math.sin(Math.PI * Math.min(1, Math.max(0, share + phase * share * (1 - share))))
    return { x: (along - 0.5) * length + Math.tan((hand.leanDeg * Math.PI) / 180) * (level - y), y: y - level + slow }
  }
  // One throw for each place in the cloth, however many threads go through it.
  const throws = new Map<number, Point>()
  const moved = holes.map((hole): Point => {
    const thrown = throws.get(hole.same) ?? { x: normal(random) * hand.scatterMm, y: normal(random) * hand.scatterMm }
    throws.set(hole.same, thrown)
    const at = meant(hole)
    return { x: at.x + thrown.x, y: at.y + thrown.y }
  })
  const by = holes.map((hole, index) => {
    const [at, is] = [meant(hole), moved[index] as Point]
    return { x: is.x - at.x, y: is.y - at.y }
  })
  const front = segments
    .filter((segment) => segment.side === 'front' && segment.lengthMm > 0.05)
    .sort((a, b) => a.order - b.order)
    .filter((_, index) => !hand.missing.includes(index))
  const threads = front.map((segment) => ({
    points: segment.points.map((at) => shifted(meant(at), near(at, segment))),
    widthMm: plan.threadMm,
  }))
  return { threads, holes: moved, truth: truthOf(front, moved, plan) }

  /** Throws of the holes round about, the nearest most: a stitch ends where its holes are. */
  function near(at: Point, segment: Segment): Point {
    const own = [segment.from, segment.to, ...(segment.heldBy === null ? [] : [segment.heldBy])]
    let [weights, x, y] = [0, 0, 0]
    for (const index of own) {
      const hole = holes[index]
      const throwOf = by[index]
      if (!hole || !throwOf) continue
      const weight = 1 / (1e-6 + ((hole.x - at.x) ** 2 + (hole.y - at.y) ** 2) ** 2)
      weights += weight
      x += weight * throwOf.x
      y += weight * throwOf.y
    }
    return weights === 0 ? { x: 0, y: 0 } : { x: x / weights, y: y / weights }
  }
}

const shifted = (at: Point, by: Point): Point => ({ x: at.x + by.x, y: at.y + by.y })

function truthOf(front: readonly Segment[], holes: readonly Point[], plan: RowPlan): RowTruth {
  const of = (index: number): Point => holes[index] ?? { x: 0, y: 0 }
  const ends = front.map((segment) => [of(segment.from), of(segment.to)] as const)
  const own = ends.map(([from, to]) => Math.hypot(to.x - from.x, to.y - from.y))
  const steps = (xs: readonly number[]): number[] => {
    const sorted = [...xs].sort((a, b) => a - b)
    return sorted.slice(1).map((one, index) => one - (sorted[index] ?? 0))
  }
  const falling = ends.filter(([from, to]) => (to.x - from.x) * (to.y - from.y) > 0)
  const lengthsMm =
    plan.kind === 'beside-the-last'
      ? steps(ends.map(([from, to]) => Math.min(from.x, to.x)))
      : plan.kind === 'looped'
        ? steps(front.filter((segment) => segment.kind === 'loop').map((segment) => of(segment.from).x))
        : plan.kind === 'crossed'
          ? steps(falling.map(([from, to]) => (from.x + to.x) / 2))
          : own
  const spans = ends.map(([from, to]) => [Math.min(from.x, to.x), Math.max(from.x, to.x)] as const).sort((a, b) => a[0] - b[0])
  const gaps = plan.gapMm > 0 ? spans.slice(1).map((one, index) => one[0] - (spans[index]?.[1] ?? 0)) : []
  const mean = (values: readonly number[]): number => sum(values) / Math.max(1, values.length)
  const meanMm = mean(lengthsMm)
  const leans = ends.map(([from, to]) => (Math.atan2((to.x - from.x) * Math.sign(from.y - to.y), Math.abs(from.y - to.y)) * 180) / Math.PI)
  return {
    count: plan.kind === 'crossed' ? falling.length : plan.kind === 'looped' ? lengthsMm.length + 1 : front.length,
    lengthsMm,
    meanMm,
    spreadMm: Math.sqrt(mean(lengthsMm.map((one) => (one - meanMm) ** 2))),
    meanGapMm: mean(gaps),
    pitchMm: ((spans.at(-1)?.[0] ?? 0) - (spans[0]?.[0] ?? 0)) / Math.max(1, spans.length - 1),
    driftMm: plan.acrossMm === 0 ? rmsOffLine([...new Set(front.flatMap((segment) => [segment.from, segment.to]))].map(of)) : 0,
    leanDeg: plan.acrossMm === 0 ? 0 : mean(leans),
  }
}
