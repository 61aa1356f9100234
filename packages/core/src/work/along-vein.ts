/**
 * A leaf is a band along its vein whose rails are the outline; without a drawn vein, along its longest chord, and where
 * that leaves the shape, as in a crescent, half way between its two sides. A hole on the vein parts it into stretches,
 * one before the hole and one behind it; a hole beside it is the edge on that side. mm.
 */
import { isInRegion, type MeasuredPath, measurePath, placeAt, type Point, type Region, slicePath } from '../geometry/index.ts'
import { type GuideWidth, middleOfRails, type ReadOf, widthsAt } from '../guide/index.ts'
import type { StitchDocument } from '../notation/index.ts'
import { compileStitch } from './compile.ts'

type ShapeGuide = ReadOf<'shape'>
type LineGuide = ReadOf<'line'>

interface Leaf {
  readonly lines: readonly LineGuide[]
  readonly acrossMm: number
}

/** Asked for by every placement and every expression that speaks of the leaf's size. */
const known = new WeakMap<ShapeGuide, Leaf>()

/** The stretches of its vein, at least one, in order. */
export function alongVein(guide: ShapeGuide): readonly LineGuide[] {
  return leafOf(guide).lines
}

/** It is worked from a leaf's vein to its edges. */
export function followsVein(document: StitchDocument): boolean {
  return compileStitch(document).passes.some(({ place }) => place.kind === 'along' && place.of === 'vein' && !place.rows)
}

/** The greatest width of a leaf, square to its vein, mm. */
export function acrossVein(guide: ShapeGuide): number {
  return leafOf(guide).acrossMm
}

function leafOf(guide: ShapeGuide): Leaf {
  const before = known.get(guide)
  if (before) return before
  const vein = guide.vein ?? veinOf(guide.outline)
  const width: GuideWidth = { kind: 'outline', region: guide.region }
  const lines = clearOf(vein, guide.region.slice(1)).map((path): LineGuide => ({ kind: 'line', path, width }))
  const leaf = { lines, acrossMm: widestAlong(vein, [guide.outline.points]) }
  known.set(guide, leaf)
  return leaf
}

/** Every fifth point of a finely flattened outline finds the longest chord to a hair. */
const FINE_POINTS = 200
const SHARES = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9]
/** A hollow side is crossed by a chord that still serves: on a straight vein both halves lie evenly. */
const MOST_OUTSIDE = 0.5

function veinOf(outline: MeasuredPath): MeasuredPath {
  let ends: readonly [Point, Point] = [outline.points[0] as Point, outline.points[1] as Point]
  let longest = 0
  const some = outline.points.filter((_, index) => outline.points.length < FINE_POINTS || index % 5 === 0)
  for (const a of some) {
    for (const b of some) {
      const square = (a.x - b.x) ** 2 + (a.y - b.y) ** 2
      if (square > longest + 1e-9) {
        longest = square
        ends = [a, b]
      }
    }
  }
  const chord = measurePath(ends) as MeasuredPath
  const outside = SHARES.filter((share) => !isInRegion([outline.points], placeAt(chord, chord.length * share).at)).length
  return (outside > MOST_OUTSIDE * SHARES.length && betweenSides(outline, ends)) || chord
}

/** From one end of an outline to the other, half way between the two ways round. */
function betweenSides(outline: MeasuredPath, [from, to]: readonly [Point, Point]): MeasuredPath | null {
  const ring = outline.points.slice(0, -1)
  const at = ring.indexOf(from)
  if (at < 0) return null
  const turned = [...ring.slice(at), ...ring.slice(0, at)]
  const far = turned.indexOf(to)
  if (far < 1) return null
  const left = measurePath(turned.slice(0, far + 1))
  const right = measurePath([...turned.slice(far), from].reverse())
  return left && right && middleOfRails(left, right)
}

/** How finely a vein is searched for where it runs into a hole and out again. mm */
const SEARCH_MM = 0.1
/** A stretch shorter than this between a hole and a tip holds no stitch. mm */
const SHORTEST_STRETCH_MM = 1

/** The stretches of a vein that lie in no hole; all of it where nothing would be left. */
function clearOf(vein: MeasuredPath, holes: Region): readonly MeasuredPath[] {
  if (holes.length === 0) return [vein]
  const inHole = (along: number): boolean => holes.some((hole) => isInRegion([hole], placeAt(vein, along).at))
  const steps = Math.max(1, Math.ceil(vein.length / SEARCH_MM))
  const stretches: MeasuredPath[] = []
  let from: number | null = null
  for (let index = 0; index <= steps; index += 1) {
    const along = (vein.length * index) / steps
    const held = inHole(along)
    if (!held) from ??= along
    if (from === null || (!held && index < steps)) continue
    const until = held ? (vein.length * (index - 1)) / steps : vein.length
    const stretch = until - from >= SHORTEST_STRETCH_MM ? slicePath(vein, from, until) : null
    if (stretch) stretches.push(stretch)
    from = null
  }
  return stretches.length > 0 ? stretches : [vein]
}

/** Places along a vein at which a leaf's width is taken. */
const WIDTHS = 64

function widestAlong(vein: MeasuredPath, region: Region): number {
  const width: GuideWidth = { kind: 'outline', region }
  let most = 0
  for (let index = 0; index <= WIDTHS; index += 1) {
    const { left, right } = widthsAt(width, placeAt(vein, (vein.length * index) / WIDTHS))
    most = Math.max(most, left + right)
  }
  return most
}
