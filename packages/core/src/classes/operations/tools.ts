import { type OperationTools, refused } from '../../base/index.ts'
import type { ClassDocument } from '../types.ts'
import type { ClassOperation } from './index.ts'

export type ClassTools<One extends ClassOperation> = OperationTools<ClassDocument, One, ClassOperation>

export function learnerGone(id: string) {
  return refused('class.learner-gone', { id })
}
