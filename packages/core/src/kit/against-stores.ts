/**
 * What is bought after what is in the house: of every line how much there is, what is missing, what that costs; and what one kit
 * costs in all, bought or not. Kits that are cut already have taken theirs: only the others count.
 */
import { storedCloths, storedHoops, storedNeedles, storedThreads, storedTools, type Stores, type StoredThread } from '../stores/index.ts'
import { choiceOfNeedle, needleKey, type ThreadKind } from '../materials/index.ts'
import type { Sampler } from '../sampler/index.ts'
import { cutPutUps, type Lengths } from './cut-put-ups.ts'
import type { ColourToCut, Kit } from './plan-kit.ts'
import { shoppingList, type ToBuy } from './shopping.ts'
import { lengthsOfKit, mmOf } from './taking.ts'
import type { KitTool } from './tools.ts'

export interface Bought extends ToBuy {
  /** In the house, in the line's own unit: put-ups of thread, metres of cloth, pieces. */
  readonly onHand: number
  /** To buy still. */
  readonly missing: number
  /** Of one; null where nothing in the stores says it. */
  readonly price: number | null
}

export interface AgainstStores {
  readonly lines: readonly Bought[]
  /** Of what is missing and has a price. */
  readonly cost: number
  /** Of one kit, by what its things cost, whoever bought them when. */
  readonly perKit: number
  /** Lines that are counted in neither, for nobody has said what they cost. */
  readonly unpriced: readonly string[]
}

/** Kits whose thread of a colour is cut, and bags that are packed, from 0; pieces of cloth that are cut. */
export interface AlreadyTaken {
  readonly threads: (colour: ColourToCut) => readonly number[]
  readonly bags: number
  readonly cloth: boolean
}

export const NOTHING_TAKEN: AlreadyTaken = { threads: () => [], bags: 0, cloth: false }

export function againstStores(sampler: Sampler, kit: Kit, tools: readonly KitTool[], stores: Stores, taken: AlreadyTaken = NOTHING_TAKEN): AgainstStores {
  const list = shoppingList(sampler, kit, tools)
  const lines = list.map((line): Bought => {
    const colour = colourOf(line, kit)
    if (colour) return threadLine(line, colour, kit.kits, stores, taken.threads(colour))
    return { ...line, ...countedLine(line, sampler, kit, stores, taken) }
  })
  const unpriced = lines.filter((one) => one.price === null).map((one) => one.what)
  return {
    lines,
    cost: lines.reduce((sum, one) => sum + one.missing * (one.price ?? 0), 0),
    perKit: kit.kits === 0 ? 0 : lines.reduce((sum, one) => sum + shareOfKit(one, kit) * (one.price ?? 0), 0),
    unpriced,
  }
}

const colourOf = (line: ToBuy, { colours }: Kit): ColourToCut | undefined =>
  line.group === 'Thread' ? colours.find((one) => one.thread.id === line.of) : undefined

/** What of a line is in one kit; what is lent to the room is in none. Thread by the metre, not by the skein. */
function shareOfKit(line: ToBuy, kit: Kit): number {
  const colour = colourOf(line, kit)
  if (!colour) return line.each === 'shared' ? 0 : line.count / kit.kits
  return mmOf(colour.lengths.map(({ lengthMm, parted }) => ({ lengthMm, count: parted.lengths }))) / colour.kind.putUp.lengthMm / kit.kits
}

function threadLine(line: ToBuy, colour: ColourToCut, kits: number, stores: Stores, cut: readonly number[]): Bought {
  const stored = storedThreads(stores, colour.thread)
  const done = new Set(cut)
  const wanted = new Map<number, number>()
  for (let index = 0; index < kits; index += 1)
    if (!done.has(index)) for (const { lengthMm, count } of lengthsOfKit(colour, kits, index)) wanted.set(lengthMm, (wanted.get(lengthMm) ?? 0) + count)
  const left = fillRests(
    [...wanted].map(([lengthMm, count]) => ({ lengthMm, count })),
    stored,
    colour.kind,
  )
  const { lengthMm } = colour.kind.putUp
  return {
    ...line,
    onHand: stored.reduce((sum, one) => sum + one.left, 0) / lengthMm,
    missing: cutPutUps(left, lengthMm).putUps,
    price: stored.find((one) => one.price !== undefined)?.price ?? null,
  }
}

/** Lengths that do not come out of what is there: whole put-ups and a rest of each, longest lengths first. */
export function fillRests(wanted: readonly Lengths[], stored: readonly Pick<StoredThread, 'left'>[], { putUp }: Pick<ThreadKind, 'putUp'>): readonly Lengths[] {
  const bins = stored.flatMap(({ left }) => {
    const whole = Math.floor(left / putUp.lengthMm + 1e-9)
    return [...Array<number>(Math.min(whole, 10_000)).fill(putUp.lengthMm), left - whole * putUp.lengthMm]
  })
  return [...wanted]
    .sort((a, b) => b.lengthMm - a.lengthMm)
    .map(({ lengthMm, count }) => {
      let missing = count
      // The shortest rest that serves, so that whole ones stay whole.
      bins.sort((a, b) => a - b)
      for (const [index, room] of bins.entries()) {
        const takes = Math.min(missing, Math.floor(room / lengthMm + 1e-9))
        bins[index] = room - takes * lengthMm
        missing -= takes
      }
      return { lengthMm, count: missing }
    })
}

function countedLine(line: ToBuy, sampler: Sampler, kit: Kit, stores: Stores, taken: AlreadyTaken): Pick<Bought, 'onHand' | 'missing' | 'price'> {
  const { found, has } = storedFor(line, sampler, kit, stores)
  const already = line.group === 'Cloth' ? (taken.cloth ? line.count : 0) : line.each === '1' ? Math.min(line.count, taken.bags) : 0
  return {
    onHand: has,
    missing: Math.max(0, round(line.count - already - has)),
    price: found.find((one) => one.price !== undefined)?.price ?? null,
  }
}

interface Priced {
  readonly left: number
  readonly price?: number | undefined
}

function storedFor(line: ToBuy, sampler: Sampler, kit: Kit, stores: Stores): { readonly found: readonly Priced[]; readonly has: number } {
  const counted = (found: readonly Priced[]) => ({ found, has: found.reduce((sum, one) => sum + one.left, 0) })
  switch (line.group) {
    case 'Needles': {
      const needle = kit.needles.find((one) => needleKey(one.needle) === line.of)?.needle
      return counted(needle ? storedNeedles(stores, choiceOfNeedle(needle)) : [])
    }
    case 'Cloth': {
      // A narrower width would be cut in another way: it does not count.
      const wide = storedCloths(stores, sampler.cloth).filter((one) => one.widthMm >= kit.cloth.boltMm - 1)
      return { found: wide, has: round(wide.reduce((sum, one) => sum + one.left, 0) / 1000) }
    }
    case 'Hoops':
      return counted(sampler.workingHoop ? storedHoops(stores, sampler.workingHoop) : [])
    case 'Marking':
    case 'Tools':
    case 'Thread':
      return counted(storedTools(stores, line.what))
  }
}

const round = (value: number): number => Math.round(value * 100) / 100
