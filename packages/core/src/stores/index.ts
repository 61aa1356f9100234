/** A teacher's stores: what she has, what it cost, what is taken of it for kits, and the edits that change it. */
export { bringIn, type Brought } from './bring-in.ts'
export { storedCloths, storedHoops, storedNeedles, storedThreads, storedTools } from './find-stored.ts'
export { applyStoresOperation, invertStoresOperation } from './operations/index.ts'
export type { SingleStoresOperation, StoresOperation } from './operations/index.ts'
export { STORES_SENTENCES } from './problems.ts'
export { emptyStores, SHELF_NAMES } from './types.ts'
export type {
  Part,
  Shelves,
  ShelfName,
  Stored,
  StoredCloth,
  StoredHoop,
  StoredId,
  StoredNeedle,
  Stores,
  StoredThread,
  StoredTool,
  Taken,
} from './types.ts'
export { type NewStored, USUAL_SET } from './usual-set.ts'
