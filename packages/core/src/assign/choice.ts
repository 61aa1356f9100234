import type { Told } from '../base/index.ts'

/** Something decided: by the teacher, or by the core, with the reason. */
export interface Choice<T> {
  readonly value: T
  /** Chosen by the core, not given by the teacher. */
  readonly chosen: boolean
  readonly reason: Told
}

export const GIVEN: Told = { code: 'choice.given', figures: {} }

export function given<T>(value: T): Choice<T> {
  return { value, chosen: false, reason: GIVEN }
}

const NUMBER_WORDS = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight']

export function strandsInWords(count: number): string {
  return `${NUMBER_WORDS[count] ?? String(count)} ${count === 1 ? 'strand' : 'strands'}`
}
