/** A stitch chosen makes an exercise at once: on its practice guide, in the next free place, taught in the last lesson. */
import { type Guide, type GuidePart, moveGuide, practiceFor, practiceHalfHeight } from '../guide/index.ts'
import type { StitchDocument } from '../notation/index.ts'
import type { DrawnGuide, Exercise, Operation, Sampler } from '../sampler/index.ts'
import { outsideClear } from '../materials/index.ts'
import { boxOfBrought, type BroughtGuide } from '../bring-in/index.ts'
import { GAP_MM, middleOf, placeFor } from './free-place.ts'

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

/** Of what was drawn: what it is called where it has a name of its own, how long its stitches are best, mm. */
export interface DrawnAs {
  readonly name?: string | undefined
  readonly stitchMm?: number | undefined
}

/** Guides that were drawn together, with the stitch they are worked in: one exercise. */
export function newExerciseOn(guides: readonly Guide[], document: StitchDocument, sampler: Sampler, newIds: () => NewIds, as: DrawnAs = {}): Operation {
  const drawn = guides.map((guide): DrawnGuide => ({ id: newIds().guide, guide }))
  const exercise: Exercise = {
    id: newIds().exercise,
    name: as.name ?? nameFor(document, sampler),
    stitch: document.id,
    on: drawn.map(({ id }) => ({ guide: id })),
    ...(as.stitchMm !== undefined && document.parameters?.L !== undefined ? { parameters: { L: as.stitchMm } } : {}),
  }
  return { kind: 'batch', operations: [...addGuides(drawn, sampler), addExercise(exercise, sampler, 0)] }
}

/** Guides that were drawn and are not worked yet. */
export function newSketches(guides: readonly Guide[], sampler: Sampler, newIds: () => NewIds, as: DrawnAs = {}): Operation {
  const named = as.name === undefined ? {} : { name: as.name }
  const drawn = guides.map((guide): DrawnGuide => ({ id: newIds().guide, ...named, draft: true, guide }))
  const adding = addGuides(drawn, sampler)
  return adding.length === 1 ? (adding[0] as Operation) : { kind: 'batch', operations: adding }
}

/** Outlines from elsewhere as sketches: where they lie if that is where one works, else about the middle of it. */
export function bringIn(guides: readonly BroughtGuide[], sampler: Sampler, newIds: () => NewIds): Operation | null {
  const box = boxOfBrought(guides)
  if (!box) return null
  const { cloth, workingHoop } = sampler
  const middle = middleOf(sampler)
  const corners = [box.left, box.right].flatMap((x) => [box.top, box.bottom].map((y) => ({ x, y })))
  const isOn = workingHoop
    ? corners.every((at) => outsideClear(at, workingHoop) < 1e-9)
    : box.left >= 0 && box.top >= 0 && box.right <= cloth.widthMm && box.bottom <= cloth.heightMm
  const by = isOn ? { x: 0, y: 0 } : { x: middle.x - (box.left + box.right) / 2, y: middle.y - (box.top + box.bottom) / 2 }
  const drawn = guides.map(({ guide, name, layer }): DrawnGuide => {
    const called = [layer, name].filter((one) => one !== null && one !== '').join(': ')
    return { id: newIds().guide, ...(called === '' ? {} : { name: namedAfter(called, '') }), draft: true, guide: moveGuide(guide, by) }
  })
  return { kind: 'batch', operations: addGuides(drawn, sampler) }
}

function addGuides(drawn: readonly DrawnGuide[], { drawing }: Sampler): readonly Operation[] {
  return drawn.map((guide, index) => ({ kind: 'add-guide', guide, at: drawing.guides.length + index }))
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

/** Longer names are not kept. */
const MOST_NAME = 120

/** Called after another; where that is as long as a name may be, its end gives way. */
export function namedAfter(name: string, added: string): string {
  const letters = [...name]
  while (letters.join('').length + added.length > MOST_NAME) letters.pop()
  return `${letters.join('').trimEnd()}${added}`
}

/** What another exercise has from this one: without what speaks of it alone, as its place in the course, its pieces and trials. */
export function likeIt(exercise: Exercise): Omit<Exercise, 'id' | 'name' | 'on'> {
  const { pins: _pins, pieces: _pieces, trials: _trials, over: _over, id: _id, name: _name, on: _on, ...rest } = exercise
  return rest
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
