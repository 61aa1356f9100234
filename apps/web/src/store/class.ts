/** The class that is open beside the sampler: its learners and what they have chosen, saved like the sampler. */
import type { ClassAnswer, Refusal, SentOperation } from '@lemmata/contract'
import { applyClassOperation, type ClassDocument, type ClassOperation, invertClassOperation } from '@lemmata/core/classes'
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

export type OpenClass = OpenDocument<ClassDocument, ClassOperation>

export interface ClassState {
  readonly open: OpenClass | null
  readonly notice: { readonly text: string; readonly key: number } | null
}

const TOOLS: DocumentTools<ClassDocument, ClassOperation> = { apply: applyClassOperation, invert: invertClassOperation }
const initial: ClassState = { open: null, notice: null }

const slice = createSlice({
  name: 'class',
  initialState: initial,
  reducers: {
    classOpened: (_state, { payload }: PayloadAction<{ answer: ClassAnswer; pending: readonly SentOperation<ClassOperation>[] }>): ClassState => {
      const { open, said } = openDocument(TOOLS, payload.answer, payload.pending)
      return { open, notice: notice(said) }
    },
    classClosed: (): ClassState => initial,
    classEdited: (state, { payload }: PayloadAction<Edit<ClassOperation>>): ClassState => {
      const { open } = plain<ClassState>(state)
      if (!open) return plain(state)
      const done = editDocument(TOOLS, open, payload)
      return done.ok ? { ...plain<ClassState>(state), open: done.value } : { ...plain<ClassState>(state), notice: notice([sentenceOfProblems(done.problems)]) }
    },
    classSendingBegan: (state): ClassState => withOpen(plain<ClassState>(state), (open) => withStatus(open, 'saving')),
    classAcknowledged: (state, { payload }: PayloadAction<{ ids: readonly string[]; revision: number; refused: readonly Refusal[] }>): ClassState => {
      const { open } = plain<ClassState>(state)
      if (!open) return plain(state)
      const refused = payload.refused.map(({ id, problems }) => ({ id, message: sentenceOfProblems(problems) }))
      const told = acknowledge(TOOLS, open, { ...payload, refused })
      return { open: told.open, notice: notice(told.said) ?? plain<ClassState>(state).notice }
    },
    classRebased: (state, { payload }: PayloadAction<{ answer: ClassAnswer; applied: readonly string[] }>): ClassState => {
      const { open } = plain<ClassState>(state)
      if (!open) return plain(state)
      const told = rebase(TOOLS, open, payload.answer, payload.applied)
      return { open: told.open, notice: notice(told.said) ?? plain<ClassState>(state).notice }
    },
    classConnectionLost: (state): ClassState => withOpen(plain<ClassState>(state), (open) => withStatus(open, 'offline')),
    classSessionLost: (state): ClassState => withOpen(plain<ClassState>(state), (open) => withStatus(open, 'signed-out')),
    classConnectionBack: (state): ClassState => withOpen(plain<ClassState>(state), backOnline),
  },
})

let noticeKey = 0
function notice(texts: readonly string[]): ClassState['notice'] {
  if (texts.length === 0) return null
  noticeKey += 1
  return { text: texts.join(' '), key: noticeKey }
}

function withOpen(state: ClassState, change: (open: OpenClass) => OpenClass): ClassState {
  return state.open ? { ...state, open: change(state.open) } : state
}

export const {
  classOpened,
  classClosed,
  classEdited,
  classSendingBegan,
  classAcknowledged,
  classRebased,
  classConnectionLost,
  classSessionLost,
  classConnectionBack,
} = slice.actions
export const classReducer = slice.reducer
