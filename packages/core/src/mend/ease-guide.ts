/** Mends of the guide itself: legs evened so that stitches fit them, a curve eased by drawing it larger. mm. */
import { roundTo } from '../base/index.ts'
import { type WorkedExercise, workSampler } from '../exercise/index.ts'
import { boxOf, distance, type Point, scaleAbout } from '../geometry/index.ts'
import { applyOperation, type Exercise, type GuideDrawing, type Operation, type Sampler } from '../sampler/index.ts'

/** A corner is moved no farther than so much: the teacher drew it where it is. */
const MOST_MOVED_MM = 6
/** Per cent by which a curve is drawn larger, the least that serves. */
const LARGER_BY = [5, 10, 15, 20, 30, 40, 60]

/** The one guide of an exercise that is worked on it alone, without copies, groups or parts. */
function ownGuide(exercise: Exercise, { guides, groups }: GuideDrawing) {
  const [on, ...others] = exercise.on
  const drawn = guides.find((one) => one.id === on?.guide)
  if (!drawn || others.length > 0 || on?.part !== undefined || drawn.copies || groups.some((group) => group.members.includes(drawn.id))) return null
  return drawn
}

/**
 * Corners of an open zigzag moved along their legs, so that each leg is a whole number of stitches of the length asked for.
 * Null where the line is no plain zigzag, or a corner would wander.
 */
export function evenLegs(exercise: Exercise, done: WorkedExercise | null, { drawing }: Pick<Sampler, 'drawing'>): Operation | null {
  const drawn = ownGuide(exercise, drawing)
  const piece = done?.pieces[0]
  if (drawn?.guide.kind !== 'line' || piece?.guide.kind !== 'line') return null
  const { path } = piece.guide
  const { fitted } = piece.worked
  if (path.closed || path.points.length !== path.corners.length + 2 || fitted.legs.length !== path.points.length - 1 || !(fitted.askedMm > 0)) return null
  const [start, ...rest] = path.points as readonly [Point, ...Point[]]
  const evened: Point[] = [start]
  for (const [index, to] of rest.entries()) {
    const from = path.points[index] as Point
    const long = distance(from, to)
    const share = (Math.max(1, Math.round(long / fitted.askedMm)) * fitted.askedMm) / long
    const last = evened[index] as Point
    evened.push({ x: last.x + (to.x - from.x) * share, y: last.y + (to.y - from.y) * share })
  }
  if (evened.some((at, index) => distance(at, path.points[index] as Point) > MOST_MOVED_MM)) return null
  const data = evened.map(({ x, y }, index) => `${index === 0 ? 'M' : 'L'} ${roundTo(x, 2)} ${roundTo(y, 2)}`).join(' ')
  return { kind: 'change-guide', id: drawn.id, set: { guide: { ...drawn.guide, path: data } } }
}

/**
 * Drawn larger about its middle, no more than makes the thread keep to it. What a stitch is off a curve goes down as its radius
 * goes up, but the count of stitches changes on the way: so each size is tried.
 */
export function largerCurve(
  exercise: Exercise,
  done: WorkedExercise | null,
  sampler: Sampler,
): { readonly operation: Operation; readonly percent: number } | null {
  const drawn = ownGuide(exercise, sampler.drawing)
  const piece = done?.pieces[0]
  if (!drawn || piece?.guide.kind !== 'line') return null
  const box = boxOf(piece.guide.path.points)
  if (!box) return null
  const middle = { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 }
  for (const percent of LARGER_BY) {
    const operation: Operation = { kind: 'transform-guides', ids: [drawn.id], matrix: scaleAbout(middle, 1 + percent / 100) }
    const applied = applyOperation(sampler, operation)
    const result = applied.ok ? workSampler(applied.value, new Set([exercise.id])).results.get(exercise.id) : undefined
    if (result?.ok && !result.value.problems.some((problem) => problem.code === 'exercise.tight-curve')) return { operation, percent }
  }
  return null
}
