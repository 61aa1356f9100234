/**
 * The length or size that a stitch is spoken of by: its own length as fitted, how far apart stitches stand where that is
 * another thing, or the size of what is made (a knot, a square, a wheel, a picot). mm; null where it does not apply.
 */
import type { Point } from '../geometry/index.ts'
import type { ReadGuide } from '../guide/index.ts'
import type { ParameterValue } from '../notation/index.ts'
import type { Segment } from '../work/index.ts'
import { fittedShare } from './fitted-length.ts'
import type { WorkedExercise } from './work-exercise.ts'

export interface SpokenSize {
  readonly lengthMm: number | null
  readonly apartMm: number | null
  readonly acrossMm: number | null
  readonly squareMm: number | null
  readonly highMm: number | null
}

const NONE: SpokenSize = { lengthMm: null, apartMm: null, acrossMm: null, squareMm: null, highMm: null }
/** Lengths that differ by less are one figure to the eye. */
const ALIKE = 0.05

/** Of the first piece: the others are its copies, or come out much the same. */
export function spokenSize({ pieces: [{ guide, worked, assigned }] }: WorkedExercise): SpokenSize {
  const lengths = [...assigned.parameters.values()].filter((one) => one.kind === 'length')
  const own = lengths.find((one) => one.measures === null)
  const apart = lengths.find((one) => one.measures === 'apart')
  const share = fittedShare(worked.fitted)
  const fitted = (one: ParameterValue | undefined): number | null => (one ? one.value * (guide.kind === 'spots' ? 1 : share) : null)
  const made = sizeMade(guide, worked.segments)
  if (made) return { ...made, apartMm: guide.kind === 'line' && guide.centre ? null : fitted(apart) }
  if (guide.kind === 'line') {
    const lengthMm = fitted(own)
    const pitchMm = worked.fitted.pitchMm
    // "Apart" is said where the next stitch begins elsewhere than where this one ends.
    if (apart && lengths[0] === apart) return { ...NONE, apartMm: pitchMm }
    return { ...NONE, lengthMm: lengthMm ?? pitchMm, apartMm: lengthMm !== null && Math.abs(pitchMm / lengthMm - 1) > ALIKE ? pitchMm : null }
  }
  const lengthMm = fitted(own)
  const apartMm = fitted(apart)
  return lengthMm === null && apartMm === null ? { ...NONE, lengthMm: longestOf(worked.segments) } : { ...NONE, lengthMm, apartMm }
}

/** Squares, wheels, picots and knots have a size of their own. */
function sizeMade(guide: ReadGuide, segments: readonly Segment[]): SpokenSize | null {
  if (guide.kind === 'spots' && guide.sideMm !== undefined) return { ...NONE, squareMm: guide.sideMm }
  if (guide.kind === 'grid') return { ...NONE, squareMm: guide.cellMm }
  if (guide.kind === 'pins') return { ...NONE, highMm: Math.max(...guide.pins.map((pin) => Math.hypot(pin.x - guide.base.x, pin.y - guide.base.y))) }
  const knots = segments.filter((segment) => segment.kind === 'knot')
  if (knots.length > 0 && guide.kind !== 'line') return { ...NONE, acrossMm: Math.max(...knots.map((knot) => knot.sizeMm)) }
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
