/**
 * Round hoops: the free circle inside is the nominal size less 8 mm; the design keeps 12 mm more on each
 * side for fingers and the needle's angle (common trade knowledge).
 */
export interface HoopSize {
  readonly inches: number
  readonly nominalMm: number
  readonly insideMm: number
}

const FREE_MM = 8
export const HOOP_MARGIN_MM = 12
/** Cloth beyond a hoop on each side: enough to tie, to pull tight and later to lace (common trade knowledge). */
export const BEYOND_HOOP_MM = 50

export const HOOP_SIZES: readonly HoopSize[] = [3, 4, 5, 6, 7, 8, 9, 10, 12].map((inches) => {
  const nominalMm = Math.round(inches * 25.4)
  return { inches, nominalMm, insideMm: insideOf(nominalMm) }
})

function insideOf(nominalMm: number): number {
  return nominalMm - FREE_MM
}

/** A hoop by its size as it is sold; one that is not in the list is as free inside as those are. */
export function hoopOf(nominalMm: number): Pick<HoopSize, 'nominalMm' | 'insideMm'> {
  const known = HOOP_SIZES.find((one) => Math.abs(one.nominalMm - nominalMm) < 1)?.nominalMm ?? nominalMm
  return { nominalMm: known, insideMm: insideOf(known) }
}

/** The radius within which the design keeps clear of the hoop, mm. */
export function clearRadius({ insideMm }: Pick<HoopSize, 'insideMm'>): number {
  return Math.max(0, insideMm / 2 - HOOP_MARGIN_MM)
}
