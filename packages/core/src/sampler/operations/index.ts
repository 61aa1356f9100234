/**
 * Every edit of a sampler as plain data, applied by one reducer in the page and on the server. One file a kind; the
 * table below asks for every kind, and the compiler sees that none is missing.
 */
import { applyInTurn, type Batch, invertInTurn, type Result } from '../../base/index.ts'
import { danglingReferences } from '../references.ts'
import type { Sampler } from '../types.ts'
import { type AddExercise, addExercise } from './add-exercise.ts'
import { type AddGroup, addGroup } from './add-group.ts'
import { type AddGuide, addGuide } from './add-guide.ts'
import { type AddLesson, addLesson } from './add-lesson.ts'
import { type AddThread, addThread } from './add-thread.ts'
import { type ArrangeLessons, arrangeLessons } from './arrange-lessons.ts'
import { type Assign, assign } from './assign.ts'
import { type ChangeBrief, changeBrief } from './change-brief.ts'
import { type ChangeCloth, changeCloth } from './change-cloth.ts'
import { type ChangeExercise, changeExercise } from './change-exercise.ts'
import { type ChangeGroup, changeGroup } from './change-group.ts'
import { type ChangeGuide, changeGuide } from './change-guide.ts'
import { type ChangeThread, changeThread } from './change-thread.ts'
import { type DropOrder, dropOrder } from './drop-order.ts'
import { type KeepOrder, keepOrder } from './keep-order.ts'
import { type MoveExercise, moveExercise } from './move-exercise.ts'
import { type PutBack, putBack } from './put-back.ts'
import { type PutStitch, putStitch } from './put-stitch.ts'
import { type RemoveExercise, removeExercise } from './remove-exercise.ts'
import { type RemoveGroup, removeGroup } from './remove-group.ts'
import { type RemoveGuide, removeGuide } from './remove-guide.ts'
import { type RemoveLesson, removeLesson } from './remove-lesson.ts'
import { type RemoveStitch, removeStitch } from './remove-stitch.ts'
import { type RemoveThread, removeThread } from './remove-thread.ts'
import { type Rename, rename } from './rename.ts'
import { type RenameLesson, renameLesson } from './rename-lesson.ts'
import { type SetDisplayHoop, setDisplayHoop } from './set-display-hoop.ts'
import { type SetHoop, setHoop } from './set-hoop.ts'
import { type SetParameters, setParameters } from './set-parameters.ts'
import { type SetUnits, setUnits } from './set-units.ts'
import { type SetUnderlay, setUnderlay } from './set-underlay.ts'
import { gone, type SamplerTools } from './tools.ts'
import { type TransformGuides, transformGuides } from './transform-guides.ts'

export type { BriefChange } from './change-brief.ts'
export type { ExerciseChange } from './change-exercise.ts'

export type SingleOperation =
  | AddExercise
  | AddGroup
  | AddGuide
  | AddLesson
  | AddThread
  | ArrangeLessons
  | Assign
  | ChangeBrief
  | ChangeCloth
  | ChangeExercise
  | ChangeGroup
  | ChangeGuide
  | ChangeThread
  | DropOrder
  | KeepOrder
  | MoveExercise
  | PutBack
  | PutStitch
  | RemoveExercise
  | RemoveGroup
  | RemoveGuide
  | RemoveLesson
  | RemoveStitch
  | RemoveThread
  | Rename
  | RenameLesson
  | SetDisplayHoop
  | SetHoop
  | SetParameters
  | SetUnderlay
  | SetUnits
  | TransformGuides

/** A batch is one undo step and one refusal; batches may hold batches. */
export type Operation = SingleOperation | Batch<Operation>
export type OperationKind = Operation['kind']

const TOOLS: { readonly [Kind in SingleOperation['kind']]: SamplerTools<Extract<SingleOperation, { readonly kind: Kind }>> } = {
  'add-exercise': addExercise,
  'add-group': addGroup,
  'add-guide': addGuide,
  'add-lesson': addLesson,
  'add-thread': addThread,
  'arrange-lessons': arrangeLessons,
  assign,
  'change-brief': changeBrief,
  'change-cloth': changeCloth,
  'change-exercise': changeExercise,
  'change-group': changeGroup,
  'change-guide': changeGuide,
  'change-thread': changeThread,
  'drop-order': dropOrder,
  'keep-order': keepOrder,
  'move-exercise': moveExercise,
  'put-back': putBack,
  'put-stitch': putStitch,
  'remove-exercise': removeExercise,
  'remove-group': removeGroup,
  'remove-guide': removeGuide,
  'remove-lesson': removeLesson,
  'remove-stitch': removeStitch,
  'remove-thread': removeThread,
  rename,
  'rename-lesson': renameLesson,
  'set-display-hoop': setDisplayHoop,
  'set-hoop': setHoop,
  'set-parameters': setParameters,
  'set-underlay': setUnderlay,
  'set-units': setUnits,
  'transform-guides': transformGuides,
}

/** Edits of figures and words, which name nothing by its id: a drag of a slider need not look for who is named where. */
const NAMES_NOBODY: ReadonlySet<SingleOperation['kind']> = new Set([
  'change-brief',
  'change-cloth',
  'rename',
  'rename-lesson',
  'set-display-hoop',
  'set-hoop',
  'set-parameters',
  'set-underlay',
  'set-units',
  'transform-guides',
])

/** The tools of the operation's own kind: the table gives each kind tools for that kind only. */
function toolsFor(operation: SingleOperation): SamplerTools<SingleOperation> {
  return TOOLS[operation.kind] as SamplerTools<SingleOperation>
}

export function applyOperation(sampler: Sampler, operation: Operation): Result<Sampler> {
  if (operation.kind === 'batch') return applyInTurn(sampler, operation.operations, applyOperation)
  const applied = toolsFor(operation).apply(sampler, operation)
  if (!applied.ok) return applied
  // Whatever an edit writes, it names only what is there.
  if (NAMES_NOBODY.has(operation.kind)) return applied
  const missing = danglingReferences(applied.value)[0]
  return missing && danglingReferences(sampler).length === 0 ? gone(missing.names, missing.id) : applied
}

/** The operation that takes this one back, made from the sampler as it was before. Null where nothing changed. */
export function invertOperation(before: Sampler, operation: Operation): Operation | null {
  if (operation.kind !== 'batch') return toolsFor(operation).invert(before, operation)
  const operations = invertInTurn(before, operation.operations, applyOperation, invertOperation)
  return operations.length === 0 ? null : { kind: 'batch', operations }
}
