/** What a learner must know of the back: where thread may be carried, where it is finished off, in which order pieces follow. */
import { behindInWords, pieceOrderInWords, planBehind } from '../behind/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import type { Sampler } from '../sampler/index.ts'
import type { Hand } from '../steps/index.ts'

/** `letters`: by which the sheet calls the exercises. Empty where all is worked in one go, piece after piece. */
export function behindOnSheet(sampler: Sampler, done: readonly WorkedExercise[], letters: ReadonlyMap<string, string>, hand: Hand): readonly string[] {
  return planBehind(sampler, done).flatMap(({ threads }) =>
    threads.flatMap((one) => {
      const orders = [...new Set(one.runs.map((run) => run.exercise))].flatMap((id) => {
        const pieces = done.find((other) => other.exercise.id === id)?.pieces.map((piece) => piece.id) ?? []
        const order = pieceOrderInWords(one, id, pieces, hand)
        return order === null ? [] : [`Of ${letters.get(id) ?? '?'} work the pieces in the order ${order}.`]
      })
      const isPlain = one.carries.length === 0 && one.longHops.length === 0 && one.needlefuls.length === 0
      return isPlain && orders.length === 0 ? [] : [[behindInWords(one, sampler.units), ...orders].join(' ')]
    }),
  )
}
