import { isDraft, original } from '@reduxjs/toolkit'

/** The state itself: through a draft every look at the document would make a stand-in of what is looked at. */
export function plain<State>(state: unknown): State {
  return (isDraft(state) ? original(state) : state) as State
}
