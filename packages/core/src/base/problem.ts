/**
 * What is wrong, as data and as a sentence. A `caution` is reported and the work goes on; an `error`
 * means that the thing it names could not be worked.
 */
export interface Problem {
  /** `module.problem`, stable, for tests and for choosing a status. */
  readonly code: string
  /** Where in the document, from its root: `['exercises', 0, 'guide', 'path']`. */
  readonly path: readonly (string | number)[]
  readonly severity: 'error' | 'caution'
  /** A sentence that says what was received, what was expected and what to do next. */
  readonly message: string
}

export type Result<T> =
  | { readonly ok: true; readonly value: T; readonly problems: readonly Problem[] }
  | { readonly ok: false; readonly problems: readonly Problem[] }

export type ProblemPath = readonly (string | number)[]

export function error(code: string, path: ProblemPath, message: string): Problem {
  return { code, path, severity: 'error', message }
}

export function caution(code: string, path: ProblemPath, message: string): Problem {
  return { code, path, severity: 'caution', message }
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

/** A problem thrown where a typed result would have to pass through many hands; caught at the face of the module. */
export class ProblemError extends Error {
  constructor(readonly problem: Problem) {
    super(problem.message)
    this.name = 'ProblemError'
  }
}
