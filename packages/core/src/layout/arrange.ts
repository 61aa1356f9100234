/** Guides held together: moved, turned, mirrored, lined up, spaced evenly, copied. Each gives the edit that does it. mm */
import type { GuideId } from '../base/index.ts'
import { type Box, boxAround, inTurn, type Matrix, mirrorIn, moveBy, type Point, scaleAbout, turnAbout } from '../geometry/index.ts'
import { type Guide, transformGuide } from '../guide/index.ts'
import { boxOfGuides, type Copies, type DrawnGuide, type GuideDrawing, matricesFor, type Operation, type Sampler } from '../sampler/index.ts'
import { GAP_MM, middleOf } from './free-place.ts'
import { likeIt, namedAfter, type NewIds } from './new-exercise.ts'

export type Edge = 'left' | 'centre' | 'right' | 'top' | 'middle' | 'bottom'

/** The guides of what is held: ids of exercises and of sketches; each once. */
export function guidesHeld({ exercises, drawing }: Pick<Sampler, 'exercises' | 'drawing'>, held: readonly string[]): readonly GuideId[] {
  const worked = exercises.flatMap((one) => (held.includes(one.id) ? one.on.map((on) => on.guide) : []))
  return [...new Set([...worked, ...drawing.guides.flatMap((one) => (held.includes(one.id) ? [one.id] : []))])]
}

/** With all its copies; null for what has no place. */
export function boxOfDrawn(drawn: DrawnGuide, drawing: GuideDrawing): Box | null {
  return boxAround(matricesFor(drawn, drawing).flatMap((matrix) => boxOfGuides([transformGuide(drawn.guide, matrix)]) ?? []))
}

export function boxOfHeld(drawing: GuideDrawing, ids: readonly GuideId[]): Box | null {
  return boxAround(heldOf(drawing, ids).map((one) => one.box))
}

export function moveHeld(ids: readonly GuideId[], by: Point): Operation {
  return { kind: 'transform-guides', ids, matrix: moveBy(by) }
}

/** About the middle of all that is held; degrees clockwise. Null where nothing is. */
export function turnHeld(drawing: GuideDrawing, ids: readonly GuideId[], degrees: number): Operation | null {
  return aboutMiddle(drawing, ids, (middle) => turnAbout(middle, (degrees * Math.PI) / 180))
}

export function scaleHeld(drawing: GuideDrawing, ids: readonly GuideId[], factor: number): Operation | null {
  return factor > 0 && Number.isFinite(factor) ? aboutMiddle(drawing, ids, (middle) => scaleAbout(middle, factor)) : null
}

export interface ByFigures {
  /** To the right and down, mm. */
  readonly by: Point
  /** Clockwise. */
  readonly degrees: number
  readonly factor: number
}

/** Made larger or smaller and turned about the middle of all that is held, then moved, in one step. Null where nothing would change. */
export function placeHeld(drawing: GuideDrawing, ids: readonly GuideId[], { by, degrees, factor }: ByFigures): Operation | null {
  const isStill = Math.hypot(by.x, by.y) < 1e-6 && Math.abs(degrees) < 1e-6 && Math.abs(factor - 1) < 1e-6
  if (isStill || !(factor > 0 && Number.isFinite(factor))) return null
  return aboutMiddle(drawing, ids, (middle) => inTurn(inTurn(scaleAbout(middle, factor), turnAbout(middle, (degrees * Math.PI) / 180)), moveBy(by)))
}

/** `across`: left becomes right; `down`: top becomes bottom. */
export function mirrorHeld(drawing: GuideDrawing, ids: readonly GuideId[], way: 'across' | 'down'): Operation | null {
  return aboutMiddle(drawing, ids, (middle) => mirrorIn(middle, way === 'across' ? { x: middle.x, y: middle.y + 1 } : { x: middle.x + 1, y: middle.y }))
}

/** Each moved so that its edge, or middle, lies where the outermost of them has it. Null where nothing would move. */
export function alignHeld(drawing: GuideDrawing, ids: readonly GuideId[], edge: Edge): Operation | null {
  const held = heldOf(drawing, ids)
  const whole = boxAround(held.map((one) => one.box))
  if (!whole || held.length < 2) return null
  const along = edge === 'left' || edge === 'centre' || edge === 'right' ? 'x' : 'y'
  const wanted = placeOf(whole, edge)
  return moves(held.map(({ id, box }) => ({ id, by: { x: 0, y: 0, [along]: wanted - placeOf(box, edge) } })))
}

/** Equal gaps between them, in the order in which they lie; the outermost stay. Null for fewer than three. */
export function spaceHeld(drawing: GuideDrawing, ids: readonly GuideId[], way: 'across' | 'down'): Operation | null {
  const [low, high, along] = way === 'across' ? (['left', 'right', 'x'] as const) : (['top', 'bottom', 'y'] as const)
  const held = [...heldOf(drawing, ids)].sort((a, b) => a.box[low] + a.box[high] - b.box[low] - b.box[high])
  const [first] = held
  const last = held.at(-1)
  if (!first || !last || held.length < 3) return null
  const free = last.box[high] - first.box[low] - held.reduce((sum, { box }) => sum + box[high] - box[low], 0)
  const gap = free / (held.length - 1)
  let next = first.box[low]
  return moves(
    held.map(({ id, box }) => {
      const by = next - box[low]
      next += box[high] - box[low] + gap
      return { id, by: { x: 0, y: 0, [along]: by } }
    }),
  )
}

/** The same again beside it: every exercise that is held, each on a copy of its guides. `by`: below it where nothing is said. */
export function copyHeld(sampler: Sampler, exerciseIds: readonly string[], newIds: () => NewIds, by?: Point): Operation | null {
  const held = sampler.exercises.filter((one) => exerciseIds.includes(one.id))
  const guides = [...new Set(held.flatMap((one) => one.on.map((on) => on.guide)))]
  const box = boxOfHeld(sampler.drawing, guides)
  if (!box) return null
  const shift = moveBy(by ?? { x: 0, y: box.bottom - box.top + GAP_MM })
  const copyOf = new Map(guides.map((id) => [id, newIds().guide as GuideId] as const))
  const added = sampler.drawing.guides.flatMap((drawn) => {
    const id = copyOf.get(drawn.id)
    return id === undefined ? [] : [{ ...drawn, id, guide: transformGuide(drawn.guide, shift) }]
  })
  const last = sampler.lessons.at(-1)
  return {
    kind: 'batch',
    operations: [
      ...added.map((guide, index): Operation => ({ kind: 'add-guide', guide: withoutName(guide), at: sampler.drawing.guides.length + index })),
      ...held.map((exercise, index): Operation => {
        const copy = {
          ...likeIt(exercise),
          id: newIds().exercise,
          name: namedAfter(exercise.name, ', again'),
          on: exercise.on.map((on) => ({ ...on, guide: copyOf.get(on.guide) ?? on.guide })),
        }
        return {
          kind: 'add-exercise',
          exercise: copy,
          at: sampler.exercises.length + index,
          ...(last ? { taught: { lesson: last.id, at: last.exercises.length + index } } : {}),
        }
      }),
    ],
  }
}

function withoutName({ name: _name, ...rest }: DrawnGuide): DrawnGuide {
  return rest
}

/** Copies as they are offered first, from where the guide, or all of a motif, lies. */
export function usualCopies(kind: Copies['kind'], guides: readonly Guide[], sampler: Pick<Sampler, 'cloth' | 'workingHoop' | 'drawing'>): Copies {
  const { x, y } = middleOf(sampler)
  const box = boxOfGuides(guides)
  const [width, height] = box ? [box.right - box.left, box.bottom - box.top] : [10, 10]
  const tenth = (value: number): number => Math.round(value * 10) / 10
  switch (kind) {
    case 'round':
      return { kind, centre: [tenth(x), tenth(y)], count: 8 }
    case 'rows':
      return { kind, columns: 3, rows: 1, stepMm: [tenth(width + 4), tenth(height + 4)] }
    case 'along':
      return { kind, path: `M ${tenth(x - 60)} ${tenth(y)} L ${tenth(x + 60)} ${tenth(y)}`, count: 5 }
    case 'mirror':
      return {
        kind,
        line: [
          [tenth(x), tenth(y - 10)],
          [tenth(x), tenth(y + 10)],
        ],
      }
  }
}

interface Held {
  readonly id: GuideId
  readonly box: Box
}

function heldOf(drawing: GuideDrawing, ids: readonly GuideId[]): readonly Held[] {
  return drawing.guides.flatMap((drawn) => {
    const box = ids.includes(drawn.id) ? boxOfDrawn(drawn, drawing) : null
    return box ? [{ id: drawn.id, box }] : []
  })
}

function aboutMiddle(drawing: GuideDrawing, ids: readonly GuideId[], matrixFor: (middle: Point) => Matrix): Operation | null {
  const box = boxOfHeld(drawing, ids)
  return box && { kind: 'transform-guides', ids, matrix: matrixFor({ x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 }) }
}

function moves(wanted: readonly { readonly id: GuideId; readonly by: Point }[]): Operation | null {
  const operations = wanted.filter(({ by }) => Math.hypot(by.x, by.y) > 1e-6).map(({ id, by }): Operation => moveHeld([id], by))
  return operations.length === 0 ? null : { kind: 'batch', operations }
}

function placeOf(box: Box, edge: Edge): number {
  if (edge === 'centre') return (box.left + box.right) / 2
  if (edge === 'middle') return (box.top + box.bottom) / 2
  return box[edge]
}
