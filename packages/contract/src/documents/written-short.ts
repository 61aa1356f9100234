/** Samplers that are written in code are written in the short form that every file may use, and read by the same schema. */
import { type ClassDocument, type Learner, newClass } from '@lemmata/core/classes'
import type { Guide } from '@lemmata/core/guide'
import type { Exercise, Material, Sampler } from '@lemmata/core/sampler'
import { readClass, readSampler } from './read.ts'
import { problemInWords } from '../problem-words.ts'

/** An exercise with a guide and a thread of its own. */
export type ShortExercise = Omit<Exercise, 'on'> & Partial<Pick<Exercise, 'on'>> & Material & { readonly guide?: Guide }

export const line = (path: string): Guide => ({ kind: 'line', path })

export function writtenSampler(given: Omit<Sampler, 'exercises'> & { readonly exercises: readonly ShortExercise[] }): Sampler {
  const read = readSampler(given)
  if (!read.ok) throw new Error(read.problems.map((problem) => problemInWords(problem)).join(' '))
  return read.value
}

export function writtenClass(name: string, learners: readonly Learner[]): ClassDocument {
  const read = readClass({ ...newClass(name), learners })
  if (!read.ok) throw new Error(read.problems.map((problem) => problemInWords(problem)).join(' '))
  return read.value
}
