/** Operations on a class as they arrive: one schema a kind; the compiler asks for every kind that core knows. */
import type { ClassOperation, SingleClassOperation } from '@lemmata/core/classes'
import { z } from 'zod'
import { calendar, calendarSettings, dayOffReason, learner, learnerChoice, lessonNote, movedLesson } from '../documents/class.ts'
import { id, isoDate, shortText } from '../documents/primitives.ts'

const place = z.number().int().min(0).max(1000)

type SchemaOf<Kind extends SingleClassOperation['kind']> = z.ZodObject & z.ZodType<Extract<SingleClassOperation, { readonly kind: Kind }>>

const SCHEMAS = {
  'add-learner': z.object({ kind: z.literal('add-learner'), learner, at: place }),
  'change-learner': z.object({
    kind: z.literal('change-learner'),
    id,
    set: z.strictObject({ name: shortText, hand: learner.shape.hand, settled: learner.shape.settled }).partial(),
    clear: z.array(z.enum(['hand', 'settled'])).optional(),
  }),
  'change-calendar': z.object({
    kind: z.literal('change-calendar'),
    set: calendarSettings.partial(),
    clear: z.array(z.enum(['minutes', 'homeMinutes', 'releaseDays'])).optional(),
  }),
  'move-date': z.object({ kind: z.literal('move-date'), lesson: id, to: movedLesson.nullable() }),
  'set-calendar': z.object({ kind: z.literal('set-calendar'), calendar: calendar.nullable() }),
  'set-day-off': z.object({ kind: z.literal('set-day-off'), on: isoDate, why: dayOffReason.nullable() }),
  'set-note': z.object({ kind: z.literal('set-note'), id, note: lessonNote.nullable() }),
  choose: z.object({
    kind: z.literal('choose'),
    learner: id,
    exercise: id,
    set: z.strictObject(learnerChoice.shape).partial(),
    clear: z.array(z.enum(['stitch', 'thread', 'strands', 'parameters', 'marks'])).optional(),
  }),
  'remove-learner': z.object({ kind: z.literal('remove-learner'), id }),
  'rename-class': z.object({ kind: z.literal('rename-class'), name: shortText }),
  'set-children': z.object({ kind: z.literal('set-children'), children: z.boolean() }),
} satisfies { readonly [Kind in SingleClassOperation['kind']]: SchemaOf<Kind> }

type Schemas = typeof SCHEMAS
const single = z.discriminatedUnion('kind', Object.values(SCHEMAS) as unknown as [Schemas[keyof Schemas], ...Schemas[keyof Schemas][]])

export const classOperation = z.union([
  single,
  z.object({ kind: z.literal('batch'), operations: z.array(single).min(1).max(500) }),
]) as z.ZodType<ClassOperation>
