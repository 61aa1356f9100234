/** What a course is for, and how its teacher works. */
import type { WaysOfWorking } from '@lemmata/core/sampler'
import { MARK_METHOD_IDS } from '@lemmata/core/marking'
import { USUAL_WAYS, waysFor } from '@lemmata/core/sampler'
import { z } from 'zod'
import { id, isoDate, longText } from './primitives.ts'

const ways = {
  threadStart: z.enum(['away-knot', 'knot-behind', 'caught-tail']),
  threadEnd: z.enum(['woven-under', 'loop-knots']),
  needlefulMm: z.number().min(200).max(1200),
  split: z.enum(['from-below', 'from-above']),
  satin: z.enum(['wrapped', 'turned']),
  satinOutline: z.enum(['before', 'after', 'none']),
  stemThread: z.enum(['right', 'left']),
  fillThenOutline: z.boolean(),
  needle: z.enum(['fine', 'usual', 'generous', 'one']),
  handling: z.enum(['stab', 'sew']),
}
/** Choices overruled in one exercise: only what is given, without the usual values filled in. */
export const overruledWays = z.object(ways).partial()
/** The brief's choices, complete: whatever a file leaves out is the usual way. */
export const waysOfWorking = overruledWays.transform((given): WaysOfWorking => waysFor({ waysOfWorking: USUAL_WAYS }, given))

const weight = z.number().min(0).max(5).optional()
export const wishes = z.object({ evenness: weight, novelty: weight, return: weight, variety: weight, minutes: weight })
const factor = z.number().min(0.25).max(4).optional()
export const hardFor = z.object({
  loops: factor,
  knots: factor,
  surface: factor,
  edges: factor,
  placing: factor,
  laying: factor,
  counting: factor,
  sequence: factor,
  small: factor,
  unmarked: factor,
})

export const marking = z.object({
  method: z.enum(MARK_METHOD_IDS).optional(),
  washable: z.boolean().optional(),
  ironed: z.boolean().optional(),
  cold: z.boolean().optional(),
  tests: z
    .array(z.object({ id, on: isoDate, method: z.enum(MARK_METHOD_IDS), result: z.enum(['gone', 'faint', 'stays', 'came-back']), note: longText.optional() }))
    .max(100)
    .optional(),
})

export const cutting = z.object({
  boltMm: z.number().min(100).max(5000).optional(),
  washed: z.enum(['before-cutting', 'after-cutting', 'not']).optional(),
})

export const brief = z.object({
  level: z.enum(['beginner', 'improver', 'experienced']).default('beginner'),
  learners: z.number().int().min(0).max(500).default(8),
  leftHanded: z.number().int().min(0).max(500).default(0),
  sparePercent: z.number().min(0).max(100).default(10),
  lessonMinutes: z.number().min(5).max(600).default(90),
  lessons: z.number().int().min(1).max(200).optional(),
  homeMinutesPerWeek: z.number().min(0).max(3000).default(45),
  startDate: isoDate.optional(),
  everyDays: z.number().int().min(1).max(90).optional(),
  skipDates: z.array(isoDate).max(200).optional(),
  purpose: longText.optional(),
  waysOfWorking: waysOfWorking.prefault({}),
  wishes: wishes.optional(),
  hardFor: hardFor.optional(),
  marking: marking.optional(),
  cutting: cutting.optional(),
  language: z.enum(['en', 'de']).optional(),
  unpicked: z.object({ share: z.number().min(0).max(2), learners: z.number().int().min(1).max(100_000), on: isoDate }).optional(),
})
