/** What of the stores serves for a thread, a needle, a cloth that a sampler names. */
import type { Hoop, NeedleChoice, SamplerCloth, SamplerThread } from '../sampler/index.ts'
import type { StoredCloth, StoredHoop, StoredNeedle, StoredThread, StoredTool, Stores } from './types.ts'

const word = (text: string): string => text.trim().toLowerCase()

/** A colour is the same by its name or to the last digit of its figure. */
const sameColour = (a: { readonly name: string; readonly hex: string }, b: { readonly name: string; readonly hex: string }): boolean =>
  word(a.name) === word(b.name) || word(a.hex) === word(b.hex)

/** The same kind, weight and colour: opened ones first, so that little rests are used up. */
export function storedThreads(
  { threads }: Pick<Stores, 'threads'>,
  wanted: Pick<SamplerThread, 'kind' | 'weight' | 'colour' | 'figures'>,
): readonly StoredThread[] {
  return threads
    .filter(
      (one) =>
        one.kind === wanted.kind &&
        (one.weight ?? '') === (wanted.weight ?? '') &&
        word(one.figures?.name ?? '') === word(wanted.figures?.name ?? '') &&
        sameColour(one.colour, wanted.colour),
    )
    .sort((a, b) => a.left - b.left)
}

export function storedNeedles({ needles }: Pick<Stores, 'needles'>, { kind, size, shaftMm }: NeedleChoice): readonly StoredNeedle[] {
  return needles.filter((one) => one.kind === kind && one.size === size && (shaftMm === undefined || one.shaftMm === shaftMm))
}

export function storedCloths({ cloths }: Pick<Stores, 'cloths'>, wanted: Pick<SamplerCloth, 'kind' | 'colour'>): readonly StoredCloth[] {
  return cloths.filter((one) => one.kind === wanted.kind && sameColour(one.colour, wanted.colour))
}

/** Half a centimetre is within what is printed on hoops. */
const SAME_SIZE_MM = 5

export function storedHoops({ hoops }: Pick<Stores, 'hoops'>, wanted: Hoop): readonly StoredHoop[] {
  const [across, down] = wanted.shape === 'round' ? [wanted.nominalMm, wanted.nominalMm] : wanted.insideMm
  return hoops.filter((one) => one.shape === wanted.shape && Math.abs(one.sizeMm[0] - across) <= SAME_SIZE_MM && Math.abs(one.sizeMm[1] - down) <= SAME_SIZE_MM)
}

export function storedTools({ tools }: Pick<Stores, 'tools'>, name: string): readonly StoredTool[] {
  return tools.filter((one) => word(one.name) === word(name))
}
