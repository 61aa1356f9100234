/** One sitting of the trainer: what is asked today, one after another; what was missed comes again at its end. */
import type { WeekAnswer } from '@lemmata/contract'
import { forLearner, roleThreads, type WorkedExercise, workSampler } from '@lemmata/core/exercise'
import { type Asked, askedToday, type Motion, nextAsked, type Quiz, quizOf, rememberedOf } from '@lemmata/core/recall'
import { useCallback, useMemo, useRef, useState } from 'react'
import { eventsIn, type Kept } from '../kept.ts'

export interface AskedNow {
  readonly done: WorkedExercise
  readonly quiz: Quiz
  readonly motion: Motion
}

/** The calendar of the class is much for a phone to load. */
function addDays(day: string, days: number): string {
  const moment = new Date(`${day}T12:00Z`)
  moment.setUTCDate(moment.getUTCDate() + days)
  return moment.toISOString().slice(0, 10)
}

/** What she remembers, of all that she was asked. */
export const remembered = (kept: Kept) => (kept.week ? rememberedOf(eventsIn(kept), kept.week.learner.id, addDays) : new Map<string, never>())

/** Exercises that have been taught by today and that she may see, in their order. */
function taught({ lessons, sampler, today }: WeekAnswer): readonly string[] {
  const seen = lessons.filter(({ on, seenFrom }) => seenFrom === null && (on[0] ?? today) <= today)
  return seen.flatMap(({ id }) => sampler.lessons.find((one) => one.id === id)?.exercises ?? [])
}

export function useSitting(kept: Kept, week: WeekAnswer) {
  const quizzes = useRef(new Map<string, { readonly done: WorkedExercise; readonly quiz: Quiz } | null>())
  const own = useMemo(() => forLearner(week.sampler, week.learner).sampler, [week.sampler, week.learner])
  // Each piece is worked when it is first asked about: a phone works no whole sampler.
  const quizFor = useCallback(
    (exercise: string) => {
      const known = quizzes.current.get(exercise)
      if (known !== undefined) return known
      const done = workSampler(own, new Set([exercise])).done[0]
      const quiz = done && askAbout(done, week.learner.hand ?? 'right')
      const found = done && quiz ? { done, quiz } : null
      quizzes.current.set(exercise, found)
      return found
    },
    [own, week.learner.hand],
  )
  const begin = useCallback((): readonly Asked[] => {
    const known = remembered(kept)
    const there = new Set(taught(week))
    function* fresh(): Generator<Asked> {
      for (const exercise of there) for (const { key } of quizFor(exercise)?.quiz.motions ?? []) yield { exercise, motion: key }
    }
    const asked = new Map([...known].filter(([, one]) => there.has(one.exercise)))
    return askedToday(asked, fresh(), week.today)
  }, [kept, week, quizFor])
  const [queue, setQueue] = useState(begin)
  const [at, setAt] = useState(0)
  // What was missed is asked again at the end; it counts as it was first answered.
  const [again, setAgain] = useState<ReadonlySet<number>>(new Set())
  const now = queue[at]
  const found = now ? quizFor(now.exercise) : null
  const motion = found?.quiz.motions.find((one) => one.key === now?.motion) ?? null
  const on = useCallback(
    (wasRight: boolean): void => {
      const one = queue[at]
      if (one && !wasRight && !again.has(at)) {
        setAgain((before) => new Set([...before, queue.length]))
        setQueue((before) => [...before, one])
      }
      setAt(at + 1)
    },
    [queue, at, again],
  )
  const more = useCallback((): void => {
    setQueue(begin())
    setAgain(new Set())
    setAt(0)
  }, [begin])
  const asked: AskedNow | null = found && motion ? { ...found, motion } : null
  return {
    at,
    count: queue.length,
    exercise: now?.exercise ?? null,
    asked,
    isAgain: again.has(at),
    isOver: at >= queue.length,
    on,
    more,
    next: nextAsked(remembered(kept)),
  }
}

function askAbout(done: WorkedExercise, hand: 'left' | 'right'): Quiz | null {
  const { document, parameters, materials } = done.assigned
  const quiz = quizOf({ document, parameters, materials, threads: roleThreads(done.assigned), hand, like: done.pieces[0].guide })
  return quiz.ok ? quiz.value : null
}
