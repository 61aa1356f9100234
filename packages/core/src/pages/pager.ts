/** Blocks put on pages in their order. A page is a list of what stands where; it is drawn when it is asked for. */
import type { PageSize } from '../sheets/index.ts'
import type { Block } from './blocks.ts'
import { type PageArea, pageArea } from './grid.ts'

export interface PlacedBlock {
  readonly x: number
  readonly y: number
  readonly block: Block
}

export interface BookPage {
  readonly number: number
  readonly area: PageArea
  readonly blocks: PlacedBlock[]
  /** What its foot says it is. */
  part: string
}

export class Pager {
  readonly pages: BookPage[] = []
  private y = 0
  private part = ''

  constructor(private readonly size: PageSize) {}

  get page(): BookPage {
    const last = this.pages.at(-1)
    return last ?? this.newPage()
  }

  /** The same for left and right pages. */
  get widthMm(): number {
    return this.page.area.widthMm
  }

  get roomMm(): number {
    const { area } = this.page
    return area.top + area.heightMm - this.y
  }

  /** Begins a page, named so in its foot; on a left page where that is asked for, after an empty one if need be. */
  begin(part: string, on: 'next' | 'left' = 'next'): number {
    this.part = part
    const isEmpty = this.pages.at(-1)?.blocks.length === 0
    if (isEmpty) this.page.part = part
    else this.newPage()
    if (on === 'left' && this.page.number % 2 === 1) this.newPage()
    return this.page.number
  }

  /** From here on feet say this. */
  name(part: string): void {
    this.part = part
    if (this.page.blocks.length === 0) this.page.part = part
  }

  /** Each block whole; one that is not to stand alone at the foot goes with the next. */
  put(blocks: readonly Block[], again?: Block): void {
    for (const [index, block] of blocks.entries()) {
      let needed = block.heightMm
      for (let next = index; blocks[next]?.withNext && blocks[next + 1]; next += 1) needed += blocks[next + 1]?.heightMm ?? 0
      if (needed > this.roomMm + 1e-6 && this.page.blocks.length > 0) {
        this.newPage()
        // The head of a table that goes on.
        if (again && index > 0 && block !== again) this.place(again)
      }
      this.place(block)
    }
  }

  private place(block: Block): void {
    this.page.blocks.push({ x: this.page.area.left, y: this.y, block })
    this.y += block.heightMm
  }

  private newPage(): BookPage {
    const number = this.pages.length + 1
    const made: BookPage = { number, area: pageArea(this.size, number), blocks: [], part: this.part }
    this.pages.push(made)
    this.y = made.area.top
    return made
  }
}
