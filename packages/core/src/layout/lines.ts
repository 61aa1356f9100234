/** Lines and shapes that are there, taken further: each gives the edit that does it, or null where it cannot be. mm */
import type { GuideId } from '../base/index.ts'
import { circle, cutByLine, endOn, lineBeside, turnedLine } from '../draw/index.ts'
import { isInRegion, parsePath } from '../geometry/index.ts'
import type { Guide } from '../guide/index.ts'
import type { DrawnGuide, Exercise, Operation, Sampler } from '../sampler/index.ts'
import { likeIt, namedAfter, type NewIds } from './new-exercise.ts'

const drawnOf = ({ drawing }: Pick<Sampler, 'drawing'>, id: GuideId): DrawnGuide | undefined => drawing.guides.find((one) => one.id === id)

function pathOf(drawn: DrawnGuide | undefined): string | null {
  const guide = drawn?.guide
  return guide && (guide.kind === 'line' || guide.kind === 'shape' || guide.kind === 'band') ? (guide.path ?? null) : null
}

const withPath = (guide: Guide, path: string): Guide => ({ ...guide, path }) as Guide

const changing = (id: GuideId, guide: Guide): Operation => ({ kind: 'change-guide', id, set: { guide } })

/** Worked from its other end: legs and loops change sides. Null for what has no direction. */
export function turnRound(sampler: Pick<Sampler, 'drawing'>, ids: readonly GuideId[]): Operation | null {
  const operations = ids.flatMap((id): Operation[] => {
    const drawn = drawnOf(sampler, id)
    const path = drawn?.guide.kind === 'shape' ? null : pathOf(drawn)
    const turned = path === null ? null : turnedLine(path)
    return drawn && turned !== null ? [changing(id, withPath(drawn.guide, turned))] : []
  })
  return operations.length === 0 ? null : { kind: 'batch', operations }
}

export interface Beside {
  /** From line to line, to the left of the way it goes; negative: to the right. */
  readonly byMm: number
  readonly count: number
}

/**
 * These lines again, so much beside them, so many times: worked as they are, each row an exercise of its own. Null where one
 * of them would tie itself in a knot, or where there is nothing to repeat.
 */
export function againBeside(sampler: Sampler, held: readonly string[], { byMm, count }: Beside, newIds: () => NewIds): Operation | null {
  const exercises = sampler.exercises.filter((one) => held.includes(one.id))
  const sketches = sampler.drawing.guides.filter((one) => held.includes(one.id))
  const operations: Operation[] = []
  let guides = sampler.drawing.guides.length
  const add = (drawn: DrawnGuide, row: number): GuideId | null => {
    const path = drawn.guide.kind === 'shape' ? null : pathOf(drawn)
    const beside = path === null ? null : lineBeside(path, byMm * row)
    if (beside === null) return null
    const { name: _name, copies: _copies, ...rest } = drawn
    const id = newIds().guide
    operations.push({ kind: 'add-guide', guide: { ...rest, id, guide: withPath(drawn.guide, beside) }, at: guides })
    guides += 1
    return id
  }
  const last = sampler.lessons.at(-1)
  let added = 0
  for (let row = 1; row <= count; row += 1) {
    for (const sketch of sketches) if (add(sketch, row) === null) return null
    for (const exercise of exercises) {
      const on = exercise.on.map((one) => {
        const drawn = drawnOf(sampler, one.guide)
        return drawn ? add(drawn, row) : null
      })
      if (on.some((id) => id === null)) return null
      operations.push({
        kind: 'add-exercise',
        exercise: {
          ...likeIt(exercise),
          id: newIds().exercise,
          name: namedAfter(exercise.name, `, row ${row + 1}`),
          on: on.map((guide) => ({ guide: guide as GuideId })),
        },
        at: sampler.exercises.length + added,
        ...(last ? { taught: { lesson: last.id, at: last.exercises.length + added } } : {}),
      })
      added += 1
    }
  }
  return operations.length === 0 ? null : { kind: 'batch', operations }
}

/** A line ended on the outline, or the way, of another guide, and tucked so far under it. */
export function endLineOn(sampler: Pick<Sampler, 'drawing'>, line: GuideId, other: GuideId, tuckMm: number): Operation | null {
  const drawn = drawnOf(sampler, line)
  const path = drawn?.guide.kind === 'line' || drawn?.guide.kind === 'band' ? pathOf(drawn) : null
  const target = outlineOf(drawnOf(sampler, other))
  const ended = path === null || target === null ? null : endOn(path, target, tuckMm)
  return drawn && ended !== null ? changing(line, withPath(drawn.guide, ended)) : null
}

function outlineOf(drawn: DrawnGuide | undefined): string | null {
  if (drawn?.guide.kind === 'ring') return circle({ x: drawn.guide.at[0], y: drawn.guide.at[1] }, drawn.guide.radiusMm)
  return pathOf(drawn)
}

/**
 * A shape cut by a line into two that share the cut. What is worked on the shape is worked on both, each an exercise of its
 * own; a line that was only sketched for the cut goes. Null where the line does not cross it twice, or goes
 * through a hole of it.
 */
export function cutShape(sampler: Sampler, shape: GuideId, line: GuideId, newIds: () => NewIds): Operation | null {
  const [drawn, cut] = [drawnOf(sampler, shape), drawnOf(sampler, line)]
  if (drawn?.guide.kind !== 'shape' || cut?.guide.kind !== 'line') return null
  const parts = cutByLine(drawn.guide.path, cut.guide.path)
  if (!parts) return null
  const { vein, holes = [], ...guide } = drawn.guide
  const within = parts.map((part) => holes.filter((hole) => liesWithin(hole, part)))
  // A hole that the line goes through would be none any more.
  if (within[0] === undefined || within[1] === undefined || within[0].length + within[1].length < holes.length) return null
  const { name: _name, ...rest } = drawn
  const second = newIds().guide
  const works = (one: Exercise): boolean => one.on.some((on) => on.guide === shape && on.part !== 'vein')
  const on = sampler.exercises.filter(works)
  // A vein that is worked stays where it is; else it belongs to the leaf that is no more.
  const isVeinWorked = sampler.exercises.some((one) => one.on.some((part) => part.guide === shape && part.part === 'vein'))
  const cutPart = (path: string, own: readonly string[]): Guide => withPath({ ...guide, ...(own.length > 0 ? { holes: own } : {}) }, path)
  const last = sampler.lessons.at(-1)
  const isUsed = sampler.exercises.some((one) => one.on.some((part) => part.guide === line))
  return {
    kind: 'batch',
    operations: [
      changing(shape, { ...cutPart(parts[0], within[0]), ...(vein !== undefined && isVeinWorked ? { vein } : {}) }),
      { kind: 'add-guide', guide: { ...rest, id: second, guide: cutPart(parts[1], within[1]) }, at: sampler.drawing.guides.length },
      ...on.map(
        (exercise, index): Operation => ({
          kind: 'add-exercise',
          exercise: {
            ...likeIt(exercise),
            id: newIds().exercise,
            name: namedAfter(exercise.name, ', other part'),
            on: exercise.on.flatMap((part) => (part.guide === shape && part.part !== 'vein' ? [{ ...part, guide: second }] : [])),
          },
          at: sampler.exercises.length + index,
          ...(last ? { taught: { lesson: last.id, at: last.exercises.length + index } } : {}),
        }),
      ),
      ...(isUsed ? [] : [{ kind: 'remove-guide' as const, id: line }]),
    ],
  }
}

function liesWithin(hole: string, outline: string): boolean {
  const [inner, outer] = [parsePath(hole), parsePath(outline)]
  return inner.ok && outer.ok && inner.value.points.every((at) => isInRegion([outer.value.points], at))
}
