/** The pattern at 1:1 over several pages: what leaves one page comes in on the next, to the tenth of a millimetre. */
import { describe, expect, it } from 'vitest'
import { workSampler } from '../exercise/index.ts'
import { newSampler, type Sampler } from '../sampler/index.ts'
import { contentArea, makeSheets } from './index.ts'

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
  const pages = makeSheets({ sampler, exercises: workSampler(sampler).done, title: 'All', page: 'a4', hand: 'right', measure: words })
  const area = contentArea('a4')
  const tiles = pages
    .flatMap((page) => page.layers.filter((layer) => layer.name === 'marks'))
    .map((layer) => {
      const strokes = layer.items.flatMap((item) => (item.kind === 'stroke' ? item.paths : []))
      const longest = strokes
        .filter((path) => path.length === 2)
        .sort(
          (a, b) =>
            Math.hypot((b[1]?.x ?? 0) - (b[0]?.x ?? 0), (b[1]?.y ?? 0) - (b[0]?.y ?? 0)) -
            Math.hypot((a[1]?.x ?? 0) - (a[0]?.x ?? 0), (a[1]?.y ?? 0) - (a[0]?.y ?? 0)),
        )
      return { down: longest[0]?.[0] ?? { x: 0, y: 0 }, clip: layer.clip }
    })

  it('has as many pages as its 418 by 618 mm, margins and all, need', () => {
    const columns = Math.ceil((400 + 18) / area.widthMm)
    const rows = Math.ceil((600 + 18) / area.heightMm)
    expect(tiles.length).toBe(columns * rows)
  })

  it('goes on from page to page by just the height of the area, and from column to column by its width', () => {
    const columns = Math.ceil((400 + 18) / area.widthMm)
    const [first, beside, below] = [tiles[0], tiles[1], tiles[columns]]
    expect((first?.down.x ?? 0) - (beside?.down.x ?? 0)).toBeCloseTo(area.widthMm, 6)
    expect((first?.down.y ?? 0) - (beside?.down.y ?? 0)).toBeCloseTo(0, 6)
    expect((first?.down.y ?? 0) - (below?.down.y ?? 0)).toBeCloseTo(area.heightMm, 6)
  })

  it('shows on each page what lies in its area and nothing besides', () => {
    for (const { clip } of tiles) expect(clip).toEqual({ left: area.left, top: area.top, right: area.left + area.widthMm, bottom: area.top + area.heightMm })
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
    const items = page?.layers.find((layer) => layer.name === 'marks')?.items ?? []
    const line = items.flatMap((item) => (item.kind === 'stroke' ? item.paths : [])).find((path) => path.length === 3) ?? []
    const head = page?.layers.find((layer) => layer.name === 'page')?.items.flatMap((item) => (item.kind === 'words' ? [item.text] : [])) ?? []
    return { line, head: head.join(' '), letters: items.flatMap((item) => (item.kind === 'words' ? [item.text] : [])) }
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
    const onPattern = page?.layers.find((layer) => layer.name === 'marks')?.items.flatMap((item) => (item.kind === 'words' ? [item.text] : [])) ?? []
    expect(onPattern).toEqual(['A', '1', '2', '3'])
  })

  it('of one piece in one go nothing is said', () => {
    const one: Sampler = { ...drops, exercises: [{ id: 'e1', name: 'Drizzle', stitch: 'back-stitch', on: [{ guide: 'g1' }] }] }
    expect(said('right', one)).not.toContain('Behind ')
  })
})
