/** The stitch document: where the needle goes and what the thread does on the way. */
import { GUIDE_KINDS } from '@lemmata/core/guide'
import { kindOfMove, type Move, MOVE_KINDS, type MoveByKind, type MoveKind, type Pass, type PointForm, type StitchDocument } from '@lemmata/core/notation'
import { z } from 'zod'
import { id, longText, shortText } from './primitives.ts'

const expression = z.union([z.number(), z.string().min(1).max(200)])

const pointForm: z.ZodType<PointForm> = z.lazy(() =>
  z.union([
    z.tuple([expression, expression]),
    z.string().min(1).max(20),
    z.strictObject({ cross: z.tuple([z.string().min(1).max(60), z.string().min(1).max(60)]) }),
    z.strictObject({ edge: z.enum(['left', 'right']), lean: expression }),
    z.strictObject({
      from: pointForm,
      to: pointForm,
      at: expression.optional(),
      mm: expression.optional(),
      by: z.tuple([expression, expression]).optional(),
    }),
  ]),
)

const label = z.string().regex(/^[A-Za-z]\w{0,19}$/, 'a label is a word of letters and digits')
const common = {
  as: label.optional(),
  when: z.enum(['first', 'last', 'not-first', 'not-last', 'even', 'odd', 'first-row', 'later-row']).optional(),
  only: z.array(z.number().int().min(0)).max(200).optional(),
  except: z.array(z.number().int().min(0)).max(200).optional(),
  if: expression.optional(),
}

const reference = z.string().min(1).max(60)
const references = z.array(reference).min(1).max(12)
const pass = {
  from: z.enum(['left', 'right', 'ahead', 'behind', 'near']).optional(),
  at: expression.optional(),
  round: z.literal('inside').optional(),
  bight: expression.optional(),
  ...common,
}

/** One schema a kind of move; complete for the compiler. */
const moves: { readonly [Kind in MoveKind]: z.ZodType<MoveByKind[Kind]> } = {
  up: z.strictObject({
    up: pointForm,
    round: z.enum(['inside', 'cross', 'left', 'right']).optional(),
    split: reference.optional(),
    half: z.boolean().optional(),
    wraps: expression.optional(),
    and: pointForm.optional(),
    ...common,
  }),
  down: z.strictObject({
    down: pointForm,
    loose: z.boolean().optional(),
    wraps: expression.optional(),
    split: reference.optional(),
    plunge: z.boolean().optional(),
    ...common,
  }),
  by: z.strictObject({ by: pointForm, ...common }),
  wrap: z.strictObject({ wrap: expression, turn: z.literal('eight').optional(), ...common }),
  cast: z.strictObject({ cast: expression, free: expression.optional(), sides: z.literal('both').optional(), ...common }),
  lay: z.strictObject({ lay: z.tuple([expression, expression]), aside: expression.optional(), ...common }),
  hold: z.strictObject({ hold: z.literal(true), ...common }),
  take: z.strictObject({ take: z.lazy(() => threadRole), ...common }),
  drawn: z.strictObject({ drawn: references, by: z.tuple([expression, expression]), at: expression.optional(), ...common }),
  pin: z.strictObject({ pin: pointForm, ...common }),
  bead: z.strictObject({ bead: expression, ...common }),
  pad: z.strictObject({ pad: expression, felt: expression.optional(), ...common }),
  cut: z.strictObject({ cut: pointForm, size: expression, ...common }),
  withdraw: z.strictObject({ withdraw: z.tuple([expression, expression]), ...common }),
  bundle: z.strictObject({ bundle: z.tuple([expression, expression]), at: expression, ...common }),
  each: z.strictObject({
    each: z.strictObject({
      along: z.union([reference, z.strictObject({ from: pointForm, to: pointForm })]),
      every: expression,
      offset: expression.optional(),
      from: pointForm.optional(),
      back: z.boolean().optional(),
    }),
    moves: z.lazy(() => z.array(move).min(1).max(12)),
    ...common,
  }),
  under: z.strictObject({ under: references, ...pass }),
  over: z.strictObject({ over: references, ...pass }),
  round: z.strictObject({ round: pointForm, to: pointForm, ...common }),
}

/** Chosen by its first word, so that a wrong move is told what is wrong with it rather than with all the others. */
const move: z.ZodType<Move> = z.unknown().transform((given, context): Move => {
  const kind = given !== null && typeof given === 'object' ? kindOfMove(given) : null
  if (kind === null) {
    context.addIssue({ code: 'custom', message: `a move is one of ${MOVE_KINDS.join(', ')}; this is ${JSON.stringify(given)?.slice(0, 60)}` })
    return z.NEVER
  }
  const parsed = moves[kind].safeParse(given)
  if (parsed.success) return parsed.data
  for (const issue of parsed.error.issues) context.addIssue({ code: 'custom', message: issue.message, path: [...issue.path] })
  return z.NEVER
})

const moveList = z.array(move).min(1).max(60)
const parameter = z.union([
  expression,
  z.strictObject({
    usual: expression,
    min: expression.optional(),
    max: expression.optional(),
    name: shortText.optional(),
    kind: z.enum(['length', 'count', 'share']).optional(),
    measures: z.enum(['apart', 'between']).optional(),
  }),
])
const parameters = z.record(z.string().max(20), parameter)

const rows = z.strictObject({ spacing: expression, follow: z.enum(['outline', 'direction']) })

const place = z.union([
  z.strictObject({
    along: z.strictObject({
      step: z.array(expression).min(1).max(8),
      tail: expression.optional(),
      closedTail: expression.optional(),
      cornerTail: expression.optional(),
      times: expression.optional(),
      order: z.literal('reverse').optional(),
      odd: z.boolean().optional(),
      of: z.enum(['vein', 'outline']).optional(),
      inset: expression.optional(),
      rows: rows.optional(),
      again: expression.optional(),
    }),
  }),
  z.strictObject({
    across: z.strictObject({
      pitch: expression,
      cuts: z
        .strictObject({
          first: z.array(expression).min(1).max(24),
          step: expression,
          bite: expression.optional(),
          min: expression.optional(),
          by: z.enum(['row', 'column']).optional(),
        })
        .optional(),
      turn: expression.optional(),
      inset: expression.optional(),
    }),
  }),
  z.strictObject({ once: z.literal(true) }),
  z.strictObject({ whole: z.literal(true) }),
  z.strictObject({ times: expression }),
  z.strictObject({ scatter: z.strictObject({ apart: expression, inset: expression.optional(), packed: z.boolean().optional() }) }),
  z.strictObject({ cells: z.strictObject({ order: z.enum(['forward', 'to-and-fro', 'reverse']).optional() }) }),
  z.strictObject({ pins: z.union([z.literal(true), z.literal('fan')]) }),
  z.strictObject({ weave: z.strictObject({ label, tip: expression, beat: expression }) }),
  z.strictObject({ crossings: z.tuple([label, label]) }),
])

/** A role's name: what the thread is to the stitch. */
export const threadRole = z
  .string()
  .max(24)
  .regex(/^[a-z][a-z0-9-]*$/, 'name a thread with small letters, such as "tie"')

const guides = z.array(z.enum(GUIDE_KINDS)).min(1)

const practice = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('line'), lengthMm: z.number().min(5).max(300) }),
  z.object({
    kind: z.literal('shape'),
    widthMm: z.number().min(2).max(200),
    heightMm: z.number().min(2).max(200),
    outline: z.enum(['oval', 'rectangle']).optional(),
  }),
  z.object({ kind: z.literal('band'), lengthMm: z.number().min(5).max(300), widthMm: z.number().min(1).max(60) }),
  z.object({ kind: z.literal('ring'), radiusMm: z.number().min(1).max(60) }),
  z.object({ kind: z.literal('square'), sideMm: z.number().min(1).max(40), repeat: z.number().int().min(1).max(100) }),
  z.object({
    kind: z.literal('grid'),
    columns: z.number().int().min(1).max(200),
    rows: z.number().int().min(1).max(200),
    cellMm: z.number().min(0.5).max(20),
  }),
  z.object({ kind: z.literal('pins'), heightMm: z.number().min(2).max(60), pins: z.number().int().min(1).max(9).optional() }),
  z.object({ kind: z.literal('spots'), count: z.number().int().min(1).max(200), apartMm: z.number().min(1).max(100) }),
])

const mistake = z.strictObject({
  name: shortText,
  mend: longText,
  pass: z.number().int().min(0).max(7),
  block: z.enum(['start', 'repeat', 'end', 'close']),
  list: z.number().int().min(0).max(11).optional(),
  move: z.number().int().min(0).max(59),
  only: z.array(z.number().int().min(0).max(1000)).max(40).optional(),
  change: z.union([
    z.strictObject({ leaveOut: z.literal(true) }),
    z.strictObject({ instead: z.lazy(() => z.array(move).max(12)) }),
    z.strictObject({ aside: z.tuple([expression, expression]) }),
    z.strictObject({ tight: z.literal(true) }),
  ]),
})

const passSchema: z.ZodType<Pass> = z.strictObject({
  name: shortText,
  thread: threadRole.optional(),
  lie: z.enum(['round', 'flat']).optional(),
  continues: z.boolean().optional(),
  within: z.boolean().optional(),
  place,
  start: moveList.optional(),
  repeat: z.union([moveList, z.array(moveList).min(1).max(12)]),
  end: moveList.optional(),
  close: moveList.optional(),
  afterCorner: moveList.optional(),
})
const passes = z.array(passSchema).max(8)

export const stitchDocument = z
  .object({
    format: z.literal('lemmata-stitch'),
    version: z.literal(1),
    id,
    name: shortText,
    also: z.array(shortText).max(12).optional(),
    names: z.strictObject({ de: shortText.optional() }).optional(),
    family: shortText.optional(),
    guide: guides,
    base: id.optional(),
    parameters: parameters.optional(),
    rows: rows.optional(),
    corner: z.enum(['through', 'restart', 'fan']).optional(),
    passes,
    mistakes: z.array(mistake).max(12).optional(),
    variants: z
      .record(
        z.string().max(40),
        z.object({
          name: shortText,
          because: longText.optional(),
          parameters: parameters.optional(),
          passes: passes.optional(),
          rows: rows.optional(),
          practice: practice.optional(),
          guide: guides.optional(),
          when: z.record(z.string().max(40), z.string().max(40)).optional(),
        }),
      )
      .optional(),
    practice: practice.optional(),
    marks: z.enum(['every-hole', 'every-nth', 'guide-only', 'ends-only', 'in-order', 'none']).optional(),
    goodFor: z.array(shortText).max(12).optional(),
    tension: z.enum(['loose', 'easy', 'firm']).optional(),
    look: z.object({ front: longText.optional(), back: longText.optional() }).optional(),
    slips: z
      .array(z.object({ see: longText, mend: longText }))
      .max(12)
      .optional(),
    unpick: longText.optional(),
    lookAlikes: z
      .array(z.object({ name: shortText, tell: longText }))
      .max(8)
      .optional(),
    cautions: z.array(longText).max(12).optional(),
  })
  .refine((document) => document.passes.length > 0 || document.base !== undefined, {
    message: 'a stitch needs at least one pass, or a base to be worked in rows',
    path: ['passes'],
  }) satisfies z.ZodType<StitchDocument>
