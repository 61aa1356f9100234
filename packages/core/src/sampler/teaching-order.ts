/** The one order of teaching: the lessons', and behind them what stands in none, by its place in the list. */
import type { Exercise, Lesson, Sampler } from './types.ts'

export function teachingOrder(sampler: Pick<Sampler, 'exercises' | 'lessons'>): readonly Exercise[] {
  const byId = new Map(sampler.exercises.map((exercise) => [exercise.id as string, exercise] as const))
  const placed: Exercise[] = []
  for (const id of sampler.lessons.flatMap((lesson) => lesson.exercises)) {
    const exercise = byId.get(id)
    if (!exercise) continue
    placed.push(exercise)
    byId.delete(id)
  }
  return [...placed, ...byId.values()]
}

export function lessonOf(sampler: Pick<Sampler, 'lessons'>, exerciseId: string): Lesson | null {
  return sampler.lessons.find((lesson) => lesson.exercises.includes(exerciseId)) ?? null
}
