import { placeOf, success, withoutId } from '../../base/index.ts'
import type { ShelfName, Stored, StoredId } from '../types.ts'
import type { PutStored } from './put-stored.ts'
import { findIn, gone, type StoresTools, withShelf } from './tools.ts'

export interface RemoveStored {
  readonly kind: 'remove-stored'
  readonly shelf: ShelfName
  readonly id: StoredId
}

export const removeStored: StoresTools<RemoveStored> = {
  apply: (stores, { shelf, id }) => (findIn(stores, shelf, id) ? success(withShelf(stores, shelf, withoutId<Stored>(stores[shelf], id))) : gone(id)),
  invert: (before, { shelf, id }) => {
    const item = findIn(before, shelf, id)
    return item ? ({ kind: 'put-stored', shelf, item, at: placeOf(before[shelf], id) } as PutStored) : null
  },
}
