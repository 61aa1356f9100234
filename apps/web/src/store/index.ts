/** The store: what the server has (asked for and remembered), the open sampler and class, and their edits. All else is derived. */
import { applySamplerOperations, classOperation, operation as operationSchema, type SentOperation, storesOperation } from '@lemmata/contract'
import type { ClassOperation } from '@lemmata/core/classes'
import type { StoresOperation } from '@lemmata/core/stores'
import type { Operation } from '@lemmata/core/sampler'
import { configureStore, createListenerMiddleware, type ThunkDispatch, type TypedStartListening, type UnknownAction } from '@reduxjs/toolkit'
import { useDispatch, useSelector } from 'react-redux'
import { api } from '../api/client.ts'
import { serverApi } from '../api/server-api.ts'
import {
  classAcknowledged,
  classConnectionLost,
  classEdited,
  classRebased,
  classReducer,
  classSendingBegan,
  classSessionLost,
  type ClassState,
} from './class.ts'
import { type EditWay, sentenceOfProblems } from './open-document.ts'
import { acknowledged, connectionLost, edited, noticed, rebased, samplerReducer, type SamplerState, sendingBegan, sessionLost } from './sampler.ts'
import { SEND_NOW, startSaving } from './saver.ts'
import {
  storesAcknowledged,
  storesConnectionLost,
  storesEdited,
  storesRebased,
  storesReducer,
  storesSendingBegan,
  storesSessionLost,
  type StoresState,
} from './stores.ts'

interface SavedState {
  readonly sampler: SamplerState
  readonly class: ClassState
  readonly stores: StoresState
}

const listeners = createListenerMiddleware<SavedState>()

export const store = configureStore({
  reducer: { sampler: samplerReducer, class: classReducer, stores: storesReducer, [serverApi.reducerPath]: serverApi.reducer },
  // Documents are large and checked by the contract; walking them at every action would cost more than it finds.
  middleware: (defaults) => defaults({ serializableCheck: false, immutableCheck: false }).prepend(listeners.middleware).concat(serverApi.middleware),
})

const startListening = listeners.startListening as TypedStartListening<SavedState, ThunkDispatch<SavedState, unknown, UnknownAction>>
export const samplerKey = (id: string): string => `sampler/${id}`
export const classKey = (id: string): string => `class/${id}`
export const storesKey = (id: string): string => `stores/${id}`

startSaving(startListening, {
  keyOf: samplerKey,
  open: (state) => state.sampler.open,
  send: api.sendOperations,
  staleCode: 'sampler.stale',
  began: sendingBegan,
  acknowledged,
  rebased: (answer, applied) => rebased({ answer: { printedRevision: null, ...answer }, applied }),
  connectionLost,
  sessionLost,
})
startSaving(startListening, {
  keyOf: classKey,
  open: (state) => state.class.open,
  send: api.sendClassOperations,
  staleCode: 'class.stale',
  began: classSendingBegan,
  acknowledged: classAcknowledged,
  rebased: (answer, applied) => classRebased({ answer, applied }),
  connectionLost: classConnectionLost,
  sessionLost: classSessionLost,
})
startSaving(startListening, {
  keyOf: storesKey,
  open: (state) => state.stores.open,
  send: (_id, baseRevision, operations) => api.sendStoresOperations(baseRevision, operations),
  staleCode: 'stores.stale',
  began: storesSendingBegan,
  acknowledged: storesAcknowledged,
  rebased: (answer, applied) => storesRebased({ answer, applied }),
  connectionLost: storesConnectionLost,
  sessionLost: storesSessionLost,
})
if (typeof window !== 'undefined') {
  window.addEventListener('online', () => sendNow())
  window.addEventListener('beforeunload', (event) => {
    const { sampler, class: group, stores } = store.getState()
    if ([sampler.open, group.open, stores.open].some((open) => open && open.pending.length > 0)) event.preventDefault()
  })
}

export type RootState = ReturnType<typeof store.getState>
export const useAppSelector = useSelector.withTypes<RootState>()
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>()

/** Whatever waits is sent at once. */
export function sendNow(): void {
  store.dispatch({ type: SEND_NOW })
}

/** Every edit of the sampler goes through here: checked by the contract, applied, kept for undo, sent. */
export function edit(operation: Operation, way: EditWay = 'do'): void {
  const checked = operationSchema.safeParse(operation)
  if (!checked.success) {
    store.dispatch(noticed(`This cannot be set: ${checked.error.issues[0]?.message ?? 'it is out of range'}.`))
    return
  }
  const sent: SentOperation = { id: crypto.randomUUID(), operation: checked.data }
  const { open } = store.getState().sampler
  // What makes the document grow is held against its limits before it is sent.
  const refused = open && growsBy(checked.data) ? applySamplerOperations(open.document, [sent]).refused[0] : undefined
  if (refused) {
    store.dispatch(noticed(sentenceOfProblems(refused.problems)))
    return
  }
  store.dispatch(edited({ ...sent, way, turn: nextTurn() }))
}

function growsBy(operation: Operation): boolean {
  return operation.kind === 'batch' ? operation.operations.some(growsBy) : /^(add|put|keep)-/.test(operation.kind)
}

export function editClass(operation: ClassOperation, way: EditWay = 'do'): void {
  const checked = classOperation.safeParse(operation)
  if (checked.success) store.dispatch(classEdited({ operation: checked.data, id: crypto.randomUUID(), way, turn: nextTurn() }))
  else store.dispatch(noticed(`This cannot be set: ${checked.error.issues[0]?.message ?? 'it is out of range'}.`))
}

export function editStores(operation: StoresOperation, way: EditWay = 'do'): void {
  const checked = storesOperation.safeParse(operation)
  if (checked.success) store.dispatch(storesEdited({ operation: checked.data, id: crypto.randomUUID(), way, turn: nextTurn() }))
  else store.dispatch(noticed(`This cannot be set: ${checked.error.issues[0]?.message ?? 'it is out of range'}.`))
}

/** What was last done to the stores; what was done to a sampler is another matter. */
export function takeBackStores(way: 'undo' | 'redo'): void {
  const last = store.getState().stores.open?.[way].at(-1)
  if (last) editStores(last.operation, way)
}

/** The latest edit goes first, of the sampler or of the class. */
export function undo(): void {
  takeBack('undo')
}

export function redo(): void {
  takeBack('redo')
}

/** Whether there is something to undo or redo. */
export function canTakeBack({ sampler, class: group }: RootState, way: 'undo' | 'redo'): boolean {
  return (sampler.open?.[way].length ?? 0) + (group.open?.[way].length ?? 0) > 0
}

function takeBack(way: 'undo' | 'redo'): void {
  const { sampler, class: group } = store.getState()
  const ofSampler = sampler.open?.[way].at(-1)
  const ofClass = group.open?.[way].at(-1)
  if (ofClass && ofClass.turn > (ofSampler?.turn ?? 0)) editClass(ofClass.operation, way)
  else if (ofSampler) edit(ofSampler.operation, way)
}

/** What is taken back next is what was done last, before and after the page was loaded again. */
export function continueTurns(from: number): void {
  turns = Math.max(turns, from)
}

let turns = 0
function nextTurn(): number {
  turns += 1
  return turns
}
