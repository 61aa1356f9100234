/** Small arithmetic that several modules share. */

export function clamp(value: number, low: number, high: number): number {
  return Math.min(Math.max(value, low), high)
}

export function sum(values: Iterable<number>): number {
  let total = 0
  for (const value of values) total += value
  return total
}

/** Rounded for reading, never for further arithmetic; -0 becomes 0. */
export function roundTo(value: number, decimals: number): number {
  const scale = 10 ** decimals
  return Math.round(value * scale) / scale + 0
}

/** The nearest whole number; exactly half way goes up, because that makes the shorter stitch. */
export function nearestCount(exact: number): number {
  // 1e-9: a length typed as 3.03 mm must still count as a whole number of stitches.
  return Math.floor(exact + 0.5 + 1e-9)
}
