/** What lies on the table in each lesson: threads in the order in which they are taken up, with their strands and needle, and how many needlefuls. */
import type { ExerciseId, LessonId } from '../base/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import { type Needle, needleKey, type ThreadKind } from '../materials/index.ts'
import type { ThreadRole } from '../notation/index.ts'
import { type Sampler, type SamplerThread, teachingOrder } from '../sampler/index.ts'

export interface LaidOut {
  readonly thread: SamplerThread
  readonly kind: ThreadKind
  readonly strands: number
  readonly needle: Needle
  readonly needlefuls: number
  readonly for: readonly { readonly exercise: ExerciseId; readonly role: ThreadRole }[]
}

export interface LessonTable {
  /** None of those that no lesson has. */
  readonly lesson: LessonId | null
  readonly title: string
  readonly laidOut: readonly LaidOut[]
  /** Those taken up for the first time in the course. */
  readonly newNeedles: readonly Needle[]
}

/** `done` in any order. What is worked alike in one lesson stands once. Lessons without an exercise that is worked are left out. */
export function tableByLesson(sampler: Pick<Sampler, 'lessons' | 'exercises'>, done: readonly WorkedExercise[]): readonly LessonTable[] {
  const worked = new Map(done.map((one) => [one.exercise.id, one]))
  const inLessons = new Set(sampler.lessons.flatMap((one) => one.exercises))
  const rest = teachingOrder(sampler).filter((one) => !inLessons.has(one.id))
  const groups = [
    ...sampler.lessons.map(({ id, title, exercises }) => ({ lesson: id, title, exercises })),
    { lesson: null, title: 'In no lesson', exercises: rest.map((one) => one.id) },
  ]
  const seen = new Set<string>()
  return groups.flatMap(({ lesson, title, exercises }): LessonTable[] => {
    const laidOut = new Map<string, LaidOut>()
    const newNeedles: Needle[] = []
    for (const one of exercises.flatMap((id) => worked.get(id) ?? []))
      for (const { thread, kind, role, strands, needle, use } of one.threads) {
        const key = `${thread.id} ${strands.value} ${needleKey(needle.value)}`
        const before = laidOut.get(key)
        laidOut.set(key, {
          ...{ thread, kind, strands: strands.value, needle: needle.value },
          needlefuls: (before?.needlefuls ?? 0) + use.needlefuls,
          for: [...(before?.for ?? []), { exercise: one.exercise.id, role }],
        })
        if (seen.has(needleKey(needle.value))) continue
        seen.add(needleKey(needle.value))
        newNeedles.push(needle.value)
      }
    return laidOut.size === 0 ? [] : [{ lesson, title, laidOut: [...laidOut.values()], newNeedles }]
  })
}
