/**
 * What was made, kept for a while by all that it was made of: whoever asks again for the same revision in the same way has it at once, and
 * any change is another. Kept in memory and not long, for it may hold learners' names.
 */
import { createHash } from 'node:crypto'
import { LRUCache } from 'lru-cache'

/** A book of forty pages has about two. */
const MOST_BYTES = 48_000_000
const KEPT_MS = 10 * 60_000

export interface KeptPrints {
  readonly find: (key: string) => Uint8Array | undefined
  readonly keep: (key: string, made: Uint8Array) => void
}

export function keptPrints(): KeptPrints {
  // What has run out goes by itself, not only when it is asked for.
  const kept = new LRUCache<string, Uint8Array>({ maxSize: MOST_BYTES, sizeCalculation: (made) => made.byteLength, ttl: KEPT_MS, ttlAutopurge: true })
  return { find: (key) => kept.get(key), keep: (key, made) => void kept.set(key, made) }
}

/** Of the moment only the day is on paper. */
export function keyOfPrint({ made, ...order }: { readonly made: string }): string {
  return createHash('sha256')
    .update(JSON.stringify([made.slice(0, 10), order]))
    .digest('base64')
}
