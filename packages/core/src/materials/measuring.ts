/** Figures of a thread, a cloth and a needle as one measures them at the table, each with how far it may be off. */

export interface Measured {
  readonly value: number
  /** Either way, as a share. */
  readonly within: number
}

/** Winding again is never quite as tight: one hand differs from another by so much. Estimate. */
const HAND = 0.1
/** What the eye reads off a ruler, mm. */
const RULER_MM = 0.5
/** What a kitchen scale for letters shows, g. */
const SCALE_G = 0.05

/** Thread wound on a pencil, touching and not crushed: so many wraps over so many mm give its diameter, mm. Wound three times, the hand counts less. */
export function byWraps(wraps: number, overMm: number, times = 1): Measured | null {
  if (!(wraps >= 1) || !(overMm > 0)) return null
  return { value: overMm / wraps, within: Math.hypot(0.5 / wraps, RULER_MM / overMm, HAND / Math.sqrt(Math.max(1, times))) }
}

/** A length and what it weighs give tex, g a km. `scaleG`: the last figure that the scale shows, halved. */
export function byWeight(lengthMm: number, grams: number, scaleG = SCALE_G): Measured | null {
  if (!(lengthMm > 0) || !(grams > 0)) return null
  return { value: (grams * 1_000_000) / lengthMm, within: Math.hypot(scaleG / grams, 0.01) }
}

/** Threads of the cloth under a ruler: so many to the cm. */
export function countOverLength(threads: number, overMm: number): Measured | null {
  if (!(threads >= 1) || !(overMm > 0)) return null
  return { value: (threads * 10) / overMm, within: Math.hypot(0.5 / threads, RULER_MM / overMm) }
}

/** Needles of one packet side by side, head to tail: how wide they lie gives the shaft, mm. */
export function byTen(widthMm: number, needles = 10): Measured | null {
  if (!(widthMm > 0) || !(needles >= 1)) return null
  return { value: widthMm / needles, within: RULER_MM / 2 / widthMm }
}
