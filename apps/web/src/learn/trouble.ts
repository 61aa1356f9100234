/** What went wrong, in the language of her page: the server knows one language, and says by a code which of its sentences it was. */
import { NoConnection, Refused } from './talk.ts'
import type { LearnWords } from './words/index.ts'

/** The browser writes nothing down for this page. */
export class NothingKept extends Error {}

/** `unknown`: what is said of anything else. */
export function troubleInWords(thrown: unknown, words: LearnWords, unknown = words.unexpected): string {
  if (thrown instanceof NothingKept) return words.nothingKept
  if (thrown instanceof NoConnection) return words.noConnection
  if (!(thrown instanceof Refused)) return unknown
  return words.refusals[thrown.code] ?? (thrown.message || unknown)
}
