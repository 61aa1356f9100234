/** What would come of a wrong answer: worked like the stitch itself, seen in the same frame, and told in figures. */
import { mm, type Told } from '../base/index.ts'
import { distance } from '../geometry/index.ts'
import { showMistake } from '../hold/index.ts'
import type { Mistake } from '../notation/index.ts'
import { type Demonstration, NOTHING_IN_HAND, type Step } from '../steps/index.ts'
import type { WorkedStitch } from '../work/index.ts'
import type { Question } from './ask.ts'
import type { Quiz } from './quiz.ts'

export interface Consequence {
  /** The stitch with the mistake in it, up to a little past it; null where what comes next cannot be worked at all. */
  readonly seen: { readonly demonstration: Demonstration; readonly step: Step } | null
  readonly comesUndone: boolean
  /** `recall.*`, the worst first; never empty. */
  readonly told: readonly Told[]
}

/** So many holes after the wrong one are shown: the stitch that follows shows it. */
const SHOWN_AFTER = 3
/** Less than this longer or shorter, of what it should be, nobody sees. */
const SEEN_SHARE = 0.12
/** Turned by less, nobody sees. Radians. */
const SEEN_SLANT = (9 * Math.PI) / 180

/** Turned by more, it runs the other way. Radians. */
const BACKWARDS = (150 * Math.PI) / 180

export function consequenceOf({ demonstration, work, worked }: Quiz, { motion, before }: Question, mistake: Mistake): Consequence {
  const shown = showMistake(work, mistake)
  if (!shown) return { seen: null, comesUndone: true, told: [{ code: 'recall.nothing-to-hold', figures: {} }] }
  const last = (motion.hole?.hole ?? before.before.holesMade) + SHOWN_AFTER
  const segments = shown.worked.segments
    .filter((one) => Math.max(one.from, one.to) <= last && one.made.pass <= motion.made.pass)
    .map((one) => ({ ...one, points: one.points.map(demonstration.seen), parted: one.parted.map(demonstration.seen), asLaid: undefined }))
  const all = { sequence: Number.MAX_SAFE_INTEGER, holesMade: Number.MAX_SAFE_INTEGER, surfaceMovesMade: Number.MAX_SAFE_INTEGER }
  return {
    seen: { demonstration: { ...demonstration, segments }, step: { ...before, ...all, holes: [], inHand: [], pose: NOTHING_IN_HAND } },
    comesUndone: shown.comesUndone,
    told: toldOf(shown.worked, worked, motion.hole?.hole ?? null, mistake),
  }
}

function toldOf(wrong: WorkedStitch, right: WorkedStitch, hole: number | null, mistake: Mistake): readonly Told[] {
  const fault = wrong.faults[0]
  const told: Told[] = fault ? [{ code: `recall.${fault.kind}`, figures: {} }] : []
  if ('leaveOut' in mistake.change) told.push({ code: 'recall.passed-over', figures: {} })
  const [is, was] = [ends(wrong, hole), ends(right, hole)]
  if (is && was && !fault) {
    const [long, usual] = [distance(is.from, is.to), distance(was.from, was.to)]
    const turned = turnBetween(is, was)
    if (long < 0.3 && usual >= 0.3) told.push({ code: 'recall.own-hole', figures: {} })
    else if (long > usual * (1 + SEEN_SHARE)) told.push({ code: 'recall.longer', figures: { long: mm(long), usual: mm(usual) } })
    else if (long < usual * (1 - SEEN_SHARE)) told.push({ code: 'recall.shorter', figures: { long: mm(long), usual: mm(usual) } })
    if (long >= 0.3 && turned > BACKWARDS) told.push({ code: 'recall.backwards', figures: {} })
    else if (long >= 0.3 && turned > SEEN_SLANT) told.push({ code: 'recall.slants', figures: { degrees: Math.round((turned * 180) / Math.PI) } })
  }
  if ('instead' in mistake.change && told.length === 0) told.push({ code: 'recall.other-side', figures: {} })
  return told.length > 0 ? told : [{ code: 'recall.beside', figures: {} }]
}

/** The stitch on the front that ends or begins at a hole, from end to end. */
function ends({ segments, holes }: WorkedStitch, hole: number | null) {
  const one = segments.find((segment) => segment.side === 'front' && segment.from !== segment.to && (segment.to === hole || segment.from === hole))
  const [from, to] = [holes[one?.from ?? -1], holes[one?.to ?? -1]]
  return from && to ? { from, to } : null
}

type Ends = NonNullable<ReturnType<typeof ends>>

/** Between two ways, 0 to a half turn. */
function turnBetween(a: Ends, b: Ends): number {
  const angle = ({ from, to }: Ends): number => Math.atan2(to.y - from.y, to.x - from.x)
  const by = Math.abs(angle(a) - angle(b))
  return Math.min(by, 2 * Math.PI - by)
}
