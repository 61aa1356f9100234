import { refused, success } from '../../base/index.ts'
import type { Taken } from '../types.ts'
import type { StoresTools } from './tools.ts'

/** Kits that have been handed out: what was taken for them is gone, and may be taken again for the next class. */
export interface CloseTaken {
  readonly kind: 'close-taken'
  readonly for: string
}

/** Takes that back: the records come again, and nothing is taken anew. */
export interface ReopenTaken {
  readonly kind: 'reopen-taken'
  readonly for: string
  readonly taken: readonly Taken[]
}

export const closeTaken: StoresTools<CloseTaken> = {
  apply: (stores, { for: what }) => success({ ...stores, taken: stores.taken.filter((one) => one.for !== what) }),
  invert: (before, { for: what }) => (before.taken.some((one) => one.for === what) ? { kind: 'reopen-taken', for: what, taken: before.taken } : null),
}

export const reopenTaken: StoresTools<ReopenTaken> = {
  apply: (stores, { for: what, taken }) => {
    if (stores.taken.some((one) => one.for === what)) return refused('stores.taken-already')
    const mine = taken.filter((one) => one.for === what)
    // In their old places where nothing else has come; else after it.
    const others = stores.taken
    const same = taken.filter((one) => one.for !== what)
    const unchanged = same.length === others.length && same.every((one, index) => one.id === others[index]?.id)
    return success({ ...stores, taken: unchanged ? taken : [...others, ...mine] })
  },
  invert: (_before, { for: what }) => ({ kind: 'close-taken', for: what }),
}
