/** A practice row at its true size, as it is copied onto cloth: its lines, and the holes that are marked. */
import type { DrawingItem } from '../drawing/index.ts'
import type { Point } from '../geometry/index.ts'
import type { PracticeRow } from '../photo/index.ts'

const INK = '#000000'
const [LINE_MM, TICK_MM, HOLE_MM] = [0.25, 1.6, 0.4]
/** A row's marks have so much air above and below, mm. */
const AIR_MM = 2.5

export const rowHeightMm = ({ plan }: PracticeRow): number => plan.acrossMm + 2 * AIR_MM

/** `markEvery`: every how many stitches one is marked; 0 for its lines alone. It begins at 0, its top at 0. */
export function drawRow({ plan }: PracticeRow, markEvery: number): readonly DrawingItem[] {
  const { kind, count, pitchMm, lengthMm, acrossMm, leanDeg, gapMm, stitchMm } = plan
  const rails = acrossMm > 0 ? [AIR_MM, AIR_MM + acrossMm] : [AIR_MM]
  const lines = rails.map((y) => stroke({ x: 0, y }, { x: lengthMm, y }))
  if (markEvery === 0) return [...lines, ...rails.flatMap((y) => [0, lengthMm].map((x) => stroke({ x, y: y - TICK_MM / 2 }, { x, y: y + TICK_MM / 2 })))]
  const isOnRow = (x: number): boolean => x <= lengthMm + HOLE_MM
  const starts = Array.from({ length: Math.floor(count / markEvery) + 1 }, (_, index) => index * markEvery * pitchMm).filter(isOnRow)
  if (kind === 'side-by-side') {
    const away = (Math.tan((leanDeg * Math.PI) / 180) * acrossMm) / 2
    return [...lines, ...starts.map((x) => stroke({ x: x + away, y: AIR_MM }, { x: x - away, y: AIR_MM + acrossMm }))]
  }
  // A stitch's first hole; where cloth is left between two, its last as well.
  const holes = starts.flatMap((x) => (gapMm > 0 ? [x, x + stitchMm] : [x])).filter(isOnRow)
  return [...lines, ...holes.flatMap((x) => rails.map((y): DrawingItem => ({ kind: 'disc', at: { x, y }, radiusMm: HOLE_MM, fill: INK })))]
}

const stroke = (from: Point, to: Point): DrawingItem => ({ kind: 'stroke', paths: [[from, to]], widthMm: LINE_MM, colour: INK })
