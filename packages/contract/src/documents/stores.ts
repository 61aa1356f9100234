/** A teacher's stores. Amounts are kept to a micrometre, so that what is taken and given back comes to the same again. */
import { CLOTH_KIND_IDS, findNeedle, NEEDLE_FAMILY_IDS } from '@lemmata/core/materials'
import {
  type Part,
  SHELF_NAMES,
  type StoredCloth,
  type StoredHoop,
  type StoredNeedle,
  type Stores,
  type StoredThread,
  type StoredTool,
  type Taken,
} from '@lemmata/core/stores'
import { z } from 'zod'
import { colour, id, lengthMm, oneOf, shortText } from './primitives.ts'
import { threadFigures, threadKind, threadWeight } from './sampler.ts'

/** A wholesaler's bolt in mm, and more pins than anyone counts. */
const MOST_LEFT = 100_000_000
export const amount = z
  .number()
  .min(-MOST_LEFT)
  .max(MOST_LEFT)
  .transform((given) => Math.round(given * 1000) / 1000)
const left = amount.refine((given) => given >= 0, 'there cannot be less than none of it')
const price = z.number().min(0).max(1_000_000)
const kept = { left, price: price.optional(), note: z.string().max(500).optional() }

export const storedThread = z.object({
  id,
  kind: threadKind,
  weight: threadWeight.optional(),
  colour,
  figures: threadFigures.optional(),
  ...kept,
}) satisfies z.ZodType<StoredThread>

const anyNeedle = z.object({
  id,
  kind: oneOf(NEEDLE_FAMILY_IDS, 'kind of needle'),
  size: z.number().int().min(1).max(30),
  shaftMm: z.number().min(0.1).max(5).optional(),
  ...kept,
})
export const storedNeedle = anyNeedle.refine(({ kind, size, shaftMm }) => shaftMm !== undefined || findNeedle(kind, size) !== null, {
  path: ['size'],
  error: 'this kind has no such size; measure its shaft and give that',
}) satisfies z.ZodType<StoredNeedle>

export const storedCloth = z.object({
  id,
  kind: oneOf(CLOTH_KIND_IDS, 'cloth'),
  colour,
  widthMm: lengthMm,
  threadsPerCm: z.number().min(1).max(80).optional(),
  ...kept,
}) satisfies z.ZodType<StoredCloth>
export const storedHoop = z.object({
  id,
  shape: z.enum(['round', 'oval', 'frame']),
  sizeMm: z.tuple([lengthMm, lengthMm]),
  ...kept,
}) satisfies z.ZodType<StoredHoop>
export const storedTool = z.object({ id, name: shortText, ...kept }) satisfies z.ZodType<StoredTool>

export const STORED = { threads: storedThread, needles: storedNeedle, cloths: storedCloth, hoops: storedHoop, tools: storedTool } as const
/** Of everything that is kept, for a change of some of it; the whole is checked again by its own. */
export const anyStored = z.strictObject({
  ...storedThread.omit({ id: true, kind: true }).shape,
  ...anyNeedle.omit({ id: true, kind: true }).shape,
  ...storedCloth.omit({ id: true, kind: true }).shape,
  ...storedHoop.omit({ id: true }).shape,
  ...storedTool.omit({ id: true }).shape,
  kind: z.string().min(1).max(60),
})

export const shelfName = z.enum(SHELF_NAMES as [(typeof SHELF_NAMES)[number], ...(typeof SHELF_NAMES)[number][]])
const part = z.object({ shelf: shelfName, item: id, amount: amount.refine((given) => given > 0, 'take more than none of it') }) satisfies z.ZodType<Part>
/** What was taken names what it was for, with figures and signs of its own. */
const takenName = z.string().min(1).max(500)
export const taken = z.object({ id: takenName, for: id, parts: z.array(part).max(60) }) satisfies z.ZodType<Taken>

export const MOST_STORED = 6000
export const MOST_TAKEN = 6000
const shelf = <One extends z.ZodType>(one: One) =>
  z.array(one).max(MOST_STORED, `these are more than ${MOST_STORED} of a kind, the most that the stores hold; take out what is used up`).default([])

export const stores = z
  .object({
    format: z.literal('lemmata-stores'),
    version: z.literal(1),
    currency: z.string().regex(/^[A-Z]{3}$/, 'write the currency in three letters, as EUR'),
    threads: shelf(storedThread),
    needles: shelf(storedNeedle),
    cloths: shelf(storedCloth),
    hoops: shelf(storedHoop),
    tools: shelf(storedTool),
    taken: z.array(taken).max(MOST_TAKEN, `more than ${MOST_TAKEN} things are taken and not handed out; say under Kit which kits are handed out`).default([]),
  })
  .superRefine((all, context) => {
    for (const name of [...SHELF_NAMES, 'taken'] as const) {
      const seen = new Set<string>()
      for (const [index, one] of all[name].entries()) {
        if (seen.has(one.id)) context.addIssue({ code: 'custom', path: [name, index, 'id'], message: `"${one.id}" stands twice; give each an id of its own` })
        seen.add(one.id)
      }
    }
  }) satisfies z.ZodType<Stores>
