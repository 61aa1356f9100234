/** Neighbours on the cloth that read as one: the same colour, texture and width side by side, where a sampler wants rows that differ. */
import type { ExerciseId } from '../base/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import { ALIKE_WIDTHS } from '../assign/index.ts'
import { boxesMeet, boxOfPiece } from './box.ts'

export interface AlikeNeighbours {
  readonly exercises: readonly [ExerciseId, ExerciseId]
  readonly widthsMm: readonly [number, number]
}

/** Rows of a band sampler lie nearer than this to one another, mm. */
const NEIGHBOURS_MM = 12

/** Every pair once. The texture is the stitch's family: loops beside loops read alike whichever loops they are. */
export function alikeNeighbours(done: readonly WorkedExercise[]): readonly AlikeNeighbours[] {
  return done.flatMap((one, index) =>
    done.slice(index + 1).flatMap((other): AlikeNeighbours[] => {
      if (!readsAlike(one, other) || !areNeighbours(one, other)) return []
      return [{ exercises: [one.exercise.id, other.exercise.id], widthsMm: [one.widthMm, other.widthMm] }]
    }),
  )
}

function readsAlike(one: WorkedExercise, other: WorkedExercise): boolean {
  const [narrow, wide] = [Math.min(one.widthMm, other.widthMm), Math.max(one.widthMm, other.widthMm)]
  return (
    sameColour(one, other) &&
    sameTexture(one, other) &&
    one.assigned.main.kind.nature === other.assigned.main.kind.nature &&
    wide <= narrow * (1 + ALIKE_WIDTHS)
  )
}

const colour = ({ assigned }: WorkedExercise): string => assigned.main.thread.value.colour.hex.toLowerCase()
const texture = ({ assigned }: WorkedExercise): string => assigned.document.family ?? assigned.document.id

export const sameColour = (one: WorkedExercise, other: WorkedExercise): boolean => colour(one) === colour(other)
export const sameTexture = (one: WorkedExercise, other: WorkedExercise): boolean => texture(one) === texture(other)

export function areNeighbours(one: WorkedExercise, other: WorkedExercise): boolean {
  return one.pieces.some((a) =>
    other.pieces.some((b) => {
      const [box, beside] = [boxOfPiece(a), boxOfPiece(b)]
      return box !== null && beside !== null && boxesMeet(box, beside, NEIGHBOURS_MM)
    }),
  )
}
