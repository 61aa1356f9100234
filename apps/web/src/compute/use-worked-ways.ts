/** One exercise as it could be worked otherwise: every way of it worked in a worker, before anything that waits. */
import { surroundingsOf } from '@lemmata/core/assign'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { type Exercise, layExercises, type Sampler } from '@lemmata/core/sampler'
import { useEffect, useState } from 'react'
import { workElsewhere } from './workers.ts'

/** Null for a way that cannot be worked, and all of it null until they have been. `exercises`: the same list as long as nothing changes. */
export function useWorkedWays(exercises: readonly Exercise[], sampler: Sampler): readonly (WorkedExercise | null)[] | null {
  const [worked, setWorked] = useState<{ readonly of: readonly Exercise[]; readonly done: readonly (WorkedExercise | null)[] } | null>(null)
  useEffect(() => {
    let dropped = false
    const laid = layExercises({ exercises, drawing: sampler.drawing })
    workElsewhere(
      laid.flatMap((one) => (one.ok ? [one.value] : [])),
      surroundingsOf(sampler),
    ).then(
      (results) => {
        const rest = [...results]
        const done = laid.map((one) => {
          const result = one.ok ? rest.shift() : undefined
          return result?.ok ? result.value : null
        })
        if (!dropped) setWorked({ of: exercises, done })
      },
      () => !dropped && setWorked({ of: exercises, done: exercises.map(() => null) }),
    )
    return () => {
      dropped = true
    }
  }, [exercises, sampler])
  return worked?.of === exercises ? worked.done : null
}
