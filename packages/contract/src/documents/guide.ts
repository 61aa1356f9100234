/** What is drawn on the cloth: guides of every kind, their copies, their groups. */
import type { Guide } from '@lemmata/core/guide'
import { GUIDE_PARTS } from '@lemmata/core/guide'
import { type Copies, type DrawnGuide, type GuideGroup, MOST_COPIES } from '@lemmata/core/sampler'
import { z } from 'zod'
import { angleRad, coordinateMm, id, lengthMm, pair, pathData, shortText } from './primitives.ts'

const turnRad = angleRad.optional()

/** `at` is the spot itself, the centre of a ring, the middle of the first square, the top left corner of a grid. */
export const guide = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('line'), path: pathData }),
  z.object({ kind: z.literal('band'), path: pathData.optional(), widthMm: lengthMm.optional(), rails: z.array(pathData).length(2).optional() }),
  z.object({
    kind: z.literal('shape'),
    path: pathData,
    directions: z.array(pathData).max(20).optional(),
    vein: pathData.optional(),
    holes: z.array(pathData).max(20).optional(),
  }),
  z.object({ kind: z.literal('spot'), at: pair, turnRad }),
  z.object({ kind: z.literal('spots'), at: z.array(pair).max(2000), turnRad, turnsRad: z.array(angleRad).max(2000).optional() }),
  z.object({ kind: z.literal('ring'), at: pair, radiusMm: lengthMm, turnRad }),
  z.object({ kind: z.literal('square'), at: pair, sideMm: lengthMm, turnRad, repeat: z.number().int().min(1).max(500).optional() }),
  z.object({
    kind: z.literal('grid'),
    at: pair,
    columns: z.number().int().min(1).max(500),
    rows: z.number().int().min(1).max(500),
    cellMm: lengthMm,
    turnRad,
  }),
  z.object({ kind: z.literal('pins'), base: pair, pins: z.array(pair).min(1).max(50) }),
]) satisfies z.ZodType<Guide>

const count = z.number().int().min(1).max(MOST_COPIES)

export const copies = z
  .discriminatedUnion('kind', [
    z.object({ kind: z.literal('round'), centre: pair, count, spanRad: angleRad.optional(), upright: z.boolean().optional() }),
    z.object({ kind: z.literal('along'), path: pathData, count, upright: z.boolean().optional() }),
    z.object({ kind: z.literal('rows'), columns: count, rows: count, stepMm: z.tuple([coordinateMm, coordinateMm]), brick: z.boolean().optional() }),
    z.object({ kind: z.literal('mirror'), line: z.tuple([pair, pair]) }),
  ])
  .refine((given) => given.kind !== 'rows' || given.columns * given.rows <= MOST_COPIES, {
    error: `these are more than ${MOST_COPIES} copies; take fewer columns or rows`,
  }) satisfies z.ZodType<Copies>

export const guidePart = z.enum(GUIDE_PARTS)
export const markLayer = z.enum(['trace', 'look', 'frame'])

export const drawnGuide = z.object({
  id,
  name: shortText.optional(),
  layer: markLayer.optional(),
  draft: z.boolean().optional(),
  guide,
  copies: copies.optional(),
}) satisfies z.ZodType<DrawnGuide>

export const guideGroup = z.object({
  id,
  name: shortText.optional(),
  members: z.array(id).max(400),
  copies: copies.optional(),
}) satisfies z.ZodType<GuideGroup>
