/** What is ticked: each kit's threads of a colour, and each bag when it is packed. A tick of a plan that has changed means nothing. */
import { type AlreadyTaken, type ColourToCut, type Kit, partsOfBag, partsOfThread } from '@lemmata/core/kit'
import type { Sampler } from '@lemmata/core/sampler'
import { type Part, storedCloths, type Stores } from '@lemmata/core/stores'

/** With what is cut, so that another number of lengths is another tick. */
const colourTick = ({ thread, lengths }: ColourToCut, kits: number, number: number): string =>
  `thread ${thread.id} ${lengths.map((one) => `${one.lengthMm}x${one.parted.lengths}`).join('+')} of ${kits} kit ${number}`

export const ticksOfColour = (colour: ColourToCut, kits: number): readonly string[] =>
  Array.from({ length: kits }, (_, index) => colourTick(colour, kits, index + 1))

export const threadTicks = ({ colours, kits }: Kit): readonly string[] => colours.flatMap((colour) => ticksOfColour(colour, kits))

export const bagTicks = ({ kits, threadsOnCard }: Kit): readonly string[] =>
  Array.from({ length: kits }, (_, index) => `bag ${index + 1} of ${kits} with ${threadsOnCard}`)

/** All pieces are cut in one go. */
export const clothTick = ({ cloth }: Kit): string => `cloth ${cloth.count} of ${Math.round(cloth.piece.widthMm)}x${Math.round(cloth.piece.heightMm)}`

/** What a tick takes of the stores. */
export function partsOfTick(sampler: Sampler, kit: Kit, tick: string, stores: Stores): readonly Part[] {
  if (tick === clothTick(kit)) return partsOfCloth(sampler, kit, stores)
  if (tick.startsWith('bag ')) return partsOfBag(sampler, kit, stores)
  for (const colour of kit.colours) {
    const index = ticksOfColour(colour, kit.kits).indexOf(tick)
    if (index >= 0) return partsOfThread(colour, kit.kits, index, stores)
  }
  return []
}

function partsOfCloth(sampler: Sampler, { cloth }: Kit, stores: Stores): readonly Part[] {
  const found = storedCloths(stores, sampler.cloth).find((one) => one.widthMm >= cloth.boltMm - 1 && one.left > 0)
  return found && cloth.plan.ok ? [{ shelf: 'cloths', item: found.id, amount: Math.min(found.left, cloth.plan.value.toBuyMm) }] : []
}

/** What need not be bought any more. */
export function alreadyTaken(kit: Kit, has: (tick: string) => boolean): AlreadyTaken {
  return {
    threads: (colour) => ticksOfColour(colour, kit.kits).flatMap((tick, index) => (has(tick) ? [index] : [])),
    bags: bagTicks(kit).filter(has).length,
    cloth: has(clothTick(kit)),
  }
}

/** "Slate, kit 5"; "Bag 3"; "The cloth". */
export function nameOfTick({ colours }: Kit, tick: string): string {
  if (tick.startsWith('cloth ')) return 'The cloth'
  const bag = /^bag (\d+)/.exec(tick)
  if (bag) return `Bag ${bag[1]}`
  const number = /kit (\d+)$/.exec(tick)?.[1] ?? ''
  const colour = colours.find((one) => tick.startsWith(`thread ${one.thread.id} `))
  return `${colour?.thread.colour.name ?? ''}, kit ${number}`
}
