/** Operations on the stores as they arrive: one schema a kind; the compiler asks for every kind that core knows. */
import type { SingleStoresOperation, StoresOperation } from '@lemmata/core/stores'
import { z } from 'zod'
import { id } from '../documents/primitives.ts'
import { amount, anyStored, MOST_TAKEN, shelfName, STORED, stores, taken } from '../documents/stores.ts'

const place = z.number().int().min(0).max(10_000)
const put = z.literal('put-stored')

type SchemaOf<Kind extends SingleStoresOperation['kind']> = z.ZodType<Extract<SingleStoresOperation, { readonly kind: Kind }>>

const SCHEMAS = {
  'put-stored': z.discriminatedUnion('shelf', [
    z.object({ kind: put, shelf: z.literal('threads'), item: STORED.threads, at: place }),
    z.object({ kind: put, shelf: z.literal('needles'), item: STORED.needles, at: place }),
    z.object({ kind: put, shelf: z.literal('cloths'), item: STORED.cloths, at: place }),
    z.object({ kind: put, shelf: z.literal('hoops'), item: STORED.hoops, at: place }),
    z.object({ kind: put, shelf: z.literal('tools'), item: STORED.tools, at: place }),
  ]),
  'change-stored': z.object({
    kind: z.literal('change-stored'),
    shelf: shelfName,
    id,
    set: anyStored.partial(),
    clear: z.array(z.enum(['price', 'note', 'weight', 'threadsPerCm', 'shaftMm', 'figures'])).optional(),
  }),
  'remove-stored': z.object({ kind: z.literal('remove-stored'), shelf: shelfName, id }),
  restock: z.object({ kind: z.literal('restock'), shelf: shelfName, id, amount }),
  take: z.object({ kind: z.literal('take'), taken }),
  'give-back': z.object({ kind: z.literal('give-back'), id: taken.shape.id }),
  'restore-taken': z.object({ kind: z.literal('restore-taken'), taken, at: place }),
  'close-taken': z.object({ kind: z.literal('close-taken'), for: id }),
  'reopen-taken': z.object({ kind: z.literal('reopen-taken'), for: id, taken: z.array(taken).max(MOST_TAKEN) }),
  'set-currency': z.object({ kind: z.literal('set-currency'), currency: stores.shape.currency }),
} satisfies { readonly [Kind in SingleStoresOperation['kind']]: SchemaOf<Kind> }

type Schemas = typeof SCHEMAS
const single = z.discriminatedUnion('kind', Object.values(SCHEMAS) as unknown as [Schemas[keyof Schemas], ...Schemas[keyof Schemas][]])

/** A table brought in is one batch: all of it, or nothing. */
export const storesOperation = z.union([
  single,
  z.object({ kind: z.literal('batch'), operations: z.array(single).min(1).max(6000) }),
]) as z.ZodType<StoresOperation>
