/** Lines that belong to a guide: a vein, a direction, a hole of a shape; two lines as the rails of a band. Each gives the edit, or null. */
import type { GuideId } from '../base/index.ts'
import { isInRegion, parsePath, type Point } from '../geometry/index.ts'
import { turnedLine } from '../draw/index.ts'
import { type Guide, innerPaths, readGuide, withInner } from '../guide/index.ts'
import type { DrawnGuide, Operation, Sampler } from '../sampler/index.ts'
import type { NewIds } from './new-exercise.ts'

export type Within = 'vein' | 'direction' | 'hole'
type Ground = Pick<Sampler, 'drawing' | 'exercises'>

const drawnOf = ({ drawing }: Ground, id: GuideId): DrawnGuide | undefined => drawing.guides.find((one) => one.id === id)

/** A line as the vein of a shape, or a direction its stitches lie in; a closed line or another shape as a hole. The line itself goes, unless it is worked. */
export function putWithin(sampler: Ground, shape: GuideId, line: GuideId, as: Within): Operation | null {
  const [drawn, other] = [drawnOf(sampler, shape), drawnOf(sampler, line)]
  if (drawn?.guide.kind !== 'shape' || !other || shape === line) return null
  const path = other.guide.kind === 'line' || (as === 'hole' && other.guide.kind === 'shape') ? other.guide.path : null
  const read = path === null ? null : parsePath(path)
  if (path === null || !read?.ok || (as === 'hole') !== read.value.closed) return null
  const { guide } = drawn
  const made: Guide =
    as === 'vein'
      ? { ...guide, vein: path }
      : as === 'hole'
        ? { ...guide, holes: [...(guide.holes ?? []), path] }
        : { ...guide, directions: [...(guide.directions ?? []), path] }
  // A hole that is not inside, or that meets another, would leave nothing that can be worked.
  if (!readGuide(made).ok || (as === 'hole' && (guide.holes ?? []).some((hole) => meets(hole, path)))) return null
  return { kind: 'batch', operations: [{ kind: 'change-guide', id: shape, set: { guide: made } }, ...gone(sampler, line)] }
}

/** The guide without one of the paths within it; null where it has no such path, or cannot be without. */
export function takeOut(sampler: Ground, id: GuideId, inner: string): Operation | null {
  const guide = drawnOf(sampler, id)?.guide
  if (!guide || !innerPaths(guide).some((one) => one.id === inner)) return null
  const without = withInner(guide, inner, null)
  return without === guide ? null : { kind: 'change-guide', id, set: { guide: without } }
}

/** A band between two lines, as a sketch: its left rail to the left of the way it goes. Lines that are not worked become its rails; others stay. */
export function bandBetween(sampler: Ground, one: GuideId, other: GuideId, newIds: () => NewIds): Operation | null {
  const [a, b] = [drawnOf(sampler, one)?.guide, drawnOf(sampler, other)?.guide]
  if (a?.kind !== 'line' || b?.kind !== 'line' || one === other) return null
  const [first, second] = [parsePath(a.path), parsePath(b.path)]
  if (!first.ok || !second.ok) return null
  const [begin, end] = [first.value.points[0] as Point, first.value.points.at(-1) as Point]
  const [near, far] = [second.value.points[0] as Point, second.value.points.at(-1) as Point]
  // Both go the same way: together the ends that are paired lie nearest.
  const away = (p: Point, q: Point): number => Math.hypot(p.x - q.x, p.y - q.y)
  const path = away(begin, near) + away(end, far) <= away(begin, far) + away(end, near) ? b.path : turnedLine(b.path)
  if (path === null) return null
  const middle = second.value.points[Math.floor(second.value.points.length / 2)] as Point
  const isRight = (end.x - begin.x) * (middle.y - begin.y) - (end.y - begin.y) * (middle.x - begin.x) >= 0
  const guide: Guide = { kind: 'band', rails: isRight ? [a.path, path] : [path, a.path] }
  if (!readGuide(guide).ok) return null
  const left = [...gone(sampler, one), ...gone(sampler, other)]
  return {
    kind: 'batch',
    operations: [...left, { kind: 'add-guide', guide: { id: newIds().guide, draft: true, guide }, at: sampler.drawing.guides.length - left.length }],
  }
}

function gone({ exercises }: Ground, id: GuideId): readonly Operation[] {
  return exercises.some((one) => one.on.some((on) => on.guide === id)) ? [] : [{ kind: 'remove-guide', id }]
}

function meets(hole: string, other: string): boolean {
  const [a, b] = [parsePath(hole), parsePath(other)]
  if (!a.ok || !b.ok) return true
  const within = (points: readonly Point[], outline: readonly Point[]): boolean => points.some((at) => isInRegion([outline], at))
  return within(a.value.points, b.value.points) || within(b.value.points, a.value.points)
}
