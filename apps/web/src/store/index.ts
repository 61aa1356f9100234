/** The store: who is signed in, and the open sampler. All else is derived. */
import { operation as operationSchema } from '@lemmata/contract'
import type { Operation } from '@lemmata/core/sampler'
import { configureStore } from '@reduxjs/toolkit'
import { useDispatch, useSelector } from 'react-redux'
import { edited, noticed, samplerReducer } from './sampler.ts'
import { startSaver } from './saver.ts'
import { sessionReducer } from './session.ts'

export const store = configureStore({
  reducer: { session: sessionReducer, sampler: samplerReducer },
  // Documents are large and checked by the contract; walking them at every action would cost more than it finds.
  middleware: (defaults) => defaults({ serializableCheck: false, immutableCheck: false }),
})
startSaver(store)

export type RootState = ReturnType<typeof store.getState>
export const useAppSelector = useSelector.withTypes<RootState>()
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>()

/** Every edit goes through here: checked by the contract, applied, kept for undo, sent. */
export function edit(operation: Operation, way: 'do' | 'undo' | 'redo' = 'do'): void {
  const checked = operationSchema.safeParse(operation)
  if (!checked.success) {
    store.dispatch(noticed(`This cannot be set: ${checked.error.issues[0]?.message ?? 'it is out of range'}.`))
    return
  }
  store.dispatch(edited({ operation: checked.data, id: crypto.randomUUID(), way }))
}

export function undo(): void {
  const last = store.getState().sampler.open?.undo.at(-1)
  if (last) edit(last, 'undo')
}

export function redo(): void {
  const last = store.getState().sampler.open?.redo.at(-1)
  if (last) edit(last, 'redo')
}
