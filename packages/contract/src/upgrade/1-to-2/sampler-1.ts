/** The sampler document as version 1 was: geometry inside exercises, one thread for an exercise, learners in the file. It does not change any more. */
import { CLOTH_KIND_IDS, NEEDLE_FAMILY_IDS, THREAD_KIND_IDS } from '@lemmata/core/materials'
import type { WaysOfWorking } from '@lemmata/core/sampler'
import { USUAL_WAYS, waysFor } from '@lemmata/core/sampler'
import { z } from 'zod'
import { colour, coordinateMm, id, isoDate, lengthMm, longText, oneOf, pair, pathData, shortText } from '../../documents/primitives.ts'
import { stitchDocument } from '../../documents/stitch.ts'

const ways = {
  threadStart: z.enum(['away-knot', 'knot-behind', 'caught-tail']),
  threadEnd: z.enum(['woven-under', 'loop-knots']),
  needlefulMm: z.number().min(200).max(1200),
  split: z.enum(['from-below', 'from-above']),
  satin: z.enum(['wrapped', 'turned']),
  satinOutline: z.enum(['before', 'after', 'none']),
  stemThread: z.enum(['right', 'left']),
  fillThenOutline: z.boolean(),
  needle: z.enum(['fine', 'usual', 'generous']),
  handling: z.enum(['stab', 'sew']),
}
/** Choices overruled in one exercise: only what is given, without the usual values filled in. */
const overruledWays = z.object(ways).partial()
/** The brief's choices, complete: whatever a file leaves out is the usual way. */
const waysOfWorking = overruledWays.transform((given): WaysOfWorking => waysFor({ waysOfWorking: USUAL_WAYS }, given))

const weight = z.number().min(0).max(5).optional()
const wishes = z.object({ evenness: weight, novelty: weight, return: weight, variety: weight, minutes: weight })
const factor = z.number().min(0.25).max(4).optional()
const hardFor = z.object({
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

const brief = z.object({
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
})

const cloth = z.object({
  kind: oneOf(CLOTH_KIND_IDS, 'cloth'),
  threadsPerCm: z.number().min(1).max(80).nullable().optional(),
  thicknessMm: z.number().min(0.02).max(10).optional(),
  colour,
  widthMm: z.number().min(20).max(3000),
  heightMm: z.number().min(20).max(3000),
})

const hoop = z.object({ shape: z.literal('round'), nominalMm: lengthMm, insideMm: lengthMm, at: pair })
const thread = z.object({ id, kind: oneOf(THREAD_KIND_IDS, 'kind of thread'), weight: z.string().max(10).optional(), colour })

const guide = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('line'), path: pathData }),
  z.object({ kind: z.literal('band'), path: pathData.optional(), widthMm: lengthMm.optional(), rails: z.array(pathData).length(2).optional() }),
  z.object({
    kind: z.literal('shape'),
    path: pathData,
    directions: z.array(pathData).max(20).optional(),
    vein: pathData.optional(),
    holes: z.array(pathData).max(20).optional(),
  }),
  z.object({ kind: z.literal('spot'), at: pair, turnRad: z.number().min(-100).max(100).optional() }),
  z.object({ kind: z.literal('spots'), at: z.array(pair).max(2000), turnRad: z.number().min(-100).max(100).optional() }),
  z.object({ kind: z.literal('ring'), at: pair, radiusMm: lengthMm }),
  z.object({
    kind: z.literal('square'),
    at: pair,
    sideMm: lengthMm,
    turnRad: z.number().min(-100).max(100).optional(),
    repeat: z.number().int().min(1).max(500).optional(),
  }),
  z.object({ kind: z.literal('grid'), at: pair, columns: z.number().int().min(1).max(500), rows: z.number().int().min(1).max(500), cellMm: lengthMm }),
  z.object({ kind: z.literal('pins'), base: pair, pins: z.array(pair).min(1).max(50) }),
])

const needleChoice = z.object({ kind: oneOf(NEEDLE_FAMILY_IDS, 'kind of needle'), size: z.number().int().min(1).max(30) })

const exercise = z.object({
  id,
  name: shortText,
  stitch: id,
  guide,
  parameters: z.record(z.string().max(20), coordinateMm).optional(),
  variant: z.string().max(40).optional(),
  marks: z.enum(['every-hole', 'every-nth', 'guide-only', 'ends-only', 'none']).optional(),
  nth: z.number().int().min(1).max(100).optional(),
  layer: z.enum(['trace', 'look', 'frame']).optional(),
  thread: id.optional(),
  strands: z.number().int().min(1).max(12).optional(),
  needle: needleChoice.optional(),
  secondThread: id.optional(),
  secondStrands: z.number().int().min(1).max(12).optional(),
  secondNeedle: needleChoice.optional(),
  substitutes: z
    .array(
      z.object({
        stitch: id,
        parameters: z.record(z.string().max(20), coordinateMm).optional(),
        thread: id.optional(),
        strands: z.number().int().min(1).max(12).optional(),
        needle: needleChoice.optional(),
      }),
    )
    .max(12)
    .optional(),
  asShown: z.object({ strands: z.number().int().min(1).max(12).optional(), pitchMm: lengthMm.optional(), colour: colour.optional() }).optional(),
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
  after: z.array(id).max(100).optional(),
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
})

const lesson = z.object({ id, title: shortText, exercises: z.array(id).max(100) })
const keptOrder = z.object({ id, name: shortText, exercises: z.array(id).max(500), lessons: z.array(z.array(id).max(100)).max(200) })

const learnerVersion = z.object({
  id,
  name: shortText,
  hand: z.enum(['left', 'right']).optional(),
  settled: z.boolean().optional(),
  choices: z.record(
    id,
    z.object({
      stitch: id.optional(),
      thread: id.optional(),
      strands: z.number().int().min(1).max(12).optional(),
      parameters: z.record(z.string().max(20), coordinateMm).optional(),
      marks: exercise.shape.marks,
    }),
  ),
})

/** At most so many exercises in one sampler: four times the largest course that teachers describe. */
const MOST_EXERCISES = 160

export const samplerVersion1 = z
  .object({
    format: z.literal('lemmata-sampler'),
    version: z.literal(1),
    name: shortText,
    units: z.enum(['mm', 'in']).default('mm'),
    brief: brief.prefault({}),
    cloth,
    workingHoop: hoop.optional(),
    displayHoop: hoop.optional(),
    threads: z.array(thread).max(200).default([]),
    exercises: z.array(exercise).max(MOST_EXERCISES),
    lessons: z.array(lesson).max(200).default([]),
    keptOrders: z.array(keptOrder).max(50).optional(),
    learnerVersions: z.array(learnerVersion).max(60).optional(),
    stitches: z.array(stitchDocument).max(100).default([]),
  })
  .superRefine((document, context) => {
    const seen = new Set<string>()
    for (const [index, one] of document.exercises.entries()) {
      if (seen.has(one.id))
        context.addIssue({ code: 'custom', path: ['exercises', index, 'id'], message: `two exercises are called "${one.id}"; give each an id of its own` })
      seen.add(one.id)
    }
  })

export type SamplerVersion1 = z.output<typeof samplerVersion1>
export type ExerciseVersion1 = SamplerVersion1['exercises'][number]
