import { placeOf, putById, success } from '../../base/index.ts'
import type { ShelfName, Shelves, Stored } from '../types.ts'
import { findIn, type StoresTools, withShelf } from './tools.ts'

interface Put<Name extends ShelfName> {
  readonly kind: 'put-stored'
  readonly shelf: Name
  readonly item: Shelves[Name]
  readonly at: number
}
export type PutStored = { readonly [Name in ShelfName]: Put<Name> }[ShelfName]

export const putStored: StoresTools<PutStored> = {
  apply: (stores, { shelf, item, at }) => success(withShelf(stores, shelf, putById<Stored>(stores[shelf], item, at))),
  invert: (before, { shelf, item }) => {
    const was = findIn(before, shelf, item.id)
    return was ? ({ kind: 'put-stored', shelf, item: was, at: placeOf(before[shelf], item.id) } as PutStored) : { kind: 'remove-stored', shelf, id: item.id }
  },
}
