/** A guide as lines to draw, path data in mm: its own lines, or a small cross at each of its places. */
import { type Guide, gridPoint, partOfGuide, readGuide } from '@lemmata/core/guide'
import type { Point } from '@lemmata/core/geometry'

export function guideLines(guide: Guide): readonly string[] {
  const read = readGuide(guide)
  if (!read.ok) return guide.kind === 'line' || guide.kind === 'shape' ? [guide.path] : []
  const given = read.value
  switch (given.kind) {
    case 'line':
      return [lineOf(given.path.points), ...(given.width?.kind === 'rails' ? [lineOf(given.width.left), lineOf(given.width.right)] : []), ...bandEdges(guide)]
    case 'shape':
      return [...given.region.map(lineOf), ...(given.vein ? [lineOf(given.vein.points)] : [])]
    case 'spots':
      return given.at.map((at, index) => (given.sideMm === undefined ? cross(at) : square(at, given.sideMm, given.turns[index] ?? 0)))
    case 'grid':
      return gridOf(given)
    case 'pins':
      return given.pins.map((pin) => lineOf([given.base, pin]))
  }
}

/** The rails of a band that has a width. */
function bandEdges(guide: Guide): readonly string[] {
  if (guide.kind !== 'band' || guide.path === undefined || guide.widthMm === undefined) return []
  return (['left-rail', 'right-rail'] as const).flatMap((part) => {
    const rail = partOfGuide(guide, part)
    return rail.ok && rail.value.kind === 'line' ? [rail.value.path] : []
  })
}

const lineOf = (points: readonly Point[]): string => points.map(({ x, y }, index) => `${index === 0 ? 'M' : 'L'}${x.toFixed(2)} ${y.toFixed(2)}`).join('')

function cross({ x, y }: Point): string {
  return `M${x - 1} ${y}H${x + 1}M${x} ${y - 1}V${y + 1}`
}

function square({ x, y }: Point, side: number, turn: number): string {
  const corner = (along: number, aside: number): Point => ({
    x: x + along * Math.cos(turn) - aside * Math.sin(turn),
    y: y + along * Math.sin(turn) + aside * Math.cos(turn),
  })
  const half = side / 2
  return `${lineOf([corner(-half, -half), corner(half, -half), corner(half, half), corner(-half, half)])}Z`
}

function gridOf(grid: Extract<Extract<ReturnType<typeof readGuide>, { ok: true }>['value'], { kind: 'grid' }>): readonly string[] {
  const rows = Array.from({ length: grid.rows + 1 }, (_, row) => lineOf([gridPoint(grid, 0, row), gridPoint(grid, grid.columns, row)]))
  const columns = Array.from({ length: grid.columns + 1 }, (_, column) => lineOf([gridPoint(grid, column, 0), gridPoint(grid, column, grid.rows)]))
  return [...rows, ...columns]
}
