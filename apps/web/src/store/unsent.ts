/**
 * Edits that the server has not acknowledged, kept in the browser so that they outlive the tab and a crash. One record an
 * edit, under its document; sent twice it is applied once, so that two tabs may both find it.
 */
import type { SentOperation } from '@lemmata/contract'
import type { DBSchema } from 'idb'
import { browserDatabase } from '../keep/browser-database.ts'

interface Kept {
  /** The edit's own id. */
  readonly id: string
  readonly document: string
  /** The order in which they were made. */
  readonly number: number
  readonly operation: unknown
}

interface Unsent extends DBSchema {
  edits: { key: string; value: Kept; indexes: { document: string } }
}

/** Of what is in it. Edits may wait there under this number: what is in it is never made anew, only added to. */
const VERSION = 10

/** Without a store (a private window may forbid it) the page itself still holds them. */
const ask = browserDatabase<Unsent>('lemmata-unsent', VERSION, (database) => {
  database.createObjectStore('edits', { keyPath: 'id' }).createIndex('document', 'document')
})

let next = Date.now() * 1000

/** Keeps what is new among the pending edits and lets go of what is pending no longer. */
export async function keepUnsent(document: string, before: readonly SentOperation<unknown>[], now: readonly SentOperation<unknown>[]): Promise<void> {
  if (!ask) return
  const had = new Set(before.map((one) => one.id))
  const has = new Set(now.map((one) => one.id))
  const added = now.filter((one) => !had.has(one.id)).map(({ id, operation }): Kept => ({ id, document, number: next++, operation }))
  const gone = before.filter((one) => !has.has(one.id)).map((one) => one.id)
  try {
    const { store, done } = (await ask()).transaction('edits', 'readwrite')
    await Promise.all([...added.map((one) => store.put(one)), ...gone.map((id) => store.delete(id)), done])
  } catch {
    // Full or forbidden: the page still holds them, and says so while they wait.
  }
}

/** What was not sent when the page was left, in the order in which it was made. */
export async function unsentOf<One>(document: string): Promise<readonly SentOperation<One>[]> {
  if (!ask) return []
  try {
    const edits = await (await ask()).getAllFromIndex('edits', 'document', document)
    return edits.sort((a, b) => a.number - b.number).map(({ id, operation }) => ({ id, operation: operation as One }))
  } catch {
    return []
  }
}
