/** The letters of exercises, on pattern and key: in the order in which they are taught. */
import { type Sampler, teachingOrder } from '../sampler/index.ts'

export function letterOf(index: number): string {
  const letter = String.fromCharCode(65 + (index % 26))
  return index < 26 ? letter : `${letter}${Math.floor(index / 26) + 1}`
}

export const lettersOf = (sampler: Sampler): ReadonlyMap<string, string> =>
  new Map(teachingOrder(sampler).map((exercise, index) => [exercise.id, letterOf(index)]))

/** Of the pictures of its steps, from 1: a, b, c, for figures are the holes'. */
export const stepLetter = (number: number): string =>
  number <= 26 ? String.fromCharCode(96 + number) : `${String.fromCharCode(96 + Math.floor((number - 1) / 26))}${String.fromCharCode(97 + ((number - 1) % 26))}`
