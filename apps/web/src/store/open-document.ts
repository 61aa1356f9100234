/**
 * A document that is open in this page: as the server last acknowledged it, the operations not yet acknowledged, the
 * document with them applied, and the way back. The reducers that apply operations are core's, the same as on the
 * server. One refused operation goes alone: the others, and the steps to take them back, stay.
 */
import { problemInWords } from '@lemmata/contract'
import type { DocumentAnswer, SentOperation } from '@lemmata/contract'
import type { Problem, Result } from '@lemmata/core/base'

export type SaveStatus = 'saved' | 'waiting' | 'saving' | 'offline' | 'signed-out'
export type EditWay = 'do' | 'undo' | 'redo'

/** What takes an edit back, under the id of that edit. */
export interface WayBack<One> {
  readonly id: string
  readonly operation: One
  /** Edits of all open documents are counted through, so that the latest of them is taken back first. */
  readonly turn: number
}

export interface OpenDocument<Document, One> {
  readonly id: string
  readonly revision: number
  /** As the server has it at that revision. */
  readonly base: Document
  /** With what is pending applied. */
  readonly document: Document
  readonly pending: readonly SentOperation<One>[]
  readonly undo: readonly WayBack<One>[]
  readonly redo: readonly WayBack<One>[]
  readonly status: SaveStatus
}

export interface DocumentTools<Document, One> {
  readonly apply: (document: Document, operation: One) => Result<Document>
  readonly invert: (before: Document, operation: One) => One | null
}

export interface Edit<One> extends SentOperation<One> {
  readonly way: EditWay
  readonly turn: number
}

/** Something that could not be done, said once. */
export interface Told<Document, One> {
  readonly open: OpenDocument<Document, One>
  readonly said: readonly string[]
}

/** A day's work. */
const MOST_UNDO = 2000

export function openDocument<Document, One>(
  tools: DocumentTools<Document, One>,
  answer: DocumentAnswer<Document>,
  pending: readonly SentOperation<One>[],
): Told<Document, One> {
  const again = reapply(tools, answer.document, pending)
  const { id, revision, document: base } = answer
  return {
    open: { id, revision, base, document: again.document, pending: again.kept, undo: [], redo: [], status: again.kept.length > 0 ? 'waiting' : 'saved' },
    said: again.said,
  }
}

export function editDocument<Document, One>(
  tools: DocumentTools<Document, One>,
  open: OpenDocument<Document, One>,
  edit: Edit<One>,
): Result<OpenDocument<Document, One>> {
  const { id, operation, way, turn } = edit
  const applied = tools.apply(open.document, operation)
  if (!applied.ok) return applied
  const inverse = tools.invert(open.document, operation)
  const back = inverse ? [{ id, operation: inverse, turn }] : []
  return {
    ok: true,
    problems: [],
    value: {
      ...open,
      document: applied.value,
      undo: way === 'undo' ? open.undo.slice(0, -1) : [...open.undo, ...back].slice(-MOST_UNDO),
      redo: way === 'undo' ? [...open.redo, ...back] : way === 'redo' ? open.redo.slice(0, -1) : [],
      pending: [...open.pending, { id, operation }],
      status: open.status === 'offline' || open.status === 'signed-out' ? open.status : 'waiting',
    },
  }
}

/** The server has written what was sent, but for what it refused. */
export function acknowledge<Document, One>(
  tools: DocumentTools<Document, One>,
  open: OpenDocument<Document, One>,
  written: { readonly ids: readonly string[]; readonly revision: number; readonly refused: readonly { readonly id: string; readonly message: string }[] },
): Told<Document, One> {
  const refused = new Map(written.refused.map((one) => [one.id, one.message] as const))
  const sent = open.pending.filter((one) => written.ids.includes(one.id))
  const pending = open.pending.filter((one) => !written.ids.includes(one.id))
  const status = statusOf(open.status, pending)
  if (refused.size === 0) {
    // What is seen already is what the server has, with the rest on top.
    const base = pending.length === 0 ? open.document : reapply(tools, open.base, sent).document
    return { open: { ...open, revision: written.revision, base, pending, status }, said: [] }
  }
  const base = reapply(
    tools,
    open.base,
    sent.filter((one) => !refused.has(one.id)),
  ).document
  const again = reapply(tools, base, pending)
  const gone = new Set([...refused.keys(), ...again.lost])
  const said = [...[...refused].map(([id, message]) => `${nameOf(sent.find((one) => one.id === id))} could not be kept: ${message}`), ...again.said]
  return { open: withoutSteps({ ...open, revision: written.revision, base, document: again.document, pending: again.kept, status }, gone), said }
}

/** Someone was quicker: their state, with this page's own changes applied again. */
export function rebase<Document, One>(
  tools: DocumentTools<Document, One>,
  open: OpenDocument<Document, One>,
  answer: DocumentAnswer<Document>,
  applied: readonly string[],
): Told<Document, One> {
  const again = reapply(
    tools,
    answer.document,
    open.pending.filter((one) => !applied.includes(one.id)),
  )
  const next = { ...open, revision: answer.revision, base: answer.document, document: again.document, pending: again.kept }
  return { open: withoutSteps({ ...next, status: again.kept.length > 0 ? 'waiting' : 'saved' }, new Set(again.lost)), said: again.said }
}

export function withStatus<Document, One>(open: OpenDocument<Document, One>, status: SaveStatus): OpenDocument<Document, One> {
  return open.status === status ? open : { ...open, status }
}

export function backOnline<Document, One>(open: OpenDocument<Document, One>): OpenDocument<Document, One> {
  return withStatus(open, open.pending.length > 0 ? 'waiting' : 'saved')
}

function statusOf(before: SaveStatus, pending: readonly unknown[]): SaveStatus {
  if (before === 'signed-out') return before
  return pending.length > 0 ? 'waiting' : 'saved'
}

function withoutSteps<Document, One>(open: OpenDocument<Document, One>, gone: ReadonlySet<string>): OpenDocument<Document, One> {
  const stays = (step: WayBack<One>): boolean => !gone.has(step.id)
  return { ...open, undo: open.undo.filter(stays), redo: open.redo.filter(stays) }
}

interface Reapplied<Document, One> {
  readonly document: Document
  readonly kept: readonly SentOperation<One>[]
  readonly lost: readonly string[]
  readonly said: readonly string[]
}

function reapply<Document, One>(tools: DocumentTools<Document, One>, document: Document, pending: readonly SentOperation<One>[]): Reapplied<Document, One> {
  let now = document
  const kept: SentOperation<One>[] = []
  const lost: string[] = []
  const said: string[] = []
  for (const one of pending) {
    const applied = tools.apply(now, one.operation)
    if (applied.ok) {
      now = applied.value
      kept.push(one)
    } else {
      lost.push(one.id)
      said.push(sentenceOfProblems(applied.problems))
    }
  }
  return { document: now, kept, lost, said }
}

export function sentenceOfProblems(problems: readonly Problem[]): string {
  return problems[0] ? problemInWords(problems[0]) : 'This change could not be made.'
}

/** What a person did, for the sentence that says it was refused: "Your change (rename lesson)". */
function nameOf(sent: SentOperation<unknown> | undefined): string {
  const kind = (sent?.operation as { readonly kind?: string } | undefined)?.kind
  return kind === undefined || kind === 'batch' ? 'Your change' : `Your change (${kind.replaceAll('-', ' ')})`
}
