/** Which way of marking suits this cloth, this course and these stitches, and why; the best first. */
import type { Told } from '../base/index.ts'
import { findClothKind, lightness, type SeeThrough } from '../materials/index.ts'
import type { Marking, Sampler } from '../sampler/index.ts'
import { SEEN_SHARE } from './bare-marks.ts'
import { MARK_METHODS, type MarkMethod } from './methods.ts'

export type MarkVerdict = 'suits' | 'with-care' | 'no'

export interface MarkAdvice {
  readonly method: MarkMethod
  readonly verdict: MarkVerdict
  /** What speaks against it first, then what to do. */
  readonly reasons: readonly Told[]
}

interface Conditions {
  readonly isDark: boolean
  readonly seeThrough: SeeThrough
  readonly hasNap: boolean
  readonly washable: boolean
  readonly ironed: boolean
  readonly cold: boolean
  /** From the first mark to the last stitch, days. */
  readonly days: number
  /** Of all marks, how much would be seen beside the thread: 0 to 1; null: not known yet. */
  readonly bareShare: number | null
}

/** Under this lightness pale marks are wanted, L*. */
const DARK = 45

export function adviseMarking(sampler: Pick<Sampler, 'cloth' | 'brief' | 'lessons'>, bareShare: (method: MarkMethod) => number | null): readonly MarkAdvice[] {
  const { cloth, brief, lessons } = sampler
  const kind = findClothKind(cloth.kind)
  const marking: Marking = brief.marking ?? {}
  const around = {
    isDark: lightness(cloth.colour.hex) < DARK,
    seeThrough: kind?.seeThrough ?? 'medium',
    hasNap: cloth.threadsPerCm === null || (cloth.threadsPerCm === undefined && kind?.threadsPerCm === null),
    washable: marking.washable ?? true,
    ironed: marking.ironed ?? true,
    cold: marking.cold ?? false,
    days: Math.max(0, lessons.length - 1) * (brief.everyDays ?? 7),
  }
  return MARK_METHODS.map((method) => adviseOn(method, { ...around, bareShare: bareShare(method) })).sort((a, b) => rank(a) - rank(b))
}

/** Of those that suit alike: what surely comes off before what may stay, quick before slow, a fine line before a broad one. */
function rank({ method, verdict, reasons }: MarkAdvice): number {
  const first = { suits: 0, 'with-care': 100, no: 1000 }[verdict]
  return (
    first +
    10 * reasons.length +
    { tracing: 0, pressing: 1, tacking: 6 }[method.by] +
    { nothing: 0, 'may-return': 2, something: 4 }[method.left] +
    method.lineMm
  )
}

function adviseOn(method: MarkMethod, around: Conditions): MarkAdvice {
  const against: Told[] = []
  const care: Told[] = []
  const notes: Told[] = []
  const say = (list: Told[], code: string, figures: Told['figures'] = {}): void => void list.push({ code, figures })
  const shows = around.isDark ? method.onDark : method.onLight
  if (shows === 'no') say(against, around.isDark ? 'marking.not-on-dark' : 'marking.not-on-light')
  if (shows === 'risky') say(care, 'marking.risky-colour')
  if (method.by === 'tracing' && around.seeThrough === 'opaque') say(against, 'marking.not-seen-through')
  else if (method.by === 'tracing' && around.isDark) say(care, 'marking.strong-light')
  if (around.hasNap && method.by !== 'tacking' && method.id !== 'film') say(care, 'marking.nap')
  if ((method.removal === 'cold-water' || method.removal === 'washing') && !around.washable) say(against, 'marking.not-washed')
  if (method.removal === 'heat' && !around.ironed) say(against, 'marking.not-ironed')
  if (method.id === 'iron-on' && !around.ironed) say(against, 'marking.not-ironed')
  if (method.daysSeen !== null && around.days > method.daysSeen) {
    if (method.removal === 'by-itself') say(care, 'marking.fades', { days: Math.round(around.days) })
    else say(care, 'marking.rubs-off')
  }
  if (method.removal === 'heat' && method.left === 'may-return')
    say(around.cold ? against : care, around.cold ? 'marking.returns-in-cold' : 'marking.may-return')
  if (method.removal === 'cold-water' && method.left === 'may-return') say(care, 'marking.no-heat-first')
  const bare = around.bareShare ?? 0
  if (method.left !== 'nothing' && bare > SEEN_SHARE) {
    const figures = { percent: Math.round(100 * bare) }
    if (method.left === 'something') say(method.removal === 'stays' ? against : care, 'marking.stays-bare', figures)
    else say(care, 'marking.may-return-bare', figures)
  }
  if (method.mirrored) say(care, 'marking.mirrored')
  if (method.by === 'tacking') say(notes, 'marking.slow')
  if (method.id === 'film') say(notes, 'marking.drags')
  const verdict: MarkVerdict = against.length > 0 ? 'no' : care.length > 0 ? 'with-care' : 'suits'
  return { method, verdict, reasons: [...against, ...care, ...notes] }
}
