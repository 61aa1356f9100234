/**
 * A teacher's stores, once for her account: what she has of thread, needles, cloth, hoops and tools, what it cost, and what has
 * been taken out of it for kits. Lengths are millimetres.
 */
import type { Id } from '../base/index.ts'
import type { Pair } from '../guide/index.ts'
import type { ThreadFigures } from '../materials/index.ts'
import type { Colour } from '../sampler/index.ts'

export type StoredId = Id<'stored'>

interface Kept {
  readonly id: StoredId
  /** Of thread and cloth mm, of everything else so many. Thread is measured as it is sold, in all its strands. */
  readonly left: number
  /** In the teacher's currency: of one put-up of thread, a metre of cloth, one of everything else. */
  readonly price?: number | undefined
  readonly note?: string | undefined
}

export interface StoredThread extends Kept {
  readonly kind: string
  readonly weight?: string | undefined
  readonly colour: Colour
  /** Where hers is not as its kind usually is. */
  readonly figures?: ThreadFigures | undefined
}

export interface StoredNeedle extends Kept {
  readonly kind: string
  readonly size: number
  /** Measured; its size is only a label. */
  readonly shaftMm?: number | undefined
}

export interface StoredCloth extends Kept {
  readonly kind: string
  readonly colour: Colour
  /** From selvedge to selvedge. */
  readonly widthMm: number
  /** Counted; as its kind usually has where it is left out. */
  readonly threadsPerCm?: number | undefined
}

export interface StoredHoop extends Kept {
  readonly shape: 'round' | 'oval' | 'frame'
  /** Across and down; of a round one as it is called, both the same. */
  readonly sizeMm: Pair
}

export interface StoredTool extends Kept {
  readonly name: string
}

export interface Shelves {
  readonly threads: StoredThread
  readonly needles: StoredNeedle
  readonly cloths: StoredCloth
  readonly hoops: StoredHoop
  readonly tools: StoredTool
}

export type ShelfName = keyof Shelves
export type Stored = Shelves[ShelfName]

export const SHELF_NAMES: readonly ShelfName[] = ['threads', 'needles', 'cloths', 'hoops', 'tools']

/** So much of one thing. */
export interface Part {
  readonly shelf: ShelfName
  readonly item: StoredId
  readonly amount: number
}

/** Taken out once, under a name of its own: a kit's thread of one colour, a bag. */
export interface Taken {
  readonly id: string
  /** Taken together with others of this name: a sampler's id. */
  readonly for: string
  /** What there was; less than was wanted where there was less. */
  readonly parts: readonly Part[]
}

export interface Stores extends Readonly<{ [Name in ShelfName]: readonly Shelves[Name][] }> {
  readonly format: 'lemmata-stores'
  readonly version: 1
  /** Three letters, as EUR. */
  readonly currency: string
  readonly taken: readonly Taken[]
}

export function emptyStores(currency = 'EUR'): Stores {
  return { format: 'lemmata-stores', version: 1, currency, threads: [], needles: [], cloths: [], hoops: [], tools: [], taken: [] }
}
