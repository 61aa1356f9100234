/** The sampler's exercises, worked in a worker; an edit to one exercise works one exercise. */
import type { Surroundings } from '@lemmata/core/assign'
import type { Result } from '@lemmata/core/base'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { courseOf, type CourseItem } from '@lemmata/core/order'
import type { Exercise, Sampler } from '@lemmata/core/sampler'
import { wrap } from 'comlink'
import { createContext, useContext, useEffect, useMemo, useRef, useState } from 'react'
import type { WorkService } from './work.worker.ts'

const worker = new Worker(new URL('./work.worker.ts', import.meta.url), { type: 'module' })
export const workService = wrap<WorkService>(worker)

export interface Entry {
  readonly exercise: Exercise
  readonly around: Surroundings
  readonly result: Result<WorkedExercise>
}

export interface WorkedSampler {
  /** By exercise id; the last known result while a newer one is being worked. */
  readonly results: ReadonlyMap<string, Result<WorkedExercise>>
  readonly done: readonly WorkedExercise[]
  readonly busy: boolean
  /** All exercises have been worked once since the sampler was opened: what is said of them together can be said. */
  readonly complete: boolean
}

/** So many are asked for at once: on a slow machine the first are seen while the others are still worked. */
const GROUP = 8

export function useWorkedSampler(sampler: Sampler): WorkedSampler {
  const { cloth, threads, stitches, exercises } = sampler
  const { level, waysOfWorking, hardFor } = sampler.brief
  const around = useMemo<Surroundings>(
    () => ({ brief: { level, waysOfWorking, hardFor }, cloth, threads, stitches }),
    [level, waysOfWorking, hardFor, cloth, threads, stitches],
  )
  const [entries, setEntries] = useState<ReadonlyMap<string, Entry>>(new Map())
  const [complete, setComplete] = useState(false)
  const latest = useRef(0)
  const stale = useMemo(
    () => exercises.filter((exercise) => entries.get(exercise.id)?.exercise !== exercise || entries.get(exercise.id)?.around !== around),
    [exercises, around, entries],
  )

  useEffect(() => {
    if (stale.length === 0) return
    latest.current += 1
    const asked = latest.current
    let dropped = false
    // What comes back leaves the next group stale.
    const group = stale.slice(0, GROUP)
    void workService.work(group, around).then((results) => {
      // A newer question has been asked meanwhile: its answer will come.
      if (dropped || asked !== latest.current) return
      setEntries((before) => {
        const next = new Map(before)
        for (const [index, exercise] of group.entries()) next.set(exercise.id, { exercise, around, result: results[index] as Result<WorkedExercise> })
        return next
      })
      if (group.length === stale.length) setComplete(true)
    })
    return () => {
      dropped = true
    }
  }, [stale, around])

  return useMemo(() => {
    const results = new Map<string, Result<WorkedExercise>>()
    for (const exercise of exercises) {
      const entry = entries.get(exercise.id)
      if (entry) results.set(exercise.id, entry.result)
    }
    const done = exercises.flatMap((exercise) => {
      const result = results.get(exercise.id)
      return result?.ok ? [result.value] : []
    })
    return { results, done, busy: stale.length > 0, complete: complete || exercises.length === 0 }
  }, [exercises, entries, stale, complete])
}

const NO_COURSE: readonly CourseItem[] = []
const courses = new WeakMap<readonly WorkedExercise[], readonly CourseItem[]>()

/** The course of these exercises, none before all have been worked; the stages' states and the stage that orders them share it. */
export function courseFor({ done, complete }: WorkedSampler): readonly CourseItem[] {
  if (!complete) return NO_COURSE
  const known = courses.get(done)
  if (known) return known
  const course = courseOf(done)
  courses.set(done, course)
  return course
}

export const WorkedContext = createContext<WorkedSampler>({ results: new Map(), done: [], busy: true, complete: false })
export const useWorked = (): WorkedSampler => useContext(WorkedContext)
