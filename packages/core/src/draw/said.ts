/** Hundredths of a millimetre: finer than a drawn line, coarse enough to read in a file. */
export function hundredthsOf(value: number): number {
  return Math.round(value * 100) / 100 + 0
}
