/** Kinds of cloth. Threads per cm and thickness are middles of what is sold; a sampler may hold its own. */
export type SeeThrough = 'opaque' | 'low' | 'medium' | 'high' | 'very-high'

export interface ClothKind {
  readonly id: string
  readonly name: string
  /** Null for cloth without a grid (felt). */
  readonly threadsPerCm: number | null
  readonly thicknessMm: number
  readonly seeThrough: SeeThrough
  readonly hex: string
}

type Row = readonly [string, string, number | null, number, SeeThrough, string]

const rows: readonly Row[] = [
  ['lawn', 'Fine lawn', 36, 0.15, 'high', '#F5F1E8'],
  ['calico', 'Calico', 24, 0.28, 'medium', '#EFE6D2'],
  ['plain-cotton', 'Plain-weave cotton', 22, 0.31, 'medium', '#F3EEE2'],
  ['quilting-cotton', 'Quilting cotton', 28, 0.27, 'low', '#F4EFE6'],
  ['linen-28', 'Linen, 28 count', 11, 0.5, 'medium', '#E4D9C3'],
  ['linen-32', 'Linen, 32 count', 12.6, 0.45, 'medium', '#E4D9C3'],
  ['linen-36', 'Linen, 36 count', 14.2, 0.42, 'medium', '#E4D9C3'],
  ['linen-40', 'Linen, 40 count', 15.7, 0.38, 'medium', '#E4D9C3'],
  ['linen-cotton', 'Linen-cotton', 18, 0.4, 'low', '#E9E0CC'],
  ['evenweave', 'Cotton evenweave', 10.4, 0.5, 'medium', '#F1EBDD'],
  ['canvas-10', 'Single canvas, 10 count', 3.9, 0.9, 'opaque', '#EEE6D3'],
  ['canvas-14', 'Single canvas, 14 count', 5.5, 0.75, 'opaque', '#EEE6D3'],
  ['silk-gauze', 'Silk gauze', 15.7, 0.21, 'very-high', '#F3EFE7'],
  ['organza', 'Silk organza', 40, 0.09, 'very-high', '#F1EDE4'],
  ['denim', 'Denim', 25, 0.78, 'opaque', '#5B6B86'],
  ['felt', 'Wool felt', null, 1.2, 'opaque', '#D9D2C2'],
  ['jersey', 'Cotton jersey, stabilised', 15, 0.6, 'low', '#E9E4DA'],
]

export const CLOTH_KINDS: readonly ClothKind[] = rows.map(([id, name, threadsPerCm, thicknessMm, seeThrough, hex]) => ({
  id,
  name,
  threadsPerCm,
  thicknessMm,
  seeThrough,
  hex,
}))

export const CLOTH_KIND_IDS: readonly string[] = CLOTH_KINDS.map((kind) => kind.id)

export function findClothKind(id: string): ClothKind | null {
  return CLOTH_KINDS.find((kind) => kind.id === id) ?? null
}

const COUNTED = new Set(['linen-28', 'linen-32', 'linen-36', 'linen-40', 'evenweave', 'canvas-10', 'canvas-14', 'silk-gauze'])

/** Its threads are even enough to be counted, and stitches go between them. */
export function isCounted(kindId: string): boolean {
  return COUNTED.has(kindId)
}

/** What the model needs of a cloth. */
export interface Cloth {
  readonly name: string
  readonly threadsPerCm: number | null
  readonly thicknessMm: number
  /** It gives under the hand, and comes back: what lies on it must not hold it. */
  readonly gives?: boolean | undefined
}

/** Distance from one cloth thread to the next, mm; felt has no grid and counts as 0. */
export function clothPitch(cloth: Cloth): number {
  return cloth.threadsPerCm === null ? 0 : 10 / cloth.threadsPerCm
}

/** The thickest shaft that passes without effort, mm: 0.45 + 0.9 p, at most 2.2; felt 1.3. Estimate, +-15 %. */
export function comfortableShaft(cloth: Cloth): number {
  return cloth.threadsPerCm === null ? 1.3 : Math.min(2.2, 0.45 + 0.9 * clothPitch(cloth))
}
