import { byId, placeOf, success, type ThreadId, withoutId } from '../../base/index.ts'
import { gone, refusedWhileUsed, type SamplerTools } from './tools.ts'

export interface RemoveThread {
  readonly kind: 'remove-thread'
  readonly id: ThreadId
}

export const removeThread: SamplerTools<RemoveThread> = {
  apply: (sampler, { id }) => {
    if (!byId(sampler.threads, id)) return gone('thread', id)
    return refusedWhileUsed(sampler, 'thread', id) ?? success({ ...sampler, threads: withoutId(sampler.threads, id) })
  },
  invert: (before, { id }) => {
    const thread = byId(before.threads, id)
    return thread ? { kind: 'add-thread', thread, at: placeOf(before.threads, id) } : null
  },
}
