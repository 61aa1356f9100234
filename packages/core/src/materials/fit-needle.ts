/**
 * Which needle opens a path for a bundle. The thread goes through doubled at the eye with the eye's metal:
 * wanted shaft = 0.27 + k D, k = 0.88 soft and woolly, 1.10 hard-twisted, 1.3 metal; right from -13 % to
 * +20 %. The eye must take the bundle: 0.85 D soft (it flattens in a long eye), 1.05 D hard. The cloth lets
 * its comfortable shaft pass, a quarter more with care. Fitted to what makers print, so a fit and no proof.
 */
import { mm, type Told } from '../base/index.ts'
import type { Bundle } from './bundle.ts'
import { type Cloth, comfortableShaft } from './cloths.ts'
import { type Needle, NEEDLES, nameNeedle } from './needles.ts'
import type { ThreadKind } from './threads.ts'

/** The smallest hole that passes the thread, the usual one, one that opens the path, or one needle for everything. */
export type NeedleSchool = 'fine' | 'usual' | 'generous' | 'one'

export const SCHOOL_FACTOR: Readonly<Record<NeedleSchool, number>> = { fine: 0.92, usual: 1, generous: 1.15, one: 1 }

/** Where one needle serves for everything it is this one: from one strand to four its eye and its hole are near enough. */
const ONE_NEEDLE = { family: 'embroidery', size: 7 }

export type NeedleVerdict = 'best' | 'good' | 'with-care' | 'no'

export interface NeedleFit {
  readonly needle: Needle
  readonly verdict: NeedleVerdict
  /** Why, as a code with its figures. */
  readonly reason: Told
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
  /** It lies on the cloth and only its two ends go through, where the hole can be opened first. */
  readonly plunges?: boolean
}

export function wantedShaft(work: Pick<NeedleWork, 'thread' | 'bundle' | 'school'>): number {
  const factor = work.thread.nature === 'metal' ? 1.3 : work.bundle.hard ? 1.1 : 0.88
  return (0.27 + factor * work.bundle.diameterMm) * SCHOOL_FACTOR[work.school]
}

/** Wraps beyond this many must slide over the eye, so the eye may not bulge. */
const WRAPS_OVER_ANY_EYE = 3

/** Every needle judged, best first; at least one is `best` unless none serves. `needles`: those there are. */
export function fitNeedles(work: NeedleWork, needles: readonly Needle[] = NEEDLES): readonly NeedleFit[] {
  const wanted = wantedShaft(work)
  const judged = needles.map((needle) => judge(needle, work, wanted))
  const rank: Readonly<Record<NeedleVerdict, number>> = { best: 0, good: 1, 'with-care': 2, no: 3 }
  judged.sort(
    (a, b) =>
      rank[a.verdict] - rank[b.verdict] ||
      // Where none serves, first those for which the hole has only to be opened.
      Number(isTooThickForCloth(b)) - Number(isTooThickForCloth(a)) ||
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

const isTooThickForCloth = ({ reason }: NeedleFit): boolean => reason.code === 'needle.cloth'

/** A single hard thread so fine is sewn with, as a tie or to tack a raised piece: a sharp is finer at the eye. mm */
const SEWING_MM = 0.25

/** Families in the order in which a teacher would reach for them. */
function familyOrder(needle: Needle, work: NeedleWork): number {
  const order =
    work.wraps > WRAPS_OVER_ANY_EYE
      ? ['milliner', 'sharps', 'embroidery', 'chenille', 'tapestry']
      : work.blunt
        ? ['tapestry', 'chenille', 'embroidery', 'sharps', 'milliner']
        : work.plunges
          ? ['chenille', 'embroidery', 'sharps', 'milliner', 'tapestry']
          : work.bundle.hard && work.bundle.diameterMm <= SEWING_MM
            ? ['sharps', 'embroidery', 'milliner', 'chenille', 'tapestry']
            : ['embroidery', 'chenille', 'sharps', 'milliner', 'tapestry']
  // Those for special jobs come after all that are reached for by themselves.
  const at = order.indexOf(needle.family.id)
  return at < 0 ? order.length : at
}

/** Grades go over into one another: a shaft is known to 0.05 mm and an eye to a fifth, so that a hundredth decides nothing. */
const EYE_TIGHT = 0.95
const EYE_LEAST = 0.8
const THINNER = { easy: -0.13, care: -0.2 }
const THICKER = { easy: 0.2, care: 0.3 }
/** What passes a cloth with ease is known to 15 %: a shaft of a twelfth more is not yet too thick. */
const CLOTH_EASE = 1.08
const CLOTH_CARE = 1.25

function judge(needle: Needle, work: NeedleWork, wanted: number): NeedleFit {
  const difference = needle.shaftMm / wanted - 1
  const eyeNeeded = (work.bundle.hard ? 1.05 : 0.85) * work.bundle.diameterMm
  const clothLimit = comfortableShaft(work.cloth)
  const { bundle, cloth, plunges, wraps } = work
  const figures = {
    needle: nameNeedle(needle),
    shaft: mm(needle.shaftMm),
    wanted: mm(wanted),
    eye: mm(needle.eyeMm),
    eyeNeeded: mm(eyeNeeded),
    bundle: mm(bundle.diameterMm),
    cloth: cloth.name,
    passes: mm(clothLimit),
    wraps,
    percent: Math.round(difference * 100),
  }
  const fit = (verdict: NeedleVerdict, code: string): NeedleFit => ({ needle, verdict, reason: { code: `needle.${code}`, figures }, difference })
  if (wraps > WRAPS_OVER_ANY_EYE && needle.family.bulge > 1) return fit('no', 'wraps')
  if (needle.eyeMm < EYE_LEAST * eyeNeeded) return fit('no', 'eye')
  const hard = !plunges && needle.shaftMm > clothLimit * CLOTH_CARE
  if (isTheOne(needle, work) && !hard) return fit('best', 'the-one')
  if (difference < THINNER.care) return fit('no', 'thin')
  if (difference > THICKER.care) return fit('no', 'thick')
  if (hard) return fit('no', 'cloth')
  if (needle.eyeMm < EYE_TIGHT * eyeNeeded) return fit('with-care', 'eye-tight')
  if (difference < THINNER.easy) return fit('with-care', 'rather-thin')
  if (difference > THICKER.easy) return fit('with-care', 'rather-thick')
  if (!work.blunt && needle.family.point === 'blunt') return fit('with-care', 'blunt')
  if (work.blunt && needle.family.point === 'sharp') return fit('with-care', 'eye-first')
  // What stays on the surface goes through the cloth a few times only.
  if (needle.shaftMm > clothLimit * CLOTH_EASE && !plunges && !work.blunt) return fit('with-care', 'close-cloth')
  if (plunges) return fit('good', needle.shaftMm > clothLimit ? 'plunges-opened' : 'plunges')
  return fit('good', 'right')
}

function isTheOne(needle: Needle, work: NeedleWork): boolean {
  return work.school === 'one' && !work.blunt && !work.plunges && needle.family.id === ONE_NEEDLE.family && needle.size === ONE_NEEDLE.size
}
