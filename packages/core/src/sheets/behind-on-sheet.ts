/** What a learner must know of the back: where thread may be carried, where it is finished off, in which order pieces follow. */
import { behindInWords, inOrderInWords, pieceOrderInWords, planBehind, type ThreadBehind } from '../behind/index.ts'
import type { ExerciseId } from '../base/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import type { Sampler } from '../sampler/index.ts'
import type { Hand } from '../steps/index.ts'

export interface BehindOnSheet {
  readonly lines: readonly string[]
  /** Exercises whose pieces are called by number: they are numbered on the pattern too. */
  readonly numbered: ReadonlySet<ExerciseId>
}

/** `letters`: by which the sheet calls the exercises. No lines where all is worked in one go, piece after piece. */
export function behindOnSheet(sampler: Sampler, done: readonly WorkedExercise[], letters: ReadonlyMap<string, string>, hand: Hand): BehindOnSheet {
  const numbered = new Set<ExerciseId>()
  const language = sampler.brief.language ?? 'en'
  const lines = planBehind(sampler, done).flatMap(({ threads }) =>
    threads.flatMap((one) => {
      const orders = [...new Set(one.runs.map((run) => run.exercise))].flatMap((id) => {
        const pieces = done.find((other) => other.exercise.id === id)?.pieces.map((piece) => piece.id) ?? []
        const order = pieceOrderInWords(one, id, pieces, hand, language)
        if (order === null) return []
        numbered.add(id)
        return [inOrderInWords(letters.get(id) ?? '?', order, language)]
      })
      return isPlain(one) && orders.length === 0 ? [] : [[behindInWords(one, sampler.units, language), ...orders].join(' ')]
    }),
  )
  return { lines, numbered }
}

const isPlain = ({ carries, longHops, needlefuls }: ThreadBehind): boolean => carries.length + longHops.length + needlefuls.length === 0
