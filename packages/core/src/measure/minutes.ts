/**
 * Minutes of an exercise. Seconds come from the motions that were counted while working it; the weights were
 * fitted by bench/fit-seconds.ts to the usual seconds per stitch of teachers' reckoning (estimates, +-30 %;
 * the ratios between stitches are steadier than the values).
 *
 * minutes = (sum of motions x seconds) x (1 + 3 r) + needlefuls x fixed + setting out, where r is the share of
 * stitches unpicked: two to take one out, one to make it again.
 */
import type { Level } from '../sampler/index.ts'
import type { Motion, MotionCounts } from '../work/index.ts'

export type SecondsTable = Readonly<Record<Motion, number>>

/** Seconds for one of each motion. Written by bench/fit-seconds.ts; see there for the residuals. */
export const SECONDS: Readonly<Record<Level, SecondsTable>> = {
  beginner: {
    up: 2.54,
    down: 2.54,
    'shared-hole': 2.45,
    'turn-back': 2.57,
    split: 6.4,
    'leave-loop': 2.61,
    'catch-loop': 4.38,
    'cross-loop': 6,
    'keep-side': 2.02,
    wrap: 17.42,
    'pass-under': 5,
    'pass-over': 3,
    edge: 3.03,
  },
  improver: {
    up: 1.52,
    down: 1.52,
    'shared-hole': 1.39,
    'turn-back': 1.61,
    split: 4.32,
    'leave-loop': 1.59,
    'catch-loop': 2.68,
    'cross-loop': 3.6,
    'keep-side': 1.07,
    wrap: 7.49,
    'pass-under': 3,
    'pass-over': 2,
    edge: 2.03,
  },
  experienced: {
    up: 0.82,
    down: 0.82,
    'shared-hole': 0.75,
    'turn-back': 1.14,
    split: 3.14,
    'leave-loop': 0.92,
    'catch-loop': 1.54,
    'cross-loop': 2.1,
    'keep-side': 0.56,
    wrap: 3.69,
    'pass-under': 2,
    'pass-over': 1.2,
    edge: 1.48,
  },
}

/** Cut and separate, thread, secure, finish: seconds for one needleful. */
const NEEDLEFUL_S: Readonly<Record<Level, number>> = { beginner: 185, improver: 110, experienced: 62 }
const UNPICKED: Readonly<Record<Level, number>> = { beginner: 0.12, improver: 0.04, experienced: 0.015 }
/** Drawing 10 cm of line on the cloth. */
const TRANSFER_S: Readonly<Record<Level, number>> = { beginner: 60, improver: 45, experienced: 30 }

export interface Minutes {
  readonly stitching: number
  readonly needlefuls: number
  readonly settingOut: number
  readonly total: number
}

export function secondsOf(motions: MotionCounts, level: Level): number {
  let seconds = 0
  for (const [motion, count] of Object.entries(motions)) seconds += SECONDS[level][motion as Motion] * count
  return seconds
}

export function measureMinutes(motions: MotionCounts, needlefuls: number, lengthMm: number, level: Level): Minutes {
  const stitching = (secondsOf(motions, level) * (1 + 3 * UNPICKED[level])) / 60
  const threads = (needlefuls * NEEDLEFUL_S[level]) / 60
  const settingOut = ((lengthMm / 100) * TRANSFER_S[level]) / 60
  return { stitching, needlefuls: threads, settingOut, total: stitching + threads + settingOut }
}
