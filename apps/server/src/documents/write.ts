/**
 * Operations written to a stored document: based on a revision, applied once however often they are sent, each refused by
 * itself. The row is locked from reading to writing, so that of two writers one comes after the other.
 */
import { type Applied, type Refusal, type SentOperation, storageProblem, type WrittenAnswer } from '@lemmata/contract'
import { error, type Problem } from '@lemmata/core/base'
import { type Sequelize, type Transaction, UniqueConstraintError } from 'sequelize'
import type { z } from 'zod'
import { problemsOf } from '@lemmata/contract'
import type { HttpProblem } from '../http/problem.ts'

/** As it was sent: the operation is looked at by itself, so that one that cannot be read takes no other with it. */
export interface UnreadOperation {
  readonly id: string
  readonly operation: unknown
}

export interface DocumentStore<Document, One, Row extends { revision: number }> {
  /** The row, locked. */
  readonly find: (transaction: Transaction) => Promise<Row>
  readonly documentOf: (row: Row) => Document
  readonly schema: z.ZodType<One>
  readonly apply: (document: Document, sent: readonly SentOperation<One>[]) => Applied<Document, One>
  /** Of these ids, those that were written before: into this document, or into another. */
  readonly known: (
    row: Row,
    ids: readonly string[],
    transaction: Transaction,
  ) => Promise<{ readonly here: ReadonlySet<string>; readonly elsewhere: ReadonlySet<string> }>
  readonly save: (row: Row, document: Document, applied: readonly SentOperation<One>[], transaction: Transaction) => Promise<void>
  /** The answer to a stale base: the current state and those of the sent operations that are in already. */
  readonly stale: (row: Row, applied: readonly string[]) => HttpProblem
}

interface Given {
  readonly baseRevision: number
  readonly operations: readonly UnreadOperation[]
}

/**
 * Nearly always everything sent is new and can be made, and then nothing need be asked of what was written before: each id is written once,
 * or the database says so, and then it is done again with asking.
 */
export async function writeOperations<Document, One, Row extends { revision: number }>(
  sequelize: Sequelize,
  store: DocumentStore<Document, One, Row>,
  given: Given,
): Promise<WrittenAnswer> {
  const writing = (asks: boolean) => sequelize.transaction((transaction) => writeWithin(store, given, transaction, asks))
  try {
    return (await writing(false)) ?? ((await writing(true)) as WrittenAnswer)
  } catch (thrown) {
    if (thrown instanceof UniqueConstraintError) return (await writing(true)) as WrittenAnswer
    throw thrown
  }
}

/** Null where it has to be asked which of them were written before, and nothing is written. */
async function writeWithin<Document, One, Row extends { revision: number }>(
  store: DocumentStore<Document, One, Row>,
  given: Given,
  transaction: Transaction,
  asks: boolean,
): Promise<WrittenAnswer | null> {
  const row = await store.find(transaction)
  const isStale = given.baseRevision !== row.revision
  const ids = given.operations.map((one) => one.id)
  const { here, elsewhere } = asks || isStale ? await store.known(row, ids, transaction) : { here: new Set<string>(), elsewhere: new Set<string>() }
  if (isStale) throw store.stale(row, [...here])
  const refused: Refusal[] = []
  const readable: SentOperation<One>[] = []
  const taken = new Set(here)
  for (const one of given.operations) {
    if (taken.has(one.id)) continue
    taken.add(one.id)
    const problems = elsewhere.has(one.id) ? [USED_ELSEWHERE] : unreadable(one.operation)
    const parsed = problems.length > 0 ? null : store.schema.safeParse(one.operation)
    if (parsed?.success) readable.push({ id: one.id, operation: parsed.data })
    else refused.push({ id: one.id, problems: parsed ? problemsOf(parsed.error) : problems })
  }
  const done = store.apply(store.documentOf(row), readable)
  refused.push(...done.refused)
  // What is refused may have been made before: then it is not.
  if (!asks && refused.length > 0) return null
  if (done.applied.length > 0) await store.save(row, done.document, done.applied, transaction)
  return { revision: row.revision, refused }
}

const USED_ELSEWHERE = error('operation.id-used', [])

function unreadable(operation: unknown): readonly Problem[] {
  const problem = storageProblem(operation)
  return problem ? [problem] : []
}
