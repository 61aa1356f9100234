/** The pattern at 1:1 over several pages: what leaves one page comes in on the next, to the tenth of a millimetre. */
import { describe, expect, it } from 'vitest'
import { workSampler } from '../exercise/index.ts'
import { newSampler, type Sampler } from '../sampler/index.ts'
import type { Point } from '../geometry/index.ts'
import { contentArea, makePattern, makeSheets, OVERLAP_MM, PAPERS } from './index.ts'
import { tileDesign } from './tile-design.ts'

const words = (text: string, sizeMm: number): number => text.length * sizeMm * 0.5
const sampler: Sampler = {
  ...newSampler('Long'),
  cloth: { ...newSampler('Long').cloth, widthMm: 500, heightMm: 900 },
  drawing: {
    guides: [
      { id: 'g1', guide: { kind: 'line', path: 'M 100 20 L 100 620' } },
      { id: 'g2', guide: { kind: 'line', path: 'M 20 300 L 420 300' } },
    ],
    groups: [],
  },
  exercises: [
    { id: 'e1', name: 'Down', stitch: 'back-stitch', on: [{ guide: 'g1' }], marks: 'guide-only' },
    { id: 'e2', name: 'Across', stitch: 'back-stitch', on: [{ guide: 'g2' }], marks: 'guide-only' },
  ],
}

describe('the pattern on several pages', () => {
  const pages = makePattern({ sampler, exercises: workSampler(sampler).done, title: 'All', page: 'a4', hand: 'right', measure: words })
  const paper = { widthMm: pages[0]?.widthMm ?? 0, heightMm: pages[0]?.heightMm ?? 0 }
  const area = contentArea(paper)
  const tiles = pages
    .flatMap((page) => page.layers.filter((layer) => layer.name === 'trace'))
    .map((layer) => {
      const strokes = layer.items.flatMap((item) => (item.kind === 'stroke' ? item.paths : []))
      const long = (path: readonly Point[]): number => Math.hypot((path[1]?.x ?? 0) - (path[0]?.x ?? 0), (path[1]?.y ?? 0) - (path[0]?.y ?? 0))
      const longest = strokes.filter((path) => path.length === 2).sort((a, b) => long(b) - long(a))
      return { down: longest[0]?.[0] ?? { x: 0, y: 0 }, clip: layer.clip }
    })
  const needed = (room: number, of: number): number => Math.ceil((of - OVERLAP_MM) / (room - OVERLAP_MM))

  it('has as few pages as its 418 by 618 mm need, upright or on their side, with what both show', () => {
    const counted = [PAPERS.a4, { widthMm: 297, heightMm: 210 }].map(contentArea).map((one) => needed(one.widthMm, 400 + 18) * needed(one.heightMm, 600 + 18))
    expect(tiles.length).toBe(Math.min(...counted))
  })

  it('shows ten millimetres on two sheets, and goes on from one to the next by just the rest', () => {
    const columns = needed(area.widthMm, 400 + 18)
    const [first, beside, below] = [tiles[0], tiles[1], tiles[columns]]
    expect((first?.down.x ?? 0) - (beside?.down.x ?? 0)).toBeCloseTo(area.widthMm - OVERLAP_MM, 6)
    expect((first?.down.y ?? 0) - (beside?.down.y ?? 0)).toBeCloseTo(0, 6)
    expect((first?.down.y ?? 0) - (below?.down.y ?? 0)).toBeCloseTo(area.heightMm - OVERLAP_MM, 6)
  })

  it('shows on each page what lies in its area and nothing besides', () => {
    for (const { clip } of tiles) expect(clip).toEqual({ left: area.left, top: area.top, right: area.left + area.widthMm, bottom: area.top + area.heightMm })
  })

  it('names what stands whole on no sheet, and says on each which of them it is', () => {
    const said = pages.map((page) => page.layers.flatMap((layer) => layer.items.flatMap((item) => (item.kind === 'words' ? [item] : []))))
    for (const [index, one] of said.entries()) {
      expect(one.map((word) => word.text).join(' ')).toContain('The seam runs through A and B.')
      const heavy = one.filter((word) => word.face === 'text-bold' && word.text === String(index + 1))
      expect(heavy).toHaveLength(1)
    }
  })

  it('is one sheet where the paper is large enough', () => {
    const small: Sampler = {
      ...sampler,
      drawing: { groups: [], guides: [{ id: 'g1', guide: { kind: 'line', path: 'M 20 40 L 300 40' } }] },
      exercises: [{ id: 'e1', name: 'Across', stitch: 'back-stitch', on: [{ guide: 'g1' }] }],
    }
    const on = (patternPage: 'a4' | 'a3') =>
      makePattern({ sampler: small, exercises: workSampler(small).done, title: 'All', page: 'a4', patternPage, hand: 'right', measure: words })
    // 298 mm with its margins: on A4 two sheets, on A3 laid on its side one.
    expect(on('a4')).toHaveLength(2)
    expect(on('a3').map((page) => [page.widthMm, page.heightMm])).toEqual([[420, 297]])
  })
})

describe('exercises on sheets', () => {
  const box = (left: number, right: number) => ({ left, right, top: 0, bottom: 50 })
  it('stand whole where moving the seam can do it', () => {
    // In the middle the seam would go through the second.
    const parts = [
      { id: 'A', box: box(0, 60) },
      { id: 'B', box: box(110, 260) },
      { id: 'C', box: box(270, 300) },
    ]
    const tiling = tileDesign(parts, { left: 0, right: 300, top: 0, bottom: 50 }, { widthMm: 224, heightMm: 224 })
    expect([tiling.columns, tiling.rows, tiling.cut]).toEqual([2, 1, []])
    for (const { box: one } of parts)
      expect(tiling.tiles.some(({ from }) => one.left >= from.x - 1e-6 && one.right <= from.x + tiling.area.widthMm + 1e-6)).toBe(true)
  })
})

describe('the pattern of what is ironed on', () => {
  const flag = (method?: string): Sampler => ({
    ...sampler,
    brief: { ...sampler.brief, ...(method === undefined ? {} : { marking: { method } }) },
    drawing: { groups: [], guides: [{ id: 'g1', guide: { kind: 'line', path: 'M 100 60 L 100 20 L 140 20' } }] },
    exercises: [{ id: 'e1', name: 'Flag', stitch: 'back-stitch', on: [{ guide: 'g1' }], marks: 'guide-only' }],
  })
  const printed = (of: Sampler) => {
    const [page] = makeSheets({ sampler: of, exercises: workSampler(of).done, title: 'All', page: 'a4', hand: 'right', measure: words })
    const items = page?.layers.find((layer) => layer.name === 'trace')?.items ?? []
    const line = items.flatMap((item) => (item.kind === 'stroke' ? item.paths : [])).find((path) => path.length === 3) ?? []
    const looked = page?.layers.find((layer) => layer.name === 'look')?.items ?? []
    const head = page?.layers.find((layer) => layer.name === 'page')?.items.flatMap((item) => (item.kind === 'words' ? [item.text] : [])) ?? []
    return { line, head: head.join(' '), letters: looked.flatMap((item) => (item.kind === 'words' ? [item.text] : [])) }
  }

  it('is the other way round at its own size and place, and says so; its letter can still be read', () => {
    const [plain, mirrored] = [printed(flag()), printed(flag('iron-on'))]
    const [foot, corner, tip] = plain.line
    const [otherFoot, otherCorner, otherTip] = mirrored.line
    expect((tip?.x ?? 0) - (corner?.x ?? 0)).toBeCloseTo(40, 6)
    expect((otherTip?.x ?? 0) - (otherCorner?.x ?? 0)).toBeCloseTo(-40, 6)
    expect((otherFoot?.y ?? 0) - (otherCorner?.y ?? 0)).toBeCloseTo((foot?.y ?? 0) - (corner?.y ?? 0), 6)
    // On the paper it lies where it lay.
    expect((otherTip?.x ?? 0) + (otherCorner?.x ?? 0)).toBeCloseTo((tip?.x ?? 0) + (corner?.x ?? 0), 6)
    expect(mirrored.head).toContain('pattern, true size, mirrored to be ironed on')
    expect(plain.head).not.toContain('mirrored')
    expect(mirrored.letters).toEqual(plain.letters)
    expect(printed(flag('tacking')).line).toEqual(plain.line)
  })
})

describe('behind, on the sheet', () => {
  const drops: Sampler = {
    ...sampler,
    cloth: { ...sampler.cloth, kind: 'calico' },
    drawing: {
      groups: [],
      guides: [
        { id: 'g1', guide: { kind: 'line', path: 'M 100 60 L 120 60' } },
        { id: 'g2', guide: { kind: 'line', path: 'M 200 60 L 220 60' } },
        { id: 'g3', guide: { kind: 'line', path: 'M 121 60 L 140 60' } },
      ],
    },
    exercises: [{ id: 'e1', name: 'Drizzle', stitch: 'back-stitch', on: [{ guide: 'g1' }, { guide: 'g2' }, { guide: 'g3' }], marks: 'guide-only' }],
  }
  const said = (hand: 'right' | 'left', of = drops) =>
    makeSheets({ sampler: of, exercises: workSampler(of).done, title: 'All', page: 'a4', hand, measure: words })
      .flatMap((page) => page.layers.flatMap((layer) => layer.items))
      .flatMap((item) => (item.kind === 'words' ? [item.text] : []))
      .join(' ')

  it('tells which piece follows which, where thread is finished off, and the left hand the same ways backwards', () => {
    expect(said('right')).toContain('Behind Rainwater: carried once, 5.9 mm at most (8 mm do not show); finished off and begun anew once')
    expect(said('right')).toMatch(/Of A work the pieces in the order (1, 3 and 2|2, 3 and 1)/)
    const [right, left] = [said('right'), said('left')].map((text) => /in the order (\d), (\d) and (\d)/.exec(text)?.slice(1, 4))
    expect(left).toEqual([...(right ?? [])].reverse())
    // Each number stands on the pattern too.
    const [page] = makeSheets({ sampler: drops, exercises: workSampler(drops).done, title: 'All', page: 'a4', hand: 'right', measure: words })
    const onPattern = page?.layers.find((layer) => layer.name === 'look')?.items.flatMap((item) => (item.kind === 'words' ? [item.text] : [])) ?? []
    expect(onPattern).toEqual(['A', '1', '2', '3'])
  })

  it('of one piece in one go nothing is said', () => {
    const one: Sampler = { ...drops, exercises: [{ id: 'e1', name: 'Drizzle', stitch: 'back-stitch', on: [{ guide: 'g1' }] }] }
    expect(said('right', one)).not.toContain('Behind ')
  })
})
