/** Works exercises, and works and paints swatches of the wall, off the page's thread. */
import type { Surroundings } from '@lemmata/core/assign'
import { workExercise } from '@lemmata/core/exercise'
import type { StitchDocument } from '@lemmata/core/notation'
import type { LaidExercise } from '@lemmata/core/sampler'
import { expose, transfer } from 'comlink'
import { paintForWall, type WallLook, type WallPicture } from '../stitches/wall-picture.ts'
import { pack, type Packed } from './packed.ts'
import { type KeptWork, keptWork } from './worked-before.ts'

/** The name of a built file has its contents' digest in it; while the program is worked on nothing is kept. */
const program = import.meta.env.PROD ? new URL(import.meta.url).pathname : null

const threads: Kind<Packed> = {
  kept: program === null ? null : keptWork(program, ({ numbers }) => numbers.byteLength + 20_000),
  copyOf: (packed) => ({ ...packed, numbers: packed.numbers.slice() }),
  buffersOf: ({ numbers }) => [numbers.buffer],
}
const pictures: Kind<WallPicture> = {
  kept: program === null ? null : keptWork(program, ({ bitmap }) => (bitmap?.byteLength ?? 0) + 1000),
  copyOf: ({ facts, bitmap }) => ({ facts, bitmap: bitmap && bitmap.slice() }),
  buffersOf: ({ bitmap }) => (bitmap ? [bitmap] : []),
}

const service = {
  work: (laid: readonly LaidExercise[], around: Surroundings): Promise<Packed[]> =>
    asBefore(threads, laid, ['exercise', around], (one) => pack(workExercise(one, around))),
  paintWall: (documents: readonly StitchDocument[], around: Surroundings, look: WallLook): Promise<WallPicture[]> =>
    asBefore(pictures, documents, ['wall', around, look], (one) => paintForWall(one, around, look)),
}

/** What is answered, and kept for the next time. */
interface Kind<Answer> {
  readonly kept: KeptWork<Answer> | null
  /** What is sent is handed over: what is kept must be another. */
  readonly copyOf: (answer: Answer) => Answer
  readonly buffersOf: (answer: Answer) => ArrayBuffer[]
}

async function asBefore<One, Answer>(
  { kept, copyOf, buffersOf }: Kind<Answer>,
  all: readonly One[],
  from: readonly unknown[],
  work: (one: One) => Answer,
): Promise<Answer[]> {
  const keys = await Promise.all(all.map(async (one) => (kept ? kept.keyOf(one, ...from) : null)))
  const found = (await kept?.get(keys.filter((key) => key !== null))) ?? new Map<string, Answer>()
  const before = keys.map((key) => (key === null ? undefined : found.get(key)))
  const answers = all.map((one, index) => before[index] ?? work(one))
  const fresh = answers.flatMap((answer, index) => {
    const key = keys[index] ?? null
    return key === null || before[index] ? [] : [[key, copyOf(answer)] as const]
  })
  if (fresh.length > 0) void kept?.put(fresh)
  return transfer(answers, answers.flatMap(buffersOf))
}

export type WorkService = typeof service
expose(service)
