/** Drawings in millimetres to PDF pages: vector, fonts embedded, one millimetre is one millimetre. */
import type { Drawing, Face } from '@lemmata/core/drawing'
import PDFDocument from 'pdfkit'
import { FONT_FILES } from './fonts.ts'
import { Tagger } from './tag-items.ts'

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

/** Each page is written as it is drawn: a book is never in memory whole. `onPage`: told after each, from 1; what it rejects with ends the writing. */
export async function writePdf(pages: Iterable<Drawing>, info: PdfInfo, onPage?: (number: number) => Promise<void>): Promise<Uint8Array> {
  const document = new PDFDocument({
    autoFirstPage: false,
    pdfVersion: '1.7',
    info: { Title: info.title, Author: info.author ?? 'Lemmata', CreationDate: info.made, ModDate: info.made },
    lang: info.language ?? 'en',
    ...{ tagged: true, displayTitle: true },
  })
  const chunks: Buffer[] = []
  const written = new Promise<Uint8Array>((resolve, reject) => {
    document.on('data', (chunk: Buffer) => chunks.push(chunk))
    document.on('end', () => resolve(Buffer.concat(chunks)))
    document.on('error', reject)
  })
  for (const [face, file] of Object.entries(FONT_FILES)) document.registerFont(face, file)
  let number = 0
  let part: PDFKit.PDFOutline | null = null
  const tagger = new Tagger(document)
  for (const page of pages) {
    writePage(document, page, tagger)
    number += 1
    for (const { title, level } of (info.outline ?? []).filter((one) => one.page === number)) {
      const above: PDFKit.PDFOutline = level === 1 || !part ? document.outline : part
      const item: PDFKit.PDFOutline = above.addItem(title)
      if (level === 1) part = item
    }
    await onPage?.(number)
  }
  tagger.end()
  document.end()
  return written
}

function writePage(document: PDFKit.PDFDocument, drawing: Drawing, tagger: Tagger): void {
  document.addPage({ size: [drawing.widthMm * POINTS_PER_MM, drawing.heightMm * POINTS_PER_MM], margin: 0 })
  document.save().scale(POINTS_PER_MM).translate(-drawing.left, -drawing.top)
  for (const layer of drawing.layers) {
    document.save()
    const { clip } = layer
    if (clip) document.rect(clip.left, clip.top, clip.right - clip.left, clip.bottom - clip.top).clip()
    tagger.write(layer.items)
    document.restore()
  }
  document.restore()
}

/** Widths as the embedded fonts have them. */
export function makeMeasure(): (text: string, sizeMm: number, face: Face) => number {
  const document = new PDFDocument({ autoFirstPage: false })
  for (const [face, file] of Object.entries(FONT_FILES)) document.registerFont(face, file)
  return (text, sizeMm, face) => document.font(face).fontSize(sizeMm).widthOfString(text)
}
