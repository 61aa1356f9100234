/** How the sheets of a pattern lie to one another, small, at the foot of each: numbered as they come, this one drawn heavy. */
import type { DrawingItem } from '../drawing/index.ts'
import { INK, WALNUT, words } from './flow.ts'
import type { Tile, Tiling } from './tile-design.ts'

/** It is no larger than this. mm */
const WIDE = 22
const HIGH = 15
const ABOVE_FOOT = 24

export function pageMap({ paper, area, rows, columns }: Tiling, { row, column }: Pick<Tile, 'row' | 'column'>): readonly DrawingItem[] {
  const scale = Math.min(WIDE / (columns * area.widthMm), HIGH / (rows * area.heightMm))
  const [wide, high] = [area.widthMm * scale, area.heightMm * scale]
  const left = area.left + area.widthMm - columns * wide
  const top = paper.heightMm - area.left - ABOVE_FOOT
  return Array.from({ length: rows * columns }, (_, index): readonly DrawingItem[] => {
    const [x, y] = [left + (index % columns) * wide, top + Math.floor(index / columns) * high]
    const isThis = index === row * columns + column
    const box = [
      { x, y },
      { x: x + wide, y },
      { x: x + wide, y: y + high },
      { x, y: y + high },
    ]
    const size = Math.min(3.2, high * 0.6)
    return [
      { kind: 'stroke', paths: [box], widthMm: isThis ? 0.6 : 0.2, colour: isThis ? INK : WALNUT, closed: true },
      words(String(index + 1), { x: x + wide / 2, y: y + high / 2 + size * 0.35 }, size, isThis ? 'text-bold' : 'text', isThis ? INK : WALNUT, 'middle'),
    ]
  }).flat()
}
