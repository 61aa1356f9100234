/** Pages that are laid out, as a book: each with its foot, drawn when it is wanted. */
import { type Drawing, type DrawingItem, moveItems } from '../drawing/index.ts'
import { type BookForm, type BookPage, inBlack, line, type Setting } from '../pages/index.ts'
import { cutTo, PAGE_SIZES, WALNUT, words } from '../sheets/index.ts'
import type { Making } from './types.ts'

export interface Book {
  readonly form: BookForm
  /** It was to be roomy, and would have been too many pages. */
  readonly isCompacted: boolean
  /** Of the book, then of the pattern. */
  readonly pages: number
  readonly patternPages: number
  /** What it says at its head where it is one page of the web. */
  readonly onTheWeb: string
  /** From 0; the pattern's after the book's. */
  readonly drawPage: (index: number) => Drawing
  /** Where parts and lessons begin, pages from 1. */
  readonly outline: readonly { readonly title: string; readonly page: number; readonly level: 1 | 2 }[]
  /** Pages from 1, by exercise. */
  readonly pageOf: ReadonlyMap<string, number>
}

export interface ToBind extends Pick<Book, 'isCompacted' | 'outline' | 'pageOf' | 'onTheWeb'> {
  readonly making: Making
  readonly pages: readonly BookPage[]
  readonly pattern: readonly Drawing[]
  readonly foot: (page: BookPage) => readonly DrawingItem[]
}

export function bind({ making, pages, pattern, foot, ...of }: ToBind): Book {
  return {
    ...of,
    form: making.form,
    pages: pages.length,
    patternPages: pattern.length,
    drawPage: (index) => {
      const page = pages[index]
      return page ? drawBound(making, page, foot(page)) : (pattern[index - pages.length] as Drawing)
    },
  }
}

export function drawBound({ page: size, ink }: Pick<Making, 'page' | 'ink'>, page: BookPage, foot: readonly DrawingItem[]): Drawing {
  const drawn = page.blocks.flatMap(({ x, y, block }) => moveItems(block.draw(), { x, y }))
  return {
    ...{ left: 0, top: 0, ...PAGE_SIZES[size] },
    layers: [
      { name: 'book', items: ink === 'colour' ? drawn : inBlack(drawn) },
      { name: 'foot', items: foot },
    ],
  }
}

export interface Foot {
  /** At the outer edge. */
  readonly number: string
  readonly middle: string
  readonly isBold: boolean
  /** At the inner edge: what the page belongs to. */
  readonly part: string
}

export function drawFoot(set: Setting, { area, number }: BookPage, foot: Foot): readonly DrawingItem[] {
  const { sizeMm } = set.type.foot
  const { left, widthMm, footMm } = area
  const right = left + widthMm
  const isRecto = number % 2 === 1
  const named = cutTo(foot.part, widthMm / 2 - set.measure(foot.middle, sizeMm, 'text') / 2 - 6, (text) => set.measure(text, sizeMm, 'text'))
  const at = (side: 'left' | 'right'): { x: number; y: number } => ({ x: side === 'left' ? left : right, y: footMm })
  return [
    line(left, right, footMm - 4.5, 0.25),
    ...(foot.number === '' ? [] : [words(foot.number, at(isRecto ? 'right' : 'left'), sizeMm * 1.15, 'text-bold', '#1F2A37', isRecto ? 'right' : 'left')]),
    words(foot.middle, { x: (left + right) / 2, y: footMm }, sizeMm, foot.isBold ? 'text-bold' : 'text', WALNUT, 'middle'),
    words(named, at(isRecto ? 'left' : 'right'), sizeMm, 'text', WALNUT, isRecto ? 'left' : 'right'),
  ]
}
