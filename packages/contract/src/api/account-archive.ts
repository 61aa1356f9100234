/** Everything of an account as one file: what goes out, and what of it is taken back in. */
import { z } from 'zod'
import { id, shortText } from '../documents/primitives.ts'
import { markedEvent } from './learning.ts'
import { rulerCheck } from './measuring.ts'

const when = z.iso.datetime()
/** A picture of 1800 pixels is a tenth of this. */
const webp = z.base64().max(4_000_000)
/** Documents are read one by one, so that one that cannot be read does not keep the others out. */
const document = z.unknown()

export const accountArchive = z.object({
  format: z.literal('lemmata-account'),
  version: z.literal(1),
  samplers: z
    .array(
      z.object({
        ...{ id: z.uuid(), deletedAt: when.nullable(), document },
        versions: z.array(z.object({ name: shortText, createdAt: when, document })).max(400),
      }),
    )
    .max(1000),
  classes: z
    .array(
      z.object({
        ...{ id: z.uuid(), sampler: z.uuid(), document },
        events: z.array(z.intersection(markedEvent, z.object({ by: z.enum(['learner', 'teacher']) }))).max(400_000),
        pictures: z.array(z.object({ learner: id, exercise: id, createdAt: when, mayShow: z.boolean().default(false), webp })).max(10_000),
      }),
    )
    .max(2000),
  stitches: z.array(document).max(1000),
  stores: z.unknown(),
  rulerChecks: z.array(rulerCheck).max(1000),
  pictures: z.array(z.object({ id: z.uuid(), width: z.number().int().positive(), height: z.number().int().positive(), webp })).max(1000),
})
export type AccountArchive = z.infer<typeof accountArchive>

/** An archive of so many bytes or more is refused. */
export const MOST_ARCHIVE_BYTES = 60_000_000

export interface BroughtBack {
  readonly samplers: number
  readonly classes: number
  readonly stitches: number
  /** What stayed out, and why, in sentences. */
  readonly leftOut: readonly string[]
}
