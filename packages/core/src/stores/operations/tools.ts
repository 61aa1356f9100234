import { byId, fieldOrder, type OperationTools, refused } from '../../base/index.ts'
import type { Shelves, ShelfName, Stored, StoredCloth, StoredHoop, StoredNeedle, Stores, StoredThread, StoredTool } from '../types.ts'
import type { StoresOperation } from './index.ts'

export type StoresTools<One extends StoresOperation> = OperationTools<Stores, One, StoresOperation>

/** Fields of everything that is kept, in the order in which they are written. */
export type AnyStored = StoredThread & StoredNeedle & StoredCloth & StoredHoop & StoredTool
export const STORED_FIELDS = fieldOrder<AnyStored>({
  id: 0,
  name: 1,
  kind: 2,
  weight: 3,
  size: 4,
  colour: 5,
  shape: 6,
  sizeMm: 7,
  widthMm: 8,
  threadsPerCm: 9,
  shaftMm: 10,
  figures: 11,
  left: 12,
  price: 13,
  note: 14,
})

export const findIn = (stores: Stores, shelf: ShelfName, id: string): Stored | undefined => byId<Stored>(stores[shelf], id)

export function withShelf<Name extends ShelfName>(stores: Stores, shelf: Name, items: readonly Stored[]): Stores {
  return { ...stores, [shelf]: items as readonly Shelves[Name][] }
}

/** So much more of it, or less. */
export function withMore(stores: Stores, shelf: ShelfName, id: string, amount: number): Stores {
  return withShelf(
    stores,
    shelf,
    // A micrometre is nothing; without it sums of tenths would not come back to what they were.
    (stores[shelf] as readonly Stored[]).map((one) => (one.id === id ? { ...one, left: Math.round((one.left + amount) * 1000) / 1000 } : one)),
  )
}

export const gone = (id: string) => refused('stores.gone', { id })
