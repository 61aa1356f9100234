/** Pages of a book two on a sheet, to be folded once in the middle and stitched: printed on both sides, turned on the short edge. */
import { type Drawing, type Layer, moveItems } from '../drawing/index.ts'

/** Inner sheets of a fold stand out beyond the outer ones: what is on them moves in by so much a sheet. mm */
const CREEP_MM = 0.1

export interface BookletSide {
  /** Pages from 1; none where the paper stays empty. */
  readonly left: number | null
  readonly right: number | null
  /** From 1, from the outside in. */
  readonly sheet: number
}

/** Front and back of each sheet, from the outermost: of 28 pages 28 | 1, 2 | 27, 26 | 3, 4 | 25 and so on. */
export function bookletSides(pages: number): readonly BookletSide[] {
  const whole = Math.ceil(pages / 4) * 4
  const there = (page: number): number | null => (page <= pages ? page : null)
  return Array.from({ length: whole / 4 }, (_, index): readonly BookletSide[] => {
    const sheet = index + 1
    return [
      { left: there(whole - 2 * sheet + 2), right: there(2 * sheet - 1), sheet },
      { left: there(2 * sheet), right: there(whole - 2 * sheet + 1), sheet },
    ]
  }).flat()
}

/** `page`: its size; the sheet is twice as broad. */
export function drawBookletSide(
  { left, right, sheet }: BookletSide,
  { widthMm, heightMm }: Pick<Drawing, 'widthMm' | 'heightMm'>,
  drawPage: (page: number) => Drawing,
): Drawing {
  const creep = CREEP_MM * (sheet - 1)
  const half = (page: number | null, x: number): readonly Layer[] =>
    page === null ? [] : drawPage(page).layers.map((layer) => ({ ...layer, items: moveItems(layer.items, { x, y: 0 }) }))
  return { left: 0, top: 0, widthMm: 2 * widthMm, heightMm, layers: [...half(left, creep), ...half(right, widthMm - creep)] }
}
