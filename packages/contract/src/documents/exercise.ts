/** An exercise: a stitch worked on one or several guides, with a thread, strands and needle for each of its threads. */
import { NEEDLE_FAMILY_IDS } from '@lemmata/core/materials'
import type { Exercise, Material, Substitute } from '@lemmata/core/sampler'
import { z } from 'zod'
import { overruledWays } from './brief.ts'
import { guidePart } from './guide.ts'
import { colour, coordinateMm, id, isoDate, lengthMm, longText, oneOf, recordOf, shortText } from './primitives.ts'
import { threadRole } from './stitch.ts'

export const needleChoice = z.object({
  kind: oneOf(NEEDLE_FAMILY_IDS, 'kind of needle'),
  size: z.number().int().min(1).max(30),
  shaftMm: z.number().min(0.1).max(5).optional(),
})
export const markStyle = z.enum(['every-hole', 'every-nth', 'guide-only', 'ends-only', 'in-order', 'none'])
export const strandCount = z.number().int().min(1).max(12)
export const parameters = recordOf(z.string().max(20), coordinateMm)

export const material = z.object({
  thread: id.optional(),
  strands: strandCount.optional(),
  needle: needleChoice.optional(),
  shades: z.array(id).min(1).max(12).optional(),
}) satisfies z.ZodType<Material>
export const materials = recordOf(threadRole, material)

export const substitute = z.object({ stitch: id, parameters: parameters.optional(), materials: materials.optional() }) satisfies z.ZodType<Substitute>

const pieceChange = z.object({ materials: materials.optional(), parameters: parameters.optional(), lengthShare: z.number().min(0.1).max(5).optional() })
const pieceIdText = z
  .string()
  .max(70)
  .regex(/^[\w.-]+\/\d+$/, 'name a piece by its guide and the number of its copy, as "g2/3"')

export const exercise = z.object({
  id,
  name: shortText,
  stitch: id,
  on: z.array(z.object({ guide: id, part: guidePart.optional() })).max(200),
  parameters: parameters.optional(),
  variant: z.string().max(40).optional(),
  marks: markStyle.optional(),
  nth: z.number().int().min(1).max(100).optional(),
  materials: materials.optional(),
  pieces: recordOf(pieceIdText, pieceChange).optional(),
  substitutes: z.array(substitute).max(12).optional(),
  asShown: z.object({ strands: strandCount.optional(), pitchMm: lengthMm.optional(), colour: colour.optional() }).optional(),
  pins: z
    .object({
      excluded: z.boolean().optional(),
      lesson: id.optional(),
      first: z.boolean().optional(),
      last: z.boolean().optional(),
      before: z.array(id).max(100).optional(),
      after: z.array(id).max(100).optional(),
      together: z.array(id).max(100).optional(),
    })
    .optional(),
  homePercent: z.number().min(0).max(90).optional(),
  free: z
    .array(z.enum(['colour', 'strands', 'length', 'marks']))
    .max(4)
    .optional(),
  hold: z.enum(['tight', 'easy', 'free']).optional(),
  toleranceMm: z.number().min(0.01).max(20).optional(),
  waysOfWorking: overruledWays.optional(),
  over: z.array(id).max(100).optional(),
  note: longText.optional(),
  trials: z
    .array(
      z.object({
        id,
        on: isoDate,
        setting: shortText,
        result: longText,
        verdict: z.enum(['keep', 'change', 'drop']),
        votes: z.number().int().min(0).max(10_000).optional(),
      }),
    )
    .max(60)
    .optional(),
  setAside: z.array(shortText).max(40).optional(),
  learned: z.object({ stitch: id, times: z.number().min(0.2).max(5), learners: z.number().int().min(1).max(100_000), on: isoDate }).optional(),
}) satisfies z.ZodType<Exercise>
