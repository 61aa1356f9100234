/** The wall's swatches, worked a few at a time: the first are there while the last are worked. */
import type { Surroundings } from '@lemmata/core/assign'
import type { Result } from '@lemmata/core/base'
import type { WorkedExercise } from '@lemmata/core/exercise'
import type { StitchDocument } from '@lemmata/core/notation'
import { useEffect, useState } from 'react'
import { showTogether } from '../compute/shown-together.ts'
import { workSwatches } from '../compute/workers.ts'

export interface Wall {
  readonly results: ReadonlyMap<string, Result<WorkedExercise>>
  readonly busy: boolean
  /** What the worker said when it broke. */
  readonly failed: string | null
}

/** Remembered between visits to the stage: the same stitches in the same surroundings are not worked twice. */
let remembered: {
  readonly around: Surroundings
  readonly documents: readonly StitchDocument[]
  readonly results: ReadonlyMap<string, Result<WorkedExercise>>
} | null = null

export function useWall(documents: readonly StitchDocument[], around: Surroundings): Wall {
  const [shown, setShown] = useState<Wall>(() => ({ results: remembered?.around === around ? remembered.results : new Map(), busy: true, failed: null }))
  useEffect(() => {
    let dropped = false
    const results = new Map<string, Result<WorkedExercise>>()
    const before = remembered
    const stale = documents.filter((document) => {
      const known = before && isSame(before.around, around) && before.documents.includes(document) ? before.results.get(document.id) : undefined
      if (known) results.set(document.id, known)
      return !known
    })
    // Kept as it grows: whatever changes beside it, what was worked is not worked again.
    remembered = { around, documents, results }
    const together = showTogether(() => setShown({ results: new Map(results), busy: true, failed: null }))
    const job = workSwatches(stale, around, (group, worked) => {
      group.forEach((document, index) => results.set(document.id, worked[index] as Result<WorkedExercise>))
      together.soon()
    })
    job.ended.then(
      () => {
        if (dropped) return
        together.drop()
        setShown({ results, busy: false, failed: null })
      },
      (thrown: unknown) => {
        if (!dropped)
          setShown({ results: new Map(results), busy: false, failed: thrown instanceof Error ? thrown.message : 'The library could not be worked.' })
      },
    )
    return () => {
      dropped = true
      together.drop()
      job.drop()
    }
  }, [documents, around])
  return shown
}

function isSame(a: Surroundings, b: Surroundings): boolean {
  return a === b || (a.cloth === b.cloth && a.threads === b.threads && isAlike(a.stitches, b.stitches) && JSON.stringify(a.brief) === JSON.stringify(b.brief))
}

function isAlike(a: readonly unknown[], b: readonly unknown[]): boolean {
  return a.length === b.length && a.every((one, index) => one === b[index])
}
