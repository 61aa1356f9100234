/** The open sampler, what is selected in it, and what there is to tell. */
import type { Refusal, SamplerAnswer, SentOperation } from '@lemmata/contract'
import { applyOperation, invertOperation, type Operation, type Sampler, teachingOrder } from '@lemmata/core/sampler'
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import {
  acknowledge,
  backOnline,
  type DocumentTools,
  editDocument,
  type Edit,
  type OpenDocument,
  openDocument,
  rebase,
  sentenceOfProblems,
  type Told,
  withStatus,
} from './open-document.ts'
import { plain } from './plain.ts'

export interface OpenSampler extends OpenDocument<Sampler, Operation> {
  /** The revision that the last printed sheet was made from. */
  readonly printedRevision: number | null
}

export interface SamplerState {
  readonly open: OpenSampler | null
  /** The id of an exercise, or of a guide that no exercise is worked on. */
  readonly selected: string | null
  /** What is held beside it: exercises and sketches that are arranged together. */
  readonly also: readonly string[]
  /** Closed, it gives the work its width; choosing an exercise opens it again. */
  readonly cardShown: boolean
  /** Something to tell: a change that could not be made. */
  readonly notice: { readonly text: string; readonly key: number } | null
}

/** What this window held of the sampler before it was loaded again. */
export interface HeldBefore {
  readonly selected: string | null
  readonly undo: OpenSampler['undo']
  readonly redo: OpenSampler['redo']
}

interface Opening {
  readonly answer: SamplerAnswer
  readonly pending: readonly SentOperation[]
  readonly before?: HeldBefore | undefined
}

const TOOLS: DocumentTools<Sampler, Operation> = { apply: applyOperation, invert: invertOperation }
const NONE: readonly string[] = []
const initial: SamplerState = { open: null, selected: null, also: NONE, cardShown: true, notice: null }

/** Plain functions instead of drafts: the document keeps its references where nothing changed. */
const slice = createSlice({
  name: 'sampler',
  initialState: initial,
  reducers: {
    samplerOpened: (state, { payload }: PayloadAction<Opening>): SamplerState => {
      const { answer, pending, before } = payload
      const told = openDocument(TOOLS, answer, pending)
      const { undo, redo } = before ?? told.open
      return withTold(plain<SamplerState>(state), told, { ...told.open, undo, redo, printedRevision: answer.printedRevision }, before?.selected)
    },
    samplerClosed: (): SamplerState => initial,
    edited: (state, { payload }: PayloadAction<Edit<Operation>>): SamplerState => {
      const { open, selected } = plain<SamplerState>(state)
      if (!open) return plain(state)
      const done = editDocument(TOOLS, open, payload)
      if (!done.ok) return { ...plain<SamplerState>(state), notice: notice([sentenceOfProblems(done.problems)]) }
      const { document } = done.value
      const held = selectedAfter(payload.operation, selected, document)
      const also = held === selected ? plain<SamplerState>(state).also.filter((id) => isThere(document, id)) : NONE
      return { ...plain<SamplerState>(state), open: { ...open, ...done.value }, selected: held, also }
    },
    sendingBegan: (state): SamplerState => withOpen(plain<SamplerState>(state), (open) => withStatus(open, 'saving')),
    acknowledged: (state, { payload }: PayloadAction<{ ids: readonly string[]; revision: number; refused: readonly Refusal[] }>): SamplerState => {
      const { open } = plain<SamplerState>(state)
      if (!open) return plain(state)
      const refused = payload.refused.map(({ id, problems }) => ({ id, message: sentenceOfProblems(problems) }))
      const told = acknowledge(TOOLS, open, { ...payload, refused })
      return withTold(plain<SamplerState>(state), told, { ...open, ...told.open })
    },
    /** Someone was quicker: their state, with this page's own changes applied again. */
    rebased: (state, { payload }: PayloadAction<{ answer: SamplerAnswer; applied: readonly string[] }>): SamplerState => {
      const { open } = plain<SamplerState>(state)
      if (!open) return plain(state)
      const told = rebase(TOOLS, open, payload.answer, payload.applied)
      return withTold(plain<SamplerState>(state), told, { ...open, ...told.open })
    },
    connectionLost: (state): SamplerState => withOpen(plain<SamplerState>(state), (open) => withStatus(open, 'offline')),
    sessionLost: (state): SamplerState => withOpen(plain<SamplerState>(state), (open) => withStatus(open, 'signed-out')),
    connectionBack: (state): SamplerState => withOpen(plain<SamplerState>(state), backOnline),
    printed: (state): SamplerState => withOpen(plain<SamplerState>(state), (open) => ({ ...open, printedRevision: open.revision })),
    exerciseSelected: (state, { payload }: PayloadAction<string | null>): SamplerState => ({
      ...plain<SamplerState>(state),
      selected: payload,
      also: NONE,
      cardShown: payload !== null || plain<SamplerState>(state).cardShown,
    }),
    /** Held with the others, or let go of. */
    heldToo: (state, { payload }: PayloadAction<string>): SamplerState => {
      const { selected, also } = plain<SamplerState>(state)
      if (payload === selected) return { ...plain<SamplerState>(state), selected: also[0] ?? selected, also: also.slice(1) }
      if (selected === null) return { ...plain<SamplerState>(state), selected: payload }
      return { ...plain<SamplerState>(state), also: also.includes(payload) ? also.filter((one) => one !== payload) : [...also, payload] }
    },
    allHeld: (state, { payload }: PayloadAction<readonly string[]>): SamplerState => {
      const [first = null, ...rest] = payload
      return { ...plain<SamplerState>(state), selected: first, also: rest, cardShown: plain<SamplerState>(state).cardShown }
    },
    cardClosed: (state): SamplerState => ({ ...plain<SamplerState>(state), cardShown: false }),
    noticed: (state, { payload }: PayloadAction<string>): SamplerState => ({ ...plain<SamplerState>(state), notice: notice([payload]) }),
  },
})

let noticeKey = 0
function notice(texts: readonly string[]): SamplerState['notice'] {
  if (texts.length === 0) return null
  noticeKey += 1
  return { text: texts.join(' '), key: noticeKey }
}

function withOpen(state: SamplerState, change: (open: OpenSampler) => OpenDocument<Sampler, Operation>): SamplerState {
  return state.open ? { ...state, open: { ...state.open, ...change(state.open) } } : state
}

/** What is selected stays selected while it is there. */
function withTold(state: SamplerState, { said }: Told<Sampler, Operation>, open: OpenSampler, selected: string | null = state.selected): SamplerState {
  return {
    ...state,
    open,
    also: state.also.filter((id) => isThere(open.document, id)),
    selected: isThere(open.document, selected) ? selected : (teachingOrder(open.document)[0]?.id ?? null),
    notice: notice(said) ?? state.notice,
  }
}

function selectedAfter(operation: Operation, before: string | null, document: Sampler): string | null {
  const added = addedExercise(operation) ?? addedGuide(operation)
  if (added !== null) return added
  if (isThere(document, before)) return before
  return teachingOrder(document)[0]?.id ?? null
}

/** An exercise, or a guide that is drawn and not worked yet. */
function isThere(document: Sampler, id: string | null): boolean {
  return id !== null && (document.exercises.some((one) => one.id === id) || document.drawing.guides.some((one) => one.id === id))
}

function addedGuide(operation: Operation): string | null {
  if (operation.kind === 'add-guide') return operation.guide.id
  if (operation.kind !== 'batch') return null
  return operation.operations.reduce<string | null>((found, one) => addedGuide(one) ?? found, null)
}

/** The last exercise that an edit adds, alone or in a batch. */
function addedExercise(operation: Operation): string | null {
  if (operation.kind === 'add-exercise') return operation.exercise.id
  if (operation.kind !== 'batch') return null
  return operation.operations.reduce<string | null>((found, one) => addedExercise(one) ?? found, null)
}

export const {
  samplerOpened,
  samplerClosed,
  edited,
  sendingBegan,
  acknowledged,
  rebased,
  connectionLost,
  sessionLost,
  connectionBack,
  printed,
  exerciseSelected,
  heldToo,
  allHeld,
  cardClosed,
  noticed,
} = slice.actions
export const samplerReducer = slice.reducer
