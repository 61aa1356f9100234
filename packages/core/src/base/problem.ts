/**
 * What is wrong, as data: a code with its figures. Sentences are made at the edge, in the reader's unit, from one table a
 * room (see tell.ts). A `caution` is reported and the work goes on; an `error` means that the thing it names could not be
 * worked.
 */
export interface Problem extends Told {
  /** Where in the document, from its root: `['exercises', 0, 'guide', 'path']`. */
  readonly path: ProblemPath
  readonly severity: 'error' | 'caution'
  /** What it is about, said before the sentence: a name, a place in a stitch's moves, a repeat counted from 1. */
  readonly about?: readonly (string | { readonly path: ProblemPath } | { readonly repeat: number })[]
}

/** Something to be said: its code, stable, `module.problem`, and what the sentence needs. */
export interface Told {
  readonly code: string
  readonly figures: Figures
}

export type Figures = { readonly [name: string]: Figure }
export type Figure = number | string | Mm | readonly string[] | Told

/** A length, told in the reader's unit. */
export interface Mm {
  readonly mm: number
}

export function mm(value: number): Mm {
  return { mm: value }
}

export type Result<T> =
  | { readonly ok: true; readonly value: T; readonly problems: readonly Problem[] }
  | { readonly ok: false; readonly problems: readonly Problem[] }

export type ProblemPath = readonly (string | number)[]

export function error(code: string, path: ProblemPath, figures: Figures = {}): Problem {
  return { code, path, severity: 'error', figures }
}

export function caution(code: string, path: ProblemPath, figures: Figures = {}): Problem {
  return { code, path, severity: 'caution', figures }
}

/** Said of something that has a name, before what it is said of already. */
export function about(problem: Problem, name: string): Problem {
  return { ...problem, about: [name, ...(problem.about ?? [])] }
}

export function success<T>(value: T, problems: readonly Problem[] = []): Result<T> {
  return { ok: true, value, problems }
}

export function failure(...problems: readonly Problem[]): { readonly ok: false; readonly problems: readonly Problem[] } {
  return { ok: false, problems }
}

export function hasErrors(problems: readonly Problem[]): boolean {
  return problems.some((problem) => problem.severity === 'error')
}

/** Something that cannot be done, thrown where a result would have to pass through many hands; caught at the face of the room. */
export class ToldError extends Error {
  readonly told: Told

  constructor(code: string, figures: Figures = {}) {
    super(code)
    this.told = { code, figures }
  }
}
