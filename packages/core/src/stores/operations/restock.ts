import { refused, success } from '../../base/index.ts'
import type { ShelfName, StoredId } from '../types.ts'
import { findIn, gone, type StoresTools, withMore } from './tools.ts'

/** Bought, or found in a drawer: so much more than there is, whatever that is by now. */
export interface Restock {
  readonly kind: 'restock'
  readonly shelf: ShelfName
  readonly id: StoredId
  readonly amount: number
}

export const restock: StoresTools<Restock> = {
  apply: (stores, { shelf, id, amount }) => {
    const item = findIn(stores, shelf, id)
    if (!item) return gone(id)
    if (item.left + amount < -1e-6) return refused('stores.not-so-much', { left: item.left, wanted: -amount })
    return success(withMore(stores, shelf, id, amount))
  },
  invert: (_before, { shelf, id, amount }) => ({ kind: 'restock', shelf, id, amount: -amount }),
}
