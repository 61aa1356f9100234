/** The wall's swatches, worked a few at a time in their own worker: the first are there while the last are worked. */
import type { Surroundings } from '@lemmata/core/assign'
import type { Result } from '@lemmata/core/base'
import type { WorkedExercise } from '@lemmata/core/exercise'
import type { StitchDocument } from '@lemmata/core/notation'
import { useEffect, useState } from 'react'
import { unpack } from '../compute/packed.ts'
import { runWorker } from '../compute/protocol.ts'
import type { WallService } from '../compute/wall.worker.ts'

const wall = runWorker<WallService>(() => new Worker(new URL('../compute/wall.worker.ts', import.meta.url), { type: 'module' }), 'Working the library')

/** Swatches asked for at a time: the wall shows its first row at once. */
const AT_A_TIME = 6

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
    const run = async (): Promise<void> => {
      setShown({ results: new Map(results), busy: stale.length > 0, failed: null })
      for (let from = 0; from < stale.length; from += AT_A_TIME) {
        const some = stale.slice(from, from + AT_A_TIME)
        const worked = unpack(await wall.ask((service) => service.swatches(some, around)))
        if (dropped) return
        for (const [index, document] of some.entries()) results.set(document.id, worked[index] as Result<WorkedExercise>)
        setShown({ results: new Map(results), busy: from + AT_A_TIME < stale.length, failed: null })
      }
      remembered = { around, documents, results }
    }
    run().catch((thrown: unknown) => {
      if (!dropped) setShown({ results: new Map(results), busy: false, failed: thrown instanceof Error ? thrown.message : 'The library could not be worked.' })
    })
    return () => {
      dropped = true
    }
  }, [documents, around])
  return shown
}

function isSame(a: Surroundings, b: Surroundings): boolean {
  return a === b || (a.cloth === b.cloth && a.threads === b.threads && a.stitches === b.stitches && JSON.stringify(a.brief) === JSON.stringify(b.brief))
}
