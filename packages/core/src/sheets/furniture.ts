/** What stands on every page: the heading, and at the foot the check bar and the check square. */
import type { DrawingItem } from '../drawing/index.ts'
import type { SheetWords } from './sheet-words.ts'
import { type Area, INK, type MeasureText, WALNUT, words } from './flow.ts'

export interface Paper {
  readonly widthMm: number
  readonly heightMm: number
}

/** Of sheets and books, upright. */
export type PageSize = 'a4' | 'letter'

/** Of patterns, and of two pages side by side. */
export type PatternSize = PageSize | 'a3' | 'tabloid'

export const PAPERS: Readonly<Record<PatternSize, Paper>> = {
  a4: { widthMm: 210, heightMm: 297 },
  letter: { widthMm: 215.9, heightMm: 279.4 },
  a3: { widthMm: 297, heightMm: 420 },
  tabloid: { widthMm: 279.4, heightMm: 431.8 },
}
export const PAGE_SIZES: Readonly<Record<PageSize, Paper>> = { a4: PAPERS.a4, letter: PAPERS.letter }

export const onItsSide = ({ widthMm, heightMm }: Paper): Paper => ({ widthMm: heightMm, heightMm: widthMm })

const MARGIN_MM = 12
const HEAD_MM = 13
const FOOT_MM = 31
/** The check bar. */
export const CHECK_BAR_MM = 50
export const CHECK_SQUARE_MM = 25.4
const TICK_MM = 0.2

export function contentArea({ widthMm, heightMm }: Paper): Area {
  return { left: MARGIN_MM, top: MARGIN_MM + HEAD_MM, widthMm: widthMm - 2 * MARGIN_MM, heightMm: heightMm - 2 * MARGIN_MM - HEAD_MM - FOOT_MM }
}

export interface PageHeading {
  readonly sampler: string
  readonly part: string
  readonly page: number
  readonly pages: number
  readonly hand: 'right' | 'left'
}

export function pageFurniture({ widthMm, heightMm }: Paper, heading: PageHeading, measure: MeasureText, said: SheetWords): DrawingItem[] {
  const right = widthMm - MARGIN_MM
  const rule = MARGIN_MM + 8.5
  const room = right - MARGIN_MM
  const pages = `   ${heading.page} / ${heading.pages}`
  // Long names give way to one another, and the number of the page to neither.
  const part = `${cutTo(heading.part, 0.55 * room - measure(pages, 3.3, 'text'), (text) => measure(text, 3.3, 'text'))}${pages}`
  const name = cutTo(heading.sampler, room - measure(part, 3.3, 'text') - 6, (text) => measure(text, 5.4, 'heading'))
  return [
    words(name, { x: MARGIN_MM, y: MARGIN_MM + 5.5 }, 5.4, 'heading'),
    words(part, { x: right, y: MARGIN_MM + 5.5 }, 3.3, 'text', WALNUT, 'right'),
    {
      kind: 'stroke',
      paths: [
        [
          { x: MARGIN_MM, y: rule },
          { x: right, y: rule },
        ],
      ],
      widthMm: 0.2,
      colour: '#8A7A66',
    },
    ...checks(MARGIN_MM, heightMm - MARGIN_MM, right, heading.hand, said),
  ]
}

/** As much of the words as has room, with a sign that there is more. */
export function cutTo(text: string, mostMm: number, measure: (text: string) => number): string {
  if (measure(text) <= mostMm) return text
  const letters = [...text]
  let kept = letters.length
  while (kept > 0 && measure(`${letters.slice(0, kept).join('').trimEnd()}…`) > mostMm) kept -= 1
  return `${letters.slice(0, kept).join('').trimEnd()}…`
}

/** Printed at 100 % the bar measures 50 mm and the square one inch, whichever ruler is at hand. */
function checks(left: number, bottom: number, right: number, hand: 'right' | 'left', said: SheetWords): DrawingItem[] {
  const square = CHECK_SQUARE_MM
  const top = bottom - square
  const barLeft = left + square + 8
  const barY = bottom - 8
  const ticks = Array.from({ length: 11 }, (_, index) => {
    // The outermost ticks stand inside the bar, so that it measures 50 mm from outside to outside.
    const inside = index === 0 ? TICK_MM / 2 : index === 10 ? -TICK_MM / 2 : 0
    const x = barLeft + (index * CHECK_BAR_MM) / 10 + inside
    const tall = index % 2 === 0 ? 2.4 : 1.4
    return [
      { x, y: barY - tall },
      { x, y: barY },
    ]
  })
  const half = TICK_MM / 2
  const corners = [
    { x: left + half, y: top + half },
    { x: left + square - half, y: top + half },
    { x: left + square - half, y: bottom - half },
    { x: left + half, y: bottom - half },
  ]
  return [
    { kind: 'stroke', paths: [corners], widthMm: TICK_MM, colour: INK, closed: true },
    words(said.inch, { x: left + square / 2, y: top + square / 2 + 1.2 }, 3.2, 'text', INK, 'middle'),
    {
      kind: 'stroke',
      paths: [
        [
          { x: barLeft, y: barY },
          { x: barLeft + CHECK_BAR_MM, y: barY },
        ],
      ],
      widthMm: 0.4,
      colour: '#000000',
    },
    { kind: 'stroke', paths: ticks, widthMm: TICK_MM, colour: INK },
    words('50 mm', { x: barLeft + CHECK_BAR_MM / 2, y: barY + 4.4 }, 3.2, 'text', INK, 'middle'),
    words(said.printTrue, { x: barLeft, y: top + 4 }, 3.4, 'text-bold'),
    words(said.elsePrintAgain, { x: barLeft, y: top + 8.6 }, 3.2, 'text', WALNUT),
    words(said.hand[hand], { x: right, y: barY + 4.4 }, 3.2, 'text', WALNUT, 'right'),
  ]
}
