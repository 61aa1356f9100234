/**
 * Needles of the whole course together: for every thread one that serves it, of as few kinds and sizes as that takes. A small
 * optimisation: what a needle costs by not being the best, against what each further needle costs in every kit.
 */
import { discomfort } from '../assign/index.ts'
import type { ExerciseId } from '../base/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import type { Needle, NeedleFit } from '../materials/index.ts'
import type { ThreadRole } from '../notation/index.ts'
import { inLines } from './lp.ts'
import { needleId } from './needle-id.ts'
import { ownPieces } from './own-pieces.ts'

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
}

/** A further needle in every kit weighs as much as so much discomfort: one thread worked with care. Judgement. */
export const EACH_NEEDLE = 1

export function needleCourse(done: readonly WorkedExercise[]): NeedleCourse {
  const rows: NeedleRow[] = []
  const left: NeedleRow[] = []
  for (const one of done) {
    const { exercise, assigned } = one
    for (const { role, needle } of ownPieces(one))
      rows.push({
        ...{ exercise: exercise.id, name: exercise.name, role, now: needle.value, isPinned: true },
        fits: [{ needle: needle.value, verdict: 'best', reason: needle.reason, difference: 0 }],
      })
    for (const { role, needle, needles } of assigned.threads) {
      const isPinned = !needle.chosen
      const fits = isPinned ? needles.filter((fit) => needleId(fit.needle) === needleId(needle.value)) : needles.filter((fit) => fit.verdict !== 'no')
      const row = { exercise: exercise.id, name: exercise.name, role, now: needle.value, isPinned, fits }
      ;(fits.length > 0 ? rows : left).push(row)
    }
  }
  return { rows, left }
}

/** 0 for the best. A pin costs nothing: it is wanted. */
export function needleCost({ isPinned }: Pick<NeedleRow, 'isPinned'>, fit: NeedleFit): number {
  return isPinned ? 0 : (discomfort(fit) ?? 0)
}

/** What a choice costs altogether: discomfort, and a kit's needles. */
export function courseCost(rows: readonly NeedleRow[], chosen: readonly Needle[], eachNeedle = EACH_NEEDLE): number {
  const discomfort = rows.reduce((sum, row, index) => {
    const fit = row.fits.find((one) => needleId(one.needle) === needleId(chosen[index] as Needle))
    return sum + (fit ? needleCost(row, fit) : Number.POSITIVE_INFINITY)
  }, 0)
  return discomfort + eachNeedle * new Set(chosen.map(needleId)).size
}

/** In CPLEX LP format: y0, y1 ... are needles, x3_1 that the fourth row has the second needle. */
export function writeModel(rows: readonly NeedleRow[], eachNeedle = EACH_NEEDLE): { readonly lp: string; readonly needles: readonly Needle[] } {
  const needles = [...new Map(rows.flatMap((row) => row.fits.map((fit) => [needleId(fit.needle), fit.needle] as const))).values()]
  const at = new Map(needles.map((needle, index) => [needleId(needle), index]))
  const terms: string[] = needles.map((_, index) => `${eachNeedle} y${index}`)
  const lines: string[] = []
  for (const [row, one] of rows.entries()) {
    const choices = one.fits.map((fit) => ({
      name: `x${row}_${at.get(needleId(fit.needle)) as number}`,
      needle: at.get(needleId(fit.needle)) as number,
      cost: needleCost(one, fit),
    }))
    for (const { name, cost } of choices) if (cost > 0) terms.push(`${cost.toFixed(6)} ${name}`)
    lines.push(` one${row}: ${inLines(choices.map(({ name }) => name))} = 1`)
    for (const { name, needle } of choices) lines.push(` has${row}_${needle}: ${name} - y${needle} <= 0`)
  }
  const binaries = needles.map((_, index) => ` y${index}`)
  const lp = ['Minimize', ` cost: ${inLines(terms)}`, 'Subject To', ...lines, 'Binary', ...binaries, 'End', ''].join('\n')
  return { lp, needles }
}
