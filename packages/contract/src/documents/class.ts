/** A class: the people who work a sampler, and what each has chosen. */
import type { ClassDocument, Learner, LearnerChoice } from '@lemmata/core/classes'
import { z } from 'zod'
import { markStyle, parameters, strandCount } from './exercise.ts'
import { id, recordOf, shortText } from './primitives.ts'

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

export const classDocument = z
  .object({
    format: z.literal('lemmata-class'),
    version: z.literal(1),
    name: shortText,
    sampler: z.uuid().optional(),
    learners: z.array(learner).max(MOST_LEARNERS, `these are more than ${MOST_LEARNERS} learners, the most that one class holds; divide it`).default([]),
  })
  .superRefine(({ learners }, context) => {
    for (const [index, one] of learners.entries())
      if (learners.findIndex((other) => other.id === one.id) < index)
        context.addIssue({ code: 'custom', path: ['learners', index, 'id'], message: `"${one.id}" stands twice; give each learner an id of their own` })
  }) satisfies z.ZodType<ClassDocument>
