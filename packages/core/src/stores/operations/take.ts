import { byId, placeOf, refused, success } from '../../base/index.ts'
import type { Part, Stores, Taken } from '../types.ts'
import { findIn, type StoresTools, withMore } from './tools.ts'

/** So much of each, as far as there is any; under its name it is taken once. */
export interface Take {
  readonly kind: 'take'
  readonly taken: Taken
}

export interface GiveBack {
  readonly kind: 'give-back'
  readonly id: string
}

/** What is taken of what is wanted, one after the other: two parts of one thing share what is left of it. */
function taken(stores: Stores, parts: readonly Part[], keepsGone = false): { readonly stores: Stores; readonly parts: readonly Part[] } {
  let now = stores
  const had: Part[] = []
  for (const { shelf, item, amount } of parts) {
    const found = findIn(now, shelf, item)
    if (!found && keepsGone) had.push({ shelf, item, amount })
    const took = Math.min(amount, found?.left ?? 0)
    if (took <= 0) continue
    now = withMore(now, shelf, item, -took)
    had.push({ shelf, item, amount: took })
  }
  return { stores: now, parts: had }
}

export const take: StoresTools<Take> = {
  apply: (stores, { taken: wanted }) => {
    if (byId(stores.taken, wanted.id)) return refused('stores.taken-already')
    const done = taken(stores, wanted.parts)
    return success({ ...done.stores, taken: [...done.stores.taken, { ...wanted, parts: done.parts }] })
  },
  invert: (_before, { taken: { id } }) => ({ kind: 'give-back', id }),
}

/** What has gone from the stores meanwhile is not brought back. */
export const giveBack: StoresTools<GiveBack> = {
  apply: (stores, { id }) => {
    const was = byId(stores.taken, id)
    if (!was) return refused('stores.not-taken')
    const back = was.parts.reduce((now, { shelf, item, amount }) => withMore(now, shelf, item, amount), stores)
    return success({ ...back, taken: back.taken.filter((one) => one.id !== id) })
  },
  invert: (before, { id }) => {
    const was = byId(before.taken, id)
    return was ? { kind: 'restore-taken', taken: was, at: placeOf(before.taken, id) } : null
  },
}

/** Puts back what was given back, in its place. */
export interface RestoreTaken {
  readonly kind: 'restore-taken'
  readonly taken: Taken
  readonly at: number
}

export const restoreTaken: StoresTools<RestoreTaken> = {
  apply: (stores, { taken: wanted, at }) => {
    if (byId(stores.taken, wanted.id)) return refused('stores.taken-already')
    // What had gone before it was given back had not come back.
    const done = taken(stores, wanted.parts, true)
    const list = [...stores.taken]
    list.splice(Math.min(at, list.length), 0, { ...wanted, parts: done.parts })
    return success({ ...done.stores, taken: list })
  },
  invert: (_before, { taken: { id } }) => ({ kind: 'give-back', id }),
}
