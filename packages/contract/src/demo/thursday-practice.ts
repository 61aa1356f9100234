/**
 * Half a term of the Thursday class, as it might be: who came, how long each practised, one ahead, one stuck, one with a question. A class of
 * simulated learners that ships with the application, so that its pages are seen as they are in use.
 */
import { addDays, layLessons } from '@lemmata/core/calendar'
import type { ClassDocument } from '@lemmata/core/classes'
import type { PracticeEvent } from '@lemmata/core/practice'
import type { Sampler } from '@lemmata/core/sampler'
import { rowLike, rowPlans } from './thursday-rows.ts'

type Told = PracticeEvent extends infer One ? (One extends PracticeEvent ? Omit<One, 'id'> : never) : never

/** By place in the class: who missed which lesson (from 0). */
const MISSED: Readonly<Record<number, number>> = { 2: 1, 8: 2 }
const AHEAD = 3
/** Times as long as is reckoned: this class is a little slower. */
const PACES = [1.1, 1.3, 0.95, 0.8, 1.2, 1.4, 1.05, 1, 1.25, 1.15]
const STUCK = 6
const ASKS = 2
/** Of the lengths of a beginner's first row, and of the one who gets no farther in three. */
const UNEVEN = { first: 0.27, good: 0.12, stuck: [0.31, 0.28, 0.32] }
/** At home it is practised in the evening. Of one moment, nothing is the last: rows are photographed one minute after the other. */
const evening = (day: string, minute = 10): string => `${day}T19:${minute}:00.000Z`

/** Needlefuls beside those that are reckoned, by place: some unpick, one wastes nothing. */
const UNPICKED = [0, 1, 0, 0, 1, 1, 0, 0, 2, 0]

/**
 * Without their ids, which whoever keeps them gives. In the order in which they happened. `planned`: minutes at home of an exercise;
 * `needlefuls`: as many as are reckoned for it.
 */
export function thursdayPractice(
  sampler: Sampler,
  group: ClassDocument,
  today: string,
  planned: (exercise: string) => number,
  needlefuls: (exercise: string) => number,
): readonly Told[] {
  const { calendar, learners } = group
  if (!calendar) return []
  const lessons = sampler.lessons.filter((one) => one.exercises.length > 0)
  const dated = layLessons(
    calendar,
    lessons.map((one) => one.id),
  ).lessons.flatMap(({ on }, index) => (on[0] !== undefined && on[0] < today ? [{ on: on[0], index }] : []))
  const plans = rowPlans(sampler)
  const told: Told[] = []
  for (const [place, { id: learner }] of learners.entries()) {
    const of = { learner, by: 'learner' as const }
    for (const { on, index } of dated) {
      const lesson = lessons[index]
      if (!lesson) continue
      const came = MISSED[place] !== index
      told.push({ ...{ learner, by: 'teacher', at: `${on}T18:30:00.000Z` }, kind: 'came', lesson: lesson.id, came })
      const day = addDays(on, 2)
      const at = evening(day)
      const isLast = index === dated.length - 1
      for (const [which, exercise] of lesson.exercises.entries()) {
        // Who missed it, or has not come so far yet, has not begun its last piece.
        if (!came && which > 0) continue
        const isStuck = place === STUCK && isLast && which === 0
        const isDone = came && !isStuck && (!isLast || place === AHEAD || place % 3 === 0)
        const minutes = planned(exercise) * (PACES[place % PACES.length] ?? 1) * (0.85 + 0.1 * ((place + index + which) % 4)) * (isDone ? 1 : 0.45)
        if (minutes >= 1) told.push({ ...of, at, kind: 'minutes', exercise, minutes: Math.round(minutes) })
        const threaded = needlefuls(exercise) + (UNPICKED[(place + which) % UNPICKED.length] ?? 0)
        // Not everybody counts them.
        if (isDone && place % 3 !== 2 && threaded > 0) told.push({ ...of, at, kind: 'needlefuls', exercise, count: threaded })
        if (isStuck) told.push({ ...of, at, kind: 'stuck', exercise, stuck: true, step: 4 })
        else if (isDone) told.push({ ...of, at, kind: 'can', exercise, can: true })
        const plan = plans.get(exercise)
        const first = UNEVEN.first - 0.04 * index - 0.01 * (place % 4)
        const rows = isStuck ? UNEVEN.stuck : isDone && place % 2 === 0 ? [first, Math.max(UNEVEN.good, first - 0.1)] : place % 3 === 1 ? [first] : []
        if (plan && minutes >= 1)
          for (const [row, uneven] of rows.entries())
            told.push({ ...of, at: evening(day, 11 + row), kind: 'row', exercise, row: rowLike(plan, uneven, 0.01 * ((place % 5) - 2)) })
        if (place === ASKS && isLast && which === 0)
          told.push({ ...of, at, kind: 'question', exercise, asked: 'Does the thread lie left or right of the needle where the line turns?' })
      }
    }
    const next = lessons[dated.length]?.exercises[0]
    const last = dated.at(-1)
    if (place === AHEAD && next !== undefined && last) told.push({ ...of, at: evening(addDays(last.on, 3)), kind: 'minutes', exercise: next, minutes: 18 })
  }
  return told.sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0))
}
