/** What has been cut and packed: taken from the stores under its name, once, in whichever window; given back when it is undone. */
import type { Part, Stores } from '@lemmata/core/stores'
import { useMemo } from 'react'
import { editStores } from '../store/index.ts'

export interface TickList {
  readonly has: (tick: string) => boolean
  readonly last: string | null
  readonly toggle: (tick: string) => void
  readonly takeBack: () => void
  /** Taken for a plan of this sampler that has changed since. */
  readonly earlier: readonly string[]
}

const nameOf = (sampler: string, tick: string): string => `${sampler} ${tick}`

/** `all`: ticks that mean anything now. `partsOf`: what one takes of the stores as they are. */
export function useTicks(sampler: string, all: readonly string[], stores: Stores, partsOf: (tick: string, stores: Stores) => readonly Part[]): TickList {
  return useMemo(() => {
    const known = new Map(all.map((tick) => [nameOf(sampler, tick), tick]))
    const mine = stores.taken.filter((one) => one.for === sampler)
    const ticks = mine.flatMap((one) => known.get(one.id) ?? [])
    const set = new Set(ticks)
    const last = ticks.at(-1) ?? null
    const giveBack = (tick: string): void => editStores({ kind: 'give-back', id: nameOf(sampler, tick) })
    return {
      has: (tick) => set.has(tick),
      last,
      toggle: (tick) => {
        if (set.has(tick)) giveBack(tick)
        else editStores({ kind: 'take', taken: { id: nameOf(sampler, tick), for: sampler, parts: partsOf(tick, stores) } })
      },
      takeBack: () => {
        if (last !== null) giveBack(last)
      },
      earlier: mine.flatMap((one) => (known.has(one.id) ? [] : [one.id])),
    }
  }, [sampler, all, stores, partsOf])
}
