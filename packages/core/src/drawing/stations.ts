/** A path as stations: places with their direction and their way along it, close enough to taper and to sway. mm. */
import type { Point } from '../geometry/index.ts'

export interface Station extends Point {
  /** Way along the path, mm. */
  readonly s: number
  /** Direction, and the side to its left as the picture has it; unit vectors. */
  readonly tx: number
  readonly ty: number
  readonly nx: number
  readonly ny: number
}

/** Extra places near both ends, in thread widths: there the thread tapers. */
const NEAR_ENDS = [0.12, 0.35, 0.7, 1.1]

/** Every `stepMm` or closer, and near the ends; no fewer than two. Empty for a path without length. */
export function stationsAlong(path: readonly Point[], widthMm: number, stepMm: number): readonly Station[] {
  const ways = [0]
  for (let index = 1; index < path.length; index += 1) {
    const [a, b] = [path[index - 1] as Point, path[index] as Point]
    ways.push((ways[index - 1] as number) + Math.hypot(b.x - a.x, b.y - a.y))
  }
  const total = ways.at(-1) as number
  if (!(total > 1e-6)) return []
  const stops = new Set<number>([0, total])
  const count = Math.min(400, Math.max(1, Math.ceil(total / stepMm)))
  for (let index = 1; index < count; index += 1) stops.add((total * index) / count)
  for (const near of NEAR_ENDS) {
    if (near * widthMm >= total / 2) continue
    stops.add(near * widthMm)
    stops.add(total - near * widthMm)
  }
  // Corners of the path itself, where it has few places; a curve in many places is met often enough.
  if (path.length <= 8) for (const way of ways) stops.add(way)
  const sorted = [...stops].sort((a, b) => a - b)
  const result: Station[] = []
  let leg = 1
  let last = -1
  for (const s of sorted) {
    if (s - last < 1e-7) continue
    last = s
    while (leg < path.length - 1 && (ways[leg] as number) < s) leg += 1
    const [a, b] = [path[leg - 1] as Point, path[leg] as Point]
    const size = (ways[leg] as number) - (ways[leg - 1] as number)
    const share = size === 0 ? 0 : (s - (ways[leg - 1] as number)) / size
    const [tx, ty] = size === 0 ? [1, 0] : [(b.x - a.x) / size, (b.y - a.y) / size]
    result.push({ x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share, s, tx, ty, nx: ty, ny: -tx })
  }
  return smoothed(result)
}

/** Directions between those before and after, so that a ribbon does not fold at a bend. */
function smoothed(stations: readonly Station[]): readonly Station[] {
  if (stations.length < 3) return stations
  return stations.map((one, index) => {
    const [before, after] = [stations[index - 1], stations[index + 1]]
    if (!before || !after) return one
    const [dx, dy] = [after.x - before.x, after.y - before.y]
    const size = Math.hypot(dx, dy)
    // Doubling back, as a loop does, keeps its own direction.
    if (size < 0.3 * (after.s - before.s)) return one
    const [tx, ty] = [dx / size, dy / size]
    return { ...one, tx, ty, nx: ty, ny: -tx }
  })
}

/** A band along the stations, so wide to each side and so far from their middle. */
export function ribbon(stations: readonly Station[], halfMm: (at: Station) => number, offMm: (at: Station) => number): Point[] {
  const left: Point[] = []
  const right: Point[] = []
  for (const at of stations) {
    const [half, off] = [halfMm(at), offMm(at)]
    left.push({ x: at.x + at.nx * (off + half), y: at.y + at.ny * (off + half) })
    right.push({ x: at.x + at.nx * (off - half), y: at.y + at.ny * (off - half) })
  }
  return [...left, ...right.reverse()]
}

/** The part between two ways along it. */
export function between(stations: readonly Station[], from: number, to: number): readonly Station[] {
  return stations.filter((one) => one.s >= from - 1e-9 && one.s <= to + 1e-9)
}
