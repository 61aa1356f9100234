/** From a photograph to what it measures: the card found, the window laid flat, thread told from cloth, the row read, all of it judged. */
import type { Point } from '../geometry/index.ts'
import { findTargets } from './find-targets.ts'
import { type CardFit, fitCard } from './fit-card.ts'
import { judgeCard, judgeLight, judgeRow, qualityOf, type Verdict } from './judge.ts'
import { type Picture, smoothed } from './picture.ts'
import { readCrossed, readSideBySide } from './read-bands.ts'
import { readApart, readBesideTheLast, readEndToEnd, readLooped } from './read-lines.ts'
import type { RowReading } from './reading.ts'
import { rectify, type Strip } from './rectify.ts'
import { findRibbon, type Ribbon } from './ribbon.ts'
import type { RowPlan } from './row-plan.ts'
import { tellThread, type Told } from './tell-thread.ts'

/** Of the way of measuring: kept with every figure, for figures of two ways are not compared. */
export const MEASURING = 1
/** More than this many points and no other four corners are tried. */
const ENOUGH_POINTS = 30

/** The window of a photograph laid flat: what is left to do once is done, so that another exercise or a touch is measured at once. */
export interface OpenedPicture {
  readonly fit: CardFit
  readonly strip: Strip
}

export type Opened = { readonly ok: true; readonly value: OpenedPicture } | { readonly ok: false; readonly verdict: Verdict }

export function openPicture(picture: Picture): Opened {
  let fit: CardFit | null = null
  for (const corners of findTargets(picture)) {
    const one = fitCard(picture, corners)
    if (one && (!fit || one.points > fit.points)) fit = one
    if (fit && fit.points > ENOUGH_POINTS) break
  }
  const refused = judgeCard(fit)
  if (!fit || refused) return { ok: false, verdict: { state: 'refused', why: refused ?? 'no-card', quality: fit ? qualityOf(fit) : null } }
  const strip = rectify(picture, fit)
  const dim = judgeLight(strip)
  return dim ? { ok: false, verdict: { state: 'refused', why: dim, quality: qualityOf(fit) } } : { ok: true, value: { fit, strip } }
}

/** What she has said of the picture. */
export interface SaidOfPicture {
  /** Where she touched the thread, mm of the card; null as long as she was not asked. */
  readonly touched: Point | null
  /** How many stitches she has counted; null where she has not. */
  readonly counted: number | null
}

const NOTHING_SAID: SaidOfPicture = { touched: null, counted: null }

/** `alike`: other rows that it may be instead. What is no more than measured as a whole is refused where one of these can be counted in it. */
export function measureOpened(opened: OpenedPicture, plan: RowPlan, said: SaidOfPicture = NOTHING_SAID, alike: readonly RowPlan[] = []): Verdict {
  const verdict = measureAs(opened, plan, said)
  if (verdict.state !== 'whole') return verdict
  const { threadHex, clothHex } = plan
  const isOther = alike.some((other) => measureAs(opened, { ...other, threadHex, clothHex }, { ...said, counted: null }).state === 'measured')
  return isOther ? { state: 'refused', why: 'not-this-row', quality: verdict.quality } : verdict
}

function measureAs({ fit, strip }: OpenedPicture, plan: RowPlan, { touched, counted }: SaidOfPicture): Verdict {
  const quality = qualityOf(fit)
  const told = tellThread(strip, plan.threadHex, touched)
  if (told.isDoubtful) return { state: 'touch', quality }
  const ribbon = findRibbon(told.share, smoothed(strip.lab[0], 1), plan)
  const reading = ribbon ? readRow(ribbon, plan, beyondHole(told, plan), counted) : null
  return judgeRow(plan, told, ribbon, reading, quality)
}

export function measureRow(picture: Picture, plan: RowPlan, said: SaidOfPicture = NOTHING_SAID): Verdict {
  const opened = openPicture(picture)
  return opened.ok ? measureOpened(opened.value, plan, said) : opened.verdict
}

/**
 * How far beyond the middle of its hole a thread seems to go on, mm, where its end shows: shadow and the dark of the hole are taken for a dark
 * thread, and hide the end of a light one. Fitted to rows of known length (`bench/photo.ts tune`); real rows, measured with a ruler, will
 * have figures of their own. Places where stitches meet in one hole do not depend on it.
 */
function beyondHole({ isDarker, isPale, shadowAsThread }: Told, { kind }: RowPlan): number {
  const beside = kind === 'side-by-side'
  if (isDarker) return (beside ? 0.056 : 0.03) + 0.24 * shadowAsThread
  return (beside ? 0.012 : 0) + (isPale ? 0.05 : 0.004)
}

function readRow(ribbon: Ribbon, plan: RowPlan, beyondMm: number, counted: number | null): RowReading | null {
  switch (plan.kind) {
    case 'apart':
      return readApart(ribbon, beyondMm)
    case 'end-to-end':
      return readEndToEnd(ribbon, plan, counted)
    case 'beside-the-last':
      return readBesideTheLast(ribbon, plan, counted)
    case 'looped':
      return readLooped(ribbon, plan, counted)
    case 'crossed':
      return readCrossed(ribbon, plan, counted)
    case 'side-by-side':
      return readSideBySide(ribbon, plan, beyondMm, counted)
  }
}
