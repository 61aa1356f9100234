/**
 * Edits that the server has not acknowledged, kept in the browser so that they outlive the tab and a crash. One record an
 * edit, under its document; sent twice it is applied once, so that two tabs may both find it.
 */
import type { SentOperation } from '@lemmata/contract'
import { Dexie, type Table } from 'dexie'

interface Kept {
  /** The edit's own id. */
  readonly id: string
  readonly document: string
  /** The order in which they were made. */
  readonly number: number
  readonly operation: unknown
}

class Unsent extends Dexie {
  declare edits: Table<Kept, string>

  constructor() {
    super('lemmata-unsent')
    this.version(1).stores({ edits: 'id, document' })
  }
}

/** Without a store (a private window may forbid it) the page itself still holds them. */
let store: Unsent | null | undefined
function open(): Unsent | null {
  if (store === undefined) store = typeof indexedDB === 'undefined' ? null : new Unsent()
  return store
}

let next = Date.now() * 1000

/** Keeps what is new among the pending edits and lets go of what is pending no longer. */
export async function keepUnsent(document: string, before: readonly SentOperation<unknown>[], now: readonly SentOperation<unknown>[]): Promise<void> {
  const kept = open()
  if (!kept) return
  const had = new Set(before.map((one) => one.id))
  const has = new Set(now.map((one) => one.id))
  const added = now.filter((one) => !had.has(one.id)).map(({ id, operation }): Kept => ({ id, document, number: next++, operation }))
  const gone = before.filter((one) => !has.has(one.id)).map((one) => one.id)
  try {
    await kept.transaction('rw', kept.edits, async () => {
      if (added.length > 0) await kept.edits.bulkPut(added)
      if (gone.length > 0) await kept.edits.bulkDelete(gone)
    })
  } catch {
    // Full or forbidden: the page still holds them, and says so while they wait.
  }
}

/** What was not sent when the page was left, in the order in which it was made. */
export async function unsentOf<One>(document: string): Promise<readonly SentOperation<One>[]> {
  const kept = open()
  if (!kept) return []
  try {
    const edits = await kept.edits.where('document').equals(document).toArray()
    return edits.sort((a, b) => a.number - b.number).map(({ id, operation }) => ({ id, operation: operation as One }))
  } catch {
    return []
  }
}
