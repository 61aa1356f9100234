/** What a lesson rests on, what is new in it, and what has not lain on the table before: told before it, and asked for after the one before. */
import type { ExerciseId, LessonId } from '../base/index.ts'
import type { UsedThread, WorkedExercise } from '../exercise/index.ts'
import { kindKey, type Needle, needleKey, type ThreadKind } from '../materials/index.ts'
import { type CourseItem, motionsOf, restsOn, restsOnBase, taughtMotions } from '../order/index.ts'
import type { Lesson, Sampler, SamplerThread } from '../sampler/index.ts'
import type { Motion } from '../work/index.ts'

/** A lesson with what is worked in it; those that hold nothing are left out, and have no number. */
export interface TaughtLesson {
  readonly lesson: Lesson
  /** From 1. */
  readonly number: number
  readonly exercises: readonly WorkedExercise[]
}

export function taughtLessons({ lessons }: Pick<Sampler, 'lessons'>, done: readonly WorkedExercise[]): readonly TaughtLesson[] {
  const byId = new Map(done.map((one) => [one.exercise.id, one]))
  return lessons
    .map((lesson) => ({ lesson, exercises: lesson.exercises.flatMap((id) => byId.get(id) ?? []) }))
    .filter((one) => one.exercises.length > 0)
    .map((one, index) => ({ ...one, number: index + 1 }))
}

/** Minutes of a lesson that are to be worked at home. */
export function homeMinutesOf({ exercises }: Pick<Lesson, 'exercises'>, course: readonly CourseItem[]): number {
  return course.reduce((sum, one) => sum + (exercises.includes(one.id) ? one.homeMinutes : 0), 0)
}

export interface LessonStory {
  /** What was taught before and comes back, what matters most first; where nothing does, what was worked last. None in the first lesson. */
  readonly known: readonly { readonly done: WorkedExercise; readonly lesson: number; readonly motions: readonly Motion[] }[]
  /** Each of its exercises, with the motions that it brings. */
  readonly fresh: readonly { readonly done: WorkedExercise; readonly motions: readonly Motion[]; readonly isFirstOfAll: boolean }[]
  /** Colours by kind, for a colour is in the bag in several. */
  readonly newThreads: readonly { readonly kind: ThreadKind; readonly threads: readonly SamplerThread[] }[]
  readonly newNeedles: readonly Needle[]
}

export function lessonStory(lessons: readonly TaughtLesson[], course: readonly CourseItem[], id: LessonId): LessonStory {
  const at = lessons.findIndex((one) => one.lesson.id === id)
  const [here, earlier] = [lessons[at], lessons.slice(0, Math.max(0, at))]
  if (!here) return { known: [], fresh: [], newThreads: [], newNeedles: [] }
  return { known: knownOf(here, earlier, course), fresh: freshOf(here, earlier), ...newOnTheTable(here, earlier) }
}

function knownOf({ exercises }: TaughtLesson, earlier: readonly TaughtLesson[], course: readonly CourseItem[]): LessonStory['known'] {
  const [rests, bases] = [restsOn(course), restsOnBase(course)]
  const needed = new Map<ExerciseId, Set<Motion>>()
  for (const { exercise } of exercises) {
    const base = bases.get(exercise.id)?.on as ExerciseId | undefined
    if (base) needed.set(base, needed.get(base) ?? new Set())
    for (const { on, motion } of rests.get(exercise.id) ?? []) needed.set(on, (needed.get(on) ?? new Set()).add(motion))
  }
  const found = earlier.flatMap(({ number, exercises: taught }) =>
    taught.flatMap((done) => {
      const motions = needed.get(done.exercise.id)
      return motions ? [{ done, lesson: number, motions: taughtMotions([...motions]) }] : []
    }),
  )
  const last = earlier.at(-1)
  if (found.length === 0 && last?.exercises[0]) return [{ done: last.exercises[0], lesson: last.number, motions: [] }]
  return [...found].sort((a, b) => b.motions.length - a.motions.length)
}

function freshOf({ exercises }: TaughtLesson, earlier: readonly TaughtLesson[]): LessonStory['fresh'] {
  const met = new Set(earlier.flatMap((one) => one.exercises.flatMap(motionsOf)))
  return exercises.map((done, index) => {
    const motions = motionsOf(done).filter((one) => !met.has(one))
    for (const one of motions) met.add(one)
    return { done, motions: taughtMotions(motions), isFirstOfAll: earlier.length === 0 && index === 0 }
  })
}

function newOnTheTable({ exercises }: TaughtLesson, earlier: readonly TaughtLesson[]): Pick<LessonStory, 'newThreads' | 'newNeedles'> {
  const before = earlier.flatMap((one) => one.exercises.flatMap((done) => done.threads))
  const threads = new Set(before.map((one) => one.thread.id))
  const needles = new Set(before.map((one) => needleKey(one.needle.value)))
  const here = exercises.flatMap((done) => done.threads)
  const first = <One>(all: readonly (readonly [string, One])[]): readonly One[] => [...new Map(all).values()]
  return {
    newThreads: byKind(first(here.filter((one) => !threads.has(one.thread.id)).map((one) => [one.thread.id, one] as const))),
    newNeedles: first(here.filter((one) => !needles.has(needleKey(one.needle.value))).map((one) => [needleKey(one.needle.value), one.needle.value] as const)),
  }
}

function byKind(used: readonly Pick<UsedThread, 'kind' | 'thread'>[]): LessonStory['newThreads'] {
  const groups = new Map<string, { readonly kind: ThreadKind; readonly threads: SamplerThread[] }>()
  for (const { kind, thread } of used) {
    const key = kindKey(thread)
    const group = groups.get(key) ?? { kind, threads: [] }
    group.threads.push(thread)
    groups.set(key, group)
  }
  return [...groups.values()]
}
