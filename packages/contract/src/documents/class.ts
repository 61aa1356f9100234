/** A class: the people who work a sampler, and what each has chosen. */
import type { ClassCalendar, ClassDocument, Learner, LearnerChoice, LessonNote, MovedLesson, Rhythm } from '@lemmata/core/classes'
import { z } from 'zod'
import { markStyle, parameters, strandCount } from './exercise.ts'
import { id, isoDate, recordOf, shortText } from './primitives.ts'

export const learnerChoice = z.object({
  stitch: id.optional(),
  thread: id.optional(),
  strands: strandCount.optional(),
  parameters: parameters.optional(),
  marks: markStyle.optional(),
}) satisfies z.ZodType<LearnerChoice>

export const learner = z.object({
  id,
  name: shortText,
  hand: z.enum(['left', 'right']).optional(),
  settled: z.boolean().optional(),
  choices: recordOf(id, learnerChoice).prefault({}),
}) satisfies z.ZodType<Learner>

/** Nobody teaches more at once. */
export const MOST_LEARNERS = 120

const time = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'write a time as 18:30')
/** As the machine knows zones: what it cannot read is no zone. */
const zone = z
  .string()
  .max(60)
  .refine((given) => isZone(given), 'this time zone is not known; write one as Europe/Oslo')
const days = z.array(isoDate).max(400)
export const rhythm = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('every'), days: z.number().int().min(1).max(366) }),
  z.object({ kind: z.literal('monthly') }),
  z.object({ kind: z.literal('weekdays'), days: z.array(z.number().int().min(1).max(7)).min(1).max(7) }),
  z.object({ kind: z.literal('chosen'), on: days }),
]) satisfies z.ZodType<Rhythm>
export const movedLesson = z.object({ on: isoDate, follow: z.boolean() }) satisfies z.ZodType<MovedLesson>
export const dayOffReason = z.string().trim().max(120)
export const calendarSettings = z.object({
  start: isoDate,
  rhythm,
  begins: time,
  zone,
  minutes: z.number().int().min(10).max(600).optional(),
  homeMinutes: z.number().int().min(0).max(3000).optional(),
  releaseDays: z.number().int().min(0).max(60).optional(),
  catchUp: days,
  twice: z.array(id).max(200),
})
export const calendar = calendarSettings.extend({
  off: recordOf(z.string(), dayOffReason).refine(
    (given) => Object.keys(given).length <= 400 && Object.keys(given).every((on) => isoDate.safeParse(on).success),
    {
      error: 'write days off as 2027-01-14, at most 400 of them',
    },
  ),
  moved: recordOf(id, movedLesson),
}) satisfies z.ZodType<ClassCalendar>

function isZone(given: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: given })
    return true
  } catch {
    return false
  }
}

const longNote = z.string().trim().max(1000)
const noted = z.string().trim().min(1).max(400)
export const lessonNote = z.discriminatedUnion('kind', [
  z.object({
    ...{ kind: z.literal('question'), lesson: id, on: isoDate, asked: noted, answer: longNote },
    ...{ exercise: id.optional(), of: z.array(z.uuid()).max(200).optional(), shared: z.boolean().optional() },
  }),
  z.object({ kind: z.literal('tip'), lesson: id, on: isoDate, tip: longNote.min(1), exercise: id.optional() }),
  z.object({ kind: z.literal('record'), lesson: id, on: isoDate, done: longNote, change: longNote }),
  z.object({
    ...{ kind: z.literal('vote'), lesson: id, on: isoDate, about: noted },
    ways: z
      .array(z.object({ name: z.string().trim().min(1).max(120), votes: z.number().int().min(0).max(1000) }))
      .min(2)
      .max(6),
  }),
]) satisfies z.ZodType<LessonNote>
/** Of a course taught many times over. */
const MOST_NOTES = 2000

export const classDocument = z
  .object({
    format: z.literal('lemmata-class'),
    version: z.literal(1),
    name: shortText,
    sampler: z.uuid().optional(),
    learners: z.array(learner).max(MOST_LEARNERS, `these are more than ${MOST_LEARNERS} learners, the most that one class holds; divide it`).default([]),
    children: z.boolean().optional(),
    calendar: calendar.optional(),
    notes: recordOf(id, lessonNote)
      .refine((given) => Object.keys(given).length <= MOST_NOTES, { error: `a class keeps at most ${MOST_NOTES} notes` })
      .optional(),
  })
  .superRefine(({ learners }, context) => {
    for (const [index, one] of learners.entries())
      if (learners.findIndex((other) => other.id === one.id) < index)
        context.addIssue({ code: 'custom', path: ['learners', index, 'id'], message: `"${one.id}" stands twice; give each learner an id of their own` })
  }) satisfies z.ZodType<ClassDocument>
