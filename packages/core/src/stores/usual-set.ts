/** What most who teach have in the house: to begin with, and to be corrected. */
import { HOOP_SIZES } from '../materials/index.ts'
import type { Shelves, ShelfName } from './types.ts'

type New<Name extends ShelfName> = Omit<Shelves[Name], 'id'>
export type NewStored = { readonly [Name in ShelfName]: readonly New<Name>[] }

const needle = (kind: string, ...sizes: readonly number[]): readonly New<'needles'>[] => sizes.map((size) => ({ kind, size, left: 5 }))
const tool = (name: string, left: number): New<'tools'> => ({ name, left })

/** Needles of the usual sizes, hoops from five to eight inches, small tools. Thread and cloth differ in every house. */
export const USUAL_SET: NewStored = {
  threads: [],
  needles: [
    ...needle('embroidery', 5, 7, 8, 9, 10),
    ...needle('tapestry', 22, 24, 26),
    ...needle('chenille', 18, 22, 24),
    ...needle('milliner', 3, 5, 7, 9),
    ...needle('sharps', 10),
  ],
  cloths: [],
  hoops: HOOP_SIZES.filter(({ inches }) => inches >= 5 && inches <= 8).map(({ nominalMm }) => ({ shape: 'round', sizeMm: [nominalMm, nominalMm], left: 1 })),
  tools: [
    tool('Small pointed scissors', 1),
    tool('Needle threader', 1),
    tool('Thimble', 1),
    tool('Needle book, numbered', 1),
    tool('Stiletto', 1),
    tool('Pins, long and thin', 50),
  ],
}
