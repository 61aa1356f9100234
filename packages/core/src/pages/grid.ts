/** The page of a book: where the text stands, mirrored for left and right pages, with room at the back for holes. mm */
import { PAGE_SIZES, type PageSize } from '../sheets/index.ts'

/** Two steps beside one another; three, small, where a stitch was taught before; one, with large type. */
export type BookForm = 'roomy' | 'compact' | 'large'

export interface PageArea {
  readonly left: number
  readonly top: number
  readonly widthMm: number
  readonly heightMm: number
  /** The line of the foot stands here. */
  readonly footMm: number
}

/** Wide enough for two holes of 6 mm, and for pages that are bound. */
const BINDING_MM = 22
const EDGES: Readonly<Record<PageSize, { readonly outer: number; readonly top: number; readonly bottom: number }>> = {
  a4: { outer: 14, top: 13, bottom: 20 },
  letter: { outer: 16, top: 12, bottom: 18 },
}
const FOOT_MM = 8

/** Right pages have odd numbers. */
export function pageArea(size: PageSize, number: number): PageArea {
  const { widthMm, heightMm } = PAGE_SIZES[size]
  const { outer, top, bottom } = EDGES[size]
  return {
    left: number % 2 === 1 ? BINDING_MM : outer,
    top,
    widthMm: widthMm - BINDING_MM - outer,
    heightMm: heightMm - top - bottom,
    footMm: heightMm - FOOT_MM,
  }
}

export interface StepGrid {
  readonly columns: number
  readonly gapMm: number
  readonly heightMm: number
  /** Height of the figures at the holes. */
  readonly numberMm: number
}

export const STEP_GRIDS: Readonly<Record<BookForm, StepGrid>> = {
  roomy: { columns: 2, gapMm: 5, heightMm: 36, numberMm: 4.6 },
  compact: { columns: 3, gapMm: 4, heightMm: 28, numberMm: 3.6 },
  large: { columns: 1, gapMm: 0, heightMm: 58, numberMm: 7 },
}
