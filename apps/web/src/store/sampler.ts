/**
 * The open sampler: the document as it is in this page, the operations not yet acknowledged, and the way back.
 * The reducer that applies an operation is core's, the same as on the server.
 */
import type { SamplerAnswer, SentOperation } from '@lemmata/contract'
import { applyOperation, invertOperation, type Operation, type Sampler } from '@lemmata/core/sampler'
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

export type SaveStatus = 'saved' | 'waiting' | 'saving' | 'offline' | 'signed-out'

export interface OpenSampler {
  readonly id: string
  readonly version: number
  readonly printedVersion: number | null
  readonly document: Sampler
  readonly pending: readonly SentOperation[]
  readonly undo: readonly Operation[]
  readonly redo: readonly Operation[]
  readonly status: SaveStatus
}

export interface SamplerState {
  readonly open: OpenSampler | null
  readonly selected: string | null
  /** Something to tell: a change that could not be made. */
  readonly notice: { readonly text: string; readonly key: number } | null
}

const MOST_UNDO = 200
const initial: SamplerState = { open: null, selected: null, notice: null }

/** Plain functions instead of drafts: the document keeps its references where nothing changed. */
const slice = createSlice({
  name: 'sampler',
  initialState: initial,
  reducers: {
    samplerOpened: (state, { payload }: PayloadAction<{ answer: SamplerAnswer; pending: readonly SentOperation[] }>): SamplerState => {
      const { answer, pending } = payload
      const again = reapply(answer.document, pending)
      return {
        ...state,
        open: {
          id: answer.id,
          version: answer.version,
          printedVersion: answer.printedVersion,
          document: again.document,
          pending: again.kept,
          undo: [],
          redo: [],
          status: again.kept.length > 0 ? 'waiting' : 'saved',
        },
        selected: answer.document.exercises[0]?.id ?? null,
        notice: notice(again.lost),
      }
    },
    samplerClosed: (): SamplerState => initial,
    edited: (state, { payload }: PayloadAction<{ operation: Operation; id: string; way: 'do' | 'undo' | 'redo' }>): SamplerState => {
      const { open } = state as SamplerState
      if (!open) return state
      const applied = applyOperation(open.document, payload.operation)
      if (!applied.ok) return { ...(state as SamplerState), notice: notice([applied.problems[0]?.message ?? 'This change could not be made.']) }
      const inverse = invertOperation(open.document, payload.operation)
      const back = inverse ? [inverse] : []
      const undo = payload.way === 'undo' ? open.undo.slice(0, -1) : [...open.undo, ...back].slice(-MOST_UNDO)
      const redo = payload.way === 'undo' ? [...open.redo, ...back] : payload.way === 'redo' ? open.redo.slice(0, -1) : []
      return {
        ...(state as SamplerState),
        selected: selectedAfter(payload.operation, state.selected, applied.value),
        open: {
          ...open,
          document: applied.value,
          undo,
          redo,
          pending: [...open.pending, { id: payload.id, operation: payload.operation }],
          status: open.status === 'offline' || open.status === 'signed-out' ? open.status : 'waiting',
        },
      }
    },
    sendingBegan: (state): SamplerState => withOpen(state as SamplerState, (open) => ({ ...open, status: 'saving' })),
    sent: (state, { payload }: PayloadAction<{ ids: readonly string[]; version: number }>): SamplerState =>
      withOpen(state as SamplerState, (open) => {
        const pending = open.pending.filter((one) => !payload.ids.includes(one.id))
        return { ...open, version: payload.version, pending, status: pending.length > 0 ? 'waiting' : 'saved' }
      }),
    /** Someone was quicker: their state, with this page's own changes applied again. */
    rebased: (state, { payload }: PayloadAction<{ answer: SamplerAnswer; applied: readonly string[] }>): SamplerState => {
      const { open } = state as SamplerState
      if (!open) return state
      const again = reapply(
        payload.answer.document,
        open.pending.filter((one) => !payload.applied.includes(one.id)),
      )
      return {
        ...(state as SamplerState),
        open: { ...open, version: payload.answer.version, document: again.document, pending: again.kept, status: again.kept.length > 0 ? 'waiting' : 'saved' },
        notice: notice(again.lost) ?? state.notice,
      }
    },
    /** The server refused: its state holds, and the refused change is said. */
    refused: (state, { payload }: PayloadAction<{ answer: SamplerAnswer; ids: readonly string[]; message: string }>): SamplerState => {
      const { open } = state as SamplerState
      if (!open) return state
      const again = reapply(
        payload.answer.document,
        open.pending.filter((one) => !payload.ids.includes(one.id)),
      )
      return {
        ...(state as SamplerState),
        open: {
          ...open,
          version: payload.answer.version,
          document: again.document,
          pending: again.kept,
          undo: [],
          redo: [],
          status: again.kept.length > 0 ? 'waiting' : 'saved',
        },
        notice: notice([payload.message, ...again.lost]),
      }
    },
    connectionLost: (state): SamplerState => withOpen(state as SamplerState, (open) => ({ ...open, status: 'offline' })),
    sessionLost: (state): SamplerState => withOpen(state as SamplerState, (open) => ({ ...open, status: 'signed-out' })),
    connectionBack: (state): SamplerState =>
      withOpen(state as SamplerState, (open) => (open.pending.length > 0 ? { ...open, status: 'waiting' } : { ...open, status: 'saved' })),
    printed: (state): SamplerState => withOpen(state as SamplerState, (open) => ({ ...open, printedVersion: open.version })),
    exerciseSelected: (state, { payload }: PayloadAction<string | null>): SamplerState => ({ ...(state as SamplerState), selected: payload }),
    noticed: (state, { payload }: PayloadAction<string>): SamplerState => ({ ...(state as SamplerState), notice: notice([payload]) }),
  },
})

let noticeKey = 0
function notice(texts: readonly string[]): SamplerState['notice'] {
  if (texts.length === 0) return null
  noticeKey += 1
  return { text: texts.join(' '), key: noticeKey }
}

function withOpen(state: SamplerState, change: (open: OpenSampler) => OpenSampler): SamplerState {
  return state.open ? { ...state, open: change(state.open) } : state
}

function reapply(document: Sampler, pending: readonly SentOperation[]): { document: Sampler; kept: readonly SentOperation[]; lost: readonly string[] } {
  let next = document
  const kept: SentOperation[] = []
  const lost: string[] = []
  for (const one of pending) {
    const applied = applyOperation(next, one.operation)
    if (applied.ok) {
      next = applied.value
      kept.push(one)
    } else lost.push(applied.problems[0]?.message ?? 'A change could not be made again.')
  }
  return { document: next, kept, lost }
}

function selectedAfter(operation: Operation, before: string | null, document: Sampler): string | null {
  if (operation.kind === 'add-exercise') return operation.exercise.id
  if (before !== null && document.exercises.some((exercise) => exercise.id === before)) return before
  return document.exercises[0]?.id ?? null
}

export const {
  samplerOpened,
  samplerClosed,
  edited,
  sendingBegan,
  sent,
  rebased,
  refused,
  connectionLost,
  sessionLost,
  connectionBack,
  printed,
  exerciseSelected,
  noticed,
} = slice.actions
export const samplerReducer = slice.reducer
