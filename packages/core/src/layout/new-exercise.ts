/** A stitch chosen makes an exercise at once: on its practice guide, in the next free place, taught in the last lesson. */
import { type Guide, type GuidePart, moveGuide, practiceFor, practiceHalfHeight } from '../guide/index.ts'
import type { StitchDocument } from '../notation/index.ts'
import type { Exercise, Operation, Sampler } from '../sampler/index.ts'
import { GAP_MM, placeFor } from './free-place.ts'

/** Ids for a new guide and a new exercise. */
export interface NewIds {
  readonly guide: string
  readonly exercise: string
}

/** Named after its stitch; everything that is not said is left to the core. */
export function newExercise(document: StitchDocument, sampler: Sampler, ids: NewIds, more: Partial<Omit<Exercise, 'id' | 'on' | 'stitch'>> = {}): Operation {
  return addOn(
    placeFor(document, sampler).guide,
    { id: ids.exercise, name: nameFor(document, sampler), stitch: document.id, on: [{ guide: ids.guide }], ...more },
    ids.guide,
    sampler,
    0,
  )
}

/** A guide that was drawn, with the stitch it is worked in. */
export function newExerciseOn(guide: Guide, document: StitchDocument, sampler: Sampler, ids: NewIds): Operation {
  return addOn(guide, { id: ids.exercise, name: nameFor(document, sampler), stitch: document.id, on: [{ guide: ids.guide }] }, ids.guide, sampler, 0)
}

/** A guide that is there already, worked in a stitch: outline, fill and vein of one leaf are three exercises on one guide. */
export function newExerciseThere(guideId: string, document: StitchDocument, sampler: Sampler, exerciseId: string, part?: GuidePart): Operation {
  const on = part === undefined ? { guide: guideId } : { guide: guideId, part }
  const add = addExercise({ id: exerciseId, name: nameFor(document, sampler), stitch: document.id, on: [on] }, sampler, 0)
  const drawn = sampler.drawing.guides.find((one) => one.id === guideId)
  // What is worked is a sketch no longer.
  return drawn?.draft === true ? { kind: 'batch', operations: [{ kind: 'change-guide', id: guideId, set: {}, clear: ['draft'] }, add] } : add
}

function nameFor(document: StitchDocument, sampler: Sampler): string {
  const same = sampler.exercises.filter((exercise) => exercise.stitch === document.id).length
  return same === 0 ? document.name : `${document.name} ${same + 1}`
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
  rows: RowOfRows,
  newIds: () => NewIds,
  more: Partial<Pick<Exercise, 'variant'>> = {},
): Operation {
  const half = practiceHalfHeight(document.practice ?? practiceFor(document))
  const first = placeFor(document, sampler).guide
  return {
    kind: 'batch',
    operations: rows.values.map((value, index) => {
      const ids = newIds()
      const exercise: Exercise = {
        id: ids.exercise,
        name: `${document.name}, ${rows.name.toLowerCase()} ${Number(value.toFixed(2))}`,
        stitch: document.id,
        on: [{ guide: ids.guide }],
        parameters: { [rows.parameter]: value },
        ...more,
      }
      return addOn(moveGuide(first, { x: 0, y: index * (2 * half + GAP_MM) }), exercise, ids.guide, sampler, index)
    }),
  }
}

/** The guide, and the exercise on it, as one step. */
function addOn(guide: Guide, exercise: Exercise, guideId: string, sampler: Sampler, behind: number): Operation {
  return {
    kind: 'batch',
    operations: [{ kind: 'add-guide', guide: { id: guideId, guide }, at: sampler.drawing.guides.length + behind }, addExercise(exercise, sampler, behind)],
  }
}

/** Taught last. */
function addExercise(exercise: Exercise, sampler: Sampler, behind: number): Operation {
  const last = sampler.lessons.at(-1)
  return {
    kind: 'add-exercise',
    exercise,
    at: sampler.exercises.length + behind,
    ...(last ? { taught: { lesson: last.id, at: last.exercises.length + behind } } : {}),
  }
}

/** Values from the least good one to the most, in even steps; counts are whole. */
export function rowValues(min: number, max: number, count: number, whole: boolean): readonly number[] {
  const values = Array.from({ length: count }, (_, index) => min + ((max - min) * index) / Math.max(1, count - 1))
  return [...new Set(values.map((value) => (whole ? Math.round(value) : Math.round(value * 100) / 100)))]
}
