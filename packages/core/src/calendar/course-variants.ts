/** The same course otherwise divided, to rehearse beside it: a lesson more where it is fullest, a lesson less where it is emptiest, another order. */
import type { ExerciseId, LessonId } from '../base/index.ts'
import type { CourseItem } from '../order/index.ts'

export interface DividedLesson {
  readonly id: LessonId
  readonly exercises: readonly ExerciseId[]
}

const minutesOf = ({ exercises }: DividedLesson, course: readonly CourseItem[]): number =>
  exercises.reduce((sum, id) => sum + (course.find((one) => one.id === id)?.minutes ?? 0), 0)

/** The fullest lesson that has two exercises is divided where its halves are most alike; none where no lesson has two. */
export function oneLessonMore(lessons: readonly DividedLesson[], course: readonly CourseItem[]): readonly DividedLesson[] | null {
  const [fullest] = lessons.filter((one) => one.exercises.length > 1).sort((a, b) => minutesOf(b, course) - minutesOf(a, course))
  if (!fullest) return null
  const cut = (at: number): readonly [DividedLesson, DividedLesson] => [
    { id: fullest.id, exercises: fullest.exercises.slice(0, at) },
    { id: `${fullest.id} 2` as LessonId, exercises: fullest.exercises.slice(at) },
  ]
  const places = fullest.exercises.map((_, at) => at).slice(1)
  const uneven = (at: number): number => {
    const [first, second] = cut(at)
    return Math.abs(minutesOf(first, course) - minutesOf(second, course))
  }
  const best = places.reduce((least, at) => (uneven(at) < uneven(least) ? at : least))
  return lessons.flatMap((one) => (one === fullest ? cut(best) : [one]))
}

/** The two lessons after one another that are emptiest together become one; none where there is but one. */
export function oneLessonLess(lessons: readonly DividedLesson[], course: readonly CourseItem[]): readonly DividedLesson[] | null {
  if (lessons.length < 2) return null
  const together = (at: number): number => minutesOf(lessons[at] as DividedLesson, course) + minutesOf(lessons[at + 1] as DividedLesson, course)
  const at = lessons
    .slice(1)
    .map((_, index) => index)
    .reduce((least, one) => (together(one) < together(least) ? one : least))
  return lessons.flatMap((one, index) => {
    if (index === at + 1) return []
    return index === at ? [{ id: one.id, exercises: [...one.exercises, ...(lessons[at + 1] as DividedLesson).exercises] }] : [one]
  })
}
