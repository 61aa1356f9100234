/**
 * Edits as plain data: what every kind of operation on a document can do. An operation that no longer makes sense (what
 * it names is gone) is a problem, never a crash; one that was applied can be taken back.
 */
import { error, failure, type Figures, type Result, success } from './problem.ts'

export interface OperationTools<Document, One, All> {
  readonly apply: (document: Document, operation: One) => Result<Document>
  /** What takes it back, made from the document before it; null where nothing would change. */
  readonly invert: (before: Document, operation: One) => All | null
}

/** A batch: one undo step, one refusal. */
export interface Batch<All> {
  readonly kind: 'batch'
  readonly operations: readonly All[]
}

/** All of them, or the first problem. */
export function applyInTurn<Document, All>(
  document: Document,
  operations: readonly All[],
  apply: (document: Document, one: All) => Result<Document>,
): Result<Document> {
  let now = document
  for (const one of operations) {
    const applied = apply(now, one)
    if (!applied.ok) return applied
    now = applied.value
  }
  return success(now)
}

/** The inverses of a batch, last first, each made from the document as it stood before that one. */
export function invertInTurn<Document, All>(
  before: Document,
  operations: readonly All[],
  apply: (document: Document, one: All) => Result<Document>,
  invert: (before: Document, one: All) => All | null,
): readonly All[] {
  const inverses: All[] = []
  let now = before
  for (const one of operations) {
    const inverse = invert(now, one)
    if (inverse) inverses.unshift(inverse)
    const applied = apply(now, one)
    if (!applied.ok) break
    now = applied.value
  }
  return inverses
}

/** An edit that can no longer be made. */
export function refused(code: string, figures: Figures = {}): ReturnType<typeof failure> {
  return failure(error(code, [], figures))
}
