import { success } from '../../base/index.ts'
import type { ClassTools } from './tools.ts'

export interface RenameClass {
  readonly kind: 'rename-class'
  readonly name: string
}

export const renameClass: ClassTools<RenameClass> = {
  apply: (one, { name }) => success({ ...one, name }),
  invert: (before) => ({ kind: 'rename-class', name: before.name }),
}
