/** A kind of thread in a colour, as a thread of the sampler: the one it has, or a new one. */
import type { ThreadOfKind } from '@lemmata/core/materials'
import type { SamplerThread } from '@lemmata/core/sampler'
import { newId } from '../store/new-ids.ts'

export interface ThreadInColour {
  readonly thread: SamplerThread
  /** It is to be added. */
  readonly isNew: boolean
}

export function threadInColour(threads: readonly SamplerThread[], { kind, weight, figures }: ThreadOfKind, colour: SamplerThread['colour']): ThreadInColour {
  const there = threads.find(
    (one) =>
      one.kind === kind &&
      (one.weight ?? '') === (weight ?? '') &&
      (one.figures?.name ?? '') === (figures?.name ?? '') &&
      one.colour.hex.toLowerCase() === colour.hex.toLowerCase(),
  )
  if (there) return { thread: there, isNew: false }
  return {
    thread: { id: newId('t'), kind, ...(weight === undefined ? {} : { weight }), colour, ...(figures === undefined ? {} : { figures }) },
    isNew: true,
  }
}
