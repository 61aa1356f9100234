/** A closed shape, with the directions its stitches lie in, a vein, and holes that stay free. */
import { error, failure, mm, type Result, success } from '../../base/index.ts'
import { areaOf, boxOf, crossesItself, isInRegion, type MeasuredPath, parsePath, type Point } from '../../geometry/index.ts'
import { carryPath, noSuchPart } from '../carry.ts'
import type { GuideTools, PracticeTools } from '../guide-tools.ts'
import { hundredths } from '../hundredths.ts'
import { innerHandles, pointHandles, reshapeInner, reshapePath } from '../path-points.ts'
import { NARROWEST_BAND_MM } from '../limits.ts'
import type { GuideOf, GuidePart, ReadGuide } from '../types.ts'

export const shape: GuideTools<'shape'> = {
  word: 'a shape',
  read: readShape,
  transform: (guide, matrix) => ({
    ...guide,
    path: carryPath(guide.path, matrix),
    ...(guide.directions ? { directions: guide.directions.map((data) => carryPath(data, matrix)) } : {}),
    ...(guide.vein === undefined ? {} : { vein: carryPath(guide.vein, matrix) }),
    ...(guide.holes ? { holes: guide.holes.map((data) => carryPath(data, matrix)) } : {}),
  }),
  handles: (guide) => {
    const path = parsePath(guide.path)
    const box = path.ok ? boxOf(path.value.points) : null
    const whole = box ? [{ id: 'whole', name: 'the whole shape', at: { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 } }] : []
    const own = pointHandles(guide.path)
    // Where the vein ends in a tip, the tip is taken hold of.
    return [...whole, ...own, ...innerHandles(guide).filter((inner) => !own.some((one) => one.of === undefined && lieTogether(one.at, inner.at)))]
  },
  reshape: (guide, id, to) => {
    const path = reshapePath(guide.path, id, to)
    return path === null ? reshapeInner(guide, id, to) : withMeeting(guide, { ...guide, path }, id, to)
  },
  sizes: () => [],
  withSize: (guide) => guide,
  parts: ['outline', 'vein'],
  part: (guide, part) => {
    if (part === 'outline') return success({ kind: 'line', path: guide.path })
    if (part === 'vein' && guide.vein !== undefined) return success({ kind: 'line', path: guide.vein })
    const parts: readonly GuidePart[] = guide.vein === undefined ? ['outline'] : shape.parts
    return noSuchPart('this shape', part, parts)
  },
  practice: 'shape',
}

const TOGETHER_MM = 0.05
const lieTogether = (a: Point, b: Point): boolean => Math.hypot(a.x - b.x, a.y - b.y) < TOGETHER_MM

/** A vein, a direction or a hole that has a place where the outline's was goes along with it. */
function withMeeting(before: GuideOf<'shape'>, after: GuideOf<'shape'>, id: string, to: Point): GuideOf<'shape'> {
  const moved = pointHandles(before.path).find((one) => one.id === id && one.of === undefined)
  if (!moved) return after
  return innerHandles(before)
    .filter((inner) => inner.of === undefined && lieTogether(inner.at, moved.at))
    .reduce((guide, inner) => reshapeInner(guide, inner.id, to) ?? guide, after)
}

function readShape(guide: GuideOf<'shape'>): Result<ReadGuide> {
  const outline = parsePath(guide.path)
  if (!outline.ok) return outline
  if (!outline.value.closed) return failure(error('guide.open-shape', ['path']))
  if (crossesItself(outline.value)) return failure(error('guide.crosses-itself', ['path']))
  const areaMm2 = areaOf(outline.value.points)
  if (areaMm2 < 1) return failure(error('guide.too-small', ['path'], { areaMm2 }))
  // Of a long thin shape twice its area over its outline is its width.
  const widthMm = (2 * areaMm2) / outline.value.length
  if (widthMm < NARROWEST_BAND_MM) return failure(error('guide.sliver', ['path'], { width: mm(widthMm), least: mm(NARROWEST_BAND_MM) }))
  const holes: (readonly Point[])[] = []
  for (const [index, data] of (guide.holes ?? []).entries()) {
    const hole = parsePath(data)
    if (!hole.ok) return hole
    const inside = hole.value.points.every((at) => isInRegion([outline.value.points], at))
    if (!hole.value.closed || !inside) return failure(error('guide.hole', ['holes', index], { hole: index + 1 }))
    holes.push(hole.value.points)
  }
  const region = [outline.value.points, ...holes]
  const workedMm2 = areaMm2 - holes.reduce((total, hole) => total + areaOf(hole), 0)
  const directions: MeasuredPath[] = []
  for (const data of guide.directions ?? []) {
    const direction = parsePath(data)
    if (!direction.ok) return direction
    directions.push(direction.value)
  }
  if (guide.vein === undefined) return success({ kind: 'shape', outline: outline.value, region, directions, areaMm2: workedMm2 })
  const vein = parsePath(guide.vein)
  return vein.ok ? success({ kind: 'shape', outline: outline.value, region, directions, vein: vein.value, areaMm2: workedMm2 }) : vein
}

export const shapePractice: PracticeTools<'shape'> = {
  usual: { kind: 'shape', widthMm: 18, heightMm: 7 },
  lay: ({ widthMm, heightMm, outline }, { x, y }, mostMm) => {
    const [w, h] = [Math.min(widthMm, mostMm) / 2, heightMm / 2]
    const [left, right, top, bottom] = [x - w, x + w, y - h, y + h].map(hundredths)
    const path =
      outline === 'rectangle'
        ? `M ${left} ${top} L ${right} ${top} L ${right} ${bottom} L ${left} ${bottom} Z`
        : `M ${left} ${hundredths(y)} A ${hundredths(w)} ${hundredths(h)} 0 0 1 ${right} ${hundredths(y)} A ${hundredths(w)} ${hundredths(h)} 0 0 1 ${left} ${hundredths(y)} Z`
    return { kind: 'shape', path }
  },
  halfHeightMm: ({ heightMm }) => heightMm / 2,
  shortened: (wanted) => wanted,
}
