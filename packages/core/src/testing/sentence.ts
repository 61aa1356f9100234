import type { Problem } from '../base/index.ts'
import { problemInWords } from '../words/index.ts'

/** The first problem as its reader sees it; nothing where there is none. */
export function sentenceOf(given: readonly Problem[] | Problem | null | undefined): string {
  const first = given && 'code' in given ? given : given?.[0]
  return first ? problemInWords(first) : ''
}

export function sentencesOf(problems: readonly Problem[]): string[] {
  return problems.map((problem) => problemInWords(problem))
}
