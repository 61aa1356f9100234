/** Lengths as they come out, against the window in which the stitch is good. */
import { type Assigned, mainLength } from '../assign/index.ts'
import { caution, type Figure, mm, type Problem } from '../base/index.ts'
import { cross, distance, type Point, subtract } from '../geometry/index.ts'
import type { ReadGuide } from '../guide/index.ts'
import type { ParameterValue } from '../notation/index.ts'
import type { Segment, WorkedStitch } from '../work/index.ts'
import { fittedShare, isStretched } from './fitted-length.ts'

/** A length the teacher gave is obeyed; outside its window it is a caution with figures. */
export function checkLengths(assigned: Assigned, guide: ReadGuide, worked: WorkedStitch): Problem[] {
  const problems: Problem[] = []
  const asked = worked.fitted.askedMm
  const stretches = worked.fitted.legs.map((leg) => (asked > 0 ? leg.pitchMm / asked : 1))
  // The rows of a filling are fitted each for itself: their mean says what the eye sees.
  const mean = fittedShare(worked.fitted)
  const [least, most] = guide.kind === 'line' ? [Math.min(...stretches), Math.max(...stretches)] : [mean, mean]
  for (const parameter of assigned.parameters.values()) {
    const isLength = isStretched(parameter, assigned.document) && worked.fitted.legs.length > 0
    const low = parameter.value * (isLength ? least : 1)
    const high = parameter.value * (isLength ? most : 1)
    const show = (value: number): Figure => (parameter.kind === 'length' ? mm(value) : value)
    const codes = codesFor(parameter)
    const say = (code: string, comes: number): number =>
      problems.push(
        caution(code, ['parameters', parameter.id], {
          name: parameter.name,
          comes: show(comes),
          usual: show(parameter.usual),
          ...(parameter.min === null ? {} : { least: show(parameter.min) }),
          ...(parameter.max === null ? {} : { most: show(parameter.max) }),
        }),
      )
    // A hundredth: fitting moves a length by less than anyone can see.
    if (parameter.max !== null && high > parameter.max * 1.01) say(codes.over, high)
    else if (parameter.min !== null && low < parameter.min * 0.99) say(codes.under, low)
  }
  return problems
}

/** A length sags or closes up, a distance gapes or crowds; a gap, a count, an angle or a share is simply out of its range. */
function codesFor({ kind, measures }: ParameterValue): { readonly over: string; readonly under: string } {
  if (kind !== 'length' || measures === 'between') return { over: 'exercise.out-of-range', under: 'exercise.out-of-range' }
  return measures === 'apart' ? { over: 'exercise.wide-apart', under: 'exercise.close' } : { over: 'exercise.long', under: 'exercise.short' }
}

/** A thread that lies free for longer than this catches on rings and cuffs, whatever stitch it is part of. mm */
const SNAGS_MM = 10

/**
 * Threads in front that lie free for longer than a centimetre; what other thread crosses is held there. A stitch whose usual
 * length is longer, as tacking's is, lies so for as long as it is wanted, and is drawn out.
 */
export function checkSpans({ parameters }: Pick<Assigned, 'parameters'>, { segments }: Pick<WorkedStitch, 'segments'>): Problem[] {
  if ((mainLength(parameters)?.usual ?? 0) > SNAGS_MM) return []
  // Of the thousands of pieces of a row none may be that long: then there is nothing to weigh them against.
  if (!segments.some((segment) => segment.side === 'front' && segment.lengthMm > SNAGS_MM * 1.01)) return []
  const front = segments.filter((segment) => segment.side === 'front').map(chordOf)
  const freest = front.filter((chord) => chord.long > SNAGS_MM * 1.01 && chord.isStraight).reduce((most, chord) => Math.max(most, freeLength(chord, front)), 0)
  return freest > SNAGS_MM * 1.01 ? [caution('exercise.snags', ['on'], { free: mm(freest), most: mm(SNAGS_MM) })] : []
}

interface Chord {
  readonly a: Point
  readonly b: Point
  readonly long: number
  readonly isStraight: boolean
}

/** A thread laid along a curve is not its chord: what ties it down does not cross the chord, so it is not judged by it. */
function chordOf({ points, kind, lengthMm }: Segment): Chord {
  const [a, b] = [points[0] as Point, points[points.length - 1] as Point]
  const long = distance(a, b)
  return { a, b, long, isStraight: kind === 'straight' && lengthMm <= long * 1.001 }
}

/** The longest stretch of a chord between places where others cross it. */
function freeLength({ a, b, long }: Chord, all: readonly Chord[]): number {
  const shares = [0, 1]
  const [left, right, top, bottom] = [Math.min(a.x, b.x), Math.max(a.x, b.x), Math.min(a.y, b.y), Math.max(a.y, b.y)]
  for (const { a: c, b: d } of all) {
    if (Math.max(c.x, d.x) < left || Math.min(c.x, d.x) > right || Math.max(c.y, d.y) < top || Math.min(c.y, d.y) > bottom) continue
    const across = cross(subtract(b, a), subtract(d, c))
    if (Math.abs(across) < 1e-9) continue
    const share = cross(subtract(c, a), subtract(d, c)) / across
    const other = cross(subtract(c, a), subtract(b, a)) / across
    // Threads that only share a hole do not hold each other.
    if (share > 0.01 && share < 0.99 && other > 0.01 && other < 0.99) shares.push(share)
  }
  shares.sort((one, two) => one - two)
  return long * shares.slice(1).reduce((most, share, index) => Math.max(most, share - (shares[index] as number)), 0)
}

/** A quarter of a millimetre between two stitches is less than any hand keeps, and than an eye finds without a rule. */
const SEEN_MM = 0.25

/** Legs between corners whose fitted stitches differ enough to be seen. */
export function checkLegs(worked: WorkedStitch): Problem[] {
  const problems: Problem[] = []
  const { legs, askedMm } = worked.fitted
  const pitches = legs.map((leg) => leg.pitchMm)
  const [least, most] = [Math.min(...pitches), Math.max(...pitches)]
  if (legs.length > 1 && most > least * 1.04 && most - least > SEEN_MM) {
    problems.push(caution('exercise.legs-differ', ['guide'], { least: mm(least), most: mm(most) }))
  }
  if (most > askedMm * 1.5 || least < askedMm * 0.67) {
    problems.push(caution('exercise.stretched', ['guide'], { asked: mm(askedMm), fitted: mm(most > askedMm * 1.5 ? most : least) }))
  }
  return problems
}
