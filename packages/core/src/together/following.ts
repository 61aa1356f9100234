/** What is worked one after the other within a lesson, and how often the needle is changed on the way. */
import type { ExerciseId } from '../base/index.ts'
import type { Sampler } from '../sampler/index.ts'

/** Places of rows that follow one another within a lesson, in the order in which it works them. */
export function followingRows(
  { lessons }: Pick<Sampler, 'lessons'>,
  rows: readonly { readonly exercise: ExerciseId }[],
): readonly (readonly [number, number])[] {
  const placesOf = new Map<ExerciseId, number[]>()
  for (const [place, { exercise }] of rows.entries()) placesOf.set(exercise, [...(placesOf.get(exercise) ?? []), place])
  return lessons.flatMap(({ exercises }) => {
    const places = exercises.flatMap((one) => placesOf.get(one) ?? [])
    return places.slice(1).map((place, index): readonly [number, number] => [places[index] as number, place])
  })
}

/** Each change is a needle put down and one taken up. */
export function changesWithin(following: readonly (readonly [number, number])[], needleOf: (row: number) => string): number {
  return following.filter(([row, next]) => needleOf(row) !== needleOf(next)).length
}
