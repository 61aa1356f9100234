/**
 * What was worked once is not worked again: kept in the browser under what it was worked from and with which program. The
 * same exercise in the same surroundings is the same thread, whichever page or day asks for it.
 */
import type { DBSchema, IDBPDatabase } from 'idb'
import { browserDatabase } from '../keep/browser-database.ts'
import { digestOf } from './digest-of.ts'

interface Kept<Answer> {
  /** A digest of what it was worked from. */
  readonly key: string
  /** The program that worked it: another may work it otherwise. */
  readonly program: string
  readonly bytes: number
  /** When it was kept, ms. */
  readonly at: number
  readonly answer: Answer
}

interface WorkedBefore<Answer> extends DBSchema {
  worked: { key: string; value: Kept<Answer>; indexes: { program: string; '[at+bytes]': [at: number, bytes: number] } }
}

/** What is in it. */
const VERSION = 20

function make<Answer>(database: IDBPDatabase<WorkedBefore<Answer>>): void {
  // What is of an older version is worked again.
  for (const old of database.objectStoreNames) database.deleteObjectStore(old)
  const worked = database.createObjectStore('worked', { keyPath: 'key' })
  worked.createIndex('program', 'program')
  // How old and how large, together: what is to go is found without reading what is kept.
  worked.createIndex('[at+bytes]', ['at', 'bytes'])
}

/** More than this and the oldest go. */
const MOST_BYTES = 240e6
/** While one worker writes no other can read: what is to be kept waits until nothing has come for so long. */
const QUIET_MS = 800

export interface KeptWork<Answer> {
  readonly keyOf: (...from: readonly unknown[]) => Promise<string | null>
  readonly get: (keys: readonly string[]) => Promise<ReadonlyMap<string, Answer>>
  /** Ended when it is kept, which is when nothing more has come for a while. */
  readonly put: (entries: readonly (readonly [key: string, answer: Answer])[]) => Promise<void>
}

/**
 * `program`: changes with every build. `bytesOf`: what an answer takes, roughly. Where the browser keeps nothing, or digests
 * nothing, all is worked anew.
 */
export function keptWork<Answer>(program: string, bytesOf: (answer: Answer) => number, quietMs = QUIET_MS): KeptWork<Answer> {
  const ask = browserDatabase<WorkedBefore<Answer>>('lemmata-worked', VERSION, make)
  let pruned = false
  let waiting: Kept<Answer>[] = []
  let timer: ReturnType<typeof setTimeout> | undefined
  let told: (() => void)[] = []

  const write = async (): Promise<void> => {
    const [entries, heard] = [waiting, told]
    waiting = []
    told = []
    try {
      const store = await ask?.()
      if (store) {
        const { store: worked, done } = store.transaction('worked', 'readwrite')
        await Promise.all([...entries.map((entry) => worked.put(entry)), done])
        if (!pruned) {
          pruned = true
          await prune(store, program)
        }
      }
    } catch {
      // Full or forbidden: it will be worked again.
    }
    for (const tell of heard) tell()
  }

  return {
    keyOf: (...from) => (ask ? digestOf(program, ...from) : Promise.resolve(null)),
    async get(keys) {
      if (!ask || keys.length === 0) return new Map()
      try {
        const found = await inTime(ask().then((store) => each(store, keys)))
        if (!found) return new Map()
        return new Map(found.flatMap((one) => (one ? [[one.key, one.answer] as const] : [])))
      } catch {
        return new Map()
      }
    },
    put(entries) {
      if (!ask) return Promise.resolve()
      const at = Date.now()
      waiting.push(...entries.map(([key, answer]) => ({ key, program, at, answer, bytes: bytesOf(answer) })))
      clearTimeout(timer)
      timer = setTimeout(() => void write(), quietMs)
      return new Promise((tell) => told.push(tell))
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

function each<Answer>(store: IDBPDatabase<WorkedBefore<Answer>>, keys: readonly string[]): Promise<readonly (Kept<Answer> | undefined)[]> {
  const { store: worked } = store.transaction('worked')
  return Promise.all(keys.map((key) => worked.get(key)))
}

async function prune<Answer>(store: IDBPDatabase<WorkedBefore<Answer>>, program: string): Promise<void> {
  const { store: worked, done } = store.transaction('worked', 'readwrite')
  const ofOthers = [IDBKeyRange.upperBound(program, true), IDBKeyRange.lowerBound(program, true)]
  const gone = (await Promise.all(ofOthers.map((range) => worked.index('program').getAllKeys(range)))).flat()
  await Promise.all(gone.map((key) => worked.delete(key)))
  let bytes = 0
  for (let cursor = await worked.index('[at+bytes]').openKeyCursor(null, 'prev'); cursor; cursor = await cursor.continue()) {
    bytes += cursor.key[1]
    if (bytes > MOST_BYTES) await worked.delete(cursor.primaryKey)
  }
  await done
}
