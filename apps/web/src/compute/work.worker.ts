/** Works exercises, and works and paints swatches of the wall, off the page's thread. */
import type { Surroundings } from '@lemmata/core/assign'
import { workExercise } from '@lemmata/core/exercise'
import type { StitchDocument } from '@lemmata/core/notation'
import type { LaidExercise } from '@lemmata/core/sampler'
import { expose, transfer } from 'comlink'
import { inOneFile, makeFirstStroke, paintForWall, type PaintedTile, type WallLook, type WallPicture } from '../stitches/wall-picture.ts'
import { pack, type Packed } from './packed.ts'
import { wallAhead } from './wall-ahead.ts'
import { keptWork } from './worked-before.ts'

/** The name of a built file has its contents' digest in it; while the program is worked on nothing is kept. */
const program = import.meta.env.PROD ? new URL(import.meta.url).pathname : null

const kept = program === null ? null : keptWork<Packed>(program, ({ numbers }) => numbers.byteLength + 20_000)

const ahead = wallAhead(self.name, program, paintForWall)

const service = {
  async work(laid: readonly LaidExercise[], around: Surroundings): Promise<Packed[]> {
    ahead?.stop()
    const keys = await Promise.all(laid.map(async (one) => (await kept?.keyOf(one, 'exercise', around)) ?? null))
    const before = (await kept?.get(keys.filter((key) => key !== null))) ?? new Map<string, Packed>()
    const known = keys.map((key) => (key === null ? undefined : before.get(key)))
    const answers = laid.map((one, index) => known[index] ?? pack(workExercise(one, around)))
    const fresh = answers.flatMap((answer, index) => {
      const key = keys[index] ?? null
      // What is sent is handed over: what is kept must be another.
      return key === null || known[index] ? [] : [[key, { ...answer, numbers: answer.numbers.slice() }] as const]
    })
    if (fresh.length > 0) void kept?.put(fresh)
    return transfer(
      answers,
      answers.map(({ numbers }) => numbers.buffer),
    )
  },
  async paintWall(documents: readonly StitchDocument[], around: Surroundings, look: WallLook): Promise<readonly WallPicture[]> {
    const painted = ahead?.take(
      documents.map(({ id }) => id),
      around,
      look,
    )
    const tiles: PaintedTile[] = []
    for (const one of documents) tiles.push(painted?.get(one.id) ?? (await paintForWall(one, around, look)))
    return inOneFile(tiles, look)
  },
}

export type WorkService = typeof service
expose(service)
// Its name begins with the screen's pixels in one of the page's, where that is known.
makeFirstStroke(Number.parseFloat(self.name) || 1)
