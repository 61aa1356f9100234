/** The class that is open beside the sampler: its learners and what they have chosen, saved like the sampler. */
import { applyClassOperation, type ClassDocument, type ClassOperation, invertClassOperation } from '@lemmata/core/classes'
import { documentSlice, type DocumentState } from './document-slice.ts'
import type { OpenDocument } from './open-document.ts'

export type OpenClass = OpenDocument<ClassDocument, ClassOperation>
export type ClassState = DocumentState<ClassDocument, ClassOperation>

const slice = documentSlice<ClassDocument, ClassOperation>('class', { apply: applyClassOperation, invert: invertClassOperation })

export const {
  opened: classOpened,
  closed: classClosed,
  edited: classEdited,
  sendingBegan: classSendingBegan,
  acknowledged: classAcknowledged,
  rebased: classRebased,
  connectionLost: classConnectionLost,
  sessionLost: classSessionLost,
  connectionBack: classConnectionBack,
} = slice.actions
export const classReducer = slice.reducer
