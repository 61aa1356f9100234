/**
 * Every edit of a sampler as plain data, applied by one reducer in the page and on the server. An operation
 * that no longer makes sense (its exercise is gone) is a problem, never a crash; each has an inverse.
 */
import { error, failure, type Result, success, unreachable } from '../base/index.ts'
import type { StitchDocument } from '../notation/index.ts'
import type { Brief, Exercise, Hoop, KeptOrder, LearnerVersion, Lesson, OverruledWays, Sampler, SamplerCloth, SamplerThread } from './types.ts'

export type ExerciseChange = { readonly [Key in Exclude<keyof Exercise, 'id'>]?: Exercise[Key] | undefined }
export type BriefChange = { readonly [Key in Exclude<keyof Brief, 'waysOfWorking'>]?: Brief[Key] | undefined } & {
  readonly waysOfWorking?: OverruledWays | undefined
}
type ClearableBriefKey = 'startDate' | 'everyDays' | 'skipDates' | 'purpose' | 'wishes' | 'hardFor' | 'lessons'

export type Operation =
  | { readonly kind: 'rename'; readonly name: string }
  | { readonly kind: 'set-units'; readonly units: 'mm' | 'in' }
  | { readonly kind: 'change-brief'; readonly set: BriefChange; readonly clear?: readonly ClearableBriefKey[] | undefined }
  | { readonly kind: 'set-cloth'; readonly cloth: SamplerCloth }
  | { readonly kind: 'set-hoop'; readonly hoop: Hoop | null }
  | { readonly kind: 'put-thread'; readonly thread: SamplerThread; readonly at: number }
  | { readonly kind: 'remove-thread'; readonly id: string }
  | { readonly kind: 'add-exercise'; readonly exercise: Exercise; readonly at: number }
  | { readonly kind: 'remove-exercise'; readonly id: string }
  | { readonly kind: 'change-exercise'; readonly id: string; readonly set: ExerciseChange; readonly clear?: readonly (keyof ExerciseChange)[] | undefined }
  | { readonly kind: 'order-exercises'; readonly ids: readonly string[] }
  | { readonly kind: 'set-lessons'; readonly lessons: readonly Lesson[] }
  /** The order of teaching: the exercises and their lessons, at once. */
  | { readonly kind: 'set-order'; readonly ids: readonly string[]; readonly lessons: readonly Lesson[] }
  | { readonly kind: 'keep-order'; readonly order: KeptOrder; readonly at: number }
  | { readonly kind: 'drop-order'; readonly id: string }
  | { readonly kind: 'put-version'; readonly version: LearnerVersion; readonly at: number }
  | { readonly kind: 'drop-version'; readonly id: string }
  | { readonly kind: 'put-stitch'; readonly stitch: StitchDocument }
  | { readonly kind: 'remove-stitch'; readonly id: string }

export function applyOperation(sampler: Sampler, operation: Operation): Result<Sampler> {
  switch (operation.kind) {
    case 'rename':
      return success({ ...sampler, name: operation.name })
    case 'set-units':
      return success({ ...sampler, units: operation.units })
    case 'change-brief':
      return success({ ...sampler, brief: changeBrief(sampler.brief, operation) })
    case 'set-cloth':
      return success({ ...sampler, cloth: operation.cloth })
    case 'set-hoop': {
      const { workingHoop: _before, ...rest } = sampler
      return success(operation.hoop ? { ...rest, workingHoop: operation.hoop } : rest)
    }
    case 'put-thread':
      return success({ ...sampler, threads: put(sampler.threads, operation.thread, operation.at) })
    case 'remove-thread': {
      const used = sampler.exercises.find((exercise) => exercise.thread === operation.id)
      if (used) return gone('operation.thread-used', `This thread is used by "${used.name}". Give that exercise another thread first.`)
      return success({ ...sampler, threads: sampler.threads.filter((thread) => thread.id !== operation.id) })
    }
    case 'add-exercise':
      if (sampler.exercises.some((exercise) => exercise.id === operation.exercise.id))
        return gone('operation.exercise-there', `"${operation.exercise.name}" is in this sampler already.`)
      return success({ ...sampler, exercises: put(sampler.exercises, operation.exercise, operation.at) })
    case 'remove-exercise':
      if (!sampler.exercises.some((exercise) => exercise.id === operation.id)) return missing(operation.id)
      return success({ ...sampler, exercises: sampler.exercises.filter((exercise) => exercise.id !== operation.id) })
    case 'change-exercise': {
      if (!sampler.exercises.some((exercise) => exercise.id === operation.id)) return missing(operation.id)
      return success({
        ...sampler,
        exercises: sampler.exercises.map((exercise) => (exercise.id === operation.id ? changed(exercise, operation.set, operation.clear ?? []) : exercise)),
      })
    }
    case 'order-exercises':
      return success({ ...sampler, exercises: inOrder(sampler.exercises, operation.ids) })
    case 'set-lessons':
      return success({ ...sampler, lessons: operation.lessons })
    case 'set-order':
      return success({ ...sampler, exercises: inOrder(sampler.exercises, operation.ids), lessons: operation.lessons })
    case 'keep-order':
      return success(withList(sampler, 'keptOrders', put(sampler.keptOrders ?? [], operation.order, operation.at)))
    case 'drop-order':
      return success(withList(sampler, 'keptOrders', without(sampler.keptOrders, operation.id)))
    case 'put-version':
      return success(withList(sampler, 'learnerVersions', put(sampler.learnerVersions ?? [], operation.version, operation.at)))
    case 'drop-version':
      return success(withList(sampler, 'learnerVersions', without(sampler.learnerVersions, operation.id)))
    case 'put-stitch': {
      const at = sampler.stitches.findIndex((stitch) => stitch.id === operation.stitch.id)
      return success({ ...sampler, stitches: put(sampler.stitches, operation.stitch, at < 0 ? sampler.stitches.length : at) })
    }
    case 'remove-stitch': {
      const used = sampler.exercises.find((exercise) => exercise.stitch === operation.id)
      if (used) return gone('operation.stitch-used', `This stitch is worked in "${used.name}". Give that exercise another stitch first.`)
      return success({ ...sampler, stitches: sampler.stitches.filter((stitch) => stitch.id !== operation.id) })
    }
    default:
      return unreachable(operation)
  }
}

/** The operation that takes this one back, made from the sampler as it was before. Null where nothing changed. */
export function invertOperation(before: Sampler, operation: Operation): Operation | null {
  switch (operation.kind) {
    case 'rename':
      return { kind: 'rename', name: before.name }
    case 'set-units':
      return { kind: 'set-units', units: before.units }
    case 'change-brief': {
      const keys = [...Object.keys(operation.set), ...(operation.clear ?? [])] as (keyof Brief)[]
      const set = Object.fromEntries(keys.filter((key) => before.brief[key] !== undefined).map((key) => [key, before.brief[key]]))
      return { kind: 'change-brief', set, clear: keys.filter((key): key is ClearableBriefKey => before.brief[key] === undefined) }
    }
    case 'set-cloth':
      return { kind: 'set-cloth', cloth: before.cloth }
    case 'set-hoop':
      return { kind: 'set-hoop', hoop: before.workingHoop ?? null }
    case 'put-thread': {
      const at = before.threads.findIndex((thread) => thread.id === operation.thread.id)
      return at < 0 ? { kind: 'remove-thread', id: operation.thread.id } : { kind: 'put-thread', thread: before.threads[at] as SamplerThread, at }
    }
    case 'remove-thread': {
      const at = before.threads.findIndex((thread) => thread.id === operation.id)
      return at < 0 ? null : { kind: 'put-thread', thread: before.threads[at] as SamplerThread, at }
    }
    case 'add-exercise':
      return { kind: 'remove-exercise', id: operation.exercise.id }
    case 'remove-exercise': {
      const at = before.exercises.findIndex((exercise) => exercise.id === operation.id)
      return at < 0 ? null : { kind: 'add-exercise', exercise: before.exercises[at] as Exercise, at }
    }
    case 'change-exercise': {
      const was = before.exercises.find((exercise) => exercise.id === operation.id)
      if (!was) return null
      const keys = [...Object.keys(operation.set), ...(operation.clear ?? [])] as (keyof ExerciseChange)[]
      const set = Object.fromEntries(keys.filter((key) => was[key] !== undefined).map((key) => [key, was[key]]))
      return { kind: 'change-exercise', id: operation.id, set, clear: keys.filter((key) => was[key] === undefined) }
    }
    case 'order-exercises':
      return { kind: 'order-exercises', ids: before.exercises.map((exercise) => exercise.id) }
    case 'set-lessons':
      return { kind: 'set-lessons', lessons: before.lessons }
    case 'set-order':
      return { kind: 'set-order', ids: before.exercises.map((exercise) => exercise.id), lessons: before.lessons }
    case 'keep-order': {
      const at = (before.keptOrders ?? []).findIndex((order) => order.id === operation.order.id)
      return at < 0 ? { kind: 'drop-order', id: operation.order.id } : { kind: 'keep-order', order: before.keptOrders?.[at] as KeptOrder, at }
    }
    case 'drop-order': {
      const at = (before.keptOrders ?? []).findIndex((order) => order.id === operation.id)
      return at < 0 ? null : { kind: 'keep-order', order: before.keptOrders?.[at] as KeptOrder, at }
    }
    case 'put-version': {
      const at = (before.learnerVersions ?? []).findIndex((version) => version.id === operation.version.id)
      return at < 0 ? { kind: 'drop-version', id: operation.version.id } : { kind: 'put-version', version: before.learnerVersions?.[at] as LearnerVersion, at }
    }
    case 'drop-version': {
      const at = (before.learnerVersions ?? []).findIndex((version) => version.id === operation.id)
      return at < 0 ? null : { kind: 'put-version', version: before.learnerVersions?.[at] as LearnerVersion, at }
    }
    case 'put-stitch': {
      const was = before.stitches.find((stitch) => stitch.id === operation.stitch.id)
      return was ? { kind: 'put-stitch', stitch: was } : { kind: 'remove-stitch', id: operation.stitch.id }
    }
    case 'remove-stitch': {
      const was = before.stitches.find((stitch) => stitch.id === operation.id)
      return was ? { kind: 'put-stitch', stitch: was } : null
    }
    default:
      return unreachable(operation)
  }
}

function gone(code: string, message: string): Result<Sampler> {
  return failure(error(code, [], message))
}

function missing(id: string): Result<Sampler> {
  return gone('operation.exercise-gone', `The exercise "${id}" is no longer in this sampler, so this change could not be made.`)
}

/** Put at a place, replacing the one of the same id. */
function put<T extends { readonly id: string }>(list: readonly T[], one: T, at: number): readonly T[] {
  const rest = list.filter((other) => other.id !== one.id)
  const place = Math.max(0, Math.min(rest.length, at))
  return [...rest.slice(0, place), one, ...rest.slice(place)]
}

function changed(exercise: Exercise, set: ExerciseChange, clear: readonly (keyof ExerciseChange)[]): Exercise {
  const given = Object.fromEntries(Object.entries(set).filter(([, value]) => value !== undefined))
  const next: Record<string, unknown> = { ...exercise, ...given }
  for (const key of clear) delete next[key]
  return next as unknown as Exercise
}

function changeBrief(brief: Brief, { set, clear }: { readonly set: BriefChange; readonly clear?: readonly ClearableBriefKey[] | undefined }): Brief {
  const { waysOfWorking, ...plain } = set
  const next: Record<string, unknown> = { ...brief, ...Object.fromEntries(Object.entries(plain).filter(([, value]) => value !== undefined)) }
  if (waysOfWorking)
    next.waysOfWorking = { ...brief.waysOfWorking, ...Object.fromEntries(Object.entries(waysOfWorking).filter(([, value]) => value !== undefined)) }
  for (const key of clear ?? []) delete next[key]
  return next as unknown as Brief
}

/** An empty list is not written. */
function withList<Key extends 'keptOrders' | 'learnerVersions'>(sampler: Sampler, key: Key, list: NonNullable<Sampler[Key]>): Sampler {
  const { [key]: _before, ...rest } = sampler
  return (list.length > 0 ? { ...rest, [key]: list } : rest) as Sampler
}

function without<Item extends { readonly id: string }>(list: readonly Item[] | undefined, id: string): readonly Item[] {
  return (list ?? []).filter((one) => one.id !== id)
}

/** Listed ids first, in that order; any that the list does not know (added meanwhile) keep their order behind. */
function inOrder(exercises: readonly Exercise[], ids: readonly string[]): readonly Exercise[] {
  const rank = new Map(ids.map((id, index) => [id, index] as const))
  return [...exercises]
    .map((exercise, index) => ({ exercise, key: rank.get(exercise.id) ?? ids.length + index }))
    .sort((a, b) => a.key - b.key)
    .map(({ exercise }) => exercise)
}
