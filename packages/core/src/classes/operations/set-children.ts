import { success } from '../../base/index.ts'
import type { ClassTools } from './tools.ts'

/** A class of children, or not. */
export interface SetChildren {
  readonly kind: 'set-children'
  readonly children: boolean
}

export const setChildren: ClassTools<SetChildren> = {
  // Beside its learners, wherever other fields stand: taken back, the class is written as it was.
  apply: ({ children: _before, format, version, name, sampler, learners, ...rest }, { children }) =>
    success({ format, version, name, ...(sampler === undefined ? {} : { sampler }), learners, ...(children ? { children } : {}), ...rest }),
  invert: ({ children = false }) => ({ kind: 'set-children', children }),
}
