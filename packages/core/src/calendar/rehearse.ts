/**
 * A class that is not there yet works the course, many times over: learners of every pace, who miss lessons and do not always practise.
 * A model, to compare courses by, not to foretell anyone: what it assumes is said with it. The same seed gives the same classes, and the
 * same learners miss the same lessons and more when more are missed, so that two courses are compared by their difference alone.
 */
import { atOnce, type LessonId, normal, seeded } from '../base/index.ts'
import type { LessonMinutes } from './lesson-minutes.ts'

export interface RehearsedCourse {
  readonly lessons: readonly LessonMinutes[]
  /** Minutes at home in a week. */
  readonly homeRoom: number
  /** From each lesson to the next, at least one after the last. */
  readonly weeks: (lesson: LessonId) => number
}

export interface SimulatedClass {
  readonly classes: number
  readonly learners: number
  /** Of the learners' paces about the usual, as the spread of its logarithm: 0 all alike; 0.35 has a third slower than 1.4 or quicker than 0.7. */
  readonly spread: number
  /** Of all lessons, that a learner misses; 0 to 1. */
  readonly missed: number
  /** Of all weeks, in which she practises at home; 0 to 1. */
  readonly practised: number
  readonly seed: number
}

export interface RehearsedLesson {
  readonly lesson: LessonId
  /** Of all learners, who have all of it worked before the next lesson; 0 to 1. */
  readonly finished: number
  /** Minutes still to work then, of the learner in the middle and of the one that nine in ten are before. */
  readonly middle: number
  readonly ninth: number
}

export interface Rehearsal {
  readonly lessons: readonly RehearsedLesson[]
  /** Lesson in which most fall behind who were not behind before; null where nobody does. */
  readonly stuck: { readonly lesson: LessonId; readonly share: number } | null
}

/** Behind is who has more than this still to work, minutes: less is caught up while the others thread their needles. */
const BEHIND = 0.5
/** After a missed lesson hands have lost some of their speed: 10 to 20 % of it for a gap of a week (materials of learning). */
const AFTER_A_GAP = 1.15

/** At once. */
export const rehearse = (course: RehearsedCourse, how: SimulatedClass): Rehearsal => atOnce(rehearseInSteps(course, how))

/** Class after class; told after each how much of it is through, 0 to 1. */
export function* rehearseInSteps({ lessons, homeRoom, weeks }: RehearsedCourse, how: SimulatedClass): Generator<number, Rehearsal> {
  const random = seeded(how.seed)
  const people = how.classes * how.learners
  const left = lessons.map(() => new Float64Array(people))
  const fell = lessons.map(() => 0)
  for (let one = 0; one < people; one += 1) {
    if (one > 0 && one % how.learners === 0) yield one / people
    const pace = Math.exp(how.spread * normal(random))
    let carried = 0
    let wasThere = true
    for (const [at, { lesson, showing, working, breaks, home, room }] of lessons.entries()) {
      // Both are thrown for everyone, so that the next learner's throws are the same whatever is asked.
      const [misses, practises] = [random() < how.missed, random() < how.practised]
      const factor = pace * (wasThere ? 1 : AFTER_A_GAP)
      const inClass = misses ? 0 : Math.max(0, room - showing - breaks)
      const before = carried
      const undone = Math.max(0, carried + working * factor - inClass)
      carried = Math.max(0, undone + home * factor - (practises ? homeRoom * weeks(lesson) : 0))
      ;(left[at] as Float64Array)[one] = carried
      if (before < BEHIND && carried >= BEHIND) fell[at] = (fell[at] ?? 0) + 1
      wasThere = !misses
    }
  }
  const found = lessons.map(({ lesson }, at): RehearsedLesson => {
    const all = (left[at] as Float64Array).sort()
    const finished = all.findIndex((minutes) => minutes >= BEHIND)
    const of = (share: number): number => all[Math.min(people - 1, Math.floor(share * people))] ?? 0
    return { lesson, finished: people === 0 ? 1 : (finished < 0 ? people : finished) / people, middle: of(0.5), ninth: of(0.9) }
  })
  const most = Math.max(0, ...fell)
  const at = fell.indexOf(most)
  return { lessons: found, stuck: most === 0 ? null : { lesson: (lessons[at] as LessonMinutes).lesson, share: most / people } }
}
