/**
 * Which needle opens a path for a bundle. The thread goes through doubled at the eye with the eye's metal:
 * wanted shaft = 0.27 + k D, k = 0.88 soft and woolly, 1.10 hard-twisted, 1.3 metal; right from -13 % to
 * +20 %. The eye must take the bundle: 0.85 D soft (it flattens in a long eye), 1.05 D hard. The cloth lets
 * its comfortable shaft pass, a quarter more with care. Fitted to what makers print, so a fit and no proof.
 */
import type { Bundle } from './bundle.ts'
import { type Cloth, comfortableShaft } from './cloths.ts'
import { type Needle, NEEDLES, nameNeedle } from './needles.ts'
import type { ThreadKind } from './threads.ts'

/** Three schools: the smallest hole that passes the thread, the usual one, and one that opens the path. */
export type NeedleSchool = 'fine' | 'usual' | 'generous'

export const SCHOOL_FACTOR: Readonly<Record<NeedleSchool, number>> = { fine: 0.92, usual: 1, generous: 1.15 }

export type NeedleVerdict = 'best' | 'good' | 'with-care' | 'no'

export interface NeedleFit {
  readonly needle: Needle
  readonly verdict: NeedleVerdict
  /** One sentence with its figures. */
  readonly reason: string
  /** Share by which the shaft differs from the wanted one: -0.1 is ten per cent thinner. */
  readonly difference: number
}

export interface NeedleWork {
  readonly bundle: Bundle
  readonly thread: ThreadKind
  readonly cloth: Cloth
  readonly school: NeedleSchool
  /** The most turns wrapped or cast on the needle in one stitch. */
  readonly wraps: number
  /** The work slides under threads or counts open cloth, where a blunt point serves. */
  readonly blunt: boolean
}

export function wantedShaft(work: Pick<NeedleWork, 'thread' | 'bundle' | 'school'>): number {
  const factor = work.thread.nature === 'metal' ? 1.3 : work.bundle.hard ? 1.1 : 0.88
  return (0.27 + factor * work.bundle.diameterMm) * SCHOOL_FACTOR[work.school]
}

/** Wraps beyond this many must slide over the eye, so the eye may not bulge. */
const WRAPS_OVER_ANY_EYE = 3

/** Every needle judged, best first; at least one is `best` unless none serves. */
export function fitNeedles(work: NeedleWork): readonly NeedleFit[] {
  const wanted = wantedShaft(work)
  const judged = NEEDLES.map((needle) => judge(needle, work, wanted))
  const rank: Readonly<Record<NeedleVerdict, number>> = { best: 0, good: 1, 'with-care': 2, no: 3 }
  judged.sort(
    (a, b) =>
      rank[a.verdict] - rank[b.verdict] ||
      familyOrder(a.needle, work) - familyOrder(b.needle, work) ||
      Math.abs(a.difference) - Math.abs(b.difference) ||
      // On a tie the coarser one: easier to thread and to hold.
      b.needle.shaftMm - a.needle.shaftMm ||
      a.needle.family.id.localeCompare(b.needle.family.id),
  )
  const [first, ...rest] = judged
  if (!first || first.verdict === 'no') return judged
  return [{ ...first, verdict: first.verdict === 'good' ? 'best' : first.verdict }, ...rest]
}

/** Families in the order in which a teacher would reach for them. */
function familyOrder(needle: Needle, work: NeedleWork): number {
  const order =
    work.wraps > WRAPS_OVER_ANY_EYE
      ? ['milliner', 'sharps', 'embroidery', 'chenille', 'tapestry']
      : work.blunt
        ? ['tapestry', 'chenille', 'embroidery', 'sharps', 'milliner']
        : ['embroidery', 'chenille', 'sharps', 'milliner', 'tapestry']
  return order.indexOf(needle.family.id)
}

function judge(needle: Needle, work: NeedleWork, wanted: number): NeedleFit {
  const difference = needle.shaftMm / wanted - 1
  const eyeNeeded = (work.bundle.hard ? 1.05 : 0.85) * work.bundle.diameterMm
  const clothLimit = comfortableShaft(work.cloth)
  const mm = (value: number): string => `${value.toFixed(2)} mm`
  const fit = (verdict: NeedleVerdict, reason: string): NeedleFit => ({ needle, verdict, reason, difference })
  const name = nameNeedle(needle)
  if (work.wraps > WRAPS_OVER_ANY_EYE && needle.family.bulge > 1) {
    return fit('no', `${name}: ${work.wraps} wraps must slide over an eye that is wider than its shaft. Take a milliner needle.`)
  }
  if (needle.eyeMm < eyeNeeded) {
    return fit('no', `${name}: the eye opens ${mm(needle.eyeMm)} and this thread needs ${mm(eyeNeeded)}. Take a coarser needle or fewer strands.`)
  }
  if (difference < -0.13) {
    return fit('no', `${name}: the ${mm(needle.shaftMm)} shaft opens too small a hole; about ${mm(wanted)} is wanted, so the thread would drag and fray.`)
  }
  if (difference > 0.2) {
    return fit('no', `${name}: the ${mm(needle.shaftMm)} shaft leaves a visible hole; about ${mm(wanted)} is enough.`)
  }
  if (needle.shaftMm > clothLimit * 1.25) {
    return fit(
      'no',
      `${name}: the ${mm(needle.shaftMm)} shaft is more than ${work.cloth.name} passes (${mm(clothLimit)} with ease). Take fewer strands or a more open cloth.`,
    )
  }
  if (work.blunt !== (needle.family.point === 'blunt') && !work.blunt) {
    return fit('with-care', `${name}: the ${mm(needle.shaftMm)} shaft fits, but its blunt point must be pushed through ${work.cloth.name}.`)
  }
  if (needle.shaftMm > clothLimit) {
    return fit('with-care', `${name}: the ${mm(needle.shaftMm)} shaft suits the thread; ${work.cloth.name} passes ${mm(clothLimit)} with ease, so push slowly.`)
  }
  const sign = difference >= 0 ? '+' : '\u2212'
  return fit(
    'good',
    `${name}: ${mm(needle.shaftMm)} shaft, ${mm(wanted)} wanted (${sign}${Math.abs(Math.round(difference * 100))} %); its eye of ${mm(needle.eyeMm)} takes the ${mm(work.bundle.diameterMm)} bundle.`,
  )
}
