import { success } from '../../base/index.ts'
import type { SamplerTools } from './tools.ts'

export interface Rename {
  readonly kind: 'rename'
  readonly name: string
}

export const rename: SamplerTools<Rename> = {
  apply: (sampler, { name }) => success({ ...sampler, name }),
  invert: (before) => ({ kind: 'rename', name: before.name }),
}
