/**
 * What of a stitch worked along a straight line can be seen in a photograph, and how long it was meant to be: read off the worked thread,
 * so that a teacher's own stitch is measured like those of the library.
 */
import { sum } from '../base/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import { MAIN_ROLE } from '../notation/index.ts'
import type { Segment } from '../work/index.ts'

/**
 * How its stitches lie along the row: apart, with cloth between; end to end in shared holes; each begun beside the last; loops held
 * by the next; pairs that cross; side by side across it.
 */
export type RowKind = 'apart' | 'end-to-end' | 'beside-the-last' | 'looped' | 'crossed' | 'side-by-side'

export interface RowPlan {
  readonly kind: RowKind
  readonly count: number
  /** From one stitch to the next along the row, mm. */
  readonly pitchMm: number
  /** Of thread on the front from hole to hole, mm; of loops and stitches beside the last the pitch. */
  readonly stitchMm: number
  /** Of cloth between two; 0 where there is none. mm */
  readonly gapMm: number
  /** Between the holes across the row; 0 on a line. mm */
  readonly acrossMm: number
  /** Of stitches across the row from upright, degrees, positive to the right above; 0 where they cross and on a line. */
  readonly leanDeg: number
  /** From the first hole to the last, along the row, mm. */
  readonly lengthMm: number
  /** Its thread as it lies, mm. */
  readonly threadMm: number
  /** #rrggbb */
  readonly threadHex: string
  readonly clothHex: string
}

/** Of these lengths along the row, nothing that is drawn is meant. mm */
const SAME_MM = 0.08
/** Side by side is what lies nearer than so many of its threads. */
const CLOSE = 1.7

/** Other than loops, in a row of them: the stitch that ties the last, one where a row begins. */
const TIES = 2

/** `done`: worked along +x. Null where no row is made that a photograph could tell apart. */
export function rowPlanOf(done: WorkedExercise, clothHex: string): RowPlan | null {
  const [piece] = done.pieces
  const front = piece.worked.segments.filter((segment) => segment.side === 'front' && segment.lengthMm > SAME_MM)
  if (front.length < 4 || front.some((segment) => segment.thread !== MAIN_ROLE)) return null
  const { bundle, thread } = piece.assigned.main
  const read = readRow(front, bundle.lineWidthMm)
  if (!read) return null
  const xs = piece.worked.holes.map((hole) => hole.x)
  return { ...read, lengthMm: Math.max(...xs) - Math.min(...xs), threadMm: bundle.lineWidthMm, threadHex: thread.value.colour.hex, clothHex }
}

type Read = Pick<RowPlan, 'kind' | 'count' | 'pitchMm' | 'stitchMm' | 'gapMm' | 'acrossMm' | 'leanDeg'>

interface Span {
  readonly left: number
  readonly right: number
  readonly upMm: number
  readonly lengthMm: number
  readonly lean: number
}

function readRow(front: readonly Segment[], threadMm: number): Read | null {
  const loops = front.filter((segment) => segment.kind === 'loop')
  if (loops.length > 0) return front.length - loops.length <= TIES ? readLoops(loops) : null
  if (front.some((segment) => segment.kind !== 'straight' && segment.kind !== 'kept')) return null
  const spans = front
    .map((segment): Span => {
      const [from, to] = [segment.points[0], segment.points.at(-1)]
      if (!from || !to) return { left: 0, right: 0, upMm: 0, lengthMm: 0, lean: 0 }
      const dx = to.x - from.x
      const dy = to.y - from.y
      return {
        left: Math.min(from.x, to.x),
        right: Math.max(from.x, to.x),
        upMm: Math.abs(dy),
        lengthMm: Math.hypot(dx, dy),
        lean: Math.abs(dx) < SAME_MM ? 0 : Math.sign(dx * dy),
      }
    })
    .sort((a, b) => a.left - b.left)
  const across = meanOf(spans.map((one) => one.upMm))
  const along = meanOf(spans.map((one) => one.right - one.left))
  return across < 0.15 * along ? readLine(spans) : readBand(spans, across, threadMm)
}

function readLoops(front: readonly Segment[]): Read | null {
  const starts = front.map((segment) => segment.points[0]?.x ?? 0).sort((a, b) => a - b)
  const pitchMm = evenStep(starts)
  return pitchMm === null ? null : { kind: 'looped', count: starts.length, pitchMm, stitchMm: pitchMm, gapMm: 0, acrossMm: 0, leanDeg: 0 }
}

function readLine(spans: readonly Span[]): Read | null {
  const pitchMm = evenStep(spans.map((one) => one.left))
  if (pitchMm === null || !isEven(spans.map((one) => one.lengthMm))) return null
  const gaps = spans.slice(1).map((one, index) => one.left - (spans[index]?.right ?? 0))
  const stitchMm = meanOf(spans.map((one) => one.lengthMm))
  const of = { count: spans.length, pitchMm, acrossMm: 0, leanDeg: 0 }
  if (gaps.every((gap) => gap > 2 * SAME_MM)) return { ...of, kind: 'apart', stitchMm, gapMm: meanOf(gaps) }
  if (gaps.every((gap) => Math.abs(gap) < SAME_MM)) return { ...of, kind: 'end-to-end', stitchMm, gapMm: 0 }
  if (gaps.every((gap) => gap < -SAME_MM)) return { ...of, kind: 'beside-the-last', stitchMm: pitchMm, gapMm: 0 }
  return null
}

function readBand(spans: readonly Span[], acrossMm: number, threadMm: number): Read | null {
  if (!isEven(spans.map((one) => one.upMm))) return null
  const [falling, rising] = [spans.filter((one) => one.lean > 0), spans.filter((one) => one.lean < 0)]
  const wide = meanOf(spans.map((one) => one.right - one.left))
  if (falling.length === rising.length && wide > SAME_MM) {
    const pitchMm = evenStep(falling.map((one) => one.left))
    const pairs = falling.every((one, index) => Math.abs(one.left - (rising[index]?.left ?? Number.NaN)) < SAME_MM)
    if (pitchMm === null || !pairs || Math.abs(wide - pitchMm) > 0.1 * pitchMm) return null
    return { kind: 'crossed', count: falling.length, pitchMm, stitchMm: pitchMm, gapMm: 0, acrossMm, leanDeg: 0 }
  }
  const pitchMm = evenStep(spans.map((one) => (one.left + one.right) / 2))
  if (pitchMm === null || pitchMm > CLOSE * threadMm || (falling.length > 0 && rising.length > 0)) return null
  // Up the page is less: what falls to the right leans to the left above.
  const leanDeg = meanOf(spans.map((one) => (-one.lean * Math.atan2(one.right - one.left, one.upMm) * 180) / Math.PI))
  return { kind: 'side-by-side', count: spans.length, pitchMm, stitchMm: meanOf(spans.map((one) => one.lengthMm)), gapMm: 0, acrossMm, leanDeg }
}

const meanOf = (values: readonly number[]): number => sum(values) / Math.max(1, values.length)

/** The first and the last may be otherwise: a row begins and ends as it must. */
function isEven(values: readonly number[]): boolean {
  const inner = values.length > 4 ? values.slice(1, -1) : values
  return inner.every((one) => Math.abs(one - meanOf(inner)) < 0.35 * meanOf(inner))
}

/** From one to the next, null where they do not come evenly. `sorted` */
function evenStep(sorted: readonly number[]): number | null {
  const steps = sorted.slice(1).map((one, index) => one - (sorted[index] ?? 0))
  const mean = meanOf(steps)
  return steps.length > 1 && mean > SAME_MM && isEven(steps) ? mean : null
}
