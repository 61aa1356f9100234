/**
 * The length or size that a stitch is spoken of by: its own length as fitted, how far apart stitches stand where that is
 * another thing, or the size of what is made (a knot, a square, a wheel, a picot). mm; null where it does not apply.
 */
import type { Point } from '../geometry/index.ts'
import type { ReadGuide } from '../guide/index.ts'
import type { ParameterValue } from '../notation/index.ts'
import type { Segment } from '../work/index.ts'
import { fittedShare, isStretched } from './fitted-length.ts'
import type { WorkedExercise } from './work-exercise.ts'

export interface SpokenSize {
  readonly lengthMm: number | null
  readonly apartMm: number | null
  /** Cloth left between one stitch and the next. */
  readonly gapMm: number | null
  readonly acrossMm: number | null
  readonly squareMm: number | null
  readonly highMm: number | null
}

const NONE: SpokenSize = { lengthMm: null, apartMm: null, gapMm: null, acrossMm: null, squareMm: null, highMm: null }
/** Lengths that differ by less are one figure to the eye. */
const ALIKE = 0.05

/** Of the first piece: the others are its copies, or come out much the same. */
export function spokenSize({ pieces: [{ guide, worked, assigned }] }: WorkedExercise): SpokenSize {
  const lengths = [...assigned.parameters.values()].filter((one) => one.kind === 'length')
  // A stitch is spoken of by its first length; what comes after (the padding, how far past the vein) is said on its card.
  const own = lengths[0]?.measures === null ? lengths[0] : undefined
  const apart = lengths.find((one) => one.measures === 'apart')
  const between = lengths.find((one) => one.measures === 'between')
  const share = fittedShare(worked.fitted)
  const fitted = (one: ParameterValue | undefined): number | null => (one ? one.value * (isStretched(one, assigned.document) ? share : 1) : null)
  const made = sizeMade(guide, worked.segments, own !== undefined)
  if (made) return { ...made, apartMm: guide.kind === 'pins' || (guide.kind === 'line' && guide.centre) ? null : fitted(apart) }
  const lengthMm = fitted(own)
  if (guide.kind === 'line') {
    const { pitchMm, count } = worked.fitted
    if (lengthMm === null) return apart ? { ...NONE, apartMm: pitchMm } : { ...NONE, lengthMm: pitchMm }
    if (between) return { ...NONE, lengthMm, gapMm: fitted(between) }
    // "Apart" is said where the next stitch begins elsewhere than where this one ends; the way back of a double line fills what the way out left.
    const isEven = Math.abs(pitchMm / lengthMm - 1) <= ALIKE || Math.abs((count * lengthMm) / guide.path.length - 1) <= ALIKE
    return { ...NONE, lengthMm, apartMm: isEven ? null : pitchMm }
  }
  const apartMm = fitted(apart)
  return lengthMm === null && apartMm === null ? { ...NONE, lengthMm: longestOf(worked.segments) } : { ...NONE, lengthMm, apartMm }
}

/** Squares, wheels, picots and knots have a size of their own; a knot on a tail is spoken of by the tail. */
function sizeMade(guide: ReadGuide, segments: readonly Segment[], hasLength: boolean): SpokenSize | null {
  if (guide.kind === 'spots' && guide.sideMm !== undefined) return { ...NONE, squareMm: guide.sideMm }
  if (guide.kind === 'grid') return { ...NONE, squareMm: guide.cellMm }
  if (guide.kind === 'pins') return { ...NONE, highMm: Math.max(...guide.pins.map((pin) => Math.hypot(pin.x - guide.base.x, pin.y - guide.base.y))) }
  const knots = segments.filter((segment) => segment.kind === 'knot')
  if (knots.length > 0 && !hasLength && guide.kind !== 'line') return { ...NONE, acrossMm: Math.max(...knots.map((knot) => knot.sizeMm)) }
  if (guide.kind === 'line' && guide.centre) {
    const first = guide.path.points[0] as Point
    return { ...NONE, acrossMm: 2 * Math.hypot(first.x - guide.centre.x, first.y - guide.centre.y) }
  }
  return null
}

/** Where a stitch has no length of its own: its longest piece in front. */
function longestOf(segments: readonly Segment[]): number {
  return segments.reduce((longest, one) => (one.side === 'front' ? Math.max(longest, one.lengthMm) : longest), 0)
}
