/** What hangs on the wall, on which cloth and in which threads. */
import { type Surroundings, surroundingsOf } from '@lemmata/core/assign'
import type { StitchDocument } from '@lemmata/core/notation'
import { allStitches } from '@lemmata/core/stitches'
import { familiesOf } from './families.ts'
import type { WallLook } from './wall-picture.ts'

/** One object each, as long as nothing of it changes. */
export interface WallOf {
  readonly documents: readonly StitchDocument[]
  readonly around: Surroundings
  readonly look: WallLook
}

/** The stitches of a sampler and of the teacher's own library, as they hang: what is seen first is painted first. */
export function stitchesOnWall(stitches: readonly StitchDocument[], own: readonly StitchDocument[]): readonly StitchDocument[] {
  const all = allStitches([...stitches, ...own.filter((one) => !stitches.some((other) => other.id === one.id))])
  return familiesOf(all).flatMap((family) => family.documents)
}

/** The stitches of one's own can be worked there too. */
export function aroundWall(sampler: Parameters<typeof surroundingsOf>[0], own: readonly StitchDocument[]): Surroundings {
  const around = surroundingsOf(sampler)
  return { ...around, stitches: [...around.stitches, ...own] }
}

/** What a wall that is kept is known by. */
export const wallIdentity = ({ documents, around, look }: WallOf): readonly unknown[] => [documents.map(({ id }) => id), around, look]
