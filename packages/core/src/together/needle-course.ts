/**
 * Needles of the whole course together: for every thread one that serves it, of as few kinds and sizes as that takes. A small
 * optimisation: what a needle costs by not being the best, against what each further needle costs in every kit.
 */
import { discomfort } from '../assign/index.ts'
import type { ExerciseId } from '../base/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import { type Needle, type NeedleFit, needleKey } from '../materials/index.ts'
import type { ThreadRole } from '../notation/index.ts'
import type { Sampler } from '../sampler/index.ts'
import { followingRows } from './following.ts'
import { ownPieces } from './own-pieces.ts'
import type { TogetherModel } from './together-model.ts'

/** One thread of one exercise, with the needles that serve it. */
export interface NeedleRow {
  readonly exercise: ExerciseId
  readonly name: string
  readonly role: ThreadRole
  readonly now: Needle
  /** Given by the teacher: it stays. */
  readonly isPinned: boolean
  readonly fits: readonly NeedleFit[]
}

export interface NeedleCourse {
  /** What can be chosen for. */
  readonly rows: readonly NeedleRow[]
  /** No needle serves them: they stay as they are. */
  readonly left: readonly NeedleRow[]
  /** Places of rows worked one after the other within a lesson. */
  readonly following: TogetherModel['following']
}

/** A further needle in every kit weighs as much as so much discomfort: one thread worked with care. Judgement. */
export const EACH_NEEDLE = 1

export function needleCourse(sampler: Pick<Sampler, 'lessons'>, done: readonly WorkedExercise[]): NeedleCourse {
  const rows: NeedleRow[] = []
  const left: NeedleRow[] = []
  for (const one of done) {
    const { exercise, assigned } = one
    for (const { role, needle, needles } of assigned.threads) {
      const isPinned = !needle.chosen
      const fits = isPinned ? needles.filter((fit) => needleKey(fit.needle) === needleKey(needle.value)) : needles.filter((fit) => fit.verdict !== 'no')
      const row = { exercise: exercise.id, name: exercise.name, role, now: needle.value, isPinned, fits }
      ;(fits.length > 0 ? rows : left).push(row)
    }
    for (const { role, needle } of ownPieces(one))
      rows.push({
        ...{ exercise: exercise.id, name: exercise.name, role, now: needle.value, isPinned: true },
        fits: [{ needle: needle.value, verdict: 'best', reason: needle.reason, difference: 0 }],
      })
  }
  return { rows, left, following: followingRows(sampler, rows) }
}

/** What each needle costs as one of a row's, and the model of them all: a needle is all that is chosen. */
export function needleModel(
  { rows, following }: NeedleCourse,
  eachNeedle = EACH_NEEDLE,
): { readonly model: TogetherModel; readonly needles: readonly Needle[] } {
  const needles = [...new Map(rows.flatMap((row) => row.fits.map((fit) => [needleKey(fit.needle), fit.needle] as const))).values()]
  const place = new Map(needles.map((needle, index) => [needleKey(needle), index]))
  const options = rows.map((row) => row.fits.map((fit) => ({ thread: 0, needle: place.get(needleKey(fit.needle)) as number, cost: needleCost(row, fit) })))
  return { model: { rows: options, threads: [0], needles: needles.map(() => eachNeedle), following }, needles }
}

/** 0 for the best. A pin costs nothing: it is wanted. */
function needleCost({ isPinned }: Pick<NeedleRow, 'isPinned'>, fit: NeedleFit): number {
  return isPinned ? 0 : (discomfort(fit) ?? 0)
}
