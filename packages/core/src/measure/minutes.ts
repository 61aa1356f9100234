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
    up: 3.29,
    down: 3.29,
    'shared-hole': 0.2,
    'turn-back': 2.67,
    split: 4.16,
    'leave-loop': 0.2,
    'catch-loop': 6.95,
    'cross-loop': 10.68,
    'keep-side': 1.73,
    wind: 8.03,
    wrap: 8.64,
    cast: 10.01,
    stand: 39.26,
    eight: 4,
    'pass-under': 6.44,
    'pass-over': 5.54,
    alternate: 0.59,
    weave: 4.7,
    edge: 2.79,
    width: 1.08,
    angle: 1,
    interlock: 0.43,
    count: 2,
    lay: 22.39,
    tie: 3.64,
    plunge: 16.35,
    pin: 23.43,
    'round-pin': 6.62,
    bead: 12,
    pad: 377.78,
    withdraw: 60,
    cut: 40,
  },
  improver: {
    up: 1.99,
    down: 1.99,
    'shared-hole': 0.12,
    'turn-back': 1.76,
    split: 2.94,
    'leave-loop': 0.12,
    'catch-loop': 4.53,
    'cross-loop': 6.49,
    'keep-side': 0.79,
    wind: 5.4,
    wrap: 3.47,
    cast: 4.43,
    stand: 26.92,
    eight: 2.4,
    'pass-under': 3.81,
    'pass-over': 2.36,
    alternate: 0.49,
    weave: 2.18,
    edge: 1.88,
    width: 0.6,
    angle: 0.6,
    interlock: 0.39,
    count: 1.2,
    lay: 11.24,
    tie: 2.32,
    plunge: 8.57,
    pin: 12.76,
    'round-pin': 3.74,
    bead: 7.2,
    pad: 290.25,
    withdraw: 36,
    cut: 24,
  },
  experienced: {
    up: 1.09,
    down: 1.09,
    'shared-hole': 0.07,
    'turn-back': 1.35,
    split: 2.29,
    'leave-loop': 0.07,
    'catch-loop': 2.47,
    'cross-loop': 3.89,
    'keep-side': 0.3,
    wind: 3.37,
    wrap: 1.6,
    cast: 2.37,
    stand: 15.08,
    eight: 1.4,
    'pass-under': 2.35,
    'pass-over': 1.38,
    alternate: 0.27,
    weave: 1.27,
    edge: 1.4,
    width: 0.52,
    angle: 0.35,
    interlock: 0.35,
    count: 0.7,
    lay: 6.01,
    tie: 1.51,
    plunge: 4.69,
    pin: 7.45,
    'round-pin': 2.18,
    bead: 4.2,
    pad: 195.75,
    withdraw: 21,
    cut: 14,
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

/** All of it so many times as long. */
export function timesMinutes({ stitching, needlefuls, settingOut, total }: Minutes, times: number): Minutes {
  return { stitching: stitching * times, needlefuls: needlefuls * times, settingOut: settingOut * times, total: total * times }
}

export function measureMinutes(motions: MotionCounts, needlefuls: number, lengthMm: number, level: Level): Minutes {
  const stitching = (secondsOf(motions, level) * (1 + 3 * UNPICKED[level])) / 60
  const threads = (needlefuls * NEEDLEFUL_S[level]) / 60
  const settingOut = ((lengthMm / 100) * TRANSFER_S[level]) / 60
  return { stitching, needlefuls: threads, settingOut, total: stitching + threads + settingOut }
}
