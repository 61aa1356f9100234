/** The stitch keeps its length and the line gives way: trimmed, or drawn on a little, at its end. mm */
import type { WorkedExercise } from '../exercise/index.ts'
import { lineOfLength } from '../draw/index.ts'
import type { DrawnGuide, Operation } from '../sampler/index.ts'
import { tailOf } from './rows-held.ts'

export interface KeptPitch {
  readonly count: number
  readonly lengthMm: number
  readonly operation: Operation
}

/** Less than this nobody can draw, mm. */
const SEEN_MM = 0.05

/** The next shorter and the next longer line on which stitches of just the length asked come out whole; none for a closed line and one with corners. */
export function keepPitch(drawn: DrawnGuide, done: WorkedExercise): readonly KeptPitch[] {
  const { guide } = drawn
  const [piece] = done.pieces
  const [leg, ...more] = piece.worked.fitted.legs
  if (!('path' in guide) || guide.path === undefined || guide.kind === 'shape' || !leg || more.length > 0 || done.exercise.on.length > 1) return []
  const { askedMm } = piece.worked.fitted
  const tailMm = tailOf(leg.count, askedMm)
  const exact = (leg.lengthMm - tailMm) / askedMm
  return [...new Set([Math.floor(exact), Math.ceil(exact)])].flatMap((count): readonly KeptPitch[] => {
    const lengthMm = count * askedMm + tailMm
    if (count < 1 || Math.abs(lengthMm - leg.lengthMm) < SEEN_MM) return []
    const path = lineOfLength(guide.path as string, lengthMm)
    return path === null ? [] : [{ count, lengthMm, operation: { kind: 'change-guide', id: drawn.id, set: { guide: { ...guide, path } } } }]
  })
}
