/** What has been cut and packed, kept in the browser while the work lasts and shared by its windows. */
import { useCallback, useMemo, useSyncExternalStore } from 'react'

/** In the order in which they were ticked. */
export type Ticks = readonly string[]

const keyOf = (sampler: string): string => `lemmata-cut ${sampler}`

function read(key: string): string {
  try {
    return localStorage.getItem(key) ?? '[]'
  } catch {
    return '[]'
  }
}

/** What was kept by something else, or is torn, is no tick. */
export function readTicks(text: string): Ticks {
  try {
    const found: unknown = JSON.parse(text)
    return Array.isArray(found) ? found.filter((one): one is string => typeof one === 'string') : []
  } catch {
    return []
  }
}

const heard = new Set<() => void>()
/** Where nothing can be kept, the page remembers by itself. */
const unkept = new Map<string, string>()

function listen(tell: () => void): () => void {
  heard.add(tell)
  window.addEventListener('storage', tell)
  return () => {
    heard.delete(tell)
    window.removeEventListener('storage', tell)
  }
}

function write(key: string, ticks: Ticks): void {
  const text = JSON.stringify(ticks)
  try {
    localStorage.setItem(key, text)
    unkept.delete(key)
  } catch {
    unkept.set(key, text)
  }
  for (const tell of heard) tell()
}

export interface TickList {
  readonly has: (tick: string) => boolean
  readonly last: string | null
  readonly toggle: (tick: string) => void
  readonly takeBack: () => void
}

/** `all`: ticks that mean anything now; others, of a plan that has changed since, are let go when the next is made. */
export function useTicks(sampler: string, all: readonly string[]): TickList {
  const key = keyOf(sampler)
  const text = useSyncExternalStore(listen, () => unkept.get(key) ?? read(key))
  const known = useMemo(() => new Set(all), [all])
  const ticks = useMemo(() => readTicks(text).filter((one) => known.has(one)), [text, known])
  const set = useMemo(() => new Set(ticks), [ticks])
  const now = useCallback((): Ticks => readTicks(unkept.get(key) ?? read(key)).filter((one) => known.has(one)), [key, known])
  const toggle = useCallback(
    (tick: string) => {
      const before = now()
      write(key, before.includes(tick) ? before.filter((one) => one !== tick) : [...before, tick])
    },
    [key, now],
  )
  const takeBack = useCallback(() => write(key, now().slice(0, -1)), [key, now])
  return { has: (tick) => set.has(tick), last: ticks.at(-1) ?? null, toggle, takeBack }
}
