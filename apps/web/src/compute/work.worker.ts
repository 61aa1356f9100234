/** Works exercises, and swatches of the wall, off the page's thread. */
import type { Surroundings } from '@lemmata/core/assign'
import type { Result } from '@lemmata/core/base'
import { workExercise, type WorkedExercise } from '@lemmata/core/exercise'
import type { StitchDocument } from '@lemmata/core/notation'
import type { LaidExercise } from '@lemmata/core/sampler'
import { expose, transfer } from 'comlink'
import { workForWall } from '../stitches/swatch.ts'
import { pack, type Packed } from './packed.ts'
import { keptWork } from './worked-before.ts'

/** The name of a built file has its contents' digest in it; while the program is worked on nothing is kept. */
const kept = import.meta.env.PROD ? keptWork(new URL(import.meta.url).pathname) : null

const service = {
  work: (laid: readonly LaidExercise[], around: Surroundings): Promise<Packed[]> => asBefore('exercise', laid, around, workExercise),
  swatches: (documents: readonly StitchDocument[], around: Surroundings): Promise<Packed[]> => asBefore('swatch', documents, around, workForWall),
}

async function asBefore<One>(
  what: string,
  all: readonly One[],
  around: Surroundings,
  work: (one: One, around: Surroundings) => Result<WorkedExercise>,
): Promise<Packed[]> {
  const keys = await Promise.all(all.map(async (one) => (kept ? kept.keyOf(what, one, around) : null)))
  const found = (await kept?.get(keys.filter((key) => key !== null))) ?? new Map<string, Packed>()
  const fresh: (readonly [string, Packed])[] = []
  const answers = all.map((one, index) => {
    const key = keys[index] ?? null
    const before = key === null ? undefined : found.get(key)
    if (before) return before
    const packed = pack(work(one, around))
    // A copy: what is sent is handed over.
    if (key !== null) fresh.push([key, { ...packed, numbers: packed.numbers.slice() }])
    return packed
  })
  if (fresh.length > 0) void kept?.put(fresh)
  return transfer(
    answers,
    answers.map((one) => one.numbers.buffer),
  )
}

export type WorkService = typeof service
expose(service)
