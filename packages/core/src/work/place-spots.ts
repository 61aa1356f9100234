/** Placements that stand each for themselves: spots, squares, scattered spots, cells, crossings. mm. */
import { sum } from '../base/index.ts'
import { cross, fromAngle, insetRegion, leftOf, packSpots, type Point, scale, scatterSpots, sequenceFrom, step, subtract, unit } from '../geometry/index.ts'
import { gridPoint, type ReadGuide } from '../guide/index.ts'
import { failed, type Frame, frameAt, MOST_FRAMES, oneRun, type Placed } from './frames.ts'
import type { ShapeGuide } from './place-across.ts'
import type { Segment } from './types.ts'

/** One frame at each spot, turned as the guide says. */
export function placeOnce(guide: Extract<ReadGuide, { kind: 'spots' }>, mirror: boolean): Placed {
  const frames = guide.at.map((spot, index): Frame => {
    const direction = fromAngle(guide.turns[index] as number)
    return {
      mirror: mirror ? -1 : 1,
      named: (name) => (name === 'centre' ? spot : corner(name, spot, direction, guide.sideMm, mirror)),
      values: guide.sideMm === undefined ? {} : { size: guide.sideMm },
      at: (s, t) => ({ at: step(step(spot, direction, s), leftOf(direction), mirror ? -t : t), direction }),
    }
  })
  const gaps = guide.at.slice(1).map((spot, index) => Math.hypot(spot.x - (guide.at[index] as Point).x, spot.y - (guide.at[index] as Point).y))
  const lengthMm = sum(gaps)
  return oneRun(frames, lengthMm, gaps.length > 0 ? lengthMm / gaps.length : 0)
}

/** The corners of a square, named as on a map: north is the side to the left of its direction. */
function corner(name: string, spot: Point, direction: Point, side: number | undefined, mirror: boolean): Point | null {
  if (side === undefined || !/^[ns][ew]$/.test(name)) return null
  const north = leftOf(direction)
  const flip = mirror ? -1 : 1
  const x = name[1] === 'e' ? side / 2 : -side / 2
  const y = (name[0] === 'n' ? side / 2 : -side / 2) * flip
  return step(step(spot, direction, x), north, y)
}

/** Spots of even density, each turned its own way; the same shape gives the same spots every time. */
export function placeScattered(
  guide: ShapeGuide,
  how: { readonly apartMm: number; readonly insetMm: number; readonly packed: boolean },
  mirror: boolean,
): Placed {
  const { apartMm, insetMm } = how
  if (!(apartMm > 0)) return failed(['apart'], 'place.no-distance')
  const region = insetMm === 0 ? guide.region : insetRegion(guide.region, insetMm)
  const spots = region.length === 0 ? [] : how.packed ? packSpots(region, apartMm) : scatterSpots(region, apartMm)
  if (spots.length === 0) return failed(['apart'], 'place.no-scatter')
  const turn = sequenceFrom(spots.length)
  const frames = spots.map((spot) =>
    frameAt(spot, how.packed ? { x: mirror ? -1 : 1, y: 0 } : fromAngle(turn() * 2 * Math.PI), mirror ? -1 : 1, {}, (name) =>
      name === 'centre' ? spot : null,
    ),
  )
  if (mirror) frames.reverse()
  return oneRun(frames, apartMm * frames.length, apartMm)
}

/** The cells of a grid, row by row: corners named as on a map, north at the top. */
export function placeCells(guide: Extract<ReadGuide, { kind: 'grid' }>, order: 'forward' | 'to-and-fro' | 'reverse', mirror: boolean): Placed {
  const { columns, rows, cellMm } = guide
  const east = fromAngle(guide.turnRad)
  if (columns * rows > MOST_FRAMES) return failed(['cells'], 'place.many-cells', { count: columns * rows })
  const frames: Frame[] = []
  for (let row = 0; row < rows; row += 1) {
    const line: Frame[] = []
    for (let col = 0; col < columns; col += 1) {
      const named = (name: string): Point | null => {
        if (name === 'centre') return gridPoint(guide, col + 0.5, row + 0.5)
        if (!/^[ns][ew]$/.test(name)) return null
        // The left hand begins at the other side: its west is east.
        const toEast = (name[1] === 'e') !== mirror
        return gridPoint(guide, col + (toEast ? 1 : 0), row + (name[0] === 's' ? 1 : 0))
      }
      const direction = mirror ? scale(east, -1) : east
      const origin = gridPoint(guide, col + (mirror ? 1 : 0), row + 1)
      line.push(
        frameAt(
          origin,
          direction,
          mirror ? -1 : 1,
          { size: cellMm, row, col: mirror ? columns - 1 - col : col, columns, rows, fro: order === 'forward' ? 0 : row % 2 },
          named,
        ),
      )
    }
    frames.push(...((order !== 'forward' && row % 2 === 1) !== mirror ? line.reverse() : line))
  }
  return oneRun(order === 'reverse' ? frames.reverse() : frames, columns * rows * cellMm, cellMm)
}

function away(at: Point | undefined, from: Point): number {
  return at ? Math.hypot(at.x - from.x, at.y - from.y) : 0
}

/** Wherever a thread of one set crosses a thread of another: along the first set, to and fro. */
export function placeCrossings(first: readonly Segment[], second: readonly Segment[], mirror: 1 | -1): Placed {
  if (first.length * second.length > 4_000_000) return failed(['crossings'], 'place.too-many-ties')
  const frames: Frame[] = []
  for (const [row, one] of first.entries()) {
    const [a, b] = [one.points[0] as Point, one.points[one.points.length - 1] as Point]
    const along = subtract(b, a)
    const found: { share: number; at: Point }[] = []
    for (const other of second) {
      const [c, d] = [other.points[0] as Point, other.points[other.points.length - 1] as Point]
      const to = subtract(d, c)
      const under = cross(along, to)
      if (Math.abs(under) < 1e-9) continue
      const share = cross(subtract(c, a), to) / under
      const across = cross(subtract(c, a), along) / under
      if (share > 0.001 && share < 0.999 && across > 0.001 && across < 0.999) found.push({ share, at: step(a, along, share) })
    }
    found.sort((x, y) => x.share - y.share)
    // Begin at the end that is nearer to the last tie.
    const last = frames[frames.length - 1]?.at(0, 0).at
    if (last && away(found[found.length - 1]?.at, last) < away(found[0]?.at, last)) found.reverse()
    const direction = unit(along) ?? { x: 1, y: 0 }
    // One way for all, whichever way the thread was laid: every tie then leans alike.
    const facing = direction.x < -1e-9 || (Math.abs(direction.x) < 1e-9 && direction.y < 0) ? { x: -direction.x, y: -direction.y } : direction
    for (const { at } of found) frames.push(frameAt(at, facing, mirror, { row }))
  }
  if (frames.length === 0) return failed(['crossings'], 'place.no-crossing')
  const gaps = frames.slice(1).map((frame, index) => {
    const [from, to] = [(frames[index] as Frame).at(0, 0).at, frame.at(0, 0).at]
    return Math.hypot(from.x - to.x, from.y - to.y)
  })
  const lengthMm = sum(gaps)
  return oneRun(frames, lengthMm, lengthMm / Math.max(1, gaps.length))
}
