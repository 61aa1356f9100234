/**
 * What stands on a page in the order in which it is read: headings, paragraphs, lists, tables, pictures with their words. What has no
 * tag, as rules, frames and feet, is said to be ornament. PDF 1.7, 14.8.
 */
import type { DrawingItem, Tag, Tagged, Words } from '@lemmata/core/drawing'
import { writeItem } from './write-items.ts'

type Element = PDFKit.PDFStructureElement

/** As PDF names them; a box to tick is an item of a list, a place to write on is ornament. */
const NAMES: Readonly<Record<Tag, string | null>> = {
  ...{ H1: 'H1', H2: 'H2', P: 'P', LI: 'LI', Lbl: 'Lbl', LBody: 'LBody', Figure: 'Figure', TR: 'TR', TH: 'TH', TD: 'TD' },
  ...{ Tick: 'LI', Entry: null },
}
const GROUPS: Readonly<Partial<Record<Tag, string>>> = { LI: 'L', Tick: 'L', TR: 'Table' }

export class Tagger {
  /** A list or a table that items which follow one another share, also over the turn of a page. */
  private group: { readonly name: string; readonly element: Element } | null = null
  private readonly root: Element

  constructor(private readonly document: PDFKit.PDFDocument) {
    this.root = document.struct('Document')
    document.addStructure(this.root)
  }

  write(items: readonly DrawingItem[]): void {
    for (const run of runsOf(items)) {
      if (run.tagged) this.element(run.tagged, this.parentFor(run.tagged))
      else this.ornament(run.plain)
    }
  }

  end(): void {
    this.endGroup()
    this.root.end()
  }

  private parentFor({ tag }: Tagged): Element {
    const wanted = GROUPS[tag]
    if (wanted === undefined || this.group?.name !== wanted) this.endGroup()
    if (wanted === undefined) return this.root
    if (!this.group) {
      this.group = { name: wanted, element: this.document.struct(wanted) }
      this.root.add(this.group.element)
    }
    return this.group.element
  }

  private endGroup(): void {
    this.group?.element.end()
    this.group = null
  }

  private element(item: Tagged, parent: Element): void {
    const name = NAMES[item.tag]
    // So is a picture with nothing said of it, and a box that stands alone in its cell.
    const isSilent = (item.tag === 'Figure' && !item.alt) || (item.tag === 'Tick' && !item.items.some((one) => one.kind === 'words'))
    if (name === null || isSilent) return this.ornament(item.items)
    const made = this.document.struct(name, item.alt === undefined ? {} : { alt: item.alt })
    parent.add(made)
    // The library's types do not have it, nor has it a way to say of what a head is the head.
    if (item.tag === 'TH')
      (made as unknown as { readonly dictionary: { readonly data: Record<string, unknown> } }).dictionary.data.A = { O: 'Table', Scope: 'Column' }
    // All of a picture is the picture.
    if (item.tag === 'Figure') this.content(made, name, item.items)
    else
      for (const run of runsOf(item.items)) {
        if (run.tagged) this.element(run.tagged, made)
        else if (run.plain.some((one) => one.kind === 'words')) this.content(made, name, run.plain)
        else this.ornament(run.plain)
      }
    made.end()
  }

  private content(element: Element, name: string, items: readonly DrawingItem[]): void {
    element.add(this.document.markStructureContent(name))
    for (const [index, one] of items.entries()) writeItem(this.document, one.kind === 'words' ? this.withSpace(one, items[index + 1]) : one)
    this.document.endMarkedContent()
  }

  /** Lines are broken at spaces that are not drawn: whoever hears them would hear one long word. */
  private withSpace(one: Words, next: DrawingItem | undefined): Words {
    if (next?.kind !== 'words' || (one.align ?? 'left') !== 'left') return one
    const end = one.at.x + this.document.font(one.face).fontSize(one.sizeMm).widthOfString(one.text)
    const isApart = Math.abs(next.at.y - one.at.y) > 0.1 || next.at.x - end > 0.1 * one.sizeMm
    return isApart ? { ...one, text: `${one.text} ` } : one
  }

  private ornament(items: readonly DrawingItem[]): void {
    this.document.markContent('Artifact', { type: 'Layout' })
    for (const one of items) writeItem(this.document, one)
    this.document.endMarkedContent()
  }
}

type Run = { readonly tagged: Tagged; readonly plain?: never } | { readonly plain: readonly DrawingItem[]; readonly tagged?: never }

/** Tagged items one by one, and what lies between them together. */
function runsOf(items: readonly DrawingItem[]): readonly Run[] {
  const runs: Run[] = []
  let plain: DrawingItem[] = []
  const close = (): void => {
    if (plain.length > 0) runs.push({ plain })
    plain = []
  }
  for (const item of items) {
    if (item.kind !== 'tagged') plain.push(item)
    else {
      close()
      runs.push({ tagged: item })
    }
  }
  close()
  return runs
}
