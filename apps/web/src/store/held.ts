/** What a window holds of a sampler beside the document: what is chosen, and the way back. Kept for this window while it lives. */
import { operation } from '@lemmata/contract'
import type { Operation } from '@lemmata/core/sampler'
import { z } from 'zod'
import type { WayBack } from './open-document.ts'
import type { HeldBefore, OpenSampler } from './sampler.ts'

const KEY = 'lemmata-held/'
/** Steps back that are worth keeping; storage of a window is small. */
const MOST_STEPS = 60

const step = z.object({ id: z.string(), operation, turn: z.number() })
const held = z.object({ selected: z.string().nullable(), undo: z.array(step), redo: z.array(step) })

export function holdSampler(open: OpenSampler, selected: string | null): void {
  const last = (steps: readonly WayBack<Operation>[]) => steps.slice(-MOST_STEPS)
  try {
    sessionStorage.setItem(KEY + open.id, JSON.stringify({ selected, undo: last(open.undo), redo: last(open.redo) }))
  } catch {
    // No room: the way back ends with the page, the work itself does not.
    sessionStorage.removeItem(KEY + open.id)
  }
}

/** What another version of the application left is not understood, and is let go. */
export function heldSampler(id: string): HeldBefore | undefined {
  const text = sessionStorage.getItem(KEY + id)
  if (text === null) return undefined
  try {
    const read = held.safeParse(JSON.parse(text))
    return read.success ? read.data : undefined
  } catch {
    return undefined
  }
}
