/** A grid of square cells, as of counted cloth; it may be turned about its top left corner. */
import { error, failure, success } from '../../base/index.ts'
import { carryAngle, fromAngle, isMirrored, leftOf, type Matrix, moveBy, type Point, scaleOf, step, subtract } from '../../geometry/index.ts'
import { carryLength, carryPair, countAfter, noSuchPart, pathData, pointOf } from '../carry.ts'
import type { GuideTools, PracticeTools } from '../guide-tools.ts'
import { hundredths } from '../hundredths.ts'
import { MOST_CELLS } from '../limits.ts'
import type { GuideOf, ReadOf } from '../types.ts'

/** The place so many columns to the right of the grid's corner and so many rows below it. */
export function gridPoint({ at, cellMm, turnRad }: Pick<ReadOf<'grid'>, 'at' | 'cellMm' | 'turnRad'>, column: number, row: number): Point {
  const east = fromAngle(turnRad)
  return step(step(at, east, column * cellMm), leftOf(east), -row * cellMm)
}

export const grid: GuideTools<'grid'> = {
  word: 'a grid',
  read: (guide) => {
    if (guide.columns * guide.rows > MOST_CELLS)
      return failure(error('guide.too-many-cells', ['columns'], { cells: guide.columns * guide.rows, most: MOST_CELLS }))
    return success({ kind: 'grid', at: pointOf(guide.at), columns: guide.columns, rows: guide.rows, cellMm: guide.cellMm, turnRad: guide.turnRad ?? 0 })
  },
  transform,
  refit: (guide, matrix) => {
    const carried = transform(guide, matrix)
    const scale = scaleOf(matrix)
    const [columns, rows] = [countAfter(guide.columns, scale), countAfter(guide.rows, scale)]
    const fitted = { ...carried, cellMm: guide.cellMm, columns, rows }
    const middle = cornerAt(carried, carried.columns / 2, carried.rows / 2)
    const now = cornerAt(fitted, columns / 2, rows / 2)
    return { ...fitted, at: carryPair(fitted.at, moveBy(subtract(middle, now))) }
  },
  handles: (guide) => [{ id: 'whole', name: 'the whole grid', at: cornerAt(guide, guide.columns / 2, guide.rows / 2) }],
  reshape: () => null,
  sizes: (guide) => [
    { id: 'columns', name: 'Columns', kind: 'count', value: guide.columns, min: 1, max: 200 },
    { id: 'rows', name: 'Rows of cells', kind: 'count', value: guide.rows, min: 1, max: 200 },
    { id: 'cellMm', name: 'Cell', kind: 'length', value: guide.cellMm, min: 0.5, max: 30 },
  ],
  withSize: (guide, id, value) => ({ ...guide, [id]: value }),
  parts: ['outline'],
  part: (guide, part) => {
    if (part !== 'outline') return noSuchPart('a grid', part, grid.parts)
    const corners = [cornerAt(guide, 0, 0), cornerAt(guide, guide.columns, 0), cornerAt(guide, guide.columns, guide.rows), cornerAt(guide, 0, guide.rows)]
    return success({ kind: 'line', path: pathData([...corners, corners[0] as Point], true) })
  },
  practice: 'grid',
}

function cornerAt(guide: GuideOf<'grid'>, column: number, row: number): Point {
  return gridPoint({ at: pointOf(guide.at), cellMm: guide.cellMm, turnRad: guide.turnRad ?? 0 }, column, row)
}

/** Mirrored, its top right corner becomes the top left one: rows still run to the right of it and downwards. */
function transform(guide: GuideOf<'grid'>, matrix: Matrix): GuideOf<'grid'> {
  const mirrored = isMirrored(matrix)
  const corner = mirrored ? cornerAt(guide, guide.columns, 0) : pointOf(guide.at)
  const turned = carryAngle(matrix, (guide.turnRad ?? 0) + (mirrored ? Math.PI : 0))
  const level = Math.abs(turned) < 1e-12 || Math.abs(Math.abs(turned) - 2 * Math.PI) < 1e-12
  const { turnRad: _before, ...rest } = guide
  return {
    ...rest,
    at: carryPair([corner.x, corner.y], matrix),
    cellMm: carryLength(guide.cellMm, scaleOf(matrix)),
    ...(level ? (guide.turnRad === undefined ? {} : { turnRad: 0 }) : { turnRad: turned }),
  }
}

export const gridPractice: PracticeTools<'grid'> = {
  usual: { kind: 'grid', columns: 12, rows: 5, cellMm: 3 },
  lay: ({ columns: wanted, rows, cellMm }, { x, y }, mostMm) => {
    const columns = Math.max(1, Math.min(wanted, Math.floor(mostMm / cellMm)))
    return { kind: 'grid', at: [hundredths(x - (columns * cellMm) / 2), hundredths(y - (rows * cellMm) / 2)], columns, rows, cellMm }
  },
  halfHeightMm: ({ rows, cellMm }) => (rows * cellMm) / 2,
  shortened: (wanted) => ({
    ...wanted,
    columns: Math.max(1, Math.min(wanted.columns, Math.floor(32 / wanted.cellMm))),
    rows: Math.max(1, Math.min(wanted.rows, Math.floor(10 / wanted.cellMm))),
  }),
}
