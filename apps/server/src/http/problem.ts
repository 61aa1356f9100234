/** What goes wrong in a request, as a status, a code and a sentence that says what to do next. */
import type { Problem } from '@lemmata/core/base'
import { type ErrorAnswer, problemInWords } from '@lemmata/contract'

export class HttpProblem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly more: Readonly<Record<string, unknown>> = {},
    readonly problems: readonly Problem[] = [],
  ) {
    super(message)
    this.name = 'HttpProblem'
  }

  answer(): ErrorAnswer {
    return { error: { code: this.code, message: this.message, ...(this.problems.length > 0 ? { problems: this.problems } : {}) }, ...this.more }
  }
}

export const notSignedIn = (): HttpProblem =>
  new HttpProblem(401, 'session.none', 'You are not signed in, or were away too long. Sign in again; what you changed here is kept.')
/** The same answer for what does not exist and what belongs to someone else. */
export const noSuchSampler = (): HttpProblem =>
  new HttpProblem(404, 'sampler.none', 'There is no such sampler on your shelf. Go back to the shelf and open it from there.')

export function wrongInput(problems: readonly Problem[], status = 422): HttpProblem {
  const [first, ...rest] = problems
  const more = rest.length > 0 ? ` (and ${rest.length} more)` : ''
  return new HttpProblem(status, first?.code ?? 'input.wrong', `${first ? problemInWords(first) : 'This cannot be read.'}${more}`, {}, problems.slice(0, 20))
}
