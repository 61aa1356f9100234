/** What a learner who has the earlier print must know of the later one: nothing else changed. Data; words are added by the slip. */
import type { ExerciseId } from '../base/index.ts'
import { spokenSize, type WorkedExercise } from '../exercise/index.ts'
import type { Sampler } from '../sampler/index.ts'
import { alikeInWords, SHEET_WORDS } from '../sheets/index.ts'
import { stitchIn } from '../language/index.ts'

export type ChangeKind = 'new' | 'gone' | 'name' | 'stitch' | 'thread' | 'size' | 'place' | 'lesson' | 'homework' | 'cloth'

export interface Change {
  readonly kind: ChangeKind
  /** None where it is of the whole sampler. */
  readonly exercise: ExerciseId | null
  /** Its name now, or as it was where it is gone. */
  readonly name: string
  readonly before: string
  readonly now: string
}

export interface PrintedSampler {
  readonly sampler: Sampler
  readonly done: readonly WorkedExercise[]
}

/** In the order in which the earlier print has them, then what is new. */
export function changesBetween(before: PrintedSampler, now: PrintedSampler): readonly Change[] {
  const then = new Map(before.done.map((one) => [one.exercise.id, one]))
  const later = new Map(now.done.map((one) => [one.exercise.id, one]))
  const stayed = before.done.flatMap((one) => {
    const other = later.get(one.exercise.id)
    const name = one.exercise.name
    return other ? changesOf(before, one, now, other) : [{ kind: 'gone' as const, exercise: one.exercise.id, name, before: name, now: '' }]
  })
  const added = now.done.flatMap((one) =>
    then.has(one.exercise.id) ? [] : [{ kind: 'new' as const, exercise: one.exercise.id, name: one.exercise.name, before: '', now: one.exercise.name }],
  )
  return [...clothChanges(before.sampler, now.sampler), ...stayed, ...added]
}

function changesOf(before: PrintedSampler, one: WorkedExercise, now: PrintedSampler, other: WorkedExercise): readonly Change[] {
  const found = (kind: ChangeKind, was: string, is: string): readonly Change[] =>
    was === is ? [] : [{ kind, exercise: one.exercise.id, name: other.exercise.name, before: was, now: is }]
  const sheet = SHEET_WORDS[now.sampler.brief.language ?? 'en']
  const stitch = (done: WorkedExercise): string => stitchIn(done.assigned.document, other.assigned.language)
  const threads = (done: WorkedExercise): string =>
    alikeInWords({ ...done, assigned: { ...done.assigned, language: other.assigned.language } }, sheet).join('; ')
  const size = (done: WorkedExercise): string => sheet.size(spokenSize(done), now.sampler.units)
  const lesson = ({ sampler }: PrintedSampler): string => sampler.lessons.find((each) => each.exercises.includes(one.exercise.id))?.title ?? ''
  const moved = placeOf(one) !== placeOf(other)
  return [
    ...found('name', one.exercise.name, other.exercise.name),
    ...found('stitch', stitch(one), stitch(other)),
    ...found('thread', threads(one), threads(other)),
    ...found('size', size(one), size(other)),
    ...(moved ? [{ kind: 'place' as const, exercise: one.exercise.id, name: other.exercise.name, before: '', now: '' }] : []),
    ...found('lesson', lesson(before), lesson(now)),
    ...found('homework', `${one.exercise.homePercent ?? 0} %`, `${other.exercise.homePercent ?? 0} %`),
  ]
}

/** What is drawn on the cloth of it, so exactly that a tenth of a millimetre tells. */
function placeOf(done: WorkedExercise): string {
  const round = (value: number): number => Math.round(value * 10)
  return done.pieces
    .map(({ marks }) => marks.map((mark) => JSON.stringify(mark, (_key, value: unknown) => (typeof value === 'number' ? round(value) : value))).join())
    .join('|')
}

function clothChanges(before: Sampler, now: Sampler): readonly Change[] {
  const said = ({ cloth }: Sampler): string => `${cloth.widthMm} \u00d7 ${cloth.heightMm} mm`
  return said(before) === said(now) ? [] : [{ kind: 'cloth', exercise: null, name: '', before: said(before), now: said(now) }]
}
