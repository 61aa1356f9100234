/**
 * How much of a shape its thread covers, seen from above: the shape is looked at in a grid of small squares,
 * and a square counts when its middle lies under thread. A loop counts with what it encloses: thread fills
 * it out on the cloth. 0 to 1; a grid of 6000 squares is good to about half a per cent.
 */
import { chordsOfRegion, type Point, type Region } from '../geometry/index.ts'
import type { MaterialValues } from '../notation/index.ts'
import type { Segment } from '../work/index.ts'

const SQUARES = 6000

export function coverOf(region: Region, areaMm2: number, segments: readonly Segment[], { W, F }: Pick<MaterialValues, 'W' | 'F'>): number {
  const outline = region[0] as readonly Point[]
  const xs = outline.map((at) => at.x)
  const ys = outline.map((at) => at.y)
  const [left, top] = [Math.min(...xs), Math.min(...ys)]
  const size = Math.max(0.02, Math.sqrt(areaMm2 / SQUARES))
  const columns = Math.ceil((Math.max(...xs) - left) / size)
  const rows = Math.ceil((Math.max(...ys) - top) / size)
  const covered = new Uint8Array(columns * rows)
  const paint = (from: Point, to: Point, radius: number): void => {
    const first = Math.max(0, Math.floor((Math.min(from.x, to.x) - radius - left) / size))
    const last = Math.min(columns - 1, Math.ceil((Math.max(from.x, to.x) + radius - left) / size))
    const upper = Math.max(0, Math.floor((Math.min(from.y, to.y) - radius - top) / size))
    const lower = Math.min(rows - 1, Math.ceil((Math.max(from.y, to.y) + radius - top) / size))
    const [dx, dy] = [to.x - from.x, to.y - from.y]
    const long = dx * dx + dy * dy
    for (let row = upper; row <= lower; row += 1) {
      const y = top + (row + 0.5) * size
      for (let column = first; column <= last; column += 1) {
        const x = left + (column + 0.5) * size
        const share = long === 0 ? 0 : Math.min(1, Math.max(0, ((x - from.x) * dx + (y - from.y) * dy) / long))
        const [gx, gy] = [x - from.x - dx * share, y - from.y - dy * share]
        if (gx * gx + gy * gy <= radius * radius) covered[row * columns + column] = 1
      }
    }
  }
  for (const segment of segments) {
    if (segment.side !== 'front') continue
    const { points } = segment
    if (segment.kind === 'knot' || segment.kind === 'bead') {
      const at = points[points.length - 1] as Point
      paint(at, at, segment.sizeMm / 2)
      continue
    }
    const radius = (segment.lie === 'flat' ? F : W) / 2
    for (let index = 1; index < points.length; index += 1) paint(points[index - 1] as Point, points[index] as Point, radius)
    // The two legs of a loop face each other: what lies between them is enclosed.
    if (segment.kind === 'loop')
      for (let index = 0; index < points.length >> 1; index += 1) paint(points[index] as Point, points[points.length - 1 - index] as Point, radius)
  }
  let inside = 0
  let under = 0
  for (let row = 0; row < rows; row += 1) {
    for (const { a, b } of chordsOfRegion(region, { x: 0, y: 1 }, top + (row + 0.5) * size)) {
      const [from, to] = [Math.min(a.x, b.x), Math.max(a.x, b.x)]
      for (let column = Math.ceil((from - left) / size - 0.5); left + (column + 0.5) * size < to; column += 1) {
        inside += 1
        under += covered[row * columns + column] ?? 0
      }
    }
  }
  return inside === 0 ? 0 : under / inside
}
