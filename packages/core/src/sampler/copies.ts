/** Where the copies of a guide lie: one matrix a copy, the first unmoved. */
import {
  carryPoint,
  type Matrix,
  mirrorIn,
  moveBy,
  parsePath,
  type Point,
  placeAt,
  subtract,
  turnAbout,
  turnBetween,
  inTurn,
  UNMOVED,
} from '../geometry/index.ts'
import { type Pair, transformGuide } from '../guide/index.ts'
import type { Copies } from './types.ts'

/** More of one motif than any sampler carries; what is worked is counted again piece by piece. */
export const MOST_COPIES = 400

export function countCopies(copies: Copies | undefined): number {
  if (!copies) return 1
  switch (copies.kind) {
    case 'round':
    case 'along':
      return copies.count
    case 'rows':
      return copies.columns * copies.rows
    case 'mirror':
      return 2
  }
}

const pointAt = ([x, y]: Pair): Point => ({ x, y })

/** `anchor`: the middle of what is copied; upright copies keep it at the copy's place. A path that cannot be read gives the first alone. */
export function matricesOf(copies: Copies | undefined, anchor: Point): readonly Matrix[] {
  if (!copies) return [UNMOVED]
  switch (copies.kind) {
    case 'round': {
      const centre = pointAt(copies.centre)
      const full = copies.spanRad === undefined || Math.abs(Math.abs(copies.spanRad) - 2 * Math.PI) < 1e-9
      const each = full ? ((copies.spanRad ?? 1) < 0 ? -1 : 1) * ((2 * Math.PI) / copies.count) : copies.spanRad / Math.max(1, copies.count - 1)
      return numbers(copies.count).map((index) => {
        if (index === 0) return UNMOVED
        const turn = turnAbout(centre, index * each)
        return copies.upright ? moveBy(subtract(carryPoint(turn, anchor), anchor)) : turn
      })
    }
    case 'along': {
      const path = parsePath(copies.path)
      if (!path.ok) return [UNMOVED]
      const { length, closed } = path.value
      const step = closed ? length / copies.count : length / Math.max(1, copies.count - 1)
      const first = placeAt(path.value, 0)
      return numbers(copies.count).map((index) => {
        if (index === 0) return UNMOVED
        const place = placeAt(path.value, Math.min(length, index * step), index * step > length - 1e-9)
        const moved = moveBy(subtract(place.at, first.at))
        return copies.upright ? moved : inTurn(moved, turnAbout(place.at, turnBetween(first.direction, place.direction)))
      })
    }
    case 'rows': {
      const [dx, dy] = copies.stepMm
      return numbers(copies.rows).flatMap((row) =>
        numbers(copies.columns).map((column) =>
          row + column === 0 ? UNMOVED : moveBy({ x: column * dx + (copies.brick && row % 2 === 1 ? dx / 2 : 0), y: row * dy }),
        ),
      )
    }
    case 'mirror':
      return [UNMOVED, mirrorIn(pointAt(copies.line[0]), pointAt(copies.line[1]))]
  }
}

/** The centre, path, step or line of copies carried along with what is copied. */
export function transformCopies(copies: Copies, matrix: Matrix): Copies {
  const carried = (at: Pair): Pair => {
    const moved = transformGuide({ kind: 'spot', at }, matrix)
    return moved.kind === 'spot' ? moved.at : at
  }
  switch (copies.kind) {
    case 'round':
      return { ...copies, centre: carried(copies.centre) }
    case 'along': {
      const moved = transformGuide({ kind: 'line', path: copies.path }, matrix)
      return moved.kind === 'line' ? { ...copies, path: moved.path } : copies
    }
    case 'rows':
      return copies
    case 'mirror':
      return { ...copies, line: [carried(copies.line[0]), carried(copies.line[1])] }
  }
}

function numbers(count: number): number[] {
  return Array.from({ length: count }, (_, index) => index)
}
