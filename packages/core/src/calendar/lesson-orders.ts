/** The running orders of a taught lesson, one for each date that it is held on: the same on the teacher's page and for the clock in the room. */
import type { LessonId } from '../base/index.ts'
import type { CourseItem } from '../order/index.ts'
import { lessonStory, type TaughtLesson } from '../plan/index.ts'
import type { LaidCalendar } from './lay-lessons.ts'
import { type RunningOrder, runningOrders } from './running-order.ts'

/** `room`: minutes of one date. `laid`: the class's dates; none, and it is held on one. */
export function lessonOrders(
  lessons: readonly TaughtLesson[],
  course: readonly CourseItem[],
  id: LessonId,
  room: number,
  laid: Pick<LaidCalendar, 'lessons'> | null,
): readonly RunningOrder[] {
  const exercises = lessons.find((one) => one.lesson.id === id)?.exercises ?? []
  const items = exercises.flatMap((done) => course.find((one) => one.id === done.exercise.id) ?? [])
  const dates = laid?.lessons.find((one) => one.lesson === id)?.on.length ?? 1
  return runningOrders(items, room, lessonStory(lessons, course, id).known.length > 0, Math.max(1, dates))
}
