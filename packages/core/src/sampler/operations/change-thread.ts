import { byId, type FieldChange, fieldsBefore, success, type ThreadId, withFields } from '../../base/index.ts'
import { THREAD_FIELDS } from '../fields.ts'
import type { SamplerThread } from '../types.ts'
import { gone, type SamplerTools } from './tools.ts'

export interface ChangeThread {
  readonly kind: 'change-thread'
  readonly id: ThreadId
  readonly set: FieldChange<Omit<SamplerThread, 'id'>>
  readonly clear?: readonly ('weight' | 'figures')[] | undefined
}

export const changeThread: SamplerTools<ChangeThread> = {
  apply: (sampler, { id, set, clear = [] }) =>
    byId(sampler.threads, id)
      ? success({ ...sampler, threads: sampler.threads.map((one) => (one.id === id ? withFields<SamplerThread>(one, set, clear, THREAD_FIELDS) : one)) })
      : gone('thread', id),
  invert: (before, { id, set, clear = [] }) => {
    const was = byId(before.threads, id)
    if (!was) return null
    const back = fieldsBefore<SamplerThread>(was, set, clear)
    return { kind: 'change-thread', id, set: back.set, clear: back.clear as ('weight' | 'figures')[] }
  },
}
