/** What stands on the pages of a book, and what of it stands wrongly. */
import type { Book } from '@lemmata/core/book'
import type { Drawing, DrawingItem, Words } from '@lemmata/core/drawing'
import { makeMeasure } from '@lemmata/print'

const measure = makeMeasure()
const untagged = (items: readonly DrawingItem[]): readonly DrawingItem[] => items.flatMap((one) => (one.kind === 'tagged' ? untagged(one.items) : [one]))
export const itemsOn = (page: Drawing): readonly DrawingItem[] => page.layers.flatMap((layer) => untagged(layer.items))
/** Words that stand on the page itself, not the figures inside a picture. */
const wordsOn = (page: Drawing): readonly Words[] => itemsOn(page).filter((one): one is Words => one.kind === 'words')
export const told = (page: Drawing): string =>
  wordsOn(page)
    .map((one) => one.text)
    .join(' ')

interface Box {
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
  readonly text: string
}
function boxOf({ text, at, sizeMm, face, align = 'left' }: Words): Box {
  const wide = measure(text, sizeMm, face)
  const left = align === 'left' ? at.x : align === 'right' ? at.x - wide : at.x - wide / 2
  // Between the top of a capital and the foot of a g, a little within both.
  return { left, right: left + wide, top: at.y - 0.62 * sizeMm, bottom: at.y + 0.12 * sizeMm, text }
}
const overlap = (a: Box, b: Box): boolean => a.left < b.right - 0.2 && b.left < a.right - 0.2 && a.top < b.bottom - 0.1 && b.top < a.bottom - 0.1

const overlaps = (boxes: readonly Box[]): readonly string[] =>
  boxes.flatMap((one, at) =>
    boxes
      .slice(at + 1)
      .filter((other) => overlap(one, other))
      .map((other) => `"${one.text}" over "${other.text}"`),
  )

/** Of the pages of the book, then of the pattern, whose sheets have margins of their own. */
export function faultsOf(book: Book): readonly string[] {
  const pages = Array.from({ length: book.pages }, (_, at) => book.drawPage(at)).flatMap((page, index): readonly string[] => {
    const boxes = boxesOn(page.layers.flatMap((layer) => layer.items))
    const isRecto = index % 2 === 0
    const off = boxes.filter(
      (one) => one.left < (isRecto ? 21.9 : 13.5) || one.right > page.widthMm - (isRecto ? 13.5 : 21.9) || one.bottom > page.heightMm - 5,
    )
    return [...off.map((one) => `page ${index + 1}: "${one.text}" runs off`), ...overlaps(boxes).map((one) => `page ${index + 1}: ${one}`)]
  })
  const pattern = Array.from({ length: book.patternPages }, (_, at) => book.drawPage(book.pages + at)).flatMap((page, index) =>
    patternFaults(page).map((one) => `pattern ${index + 1}: ${one}`),
  )
  return [...pages, ...pattern]
}

/** Letters and numbers on one another. */
export function patternFaults(page: Drawing): readonly string[] {
  const shown = page.layers.flatMap(({ items, clip }) =>
    boxesOn(items).filter((one) => !clip || (one.right > clip.left && one.left < clip.right && one.bottom > clip.top && one.top < clip.bottom)),
  )
  return overlaps(shown)
}

const boxesOn = (items: readonly DrawingItem[]): readonly Box[] =>
  untagged(items)
    .filter((one): one is Words => one.kind === 'words' && one.text.trim() !== '')
    .map(boxOf)
