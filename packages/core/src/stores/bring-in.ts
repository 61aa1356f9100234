/** What a table or the usual set holds, beside what is there: the same thing is corrected, a new one is put in. */
import type { Batch } from '../base/index.ts'
import type { SingleStoresOperation } from './operations/index.ts'
import type { Shelves, ShelfName, Stored, Stores } from './types.ts'

export interface Brought {
  readonly shelf: ShelfName
  readonly item: Stored
}

const word = (text: string): string => text.trim().toLowerCase()

/** Two with the same name are the same thing. */
function nameOf(shelf: ShelfName, item: Stored): string {
  switch (shelf) {
    case 'threads': {
      const { kind, weight = '', colour } = item as Shelves['threads']
      return `${kind} ${weight} ${word(colour.name)}`
    }
    case 'needles': {
      const { kind, size } = item as Shelves['needles']
      return `${kind} ${size}`
    }
    case 'cloths': {
      const { kind, colour, widthMm } = item as Shelves['cloths']
      return `${kind} ${word(colour.name)} ${widthMm}`
    }
    case 'hoops': {
      const { shape, sizeMm } = item as Shelves['hoops']
      return `${shape} ${sizeMm.join(' ')}`
    }
    case 'tools':
      return word((item as Shelves['tools']).name)
  }
}

/** One step, so that it is taken back as one. Null where nothing would change. Twice in a table are two things, and stay two when it is brought in again. */
export function bringIn(stores: Stores, brought: readonly Brought[]): Batch<SingleStoresOperation> | null {
  const there = new Map<string, Stored[]>()
  for (const shelf of ['threads', 'needles', 'cloths', 'hoops', 'tools'] as const)
    for (const item of stores[shelf] as readonly Stored[]) {
      const name = `${shelf} ${nameOf(shelf, item)}`
      there.set(name, [...(there.get(name) ?? []), item])
    }
  const ends: Record<ShelfName, number> = {
    threads: stores.threads.length,
    needles: stores.needles.length,
    cloths: stores.cloths.length,
    hoops: stores.hoops.length,
    tools: stores.tools.length,
  }
  const operations = brought.flatMap(({ shelf, item }): SingleStoresOperation[] => {
    const same = there.get(`${shelf} ${nameOf(shelf, item)}`)?.shift()
    if (!same) {
      ends[shelf] += 1
      return [{ kind: 'put-stored', shelf, item, at: ends[shelf] - 1 } as SingleStoresOperation]
    }
    const { id: _, ...set } = item
    const changes = Object.entries(set).some(([key, value]) => JSON.stringify((same as unknown as Record<string, unknown>)[key]) !== JSON.stringify(value))
    return changes ? [{ kind: 'change-stored', shelf, id: same.id, set }] : []
  })
  return operations.length === 0 ? null : { kind: 'batch', operations }
}
