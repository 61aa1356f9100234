/**
 * Documents that were read and found right, by the revision they were read at: a revision is written once and never again, so what was
 * right of it is right, in whichever process it was written. Nothing of a transaction that may still be taken back is kept here.
 */
import { LRUCache } from 'lru-cache'

/** Of all that are kept, roughly as JSON writes them; as objects they take some five times as much. */
const MOST_CHARACTERS = 16_000_000

export interface Checked<Document> {
  readonly find: (row: { readonly id: string; readonly revision: number }) => Document | undefined
  /** `read`: where it is not kept. */
  readonly of: (row: { readonly id: string; readonly revision: number }, read: () => Document) => Document
  /** As JSON: of one that is kept written once, however often it is answered. */
  readonly textOf: (row: { readonly id: string; readonly revision: number }, document: Document) => string
  /** After what wrote it is committed. */
  readonly keep: (id: string, revision: number, document: Document) => void
}

/** `charactersOf`: how long it is when written, roughly: to write it once more only to know that would cost what is saved. */
export function checkedDocuments<Document extends object>(charactersOf: (document: Document) => number): Checked<Document> {
  interface Kept {
    readonly document: Document
    text?: string
  }
  const kept = new LRUCache<string, Kept>({ maxSize: MOST_CHARACTERS, sizeCalculation: ({ document }) => Math.max(1, Math.round(charactersOf(document))) })
  const keyOf = (id: string, revision: number): string => `${id} ${revision}`
  return {
    find: ({ id, revision }) => kept.get(keyOf(id, revision))?.document,
    of: ({ id, revision }, read) => {
      const key = keyOf(id, revision)
      const known = kept.get(key)
      if (known) return known.document
      const document = read()
      kept.set(key, { document })
      return document
    },
    textOf: ({ id, revision }, document) => {
      const known = kept.get(keyOf(id, revision))
      if (known?.document !== document) return JSON.stringify(document)
      known.text ??= JSON.stringify(document)
      return known.text
    },
    keep: (id, revision, document) => {
      kept.delete(keyOf(id, revision - 1))
      kept.set(keyOf(id, revision), { document })
    },
  }
}
