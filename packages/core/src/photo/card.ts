/**
 * The printed card that is laid round a practice row: what of it a photograph is measured by. Millimetres from its middle, y down, as it
 * lies before her. Nothing is measured from an edge that was cut.
 */
import type { Box, Point } from '../geometry/index.ts'

export const CARD_MM = { width: 112, height: 60 } as const
/** Cut out, so that the row is seen through it. */
export const WINDOW: Box = { left: -39, right: 39, top: -13, bottom: 13 }
/** What a row may measure at most, to lie in the window with cloth all round. */
export const LONGEST_ROW_MM = 62

/** Of the four corner targets: black to the first, white to the second, black to the third; the first of them has a white eye. */
export const TARGET_MM = { outer: 3.5, white: 2.5, inner: 1.5, eye: 0.65 } as const
/** Clockwise from the top left, which has the eye. */
export const TARGETS: readonly Point[] = [
  { x: -50, y: -24 },
  { x: 50, y: -24 },
  { x: 50, y: 24 },
  { x: -50, y: 24 },
]

export const DOT_MM = 1
const ALONG = [-40, -32, -24, -16, -8, 0, 8, 16, 24, 32, 40]
const BESIDE = [-12, -4, 4, 12]
export const DOTS: readonly Point[] = [...[-18, 18].flatMap((y) => ALONG.map((x) => ({ x, y }))), ...[-46, 46].flatMap((x) => BESIDE.map((y) => ({ x, y })))]
