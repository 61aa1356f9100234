/** Operations on a sampler as they arrive: one schema a kind; the compiler asks for every kind that core knows. */
import type { Operation, SingleOperation } from '@lemmata/core/sampler'
import { z } from 'zod'
import { brief, hardFor, overruledWays, wishes } from '../documents/brief.ts'
import { exercise, material } from '../documents/exercise.ts'
import { drawnGuide, guideGroup } from '../documents/guide.ts'
import { id, shortText } from '../documents/primitives.ts'
import { cloth, displayHoop, hoop, keptOrder, lesson, sampler, thread, underlay } from '../documents/sampler.ts'
import { stitchDocument, threadRole } from '../documents/stitch.ts'

const place = z.number().int().min(0).max(1000)
/** Fields that may be set, each by itself; unknown ones are refused rather than dropped. */
const partial = <Shape extends z.ZodRawShape>(of: z.ZodObject<Shape>) => z.strictObject(of.shape).partial()
const keysOf = <Key extends string>(...keys: readonly [Key, ...Key[]]) => z.array(z.enum(keys)).max(40).optional()

const briefChange = z.strictObject({
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
  marking: brief.shape.marking,
  cutting: brief.shape.cutting,
  language: brief.shape.language,
  unpicked: brief.shape.unpicked,
  waysOfWorking: overruledWays.optional(),
  wishes: wishes.optional(),
  hardFor: hardFor.optional(),
})

type SchemaOf<Kind extends SingleOperation['kind']> = z.ZodObject & z.ZodType<Extract<SingleOperation, { readonly kind: Kind }>>

const SCHEMAS = {
  'add-exercise': z.object({ kind: z.literal('add-exercise'), exercise, at: place, taught: z.object({ lesson: id, at: place }).optional() }),
  'add-group': z.object({ kind: z.literal('add-group'), group: guideGroup, at: place }),
  'add-guide': z.object({ kind: z.literal('add-guide'), guide: drawnGuide, at: place }),
  'add-lesson': z.object({ kind: z.literal('add-lesson'), lesson: lesson.pick({ id: true, title: true }), at: place }),
  'add-thread': z.object({ kind: z.literal('add-thread'), thread, at: place }),
  'arrange-lessons': z.object({ kind: z.literal('arrange-lessons'), lessons: z.array(lesson).max(200) }),
  assign: z.object({ kind: z.literal('assign'), id, role: threadRole, set: partial(material), clear: keysOf('thread', 'strands', 'needle', 'shades') }),
  'change-brief': z.object({
    kind: z.literal('change-brief'),
    set: briefChange,
    clear: keysOf('startDate', 'everyDays', 'skipDates', 'purpose', 'wishes', 'hardFor', 'lessons', 'marking', 'cutting', 'language', 'unpicked'),
  }),
  'change-cloth': z.object({ kind: z.literal('change-cloth'), set: partial(cloth), clear: keysOf('threadsPerCm', 'thicknessMm') }),
  'change-exercise': z.object({
    kind: z.literal('change-exercise'),
    id,
    set: partial(exercise.omit({ id: true, materials: true, parameters: true })),
    clear: keysOf(
      'variant',
      'marks',
      'nth',
      'pieces',
      'substitutes',
      'asShown',
      'pins',
      'homePercent',
      'free',
      'hold',
      'toleranceMm',
      'waysOfWorking',
      'over',
      'note',
      'trials',
      'setAside',
      'learned',
    ),
  }),
  'change-group': z.object({ kind: z.literal('change-group'), id, set: partial(guideGroup.omit({ id: true })), clear: keysOf('name', 'copies') }),
  'change-guide': z.object({
    kind: z.literal('change-guide'),
    id,
    set: partial(drawnGuide.omit({ id: true })),
    clear: keysOf('name', 'layer', 'draft', 'copies'),
  }),
  'change-thread': z.object({ kind: z.literal('change-thread'), id, set: partial(thread.omit({ id: true })), clear: keysOf('weight', 'figures') }),
  'drop-order': z.object({ kind: z.literal('drop-order'), id }),
  'keep-order': z.object({ kind: z.literal('keep-order'), order: keptOrder, at: place }),
  'move-exercise': z.object({ kind: z.literal('move-exercise'), id, to: z.object({ lesson: id, at: place }).nullable() }),
  'put-back': z.object({ kind: z.literal('put-back'), document: sampler }),
  'put-stitch': z.object({ kind: z.literal('put-stitch'), stitch: stitchDocument, at: place.optional() }),
  'remove-exercise': z.object({ kind: z.literal('remove-exercise'), id }),
  'remove-group': z.object({ kind: z.literal('remove-group'), id }),
  'remove-guide': z.object({ kind: z.literal('remove-guide'), id }),
  'remove-lesson': z.object({ kind: z.literal('remove-lesson'), id }),
  'remove-stitch': z.object({ kind: z.literal('remove-stitch'), id, namesStay: z.literal(true).optional() }),
  'remove-thread': z.object({ kind: z.literal('remove-thread'), id }),
  rename: z.object({ kind: z.literal('rename'), name: shortText }),
  'rename-lesson': z.object({ kind: z.literal('rename-lesson'), id, title: shortText }),
  'set-display-hoop': z.object({ kind: z.literal('set-display-hoop'), hoop: displayHoop.nullable() }),
  'set-hoop': z.object({ kind: z.literal('set-hoop'), hoop: hoop.nullable() }),
  'set-parameters': z.object({
    kind: z.literal('set-parameters'),
    id,
    set: z.record(z.string().max(20), z.number().min(-10_000).max(10_000)),
    clear: z.array(z.string().max(20)).max(40).optional(),
  }),
  'set-underlay': z.object({ kind: z.literal('set-underlay'), underlay: underlay.nullable() }),
  'set-units': z.object({ kind: z.literal('set-units'), units: z.enum(['mm', 'in']) }),
  'transform-guides': z.object({
    kind: z.literal('transform-guides'),
    ids: z.array(id).min(1).max(800),
    matrix: z.tuple([z.number(), z.number(), z.number(), z.number(), z.number(), z.number()]),
  }),
} satisfies { readonly [Kind in SingleOperation['kind']]: SchemaOf<Kind> }

type Schemas = typeof SCHEMAS
const single = z.discriminatedUnion('kind', Object.values(SCHEMAS) as unknown as [Schemas[keyof Schemas], ...Schemas[keyof Schemas][]])

/** More than a person does in one step. */
export const MOST_IN_A_BATCH = 500

/** Batches within batches are undo steps of undo steps; nothing nests deeper. */
const batchOf = <Inner extends z.ZodType>(inner: Inner) => z.object({ kind: z.literal('batch'), operations: z.array(inner).min(1).max(MOST_IN_A_BATCH) })
const within = z.union([single, batchOf(z.union([single, batchOf(z.union([single, batchOf(single)]))]))])

export const operation = within as z.ZodType<Operation>
