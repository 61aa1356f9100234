import { type FieldChange, fieldsBefore, success, withFields } from '../../base/index.ts'
import type { ShelfName, Stored, StoredId } from '../types.ts'
import { type AnyStored, findIn, gone, STORED_FIELDS, type StoresTools, withShelf } from './tools.ts'

/** Fields of one thing, so that its name may be set in one window while another takes of it. */
export interface ChangeStored {
  readonly kind: 'change-stored'
  readonly shelf: ShelfName
  readonly id: StoredId
  readonly set: FieldChange<Omit<AnyStored, 'id'>>
  readonly clear?: readonly ('price' | 'note' | 'weight' | 'threadsPerCm' | 'shaftMm' | 'figures')[] | undefined
}

export const changeStored: StoresTools<ChangeStored> = {
  apply: (stores, { shelf, id, set, clear = [] }) =>
    findIn(stores, shelf, id)
      ? success(
          withShelf(
            stores,
            shelf,
            (stores[shelf] as readonly Stored[]).map((one) => (one.id === id ? withFields<AnyStored>(one as AnyStored, set, clear, STORED_FIELDS) : one)),
          ),
        )
      : gone(id),
  invert: (before, { shelf, id, set, clear = [] }) => {
    const was = findIn(before, shelf, id)
    if (!was) return null
    const back = fieldsBefore<AnyStored>(was as AnyStored, set, clear)
    return { kind: 'change-stored', shelf, id, set: back.set, clear: back.clear as ChangeStored['clear'] }
  },
}
