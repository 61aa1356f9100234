/** The sampler's exercises, worked in a worker; an edit to one exercise works one exercise. */
import { type Surroundings } from '@lemmata/core/assign'
import type { Result } from '@lemmata/core/base'
import { type SamplerBudget, samplerBudget, tooMuchInAll, type WorkedExercise } from '@lemmata/core/exercise'
import { courseOf, type CourseItem } from '@lemmata/core/order'
import { layExercises, type Sampler, teachingOrder } from '@lemmata/core/sampler'
import { createContext, useContext, useEffect, useMemo, useRef, useState } from 'react'
import { NOT_ASKED_YET } from './crew.ts'
import { showTogether } from './shown-together.ts'
import { type Entries, type Laid, staleWork } from './stale-work.ts'
import { reconsiderWork, workExercises } from './workers.ts'

const FEW = 8

export interface WorkedInPage {
  /** By exercise id; the last known result while a newer one is being worked. */
  readonly results: ReadonlyMap<string, Result<WorkedExercise>>
  /** In the order of teaching. */
  readonly done: readonly WorkedExercise[]
  readonly busy: boolean
  /** All exercises have been worked once since the sampler was opened: what is said of them together can be said. */
  readonly complete: boolean
  /** What the worker said when it broke. */
  readonly failed: string | null
}

/** `isAside`: what is looked at is not made of it. Opening then waits until the workers have nothing else to do. */
export function useWorkedSampler(sampler: Sampler, isAside = false): WorkedInPage {
  const { cloth, threads, stitches, exercises, drawing, lessons } = sampler
  const { level, waysOfWorking, hardFor, language } = sampler.brief
  const around = useMemo<Surroundings>(
    () => ({ brief: { level, waysOfWorking, hardFor, language }, cloth, threads, stitches }),
    [level, waysOfWorking, hardFor, language, cloth, threads, stitches],
  )
  const all = useMemo<readonly Laid[]>(() => {
    const laid = layExercises({ exercises, drawing })
    return exercises.map((exercise, index) => ({ exercise, laid: laid[index] as Laid['laid'] }))
  }, [exercises, drawing])
  const [entries, setEntries] = useState<Entries>(new Map())
  const [complete, setComplete] = useState(false)
  const [failed, setFailed] = useState<string | null>(null)
  const known = useRef<Entries>(entries)
  const asked = useRef(0)
  const aside = useRef(isAside)
  useEffect(() => {
    aside.current = isAside
    reconsiderWork()
  }, [isAside])
  const stale = useMemo(() => staleWork(all, entries, around), [all, around, entries])

  useEffect(() => {
    const wanted = staleWork(all, known.current, around)
    if (wanted.length === 0) {
      setComplete(true)
      return
    }
    asked.current += 1
    const question = asked.current
    const together = showTogether(() => {
      setEntries(known.current)
      setFailed(null)
    })
    const keep = (group: readonly Laid[], results: readonly Result<WorkedExercise>[]): void => {
      const next = new Map(known.current)
      const budget = budgetBeside(next, group, all)
      group.forEach(({ exercise, laid }, index) => {
        // Two workers: what was asked later may be there sooner.
        if ((next.get(exercise.id)?.question ?? 0) <= question)
          next.set(exercise.id, { laid, around, question, result: budget.take(results[index] as Result<WorkedExercise>) })
      })
      known.current = next
      isSpent = budget.isSpent()
    }
    let isSpent = false
    const lost = wanted.filter(({ laid }) => !laid.ok)
    keep(
      lost,
      lost.map(({ laid }) => laid as Result<never>),
    )
    const workable = wanted.flatMap(({ exercise, laid }) => (laid.ok ? [{ exercise, result: laid, laid: laid.value }] : []))
    // A few are an edit, that someone waits for; many are a sampler that is opened.
    const job = workExercises(workable, around, workable.length > FEW ? () => (aside.current ? NOT_ASKED_YET : 2) : 0, (group, results) => {
      keep(
        group.map(({ exercise, result }) => ({ exercise, laid: result })),
        results,
      )
      if (isSpent) {
        // What is left is not worked, and told the same.
        const left = workable.filter(({ exercise }) => (known.current.get(exercise.id)?.question ?? 0) < question)
        keep(
          left.map(({ exercise, result }) => ({ exercise, laid: result })),
          left.map(tooMuchInAll),
        )
        job.drop()
      }
      together.soon()
    })
    job.ended.then(
      () => {
        if (question !== asked.current) return
        together.now()
        setComplete(true)
      },
      (thrown: unknown) => {
        if (question === asked.current) setFailed(thrown instanceof Error ? thrown.message : 'The stitches could not be worked.')
      },
    )
    return () => {
      together.drop()
      job.drop()
    }
  }, [all, around])

  return useMemo(() => {
    const results = new Map<string, Result<WorkedExercise>>()
    const ordered = teachingOrder({ exercises, lessons })
    for (const exercise of ordered) {
      const entry = entries.get(exercise.id)
      if (entry) results.set(exercise.id, entry.result)
    }
    const done = [...results.values()].flatMap((result) => (result.ok ? [result.value] : []))
    return { results, done, busy: stale.length > 0 && failed === null, complete: complete || exercises.length === 0, failed }
  }, [exercises, lessons, entries, stale, complete, failed])
}

/** What is left of it beside the sampler's other exercises, as they were worked last. */
function budgetBeside(entries: Entries, group: readonly Laid[], all: readonly Laid[]): SamplerBudget {
  const budget = samplerBudget()
  const anew = new Set(group.map(({ exercise }) => exercise.id))
  for (const { exercise } of all) {
    const entry = anew.has(exercise.id) ? undefined : entries.get(exercise.id)
    if (entry) budget.take(entry.result)
  }
  return budget
}

const NO_COURSE: readonly CourseItem[] = []
const courses = new WeakMap<readonly WorkedExercise[], readonly CourseItem[]>()

/** The course of these exercises, none before all have been worked; the stages' states and the stage that orders them share it. */
export function courseFor({ done, complete }: WorkedInPage): readonly CourseItem[] {
  if (!complete) return NO_COURSE
  const known = courses.get(done)
  if (known) return known
  const course = courseOf(done)
  courses.set(done, course)
  return course
}

export const WorkedContext = createContext<WorkedInPage>({ results: new Map(), done: [], busy: true, complete: false, failed: null })
export const useWorked = (): WorkedInPage => useContext(WorkedContext)
