/** Blocks laid one under another on pages of one size; a block that does not fit begins the next page. */
import type { DrawingItem, Face } from '../drawing/index.ts'
import type { Point } from '../geometry/index.ts'
import { moveItems } from '../drawing/index.ts'

/** Width of a text in mm, as the fonts say. */
export type MeasureText = (text: string, sizeMm: number, face: Face) => number

export interface Area {
  readonly left: number
  readonly top: number
  readonly widthMm: number
  readonly heightMm: number
}

export const INK = '#1F2A37'
export const WALNUT = '#5E4634'

export class Flow {
  readonly pages: DrawingItem[][] = [[]]
  private y: number

  constructor(
    private readonly area: Area,
    readonly measure: MeasureText,
  ) {
    this.y = area.top
  }

  get widthMm(): number {
    return this.area.widthMm
  }

  get room(): number {
    return this.area.top + this.area.heightMm - this.y
  }

  /** A new page, unless this one is still empty. */
  turn(): void {
    if (this.pages.at(-1)?.length === 0) return
    this.pages.push([])
    this.y = this.area.top
  }

  /** Items drawn from the block's own top left. */
  block(heightMm: number, items: readonly DrawingItem[]): void {
    if (heightMm > this.room) this.turn()
    this.pages.at(-1)?.push(...moveItems(items, { x: this.area.left, y: this.y }))
    this.y += heightMm
  }

  space(heightMm: number): void {
    this.y = Math.min(this.y + heightMm, this.area.top + this.area.heightMm)
  }

  /** A paragraph, broken into lines and, where it must be, over pages. */
  text(
    text: string,
    {
      sizeMm = 3.5,
      face = 'text',
      colour = INK,
      indentMm = 0,
      marker,
    }: { sizeMm?: number; face?: Face; colour?: string; indentMm?: number; marker?: string } = {},
  ): void {
    for (const [index, line] of wrapText(text, this.area.widthMm - indentMm, sizeMm, face, this.measure).entries()) {
      const items: DrawingItem[] = [words(line, { x: indentMm, y: sizeMm }, sizeMm, face, colour)]
      if (index === 0 && marker !== undefined) items.push(words(marker, { x: 0, y: sizeMm }, sizeMm, 'text-bold', colour))
      this.block(sizeMm * 1.36, items)
    }
  }
}

export function words(text: string, at: Point, sizeMm: number, face: Face = 'text', colour = INK, align: 'left' | 'middle' | 'right' = 'left'): DrawingItem {
  return { kind: 'words', text, at, sizeMm, face, colour, align }
}

/** A word wider than the line is cut, so that nothing runs off the paper. */
export function wrapText(text: string, widthMm: number, sizeMm: number, face: Face, measure: MeasureText): string[] {
  const lines: string[] = []
  let line = ''
  const fits = (candidate: string): boolean => measure(candidate, sizeMm, face) <= widthMm
  for (const word of text.split(/\s+/).filter((one) => one !== '')) {
    const candidate = line === '' ? word : `${line} ${word}`
    if (fits(candidate)) {
      line = candidate
      continue
    }
    if (line !== '') lines.push(line)
    line = word
    while (!fits(line) && line.length > 1) {
      let cut = line.length - 1
      while (cut > 1 && !fits(line.slice(0, cut))) cut -= 1
      lines.push(line.slice(0, cut))
      line = line.slice(cut)
    }
  }
  if (line !== '') lines.push(line)
  return lines
}
