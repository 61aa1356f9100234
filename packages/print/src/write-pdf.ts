/** Drawings in millimetres to PDF pages: vector, fonts embedded, one millimetre is one millimetre. */
import type { Drawing, DrawingItem, Face } from '@lemmata/core/drawing'
import type { Point } from '@lemmata/core/geometry'
import PDFDocument from 'pdfkit'
import { FONT_FILES } from './fonts.ts'

/** PDF speaks in points, 72 to the inch. */
const POINTS_PER_MM = 72 / 25.4

export interface PdfInfo {
  readonly title: string
  readonly author?: string
  /** Of its words, for whoever has it read aloud; English where it is not said. */
  readonly language?: string | undefined
  /** Where its parts begin, pages from 1. */
  readonly outline?: readonly { readonly title: string; readonly page: number; readonly level: 1 | 2 }[] | undefined
  /** Written into the file; passed in, so that the same input gives the same pages. */
  readonly made: Date
}

/** Each page is written as it is drawn: a book is never in memory whole. */
export function writePdf(pages: Iterable<Drawing>, info: PdfInfo): Promise<Uint8Array> {
  return new Promise((resolve, reject) => {
    const document = new PDFDocument({
      autoFirstPage: false,
      pdfVersion: '1.7',
      info: { Title: info.title, Author: info.author ?? 'Lemmata', CreationDate: info.made, ModDate: info.made },
      lang: info.language ?? 'en',
    })
    const chunks: Buffer[] = []
    document.on('data', (chunk: Buffer) => chunks.push(chunk))
    document.on('end', () => resolve(Buffer.concat(chunks)))
    document.on('error', reject)
    for (const [face, file] of Object.entries(FONT_FILES)) document.registerFont(face, file)
    let number = 0
    let part: PDFKit.PDFOutline | null = null
    for (const page of pages) {
      writePage(document, page)
      number += 1
      for (const { title, level } of (info.outline ?? []).filter((one) => one.page === number)) {
        const above: PDFKit.PDFOutline = level === 1 || !part ? document.outline : part
        const item: PDFKit.PDFOutline = above.addItem(title)
        if (level === 1) part = item
      }
    }
    document.end()
  })
}

function writePage(document: PDFKit.PDFDocument, drawing: Drawing): void {
  document.addPage({ size: [drawing.widthMm * POINTS_PER_MM, drawing.heightMm * POINTS_PER_MM], margin: 0 })
  document.save().scale(POINTS_PER_MM).translate(-drawing.left, -drawing.top)
  for (const layer of drawing.layers) {
    document.save()
    const { clip } = layer
    if (clip) document.rect(clip.left, clip.top, clip.right - clip.left, clip.bottom - clip.top).clip()
    for (const item of layer.items) writeItem(document, item)
    document.restore()
  }
  document.restore()
}

function writeItem(document: PDFKit.PDFDocument, item: DrawingItem): void {
  document.save()
  switch (item.kind) {
    case 'stroke':
      document
        .lineCap(item.cap ?? 'butt')
        .lineJoin('round')
        .lineWidth(item.widthMm)
        .strokeOpacity(item.opacity ?? 1)
        .strokeColor(item.colour)
      if (item.dashMm) document.dash(item.dashMm[0] ?? 1, { space: item.dashMm[1] ?? item.dashMm[0] ?? 1 })
      for (const path of item.paths) trace(document, path, item.closed ?? false)
      document.stroke()
      break
    case 'fill':
      document.fillOpacity(item.opacity ?? 1).fillColor(item.colour)
      trace(document, item.points, true)
      for (const outline of item.also ?? []) trace(document, outline, true)
      document.fill()
      break
    case 'disc':
      document.fillOpacity(item.opacity ?? 1).strokeOpacity(item.opacity ?? 1)
      document.circle(item.at.x, item.at.y, item.radiusMm)
      if (item.stroke) document.lineWidth(item.stroke.widthMm)
      if (item.fill && item.stroke) document.fillAndStroke(item.fill, item.stroke.colour)
      else if (item.fill) document.fill(item.fill)
      else if (item.stroke) document.stroke(item.stroke.colour)
      break
    case 'ring': {
      const { at, along, radiusMm, widthMm, stops } = item
      const reach = radiusMm + widthMm / 2
      const gradient = document.linearGradient(at.x - along.x * reach, at.y - along.y * reach, at.x + along.x * reach, at.y + along.y * reach)
      for (const { offset, colour, opacity } of stops) gradient.stop(offset, colour, opacity)
      document.lineWidth(widthMm).circle(at.x, at.y, radiusMm).stroke(gradient)
      break
    }
    case 'clipped':
      document.rect(item.left, item.top, item.widthMm, item.heightMm).clip()
      for (const one of item.items) writeItem(document, one)
      break
    case 'words': {
      document.font(item.face).fontSize(item.sizeMm).fillColor(item.colour)
      const width = document.widthOfString(item.text)
      const x = item.align === 'middle' ? item.at.x - width / 2 : item.align === 'right' ? item.at.x - width : item.at.x
      document.text(item.text, x, item.at.y, { lineBreak: false, baseline: 'alphabetic' })
      break
    }
  }
  document.restore()
}

function trace(document: PDFKit.PDFDocument, points: readonly Point[], closed: boolean): void {
  const [first, ...rest] = points
  if (!first) return
  document.moveTo(first.x, first.y)
  for (const at of rest) document.lineTo(at.x, at.y)
  if (closed) document.closePath()
}

/** Widths as the embedded fonts have them. */
export function makeMeasure(): (text: string, sizeMm: number, face: Face) => number {
  const document = new PDFDocument({ autoFirstPage: false })
  for (const [face, file] of Object.entries(FONT_FILES)) document.registerFont(face, file)
  return (text, sizeMm, face) => document.font(face).fontSize(sizeMm).widthOfString(text)
}
