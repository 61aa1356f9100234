/** Guides as they are worked: measured, checked, with what a placement needs. */
import { error, failure, type Result, success, unreachable } from '../base/index.ts'
import { areaOf, isConvex, type MeasuredPath, parsePath, type Point, startAtCorner } from '../geometry/index.ts'
import type { Guide, GuideKind } from '../sampler/index.ts'

export type ReadGuide =
  | { readonly kind: 'line'; readonly path: MeasuredPath }
  | { readonly kind: 'shape'; readonly outline: MeasuredPath; readonly directions: readonly MeasuredPath[]; readonly areaMm2: number }
  | { readonly kind: 'spots'; readonly at: readonly Point[]; readonly turnRad: number }

/** A guide of this length or less holds no stitch. */
const SHORTEST_MM = 0.5
const MOST_SPOTS = 2000

export function readGuide(guide: Guide): Result<ReadGuide> {
  switch (guide.kind) {
    case 'line': {
      const path = parsePath(guide.path)
      if (!path.ok) return path
      if (path.value.length < SHORTEST_MM)
        return failure(error('guide.too-short', ['path'], `This line is ${path.value.length.toFixed(2)} mm long. Draw it at least ${SHORTEST_MM} mm long.`))
      return success({ kind: 'line', path: startAtCorner(path.value) })
    }
    case 'shape':
      return readShape(guide)
    case 'spot':
    case 'spots': {
      const pairs = guide.kind === 'spot' ? [guide.at] : guide.at
      if (pairs.length === 0) return failure(error('guide.no-spots', ['at'], 'There is no spot yet. Add at least one.'))
      if (pairs.length > MOST_SPOTS)
        return failure(error('guide.too-many-spots', ['at'], `${pairs.length} spots are too many for one exercise; the most is ${MOST_SPOTS}. Divide them.`))
      return success({ kind: 'spots', at: pairs.map(([x, y]) => ({ x, y })), turnRad: guide.turnRad ?? 0 })
    }
    case 'band':
    case 'ring':
    case 'square':
    case 'grid':
    case 'pins':
      return failure(error('guide.not-worked', ['kind'], `A guide of the kind "${guide.kind}" cannot be worked yet. Use a line, a shape or spots.`))
    default:
      return unreachable(guide)
  }
}

function readShape(guide: Extract<Guide, { kind: 'shape' }>): Result<ReadGuide> {
  const outline = parsePath(guide.path)
  if (!outline.ok) return outline
  if (!outline.value.closed) return failure(error('guide.open-shape', ['path'], 'This outline is not closed. End its path with Z.'))
  const areaMm2 = areaOf(outline.value.points)
  if (areaMm2 < 1) return failure(error('guide.too-small', ['path'], `This shape holds ${areaMm2.toFixed(2)} mm\u00b2. Draw it at least 1 mm\u00b2 large.`))
  if ((guide.holes ?? []).length > 0 || !isConvex(outline.value.points)) {
    return failure(
      error('guide.not-convex', ['path'], 'This shape has a hollow or a hole, which cannot be filled yet. Divide it into shapes that bulge everywhere.'),
    )
  }
  const directions: MeasuredPath[] = []
  for (const data of guide.directions ?? []) {
    const direction = parsePath(data)
    if (!direction.ok) return direction
    directions.push(direction.value)
  }
  return success({ kind: 'shape', outline: outline.value, directions, areaMm2 })
}

/** The kinds of guide in a stitch document's list that this guide may serve as. */
export function guideServes(kinds: readonly string[], kind: GuideKind): boolean {
  return kinds.includes(kind) || (kind === 'spot' && kinds.includes('spots')) || (kind === 'spots' && kinds.includes('spot'))
}
