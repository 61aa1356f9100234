/** Where a newly chosen stitch goes: the next free band of the clear area, below what is there. */
import { boxOfExercise, clearRadius } from '../drawing/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import { moveGuide, practiceFor, practiceGuide, practiceHalfHeight, type Guide } from '../guide/index.ts'
import type { StitchDocument } from '../notation/index.ts'
import type { Exercise, Sampler } from '../sampler/index.ts'

/** Room between bands, mm. */
const GAP_MM = 9

export function placeNew(document: StitchDocument, sampler: Pick<Sampler, 'cloth' | 'workingHoop'>, done: readonly WorkedExercise[]): Guide {
  const { cloth, workingHoop } = sampler
  const centre = workingHoop ? { x: workingHoop.at[0], y: workingHoop.at[1] } : { x: cloth.widthMm / 2, y: cloth.heightMm / 2 }
  const radius = workingHoop ? clearRadius(workingHoop) : Math.min(cloth.widthMm, cloth.heightMm) / 2 - 15
  const practice = document.practice ?? practiceFor(document)
  const half = practiceHalfHeight(practice)
  const lowest = Math.max(centre.y - radius * 0.72, ...done.map((one) => boxOfExercise(one)?.bottom ?? 0))
  const y = Math.round(Math.min(lowest + GAP_MM + half, centre.y + radius * 0.9))
  // What the circle leaves at that height, less a little for the hand.
  const room = workingHoop ? 2 * Math.sqrt(Math.max(100, radius ** 2 - (Math.abs(y - centre.y) + half) ** 2)) - 6 : cloth.widthMm - 30
  return practiceGuide(practice, centre.x, y, Math.max(12, room))
}

/** A new exercise in that stitch: named after it, everything else left to the core. */
export function newExercise(document: StitchDocument, sampler: Sampler, done: readonly WorkedExercise[], id: string): Exercise {
  const same = sampler.exercises.filter((exercise) => exercise.stitch === document.id).length
  return { id, name: same === 0 ? document.name : `${document.name} ${same + 1}`, stitch: document.id, guide: placeNew(document, sampler, done) }
}

export interface RowOfRows {
  readonly parameter: string
  readonly name: string
  readonly values: readonly number[]
}

/** One stitch as rows that differ in a single setting: each named after it, one below the other. */
export function newRows(
  document: StitchDocument,
  sampler: Sampler,
  done: readonly WorkedExercise[],
  rows: RowOfRows,
  newId: () => string,
): readonly Exercise[] {
  const half = practiceHalfHeight(document.practice ?? practiceFor(document))
  const first = placeNew(document, sampler, done)
  return rows.values.map((value, index) => ({
    id: newId(),
    name: `${document.name}, ${rows.name.toLowerCase()} ${Number(value.toFixed(2))}`,
    stitch: document.id,
    guide: moveGuide(first, { x: 0, y: index * (2 * half + GAP_MM) }),
    parameters: { [rows.parameter]: value },
  }))
}

/** Values from the least good one to the most, in even steps; counts are whole. */
export function rowValues(min: number, max: number, count: number, whole: boolean): readonly number[] {
  const values = Array.from({ length: count }, (_, index) => min + ((max - min) * index) / Math.max(1, count - 1))
  return [...new Set(values.map((value) => (whole ? Math.round(value) : Math.round(value * 100) / 100)))]
}
