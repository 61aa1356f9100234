/** Blocks on pages: none torn, none alone at the foot, lessons on left pages, bold words in their place. */
import { describe, expect, it } from 'vitest'
import type { DrawingItem, Words } from '../drawing/index.ts'
import { type Block, besideOrUnder, noteLines, type Setting, table, text } from './blocks.ts'
import { pageArea } from './grid.ts'
import { Pager } from './pager.ts'
import { typeFor } from './type.ts'

const block = (heightMm: number, withNext = false): Block => ({ heightMm, withNext, draw: () => [] })
const heights = (pager: Pager): number[][] => pager.pages.map((page) => page.blocks.map((one) => one.block.heightMm))
/** Every letter half as wide as high. */
const set: Setting = { type: typeFor('roomy'), measure: (said, sizeMm) => said.length * sizeMm * 0.5 }
const inside = (items: readonly DrawingItem[]): readonly DrawingItem[] => items.flatMap((item) => (item.kind === 'tagged' ? inside(item.items) : [item]))
const wordsOf = (one: Block): Words[] => inside(one.draw()).filter((item): item is Words => item.kind === 'words')

describe('pages', () => {
  it('have room at the back for holes: at the left of right pages, at the right of left ones', () => {
    const [right, left] = [pageArea('a4', 1), pageArea('a4', 2)]
    expect([right.left, 210 - right.left - right.widthMm]).toEqual([22, 14])
    expect([left.left, 210 - left.left - left.widthMm]).toEqual([14, 22])
    expect(right.heightMm).toBe(264)
  })

  it('take whole blocks: what has no room begins the next', () => {
    const pager = new Pager('a4')
    pager.put([block(200), block(60), block(10), block(300)])
    // 264 mm: 200 and 60 have room, 10 has not; what is higher than a page has one to itself.
    expect(heights(pager)).toEqual([[200, 60], [10], [300]])
  })

  it('leave no heading alone at the foot, nor two of them', () => {
    const pager = new Pager('a4')
    pager.put([block(240), block(5, true), block(5, true), block(20)])
    expect(heights(pager)).toEqual([[240], [5, 5, 20]])
  })

  it('begin on a left one where that is asked for, and keep what their feet say', () => {
    const pager = new Pager('a4')
    pager.begin('cover')
    pager.put([block(10)])
    expect(pager.begin('before', 'left')).toBe(2)
    pager.put([block(10)])
    expect(pager.begin('lesson', 'left')).toBe(4)
    pager.put([block(260), block(60)])
    expect(pager.pages.map((page) => page.part)).toEqual(['cover', 'before', 'lesson', 'lesson', 'lesson'])
  })
})

describe('blocks', () => {
  it('text between stars is bold where it stands, and lines break between words alone', () => {
    const size = { sizeMm: 4, leadMm: 5 }
    // Two millimetres a letter: twenty to a line of 40.
    const one = text(set, 'Come up **at the line** and draw it through, softly.', 40, { size })
    const lines = [...new Set(wordsOf(one).map((run) => run.at.y))].map((y) =>
      wordsOf(one)
        .filter((run) => run.at.y === y)
        .map((run) => run.text)
        .join('|'),
    )
    expect(lines).toEqual(['Come up|at the line', 'and draw it through,', 'softly.'])
    expect(wordsOf(one).map((run) => run.face)).toEqual(['text', 'text-bold', 'text', 'text'])
    // After eight letters and a space.
    expect(wordsOf(one)[1]?.at.x).toBe(16)
    expect(one.heightMm).toBe(15)
  })

  it('a word broader than the line is cut, so that nothing runs off', () => {
    const one = text(set, 'Donaudampfschifffahrt', 20, { size: { sizeMm: 4, leadMm: 5 } })
    expect(wordsOf(one).map((run) => run.text)).toEqual(['Donaudampf', 'schifffahr', 't'])
  })

  it('of a table every row is as high as its highest cell', () => {
    const made = table(
      set,
      [
        { title: 'A', widthMm: 20 },
        { title: 'B', widthMm: 20 },
      ],
      [
        ['one', 'one two three four five six'],
        ['one', 'two'],
      ],
    )
    expect(made.rows[0]?.heightMm).toBeGreaterThan(made.rows[1]?.heightMm ?? 0)
    expect(made.head.withNext).toBe(true)
  })

  it('stand side by side while they are no higher than they may be', () => {
    expect(besideOrUnder([block(50), block(40)], [block(60)], 90, 100).map((one) => one.heightMm)).toEqual([90])
    expect(besideOrUnder([block(50), block(60)], [block(60)], 90, 100).map((one) => one.heightMm)).toEqual([50, 60, 3, 60])
  })

  it('lines for notes are drawn where there is room for two, and no more than the page has', () => {
    expect(noteLines(set, 'Notes', 170, 20)).toEqual([])
    const [notes] = noteLines(set, 'Notes', 170, 100)
    expect(notes?.heightMm).toBeLessThanOrEqual(100)
    expect(notes?.draw().filter((item) => item.kind === 'stroke').length).toBeGreaterThan(8)
  })
})
