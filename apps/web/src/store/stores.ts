/** The teacher's stores while a page shows them, saved like the sampler. */
import { applyStoresOperation, invertStoresOperation, type Stores, type StoresOperation } from '@lemmata/core/stores'
import { documentSlice, type DocumentState } from './document-slice.ts'
import type { OpenDocument } from './open-document.ts'

export type OpenStores = OpenDocument<Stores, StoresOperation>
export type StoresState = DocumentState<Stores, StoresOperation>

const slice = documentSlice<Stores, StoresOperation>('stores', { apply: applyStoresOperation, invert: invertStoresOperation })

export const {
  opened: storesOpened,
  closed: storesClosed,
  edited: storesEdited,
  sendingBegan: storesSendingBegan,
  acknowledged: storesAcknowledged,
  rebased: storesRebased,
  connectionLost: storesConnectionLost,
  sessionLost: storesSessionLost,
} = slice.actions
export const storesReducer = slice.reducer
