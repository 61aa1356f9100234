import { byId, type ExerciseId, type LessonId, success } from '../../base/index.ts'
import { withoutNamesOf } from '../references.ts'
import type { Lesson, Sampler } from '../types.ts'
import type { Operation } from './index.ts'
import type { SamplerTools } from './tools.ts'

/**
 * The whole course in another arrangement: which lessons, in which order, with which exercises. A lesson that is there
 * keeps its title (`title` is for a new one), so that a title written elsewhere meanwhile stays. A lesson that is not
 * named goes when nothing is left in it; what is named nowhere stays where it is taught.
 */
export interface ArrangeLessons {
  readonly kind: 'arrange-lessons'
  readonly lessons: readonly { readonly id: LessonId; readonly title: string; readonly exercises: readonly ExerciseId[] }[]
}

export const arrangeLessons: SamplerTools<ArrangeLessons> = {
  apply: (sampler, { lessons }) => success(arranged(sampler, lessons)),
  invert: (before, operation) => {
    const after = arranged(before, operation.lessons)
    const back: Operation = { kind: 'arrange-lessons', lessons: before.lessons }
    const taught = new Set(before.lessons.flatMap((lesson) => lesson.exercises as readonly string[]))
    const untaught = after.lessons
      .flatMap((lesson) => lesson.exercises.filter((id) => !taught.has(id)))
      .map((id): Operation => ({ kind: 'move-exercise', id, to: null }))
    // A lesson that went took its pins along.
    const pins = before.exercises.flatMap((one, index): Operation[] =>
      one.pins && one.pins !== after.exercises[index]?.pins ? [{ kind: 'change-exercise', id: one.id, set: { pins: one.pins } }] : [],
    )
    return untaught.length + pins.length === 0 ? back : { kind: 'batch', operations: [...untaught, back, ...pins] }
  },
}

function arranged(sampler: Sampler, wanted: ArrangeLessons['lessons']): Sampler {
  const known = new Set<string>(sampler.exercises.map((one) => one.id))
  const placed = new Set<string>()
  const take = (ids: readonly ExerciseId[]): ExerciseId[] =>
    ids.filter((id) => {
      if (!known.has(id) || placed.has(id)) return false
      placed.add(id)
      return true
    })
  const named = wanted.map(({ id, title, exercises }): Lesson => ({ id, title: byId(sampler.lessons, id)?.title ?? title, exercises: take(exercises) }))
  const filled = named.map((lesson) => {
    const left = take(byId(sampler.lessons, lesson.id)?.exercises ?? [])
    return left.length > 0 ? { ...lesson, exercises: [...lesson.exercises, ...left] } : lesson
  })
  const others = sampler.lessons.flatMap((lesson): Lesson[] => {
    if (byId(wanted, lesson.id)) return []
    const left = take(lesson.exercises)
    return left.length > 0 ? [{ ...lesson, exercises: left }] : []
  })
  const lessons = [...filled, ...others]
  const gone = sampler.lessons.filter((lesson) => !byId(lessons, lesson.id))
  return gone.reduce<Sampler>((now, lesson) => withoutNamesOf(now, 'lesson', lesson.id), { ...sampler, lessons })
}
