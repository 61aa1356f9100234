/**
 * Minutes of an exercise. Seconds come from the motions that were counted while working it; the weights were
 * fitted by scripts/fit-seconds.ts to the usual seconds per stitch of teachers' reckoning (estimates, +-30 %;
 * the ratios between stitches are steadier than the values).
 *
 * minutes = (sum of motions x seconds) x (1 + 3 r) + needlefuls x fixed + setting out, where r is the share of
 * stitches unpicked: two to take one out, one to make it again.
 */
import type { Level } from '../sampler/index.ts'
import type { Motion, MotionCounts } from '../work/index.ts'

export type SecondsTable = Readonly<Record<Motion, number>>

/** Seconds for one of each motion. Written by scripts/fit-seconds.ts; see there for the residuals. */
export const SECONDS: Readonly<Record<Level, SecondsTable>> = {
  beginner: {
    up: 2.5,
    down: 2.5,
    'shared-hole': 2.5,
    'turn-back': 2.5,
    split: 5,
    'leave-loop': 3,
    'catch-loop': 4,
    'cross-loop': 7,
    'keep-side': 2,
    wrap: 14,
    edge: 2,
  },
  improver: {
    up: 1.5,
    down: 1.5,
    'shared-hole': 1.5,
    'turn-back': 1.5,
    split: 3.5,
    'leave-loop': 2,
    'catch-loop': 2.5,
    'cross-loop': 4.5,
    'keep-side': 1,
    wrap: 6,
    edge: 1.5,
  },
  experienced: {
    up: 0.8,
    down: 0.8,
    'shared-hole': 1,
    'turn-back': 1,
    split: 2.5,
    'leave-loop': 1,
    'catch-loop': 1.5,
    'cross-loop': 3,
    'keep-side': 0.5,
    wrap: 3,
    edge: 1,
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
