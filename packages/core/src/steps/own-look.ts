/** The look of a learner's own guide on the short one: her sail as large as can be followed, the width of her band, her squares. mm. */
import { boxOf, type MeasuredPath, type Point } from '../geometry/index.ts'
import type { PracticeGuide, ReadGuide, ReadOf } from '../guide/index.ts'

/** Larger things are shown at this size: what is done in them is the same. */
const WIDEST_BAND_MM = 16
const LARGEST_RING_MM = 9
const LARGEST_SQUARE_MM = 12
const TALLEST_PIN_MM = 20

/** What the short guide is practised on, where it is not a shape. */
export function practiceLike(own: ReadGuide): PracticeGuide | null {
  switch (own.kind) {
    case 'line': {
      const { centre, path, width } = own
      if (centre) {
        const [first] = path.points
        return first ? { kind: 'ring', radiusMm: Math.min(LARGEST_RING_MM, Math.hypot(first.x - centre.x, first.y - centre.y)) } : null
      }
      if (!width) return { kind: 'line', lengthMm: 40 }
      const halfMm = width.kind === 'even' ? width.halfMm : width.kind === 'rails' ? halfBetween(width.left, width.right) : 0
      return halfMm > 0 ? { kind: 'band', lengthMm: 40, widthMm: Math.min(WIDEST_BAND_MM, 2 * halfMm) } : null
    }
    case 'spots':
      return own.sideMm === undefined
        ? { kind: 'spots', count: 2, apartMm: 10 }
        : { kind: 'square', sideMm: Math.min(LARGEST_SQUARE_MM, own.sideMm), repeat: 2 }
    case 'grid':
      return { kind: 'grid', columns: 3, rows: 2, cellMm: own.cellMm }
    case 'pins': {
      const tall = Math.max(...own.pins.map((pin) => Math.hypot(pin.x - own.base.x, pin.y - own.base.y)))
      return { kind: 'pins', heightMm: Math.min(TALLEST_PIN_MM, tall), pins: own.pins.length }
    }
    case 'shape':
      return null
  }
}

/** Half as wide as two rails stand apart in their middle. */
function halfBetween(left: readonly Point[], right: readonly Point[]): number {
  const [a, b] = [left[left.length >> 1], right[right.length >> 1]]
  return a && b ? Math.hypot(a.x - b.x, a.y - b.y) / 2 : 0
}

/** The shape with its holes, vein and directions, drawn together to an area; as it is where it is no larger. */
export function shapeLike(own: ReadOf<'shape'>, mostMm2: number): ReadOf<'shape'> {
  const factor = Math.min(1, Math.sqrt(mostMm2 / Math.max(1e-6, own.areaMm2)))
  const box = boxOf(own.outline.points) ?? { left: 0, right: 0, top: 0, bottom: 0 }
  const middle = { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 }
  const at = ({ x, y }: Point): Point => ({ x: (x - middle.x) * factor, y: (y - middle.y) * factor })
  const path = (given: MeasuredPath): MeasuredPath => ({
    ...given,
    points: given.points.map(at),
    starts: given.starts.map((start) => start * factor),
    length: given.length * factor,
    corners: given.corners.map((corner) => corner * factor),
  })
  return {
    ...own,
    outline: path(own.outline),
    region: own.region.map((ring) => ring.map(at)),
    directions: own.directions.map(path),
    ...(own.vein ? { vein: path(own.vein) } : {}),
    areaMm2: own.areaMm2 * factor * factor,
  }
}
