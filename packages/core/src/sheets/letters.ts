/** The letters of exercises, on pattern and key: in the order in which they are taught. */
import { type Sampler, teachingOrder } from '../sampler/index.ts'

export function letterOf(index: number): string {
  const letter = String.fromCharCode(65 + (index % 26))
  return index < 26 ? letter : `${letter}${Math.floor(index / 26) + 1}`
}

export const lettersOf = (sampler: Sampler): ReadonlyMap<string, string> =>
  new Map(teachingOrder(sampler).map((exercise, index) => [exercise.id, letterOf(index)]))
