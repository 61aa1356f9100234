import type { TeacherAnswer } from '@lemmata/contract'
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

export interface SessionState {
  /** Undefined until the server has said. */
  readonly teacher: TeacherAnswer | null | undefined
}

const initialState: SessionState = { teacher: undefined }

const slice = createSlice({
  name: 'session',
  initialState,
  reducers: {
    sessionKnown: (_state, action: PayloadAction<TeacherAnswer | null>) => ({ teacher: action.payload }),
  },
})

export const { sessionKnown } = slice.actions
export const sessionReducer = slice.reducer
