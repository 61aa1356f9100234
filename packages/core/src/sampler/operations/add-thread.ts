import { byId, insertAt, success } from '../../base/index.ts'
import type { SamplerThread } from '../types.ts'
import { already, type SamplerTools } from './tools.ts'

export interface AddThread {
  readonly kind: 'add-thread'
  readonly thread: SamplerThread
  readonly at: number
}

export const addThread: SamplerTools<AddThread> = {
  apply: (sampler, { thread, at }) =>
    byId(sampler.threads, thread.id) ? already('thread', thread.colour.name) : success({ ...sampler, threads: insertAt(sampler.threads, thread, at) }),
  invert: (_before, { thread }) => ({ kind: 'remove-thread', id: thread.id }),
}
