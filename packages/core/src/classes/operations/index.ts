/** Every edit of a class as plain data; one file a kind, and the compiler sees that none is missing. */
import { applyInTurn, type Batch, invertInTurn, type Result } from '../../base/index.ts'
import type { ClassDocument } from '../types.ts'
import { type AddLearner, addLearner } from './add-learner.ts'
import { type ChangeCalendar, changeCalendar, type MoveDate, moveDate, type SetCalendar, setCalendar, type SetDayOff, setDayOff } from './calendar.ts'
import { type ChangeLearner, changeLearner } from './change-learner.ts'
import { type Choose, choose } from './choose.ts'
import { type RemoveLearner, removeLearner } from './remove-learner.ts'
import { type RenameClass, renameClass } from './rename-class.ts'
import { type SetChildren, setChildren } from './set-children.ts'
import { type SetNote, setNote } from './set-note.ts'
import type { ClassTools } from './tools.ts'

export type SingleClassOperation =
  | AddLearner
  | ChangeCalendar
  | ChangeLearner
  | Choose
  | MoveDate
  | RemoveLearner
  | RenameClass
  | SetCalendar
  | SetChildren
  | SetDayOff
  | SetNote
export type ClassOperation = SingleClassOperation | Batch<ClassOperation>

const TOOLS: { readonly [Kind in SingleClassOperation['kind']]: ClassTools<Extract<SingleClassOperation, { readonly kind: Kind }>> } = {
  'add-learner': addLearner,
  'change-calendar': changeCalendar,
  'change-learner': changeLearner,
  choose,
  'move-date': moveDate,
  'remove-learner': removeLearner,
  'rename-class': renameClass,
  'set-calendar': setCalendar,
  'set-children': setChildren,
  'set-day-off': setDayOff,
  'set-note': setNote,
}

/** The tools of the operation's own kind: the table gives each kind tools for that kind only. */
function toolsFor(operation: SingleClassOperation): ClassTools<SingleClassOperation> {
  return TOOLS[operation.kind] as ClassTools<SingleClassOperation>
}

export function applyClassOperation(one: ClassDocument, operation: ClassOperation): Result<ClassDocument> {
  if (operation.kind === 'batch') return applyInTurn(one, operation.operations, applyClassOperation)
  return toolsFor(operation).apply(one, operation)
}

export function invertClassOperation(before: ClassDocument, operation: ClassOperation): ClassOperation | null {
  if (operation.kind !== 'batch') return toolsFor(operation).invert(before, operation)
  const operations = invertInTurn(before, operation.operations, applyClassOperation, invertClassOperation)
  return operations.length === 0 ? null : { kind: 'batch', operations }
}
