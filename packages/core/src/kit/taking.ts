/** What a kit takes out of the stores: its lengths of each colour, a bag's needles and hoop. The kits' shares are whole lengths and add up. */
import { choiceOfNeedle } from '../materials/index.ts'
import { storedHoops, storedNeedles, storedThreads, storedTools, type Part, type Stores } from '../stores/index.ts'
import type { Sampler } from '../sampler/index.ts'
import type { Lengths } from './cut-put-ups.ts'
import type { ColourToCut, Kit } from './plan-kit.ts'

/** Of so many lengths for all kits, those that are cut for one, from 0: the first kits have one more where it does not divide. */
export function lengthsOfKit(colour: Pick<ColourToCut, 'lengths'>, kits: number, index: number): readonly Lengths[] {
  return lengthsOfKits(colour, kits, [index, index + 1])
}

/** Kits that are cut together: from the first on, up to the second and without it. */
export type KitRange = readonly [number, number]

export function lengthsOfKits({ lengths }: Pick<ColourToCut, 'lengths'>, kits: number, [from, to]: KitRange): readonly Lengths[] {
  return lengths.map(({ lengthMm, parted }) => ({ lengthMm, count: upTo(parted.lengths, kits, to) - upTo(parted.lengths, kits, from) }))
}

/** Of a great many kits ten are cut and ticked at once. */
export function kitRanges(kits: number): readonly KitRange[] {
  const each = kits <= MOST_SINGLE ? 1 : 10
  return Array.from({ length: Math.ceil(kits / each) }, (_, index) => [index * each, Math.min(kits, (index + 1) * each)])
}

const MOST_SINGLE = 60

const upTo = (lengths: number, kits: number, index: number): number => (kits === 0 ? 0 : Math.ceil((lengths * index) / kits))

export const mmOf = (lengths: readonly Lengths[]): number => lengths.reduce((sum, one) => sum + one.lengthMm * one.count, 0)

/** The thread of one colour for some of the kits, out of what is open first. Less where there is less. */
export function partsOfThread(colour: ColourToCut, kits: number, range: KitRange, stores: Stores): readonly Part[] {
  let wanted = mmOf(lengthsOfKits(colour, kits, range))
  return storedThreads(stores, colour.thread).flatMap((one): Part[] => {
    const amount = Math.min(wanted, one.left)
    wanted -= amount
    return amount > 0 ? [{ shelf: 'threads', item: one.id, amount }] : []
  })
}

/** Of so many bags, each: a needle of each, its hoop, and what it is marked with where everyone has her own. */
export function partsOfBags(
  sampler: Pick<Sampler, 'workingHoop'>,
  { needles, marking }: Pick<Kit, 'needles' | 'marking'>,
  bags: number,
  stores: Stores,
): readonly Part[] {
  const one = (shelf: Part['shelf'], found: readonly { readonly id: string; readonly left: number }[]): Part[] => {
    const item = found.find((stored) => stored.left > 0)
    return item ? [{ shelf, item: item.id, amount: Math.min(bags, item.left) }] : []
  }
  return [
    ...needles.flatMap(({ needle }) => one('needles', storedNeedles(stores, choiceOfNeedle(needle)))),
    ...(sampler.workingHoop ? one('hoops', storedHoops(stores, sampler.workingHoop)) : []),
    ...(marking?.by === 'tracing' ? one('tools', storedTools(stores, marking.name)) : []),
  ]
}
