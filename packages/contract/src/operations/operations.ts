/** Operations as they arrive: checked in shape here, in sense by the reducer, and their result by the document's schema. */
import { error, failure, type Result, success } from '@lemmata/core/base'
import { applyOperation, type Operation, type Sampler } from '@lemmata/core/sampler'
import { z } from 'zod'
import { problemsOf } from '../documents/read.ts'
import {
  brief,
  cloth,
  exercise,
  hardFor,
  hoop,
  keptOrder,
  learnerVersion,
  lesson,
  overruledWays,
  sampler as samplerSchema,
  thread,
  wishes,
} from '../documents/sampler.ts'
import { stitchDocument } from '../documents/stitch.ts'
import { id, shortText } from '../documents/primitives.ts'

const place = z.number().int().min(0).max(1000)
const exerciseChange = exercise.omit({ id: true }).partial()
const briefChange = z.object({
  level: brief.shape.level.unwrap().optional(),
  learners: brief.shape.learners.unwrap().optional(),
  leftHanded: brief.shape.leftHanded.unwrap().optional(),
  sparePercent: brief.shape.sparePercent.unwrap().optional(),
  lessonMinutes: brief.shape.lessonMinutes.unwrap().optional(),
  homeMinutesPerWeek: brief.shape.homeMinutesPerWeek.unwrap().optional(),
  lessons: brief.shape.lessons,
  startDate: brief.shape.startDate,
  everyDays: brief.shape.everyDays,
  skipDates: brief.shape.skipDates,
  purpose: brief.shape.purpose,
  waysOfWorking: overruledWays.optional(),
  wishes: wishes.optional(),
  hardFor: hardFor.optional(),
})
const exerciseKeys = Object.keys(exerciseChange.shape) as [keyof typeof exerciseChange.shape, ...(keyof typeof exerciseChange.shape)[]]
/** What an exercise cannot be without. */
const NEEDED: readonly string[] = ['name', 'stitch', 'guide']

export const operation = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('rename'), name: shortText }),
  z.object({ kind: z.literal('set-units'), units: z.enum(['mm', 'in']) }),
  z.object({
    kind: z.literal('change-brief'),
    set: briefChange,
    clear: z.array(z.enum(['startDate', 'everyDays', 'skipDates', 'purpose', 'wishes', 'hardFor', 'lessons'])).optional(),
  }),
  z.object({ kind: z.literal('set-cloth'), cloth }),
  z.object({ kind: z.literal('set-hoop'), hoop: hoop.nullable() }),
  z.object({ kind: z.literal('put-thread'), thread, at: place }),
  z.object({ kind: z.literal('remove-thread'), id }),
  z.object({ kind: z.literal('add-exercise'), exercise, at: place }),
  z.object({ kind: z.literal('remove-exercise'), id }),
  z.object({
    kind: z.literal('change-exercise'),
    id,
    set: exerciseChange,
    clear: z.array(z.enum(exerciseKeys).refine((key) => !NEEDED.includes(key), 'an exercise cannot be without it')).optional(),
  }),
  z.object({ kind: z.literal('order-exercises'), ids: z.array(id).max(1000) }),
  z.object({ kind: z.literal('set-lessons'), lessons: z.array(lesson).max(200) }),
  z.object({ kind: z.literal('set-order'), ids: z.array(id).max(500), lessons: z.array(lesson).max(200) }),
  z.object({ kind: z.literal('keep-order'), order: keptOrder, at: z.number().int().min(0).max(50) }),
  z.object({ kind: z.literal('drop-order'), id }),
  z.object({ kind: z.literal('put-version'), version: learnerVersion, at: z.number().int().min(0).max(60) }),
  z.object({ kind: z.literal('drop-version'), id }),
  z.object({ kind: z.literal('put-stitch'), stitch: stitchDocument }),
  z.object({ kind: z.literal('remove-stitch'), id }),
]) satisfies z.ZodType<Operation>

/** Applied one after another; all or nothing. The result is a valid document. */
export function applyOperations(document: Sampler, operations: readonly Operation[]): Result<Sampler> {
  let next = document
  for (const one of operations) {
    const applied = applyOperation(next, one)
    if (!applied.ok) return applied
    next = applied.value
  }
  const checked = samplerSchema.safeParse(next)
  if (checked.success) return success(checked.data)
  const problems = problemsOf(checked.error)
  return failure(...(problems.length > 0 ? problems : [error('operation.wrong', [], 'This change would leave the sampler unreadable.')]))
}
