/** The sampler's exercises, worked in a worker; an edit to one exercise works one exercise. */
import { type Surroundings } from '@lemmata/core/assign'
import type { Result } from '@lemmata/core/base'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { courseOf, type CourseItem } from '@lemmata/core/order'
import { type LaidExercise, layExercises, type Sampler, teachingOrder } from '@lemmata/core/sampler'
import { createContext, useContext, useEffect, useMemo, useRef, useState } from 'react'
import { unpack } from './packed.ts'
import { runWorker, type RunningWorker } from './protocol.ts'
import { type Entries, firstGroup, type Laid, staleWork } from './stale-work.ts'
import type { WorkService } from './work.worker.ts'

let running: RunningWorker<WorkService> | null = null

/** Worked elsewhere; after a failure the next call begins a new worker. */
export async function workElsewhere(laid: readonly LaidExercise[], around: Surroundings): Promise<Result<WorkedExercise>[]> {
  running ??= runWorker<WorkService>(() => new Worker(new URL('./work.worker.ts', import.meta.url), { type: 'module' }), 'Working the stitches')
  const asked = running
  try {
    return unpack(await asked.ask((service) => service.work(laid, around)))
  } catch (thrown) {
    if (running === asked) running = null
    asked.end()
    throw thrown
  }
}

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

export function useWorkedSampler(sampler: Sampler): WorkedInPage {
  const { cloth, threads, stitches, exercises, drawing, lessons } = sampler
  const { level, waysOfWorking, hardFor } = sampler.brief
  const around = useMemo<Surroundings>(
    () => ({ brief: { level, waysOfWorking, hardFor }, cloth, threads, stitches }),
    [level, waysOfWorking, hardFor, cloth, threads, stitches],
  )
  const all = useMemo<readonly Laid[]>(() => {
    const laid = layExercises({ exercises, drawing })
    return exercises.map((exercise, index) => ({ exercise, laid: laid[index] as Laid['laid'] }))
  }, [exercises, drawing])
  const [entries, setEntries] = useState<Entries>(new Map())
  const [complete, setComplete] = useState(false)
  const [failed, setFailed] = useState<string | null>(null)
  const latest = useRef(0)
  const stale = useMemo(() => staleWork(all, entries, around), [all, around, entries])

  useEffect(() => {
    if (stale.length === 0) return
    latest.current += 1
    const asked = latest.current
    let dropped = false
    // What comes back leaves the next group stale.
    const group = firstGroup(stale)
    const workable = group.flatMap(({ laid }) => (laid.ok ? [laid.value] : []))
    void workElsewhere(workable, around).then(
      (results) => {
        // A newer question has been asked meanwhile: its answer will come.
        if (dropped || asked !== latest.current) return
        const answers = [...results]
        setFailed(null)
        setEntries((before) => {
          const next = new Map(before)
          for (const { exercise, laid } of group) next.set(exercise.id, { laid, around, result: laid.ok ? (answers.shift() as Result<WorkedExercise>) : laid })
          return next
        })
        if (group.length === stale.length) setComplete(true)
      },
      (thrown: unknown) => {
        if (!dropped) setFailed(thrown instanceof Error ? thrown.message : 'The stitches could not be worked.')
      },
    )
    return () => {
      dropped = true
    }
  }, [stale, around])

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
