/**
 * Operations applied to a stored document: each by itself, so that one that is refused takes no other with it. What
 * comes out is a valid document.
 */
import { error, type Problem, type Result } from '@lemmata/core/base'
import { applyClassOperation, type ClassDocument, type ClassOperation } from '@lemmata/core/classes'
import { applyOperation, type Operation, type Sampler } from '@lemmata/core/sampler'
import { applyStoresOperation, type Stores, type StoresOperation } from '@lemmata/core/stores'
import type { z } from 'zod'
import { classDocument } from '../documents/class.ts'
import { problemsOf } from '../documents/read.ts'
import { checkChanged } from '../documents/check-changed.ts'
import { sampler, wrongAmong } from '../documents/sampler.ts'
import { stores } from '../documents/stores.ts'

export interface SentOperation<One = Operation> {
  readonly id: string
  readonly operation: One
}

export interface Refusal {
  /** The operation that could not be made. */
  readonly id: string
  readonly problems: readonly Problem[]
}

export interface Applied<Document, One> {
  readonly document: Document
  readonly applied: readonly SentOperation<One>[]
  readonly refused: readonly Refusal[]
}

export function applySamplerOperations(document: Sampler, sent: readonly SentOperation[]): Applied<Sampler, Operation> {
  return applyAll(document, sent, applyOperation, sampler, checkedSampler)
}

export function applyClassOperations(document: ClassDocument, sent: readonly SentOperation<ClassOperation>[]): Applied<ClassDocument, ClassOperation> {
  return applyAll(document, sent, applyClassOperation, classDocument)
}

export function applyStoresOperations(document: Stores, sent: readonly SentOperation<StoresOperation>[]): Applied<Stores, StoresOperation> {
  return applyAll(document, sent, applyStoresOperation, stores)
}

/** Only what changed: of a large sampler the rest is nearly all of it. Null where something is wrong. */
function checkedSampler(before: Sampler, after: Sampler): Sampler | null {
  const read = checkChanged(sampler, before, after)
  return read && wrongAmong(read).length === 0 ? read : null
}

function applyAll<Document, One>(
  document: Document,
  sent: readonly SentOperation<One>[],
  apply: (document: Document, operation: One) => Result<Document>,
  schema: z.ZodType<Document>,
  check: (before: Document, after: Document) => Document | null = (_before, after) => schema.safeParse(after).data ?? null,
): Applied<Document, One> {
  const whole = applySome(document, sent, apply)
  // All of it is checked once; only where it is wrong is the edit that makes it so looked for, one by one.
  const checked = check(document, whole.document)
  if (checked) return { ...whole, document: checked }
  let now = document
  const applied: SentOperation<One>[] = []
  const refused: Refusal[] = [...whole.refused]
  for (const one of whole.applied) {
    const next = apply(now, one.operation)
    const valid = next.ok ? schema.safeParse(next.value) : null
    if (next.ok && valid?.success) {
      now = valid.data
      applied.push(one)
    } else refused.push({ id: one.id, problems: !next.ok ? next.problems : valid?.error ? problemsOf(valid.error) : [WRONG] })
  }
  return { document: now, applied, refused }
}

const WRONG = error('operation.wrong', [])

function applySome<Document, One>(
  document: Document,
  sent: readonly SentOperation<One>[],
  apply: (document: Document, operation: One) => Result<Document>,
): Applied<Document, One> {
  let now = document
  const applied: SentOperation<One>[] = []
  const refused: Refusal[] = []
  for (const one of sent) {
    const next = apply(now, one.operation)
    if (next.ok) {
      now = next.value
      applied.push(one)
    } else refused.push({ id: one.id, problems: next.problems })
  }
  return { document: now, applied, refused }
}
