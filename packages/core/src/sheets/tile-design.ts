/**
 * A design on sheets of paper: upright or on its side, with as few sheets as can be, and moved about so that as many exercises as can
 * be stand whole on one of them. Sheets overlap, so that one can be laid on the other by what is drawn on both. mm
 */
import type { Box } from '../geometry/index.ts'
import { contentArea, onItsSide, type Paper } from './furniture.ts'
import type { Area } from './flow.ts'

/** What two sheets beside one another both show. */
export const OVERLAP_MM = 10
/** Places that are tried for the seams. */
const TRIES = 48

export interface Tile {
  readonly row: number
  readonly column: number
  /** Where the top left of the sheet's area lies in the design. */
  readonly from: { readonly x: number; readonly y: number }
}

export interface Tiling {
  readonly paper: Paper
  readonly area: Area
  readonly rows: number
  readonly columns: number
  readonly tiles: readonly Tile[]
  /** Those that stand whole on no sheet. */
  readonly cut: readonly string[]
}

interface Named {
  readonly id: string
  readonly box: Box
}

/** `whole`: all that is to be shown. */
export function tileDesign(parts: readonly Named[], whole: Box, upright: Paper): Tiling {
  const [one, other] = [tilingOn(upright, parts, whole), tilingOn(onItsSide(upright), parts, whole)]
  const better = other.tiles.length - one.tiles.length || other.cut.length - one.cut.length
  return better < 0 ? other : one
}

function tilingOn(paper: Paper, parts: readonly Named[], whole: Box): Tiling {
  const area = contentArea(paper)
  const across = seams(
    parts.map(({ box }) => [box.left, box.right]),
    [whole.left, whole.right],
    area.widthMm,
  )
  const down = seams(
    parts.map(({ box }) => [box.top, box.bottom]),
    [whole.top, whole.bottom],
    area.heightMm,
  )
  const tiles = down.flatMap((y, row) => across.map((x, column): Tile => ({ row, column, from: { x, y } })))
  const cut = parts.filter(({ box }) => isCut(across, area.widthMm, box.left, box.right) || isCut(down, area.heightMm, box.top, box.bottom))
  return { paper, area, rows: down.length, columns: across.length, tiles, cut: cut.map((one) => one.id) }
}

const isCut = (starts: readonly number[], room: number, from: number, to: number): boolean =>
  !starts.some((start) => from >= start - 1e-9 && to <= start + room + 1e-9)

/** Where the sheets begin along one way: in the middle of what room there is to spare, unless fewer parts are cut elsewhere. */
function seams(spans: readonly (readonly [number, number])[], [from, to]: readonly [number, number], room: number): readonly number[] {
  const step = room - OVERLAP_MM
  const count = Math.max(1, Math.ceil((to - from - OVERLAP_MM) / step - 1e-9))
  const spare = count * step + OVERLAP_MM - (to - from)
  const startsAt = (share: number): readonly number[] => Array.from({ length: count }, (_, index) => from - share * spare + index * step)
  if (count === 1) return startsAt(0.5)
  const shares = Array.from({ length: TRIES + 1 }, (_, index) => index / TRIES).sort((a, b) => Math.abs(a - 0.5) - Math.abs(b - 0.5))
  const tried = shares.map((share) => {
    const starts = startsAt(share)
    return { starts, cut: spans.filter(([a, b]) => isCut(starts, room, a, b)).length }
  })
  const least = Math.min(...tried.map((one) => one.cut))
  return tried.find((one) => one.cut === least)?.starts ?? startsAt(0.5)
}
