/**
 * What was worked once is not worked again: kept in the browser under what it was worked from and with which program. The
 * same exercise in the same surroundings is the same thread, whichever page or day asks for it.
 */
import { Dexie, type Table } from 'dexie'
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

class WorkedBefore<Answer> extends Dexie {
  declare worked: Table<Kept<Answer>, string>

  constructor() {
    super('lemmata-worked')
    // How old and how large, together: what is to go is found without reading what is kept.
    this.version(2).stores({ worked: 'key, program, [at+bytes]' })
  }
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
  const store = typeof indexedDB === 'undefined' ? null : new WorkedBefore<Answer>()
  let pruned = false
  let waiting: Kept<Answer>[] = []
  let timer: ReturnType<typeof setTimeout> | undefined
  let told: (() => void)[] = []

  const write = async (): Promise<void> => {
    const [entries, heard] = [waiting, told]
    waiting = []
    told = []
    try {
      await store?.worked.bulkPut(entries)
      if (store && !pruned) {
        pruned = true
        await prune(store, program)
      }
    } catch {
      // Full or forbidden: it will be worked again.
    }
    for (const tell of heard) tell()
  }

  return {
    keyOf: (...from) => (store ? digestOf(program, ...from) : Promise.resolve(null)),
    async get(keys) {
      if (!store || keys.length === 0) return new Map()
      try {
        const found = await inTime(store.worked.bulkGet([...keys]))
        if (!found) return new Map()
        return new Map(found.flatMap((one) => (one ? [[one.key, one.answer] as const] : [])))
      } catch {
        return new Map()
      }
    },
    put(entries) {
      if (!store) return Promise.resolve()
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

async function prune<Answer>(store: WorkedBefore<Answer>, program: string): Promise<void> {
  await store.worked.where('program').notEqual(program).delete()
  let bytes = 0
  const tooMuch: string[] = []
  await store.worked
    .orderBy('[at+bytes]')
    .reverse()
    .eachKey((at, { primaryKey }) => {
      bytes += Array.isArray(at) ? Number(at[1]) : 0
      if (bytes > MOST_BYTES) tooMuch.push(primaryKey)
    })
  await store.worked.bulkDelete(tooMuch)
}
