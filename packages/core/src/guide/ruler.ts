/**
 * The guide's ruler. Moves speak in nominal millimetres; the ruler maps them to true distance along the
 * guide, so that a whole number of steps fills each leg and a hole lands on every corner. No parameter is
 * changed by fitting. The nearest whole number wins; on a tie the shorter stitch.
 */
import { nearestCount, sum } from '../base/index.ts'

export interface RulerRequest {
  /** True lengths of the legs between corners, mm. */
  readonly legs: readonly number[]
  readonly closed: boolean
  /** The steps of one repeat, nominal mm; a hole lies at the end of each. */
  readonly steps: readonly number[]
  /** How far the last repeat reaches beyond its advance, nominal mm. */
  readonly tail: number
  /** At least so many repeats' worth of steps in each leg: what a curve asks for. */
  readonly atLeast?: readonly number[] | undefined
}

export interface RulerLeg {
  readonly lengthMm: number
  /** Repeats' worth of advance in this leg (may be a part when a corner falls inside a repeat). */
  readonly advances: number
  /** True over nominal length. */
  readonly stretch: number
}

export interface Ruler {
  /** Rising pairs of nominal and true distance. */
  readonly nominal: readonly number[]
  readonly true: readonly number[]
  readonly repeats: number
  readonly legs: readonly RulerLeg[]
  readonly advance: number
}

export function makeRuler(request: RulerRequest): Ruler {
  const { legs, steps, tail, closed } = request
  const advance = sum(steps)
  const nominal = [0]
  const along = [0]
  const fitted: RulerLeg[] = []
  let phase = 0
  let repeats = 1
  for (const [index, lengthMm] of legs.entries()) {
    const from = nominal.at(-1) as number
    const least = (request.atLeast?.[index] ?? 0) * advance
    const isLast = index === legs.length - 1
    let reach: number
    if (isLast) {
      const beyond = closed ? 0 : tail
      // Fewer than three stitches do not go round: the second would end in the hole it came from.
      const fewest = Math.max(closed ? 3 : 1, Math.ceil((from + least - beyond) / advance - 1e-9), from > 0 ? Math.ceil((from - beyond) / advance + 1e-9) : 1)
      repeats = Math.max(fewest, nearestCount((from + lengthMm - beyond) / advance))
      reach = repeats * advance + beyond - from
      if (reach <= 1e-9) {
        repeats += 1
        reach += advance
      }
    } else {
      const taken = takeSteps(steps, phase, lengthMm, least)
      phase = (phase + taken.count) % steps.length
      reach = taken.reach
    }
    nominal.push(from + reach)
    along.push((along.at(-1) as number) + lengthMm)
    fitted.push({ lengthMm, advances: reach / advance, stretch: lengthMm / reach })
  }
  return { nominal, true: along, repeats, legs: fitted, advance }
}

/** How many steps from this phase come nearest to the length; at least one, and at least `least` mm of them. */
function takeSteps(steps: readonly number[], phase: number, lengthMm: number, least: number): { count: number; reach: number } {
  const advance = sum(steps)
  // Whole rounds first, so that a long leg costs no loop.
  const rounds = Math.max(0, Math.floor(Math.max(lengthMm, least) / advance) - 1)
  let count = rounds * steps.length
  let reach = rounds * advance
  let best: { count: number; reach: number } | null = null
  for (let more = 0; more <= 3 * steps.length + 1; more += 1) {
    count += 1
    reach += steps[(phase + count - 1) % steps.length] as number
    if (reach < least - 1e-9) continue
    const better = best === null || Math.abs(reach - lengthMm) <= Math.abs(best.reach - lengthMm) + 1e-9
    if (better) best = { count, reach }
  }
  return best ?? { count, reach }
}

/** True distance of a nominal one; beyond the ends the outermost stretch goes on. */
export function readRuler(ruler: Ruler, at: number): number {
  const { nominal } = ruler
  let index = 1
  while (index < nominal.length - 1 && (nominal[index] as number) <= at) index += 1
  const from = nominal[index - 1] as number
  const start = ruler.true[index - 1] as number
  return start + (at - from) * (ruler.legs[index - 1] as RulerLeg).stretch
}
