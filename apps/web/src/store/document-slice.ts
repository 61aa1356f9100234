/** The state of a document that is open and saved by itself: the same for a class and for the stores. */
import type { DocumentAnswer, Refusal, SentOperation } from '@lemmata/contract'
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
  withStatus,
} from './open-document.ts'
import { plain } from './plain.ts'

export interface DocumentState<Document, One> {
  readonly open: OpenDocument<Document, One> | null
  /** Something to tell, once. */
  readonly notice: { readonly text: string; readonly key: number } | null
}

let noticeKey = 0
function noticeOf(texts: readonly string[]): DocumentState<unknown, unknown>['notice'] {
  if (texts.length === 0) return null
  noticeKey += 1
  return { text: texts.join(' '), key: noticeKey }
}

/** Plain functions instead of drafts: the document keeps its references where nothing changed. */
export function documentSlice<Document, One>(name: string, tools: DocumentTools<Document, One>) {
  type State = DocumentState<Document, One>
  const initial: State = { open: null, notice: null }
  const withOpen = (state: State, change: (open: OpenDocument<Document, One>) => OpenDocument<Document, One>): State =>
    state.open ? { ...state, open: change(state.open) } : state
  return createSlice({
    name,
    initialState: initial,
    reducers: {
      opened: (_state, { payload }: PayloadAction<{ answer: DocumentAnswer<Document>; pending: readonly SentOperation<One>[] }>): State => {
        const { open, said } = openDocument(tools, payload.answer, payload.pending)
        return { open, notice: noticeOf(said) }
      },
      closed: (): State => initial,
      edited: (state, { payload }: PayloadAction<Edit<One>>): State => {
        const now = plain<State>(state)
        if (!now.open) return now
        const done = editDocument(tools, now.open, payload)
        return done.ok ? { ...now, open: done.value } : { ...now, notice: noticeOf([sentenceOfProblems(done.problems)]) }
      },
      sendingBegan: (state): State => withOpen(plain<State>(state), (open) => withStatus(open, 'saving')),
      acknowledged: (state, { payload }: PayloadAction<{ ids: readonly string[]; revision: number; refused: readonly Refusal[] }>): State => {
        const now = plain<State>(state)
        if (!now.open) return now
        const refused = payload.refused.map(({ id, problems }) => ({ id, message: sentenceOfProblems(problems) }))
        const told = acknowledge(tools, now.open, { ...payload, refused })
        return { open: told.open, notice: noticeOf(told.said) ?? now.notice }
      },
      rebased: (state, { payload }: PayloadAction<{ answer: DocumentAnswer<Document>; applied: readonly string[] }>): State => {
        const now = plain<State>(state)
        if (!now.open) return now
        const told = rebase(tools, now.open, payload.answer, payload.applied)
        return { open: told.open, notice: noticeOf(told.said) ?? now.notice }
      },
      connectionLost: (state): State => withOpen(plain<State>(state), (open) => withStatus(open, 'offline')),
      sessionLost: (state): State => withOpen(plain<State>(state), (open) => withStatus(open, 'signed-out')),
      connectionBack: (state): State => withOpen(plain<State>(state), backOnline),
    },
  })
}
