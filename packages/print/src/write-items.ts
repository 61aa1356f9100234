/**
 * Drawn items as the operators of a PDF page. Lines and shapes are written as text at once: a page of thread has a hundred thousand
 * points, and a call of the library for each of them takes longer than all else.
 */
import type { Disc, DrawingItem, Fill, Ring, Stroke, Words } from '@lemmata/core/drawing'
import type { Point } from '@lemmata/core/geometry'

/** Hundredths of a millimetre, 2,540 to the inch: no printer draws finer. */
const show = (value: number): string => String(Math.round(value * 100) / 100)
/** Colours are shares of one. */
const showShare = (value: number): string => String(Math.round(value * 1000) / 1000)

export function writeItem(document: PDFKit.PDFDocument, item: DrawingItem): void {
  switch (item.kind) {
    case 'stroke':
      return within(document, item.opacity, () => write(document, strokeOf(item)))
    case 'fill':
      return within(document, item.opacity, () => write(document, fillOf(item)))
    case 'disc':
      return within(document, item.opacity, () => write(document, discOf(item)))
    case 'ring':
      return writeRing(document, item)
    case 'clipped': {
      const { left, top, widthMm, heightMm, items } = item
      document.addContent(`q ${[left, top, widthMm, heightMm].map(show).join(' ')} re W n`)
      for (const one of items) writeItem(document, one)
      document.addContent('Q')
      return
    }
    case 'tagged':
      for (const one of item.items) writeItem(document, one)
      return
    case 'words':
      return writeWords(document, item)
  }
}

/** As bytes: the library would turn a text into them letter by letter. */
const write = (document: PDFKit.PDFDocument, operators: string): void => void document.addContent(Buffer.from(`${operators}\n`, 'latin1'))

/** What is opaque, as nearly all is, needs no state of its own. */
function within(document: PDFKit.PDFDocument, opacity: number | undefined, draw: () => void): void {
  if (opacity === undefined || opacity === 1) return draw()
  document.save().opacity(opacity)
  draw()
  document.restore()
}

function strokeOf({ paths, closed, colour, widthMm, cap, dashMm }: Stroke): string {
  const dash = dashMm ? `[${show(dashMm[0] ?? 1)} ${show(dashMm[1] ?? dashMm[0] ?? 1)}] 0 d` : '[] 0 d'
  const traced = paths.map((path) => pathOf(path, closed ?? false)).join('')
  return `${rgbOf(colour)} RG ${show(widthMm)} w ${cap === 'round' ? 1 : 0} J 1 j ${dash}\n${traced}S`
}

function fillOf({ points, also, colour }: Fill): string {
  return `${rgbOf(colour)} rg\n${[points, ...(also ?? [])].map((one) => pathOf(one, true)).join('')}f`
}

/** Four arcs as curves: 4/3 (sqrt 2 - 1) of the radius, less than a thousandth off the circle. */
const ARC = (4 / 3) * (Math.SQRT2 - 1)

function discOf({ at: { x, y }, radiusMm: r, fill, stroke }: Disc): string {
  const c = ARC * r
  const to = (...values: readonly number[]): string => values.map(show).join(' ')
  const circle = [
    `${to(x + r, y)} m`,
    `${to(x + r, y + c, x + c, y + r, x, y + r)} c`,
    `${to(x - c, y + r, x - r, y + c, x - r, y)} c`,
    `${to(x - r, y - c, x - c, y - r, x, y - r)} c`,
    `${to(x + c, y - r, x + r, y - c, x + r, y)} c h`,
  ].join('\n')
  const inks = `${fill ? `${rgbOf(fill)} rg ` : ''}${stroke ? `${rgbOf(stroke.colour)} RG ${show(stroke.widthMm)} w [] 0 d` : ''}`
  return `${inks}\n${circle}\n${fill && stroke ? 'B' : fill ? 'f' : stroke ? 'S' : 'n'}`
}

function pathOf([first, ...rest]: readonly Point[], closed: boolean): string {
  if (!first) return ''
  let path = `${show(first.x)} ${show(first.y)} m\n`
  for (const at of rest) path += `${show(at.x)} ${show(at.y)} l\n`
  return closed ? `${path}h\n` : path
}

const inks = new Map<string, string>()

function rgbOf(hex: string): string {
  const known = inks.get(hex)
  if (known !== undefined) return known
  const value = Number.parseInt(hex.slice(1, 7), 16)
  const made = [value >> 16, value >> 8, value].map((part) => showShare((part & 255) / 255)).join(' ')
  inks.set(hex, made)
  return made
}

function writeRing(document: PDFKit.PDFDocument, { at, along, radiusMm, widthMm, stops }: Ring): void {
  const reach = radiusMm + widthMm / 2
  const gradient = document.linearGradient(at.x - along.x * reach, at.y - along.y * reach, at.x + along.x * reach, at.y + along.y * reach)
  for (const { offset, colour, opacity } of stops) gradient.stop(offset, colour, opacity)
  document.save().lineWidth(widthMm).circle(at.x, at.y, radiusMm).stroke(gradient).restore()
}

function writeWords(document: PDFKit.PDFDocument, { at, text, sizeMm, face, colour, align }: Words): void {
  document.save().font(face).fontSize(sizeMm).fillColor(colour)
  const width = align === 'middle' || align === 'right' ? document.widthOfString(text) : 0
  document.text(text, at.x - (align === 'middle' ? width / 2 : width), at.y, { lineBreak: false, baseline: 'alphabetic' }).restore()
}
