import type { Result } from '@lemmata/core/base'

export interface Answer {
  readonly output: unknown
  /** Part of the input could not be worked. */
  readonly wrong: boolean
}

export interface Command {
  readonly needsFile: boolean
  /** The file is read as text, not as JSON. */
  readonly isText?: boolean
  readonly run: (given: unknown, options: Readonly<Record<string, string>>) => Promise<Result<Answer>> | Result<Answer>
}
