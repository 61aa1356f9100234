/** What is ticked: each kit's threads of a colour, and each bag when it is packed. A tick of a plan that has changed means nothing. */
import { type AlreadyTaken, type ColourToCut, type Kit, type KitRange, kitRanges, partsOfBags, partsOfThread } from '@lemmata/core/kit'
import type { Sampler } from '@lemmata/core/sampler'
import { type Part, storedCloths, type Stores } from '@lemmata/core/stores'

/** "5", "11-20": the kits of a range, counted from one. */
export const numbersOf = ([from, to]: KitRange): string => (to - from === 1 ? String(to) : `${from + 1}\u2013${to}`)

/** With what is cut, so that another number of lengths is another tick. */
const colourTick = ({ thread, lengths }: ColourToCut, kits: number, range: KitRange): string =>
  `thread ${thread.id} ${lengths.map((one) => `${one.lengthMm}x${one.parted.lengths}`).join('+')} of ${kits} kit ${numbersOf(range)}`

export const ticksOfColour = (colour: ColourToCut, kits: number): readonly string[] => kitRanges(kits).map((range) => colourTick(colour, kits, range))

export const threadTicks = ({ colours, kits }: Kit): readonly string[] => colours.flatMap((colour) => ticksOfColour(colour, kits))

export const bagTicks = ({ kits, threadsOnCard }: Kit): readonly string[] =>
  kitRanges(kits).map((range) => `bag ${numbersOf(range)} of ${kits} with ${threadsOnCard}`)

/** All pieces are cut in one go. */
export const clothTick = ({ cloth }: Kit): string => `cloth ${cloth.count} of ${Math.round(cloth.piece.widthMm)}x${Math.round(cloth.piece.heightMm)}`

/** What a tick takes of the stores. */
export function partsOfTick(sampler: Sampler, kit: Kit, tick: string, stores: Stores): readonly Part[] {
  if (tick === clothTick(kit)) return partsOfCloth(sampler, kit, stores)
  const ranges = kitRanges(kit.kits)
  const bags = ranges[bagTicks(kit).indexOf(tick)]
  if (bags) return partsOfBags(sampler, kit, bags[1] - bags[0], stores)
  for (const colour of kit.colours) {
    const range = ranges[ticksOfColour(colour, kit.kits).indexOf(tick)]
    if (range) return partsOfThread(colour, kit.kits, range, stores)
  }
  return []
}

function partsOfCloth(sampler: Sampler, { cloth }: Kit, stores: Stores): readonly Part[] {
  const found = storedCloths(stores, sampler.cloth).find((one) => one.widthMm >= cloth.boltMm - 1 && one.left > 0)
  return found && cloth.plan.ok ? [{ shelf: 'cloths', item: found.id, amount: Math.min(found.left, cloth.plan.value.toBuyMm) }] : []
}

/** What need not be bought any more. */
export function alreadyTaken(kit: Kit, has: (tick: string) => boolean): AlreadyTaken {
  const ranges = kitRanges(kit.kits)
  const kitsOf = (ticks: readonly string[]): readonly number[] =>
    ticks.flatMap((tick, at) => {
      const [from, to] = ranges[at] as KitRange
      return has(tick) ? Array.from({ length: to - from }, (_, index) => from + index) : []
    })
  return {
    threads: (colour) => kitsOf(ticksOfColour(colour, kit.kits)),
    bags: kitsOf(bagTicks(kit)).length,
    cloth: has(clothTick(kit)),
  }
}

/** "Slate, kit 5"; "Bag 3"; "The cloth". */
export function nameOfTick({ colours }: Kit, tick: string): string {
  if (tick.startsWith('cloth ')) return 'The cloth'
  const bag = /^bag ([\d\u2013]+)/.exec(tick)
  if (bag) return `${bag[1]?.includes('\u2013') ? 'Bags' : 'Bag'} ${bag[1] ?? ''}`
  const number = /kit ([\d\u2013]+)$/.exec(tick)?.[1] ?? ''
  const colour = colours.find((one) => tick.startsWith(`thread ${one.thread.id} `))
  return `${colour?.thread.colour.name ?? ''}, ${number.includes('\u2013') ? 'kits' : 'kit'} ${number}`
}
