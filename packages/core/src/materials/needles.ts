/**
 * Needles by family and size. A larger number is a finer needle within its family; millimetres are what
 * count and the number is only a label. Shafts +-0.05 mm; eyes are computed:
 * opening = bulge x shaft - 2 x cheek, cheek = 0.10 + 0.05 x shaft.
 */
export interface NeedleFamily {
  readonly id: string
  readonly name: string
  readonly also: string
  readonly point: 'sharp' | 'blunt'
  /** How much wider the eye is than the shaft. Wraps slide off only where it is 1. */
  readonly bulge: number
  readonly shaftBySize: readonly (readonly [number, number])[]
}

const fineShafts: readonly (readonly [number, number])[] = [
  [1, 1.02],
  [2, 0.97],
  [3, 0.91],
  [4, 0.86],
  [5, 0.79],
  [6, 0.74],
  [7, 0.69],
  [8, 0.61],
  [9, 0.56],
  [10, 0.51],
]
const thickShafts: readonly (readonly [number, number])[] = [
  [13, 2.35],
  [14, 2.03],
  [16, 1.63],
  [18, 1.27],
  [20, 1.09],
  [22, 0.94],
  [24, 0.81],
  [26, 0.66],
]

/** The sizes of a fine family from `first` on. */
const from = (first: number, ...more: (readonly [number, number])[]): readonly (readonly [number, number])[] => [
  ...fineShafts.filter(([size]) => size >= first),
  ...more,
]

export const NEEDLE_FAMILIES: readonly NeedleFamily[] = [
  { id: 'embroidery', name: 'Embroidery', also: 'crewel', point: 'sharp', bulge: 1.1, shaftBySize: fineShafts },
  { id: 'sharps', name: 'Sharps', also: '', point: 'sharp', bulge: 1.05, shaftBySize: [...fineShafts, [11, 0.46], [12, 0.41]] },
  { id: 'milliner', name: 'Milliner', also: 'straw', point: 'sharp', bulge: 1, shaftBySize: [...fineShafts, [11, 0.46]] },
  { id: 'chenille', name: 'Chenille', also: '', point: 'sharp', bulge: 1.35, shaftBySize: thickShafts },
  { id: 'tapestry', name: 'Tapestry', also: '', point: 'blunt', bulge: 1.35, shaftBySize: [...thickShafts, [28, 0.56]] },
  { id: 'between', name: 'Between', also: 'quilting, large-eyed', point: 'sharp', bulge: 1.2, shaftBySize: from(5, [11, 0.46], [12, 0.41]) },
  { id: 'darner', name: 'Darner', also: 'long', point: 'sharp', bulge: 1.15, shaftBySize: fineShafts.filter(([size]) => size <= 9) },
  {
    id: 'beading',
    name: 'Beading',
    also: '',
    point: 'sharp',
    bulge: 1,
    shaftBySize: [
      [10, 0.46],
      [11, 0.41],
      [12, 0.36],
      [13, 0.31],
    ],
  },
]

export const NEEDLE_FAMILY_IDS: readonly string[] = NEEDLE_FAMILIES.map((family) => family.id)

export interface Needle {
  readonly family: NeedleFamily
  readonly size: number
  readonly shaftMm: number
  readonly eyeMm: number
}

export const NEEDLES: readonly Needle[] = NEEDLE_FAMILIES.flatMap((family) =>
  family.shaftBySize.map(([size, shaftMm]) => ({
    family,
    size,
    shaftMm,
    eyeMm: eyeOf(family, shaftMm),
  })),
)

function eyeOf(family: NeedleFamily, shaftMm: number): number {
  return family.bulge * shaftMm - 2 * (0.1 + 0.05 * shaftMm)
}

/** One whose shaft was measured; its size is only what stands on the packet. Null where there is no such kind, or neither. */
export function measuredNeedle(familyId: string, size: number, shaftMm: number | undefined): Needle | null {
  const family = NEEDLE_FAMILIES.find((one) => one.id === familyId)
  const usual = findNeedle(familyId, size)
  if (!family || shaftMm === undefined || usual?.shaftMm === shaftMm) return usual
  return { family, size, shaftMm, eyeMm: eyeOf(family, shaftMm) }
}

export function findNeedle(familyId: string, size: number): Needle | null {
  return NEEDLES.find((needle) => needle.family.id === familyId && needle.size === size) ?? null
}

/** As its packet calls it; one that was measured with its millimetres, for the packet says something else of it. */
export function nameNeedle(needle: Needle): string {
  const { family, size, shaftMm } = needle
  return `${family.name} ${size}${isAsItsSizeSays(needle) ? '' : ` (${shaftMm.toFixed(2)} mm)`}`
}

/** One and the same needle has one and the same key. */
export function needleKey(needle: Needle): string {
  const { family, size, shaftMm } = needle
  return `${family.id} ${size}${isAsItsSizeSays(needle) ? '' : ` ${shaftMm}`}`
}

/** What a sampler writes down to name it. */
export function choiceOfNeedle(needle: Needle): { readonly kind: string; readonly size: number; readonly shaftMm?: number } {
  const { family, size, shaftMm } = needle
  return { kind: family.id, size, ...(isAsItsSizeSays(needle) ? {} : { shaftMm }) }
}

const isAsItsSizeSays = ({ family, size, shaftMm }: Needle): boolean => findNeedle(family.id, size)?.shaftMm === shaftMm
