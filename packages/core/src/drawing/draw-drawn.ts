/** What is drawn on the cloth of a step: line, rails, edge, vein, squares, grid, base line and pin; solid, and dashed within. */
import { type Point, placeAt } from '../geometry/index.ts'
import type { ReadGuide } from '../guide/index.ts'
import type { DrawingItem, Stroke } from './drawing.ts'

const WIDTH_MM = 0.22
const STEEL = '#6E7681'
/** Places on a rail, where it is drawn beside its middle line. */
const RAIL_PLACES = 60

/** `place`: from worked millimetres to those of the picture. `pinned`: pins stand in the cloth. `ink`: that shows on it. */
export function drawDrawn(guide: ReadGuide, place: (at: Point) => Point, pinned: boolean, ink: string): DrawingItem[] {
  const solid = (...paths: readonly (readonly Point[])[]): Stroke => ({
    kind: 'stroke',
    paths: paths.map((path) => path.map(place)),
    widthMm: WIDTH_MM,
    colour: ink,
    opacity: 0.5,
  })
  const dashed = (...paths: readonly (readonly Point[])[]): Stroke => ({ ...solid(...paths), dashMm: [1.4, 1] })
  switch (guide.kind) {
    case 'line': {
      const { path, width } = guide
      const points = path.closed ? [...path.points, path.points[0] as Point] : path.points
      if (!width) return [solid(points)]
      if (width.kind === 'outline') return [solid(...width.region.map(closed)), dashed(points)]
      if (width.kind === 'rails') return [solid(width.left, width.right), dashed(points)]
      const rail = (by: number): readonly Point[] =>
        Array.from({ length: RAIL_PLACES + 1 }, (_, index) => {
          const { at, direction } = placeAt(path, (path.length * index) / RAIL_PLACES, true)
          return { x: at.x + direction.y * by, y: at.y - direction.x * by }
        })
      return [solid(rail(width.halfMm), rail(-width.halfMm)), dashed(points)]
    }
    case 'shape': {
      const within = [...(guide.vein ? [guide.vein.points] : []), ...guide.directions.map((one) => one.points)]
      return [solid(...guide.region.map(closed)), ...(within.length > 0 ? [dashed(...within)] : [])]
    }
    case 'spots': {
      const { sideMm } = guide
      if (sideMm === undefined) return []
      return guide.at.map((middle, index) => {
        const turn = guide.turns[index] ?? 0
        const corner = (x: number, y: number): Point => ({
          x: middle.x + (x * Math.cos(turn) - y * Math.sin(turn)) * (sideMm / 2),
          y: middle.y + (x * Math.sin(turn) + y * Math.cos(turn)) * (sideMm / 2),
        })
        return solid([corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1), corner(-1, -1)])
      })
    }
    case 'grid': {
      const { at, columns, rows, cellMm, turnRad } = guide
      const put = (column: number, row: number): Point => ({
        x: at.x + (column * Math.cos(turnRad) - row * Math.sin(turnRad)) * cellMm,
        y: at.y + (column * Math.sin(turnRad) + row * Math.cos(turnRad)) * cellMm,
      })
      return [
        solid(
          ...Array.from({ length: columns + 1 }, (_, column) => [put(column, 0), put(column, rows)]),
          ...Array.from({ length: rows + 1 }, (_, row) => [put(0, row), put(columns, row)]),
        ),
      ]
    }
    case 'pins':
      return [...(pinned ? guide.pins.flatMap((pin) => drawPin(place(guide.base), place(pin))) : []), solid([beside(guide.base, -4), beside(guide.base, 4)])]
  }
}

const closed = (ring: readonly Point[]): readonly Point[] => (ring.length > 0 ? [...ring, ring[0] as Point] : ring)
const beside = (at: Point, by: number): Point => ({ x: at.x + by, y: at.y })

/** In at the tip, under the cloth, out at the base; its glass head stands over the tip. */
function drawPin(base: Point, tip: Point): DrawingItem[] {
  const long = Math.hypot(tip.x - base.x, tip.y - base.y) || 1
  const way = { x: (tip.x - base.x) / long, y: (tip.y - base.y) / long }
  const out = { x: base.x - way.x * long * 0.16, y: base.y - way.y * long * 0.16 }
  const head = { x: tip.x + way.x * long * 0.14, y: tip.y + way.y * long * 0.14 }
  return [
    { kind: 'stroke', paths: [[tip, base]], widthMm: 0.3, colour: STEEL, opacity: 0.7, dashMm: [0.9, 0.7] },
    { kind: 'stroke', paths: [[base, out]], widthMm: 0.45, colour: STEEL, cap: 'round' },
    { kind: 'stroke', paths: [[head, tip]], widthMm: 0.45, colour: STEEL, cap: 'round' },
    { kind: 'disc', at: head, radiusMm: 1.3, fill: '#B8473A', stroke: { colour: '#7C2B22', widthMm: 0.15 } },
    { kind: 'disc', at: { x: head.x - 0.4, y: head.y - 0.4 }, radiusMm: 0.3, fill: '#F3D9D4' },
  ]
}
