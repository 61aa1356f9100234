/**
 * What was worked once is not worked again: kept in the browser under what it was worked from and with which program. The
 * same exercise in the same surroundings is the same thread, whichever page or day asks for it.
 */
import { Dexie, type Table } from 'dexie'
import type { Packed } from './packed.ts'

interface Kept {
  /** A digest of what it was worked from. */
  readonly key: string
  /** The program that worked it: another may work it otherwise. */
  readonly program: string
  readonly bytes: number
  /** When it was kept, ms. */
  readonly at: number
  readonly packed: Packed
}

class WorkedBefore extends Dexie {
  declare worked: Table<Kept, string>

  constructor() {
    super('lemmata-worked')
    this.version(1).stores({ worked: 'key, program, at' })
  }
}

/** More than this and the oldest go. */
const MOST_BYTES = 240e6

export interface KeptWork {
  readonly keyOf: (...from: readonly unknown[]) => Promise<string | null>
  readonly get: (keys: readonly string[]) => Promise<ReadonlyMap<string, Packed>>
  readonly put: (entries: readonly (readonly [key: string, packed: Packed])[]) => Promise<void>
}

/** `program`: changes with every build. Where the browser keeps nothing, or digests nothing, all is worked anew. */
export function keptWork(program: string): KeptWork {
  const store = typeof indexedDB === 'undefined' ? null : new WorkedBefore()
  // Only pages that came by a safe way have it.
  const digest = (globalThis as { readonly crypto?: { readonly subtle?: SubtleCrypto } }).crypto?.subtle
  let pruned = false
  return {
    async keyOf(...from) {
      if (!store || !digest) return null
      const bytes = await digest.digest('SHA-256', new TextEncoder().encode(JSON.stringify([program, ...from])))
      return [...new Uint8Array(bytes)].map((byte) => byte.toString(16).padStart(2, '0')).join('')
    },
    async get(keys) {
      if (!store || keys.length === 0) return new Map()
      try {
        const found = await inTime(store.worked.bulkGet([...keys]))
        if (!found) return new Map()
        return new Map(found.flatMap((one) => (one ? [[one.key, one.packed] as const] : [])))
      } catch {
        return new Map()
      }
    },
    async put(entries) {
      if (!store) return
      const at = Date.now()
      try {
        await store.worked.bulkPut(entries.map(([key, packed]) => ({ key, program, at, packed, bytes: 8 * packed.numbers.length + 20_000 })))
        if (!pruned) {
          pruned = true
          await prune(store, program)
        }
      } catch {
        // Full or forbidden: it will be worked again.
      }
    },
  }
}

/** A store that does not answer is not waited for: working is quicker. */
const WAIT_MS = 1500

function inTime<One>(answer: PromiseLike<One>): Promise<One | null> {
  let timer: ReturnType<typeof setTimeout> | undefined
  const late = new Promise<null>((resolve) => {
    timer = setTimeout(resolve, WAIT_MS, null)
  })
  return Promise.race([answer, late]).finally(() => clearTimeout(timer))
}

async function prune(store: WorkedBefore, program: string): Promise<void> {
  await store.worked.where('program').notEqual(program).delete()
  let bytes = 0
  const tooMuch: string[] = []
  await store.worked
    .orderBy('at')
    .reverse()
    .each((one) => {
      bytes += one.bytes
      if (bytes > MOST_BYTES) tooMuch.push(one.key)
    })
  await store.worked.bulkDelete(tooMuch)
}
