/** Another size and one length, by figures that are worked out by hand. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { workSampler } from '../exercise/index.ts'
import { applyOperation, type DrawnGuide, type Exercise, invertOperation, newSampler, type Sampler } from '../sampler/index.ts'
import { ownFactor } from './own-factor.ts'
import { type AnotherSize, fitAll, giveLength, hoopAround, lengthsForAll, meetEvery, rowsHeld, takeTo, whatChanges } from './index.ts'

const hoop8 = { shape: 'round', nominalMm: 203, insideMm: 195, at: [150, 150] } as const

function samplerOf(guides: readonly DrawnGuide[], exercises: readonly Partial<Exercise>[] = []): Sampler {
  return {
    ...newSampler('Dial'),
    cloth: { ...newSampler('Dial').cloth, widthMm: 300, heightMm: 300 },
    workingHoop: hoop8,
    drawing: { guides, groups: [] },
    exercises: exercises.map((one, index) => ({ id: `e${index}`, name: `Row ${index}`, stitch: 'back-stitch', on: [], ...one })),
    lessons: [],
  }
}

function taken(sampler: Sampler, size: AnotherSize): { factor: number; sampler: Sampler } {
  const result = takeTo(sampler, size, workSampler(sampler).done)
  if (!result.ok) throw new Error(result.problems[0]?.code)
  const after = applyOperation(sampler, result.value.operation)
  if (!after.ok) throw new Error(after.problems[0]?.code)
  const back = invertOperation(sampler, result.value.operation)
  const again = back && applyOperation(after.value, back)
  expect(again?.ok && JSON.stringify(again.value), 'one undo takes it back').toBe(JSON.stringify(sampler))
  return { factor: result.value.factor, sampler: after.value }
}

describe('taken to another hoop', () => {
  it('from 8 to 6 inches by the clear circles, 60 of 85.5 mm: 96 mm in 32 stitches of 3 becomes 67.4 mm in 22', () => {
    const sampler = samplerOf([{ id: 'a', guide: { kind: 'line', path: 'M 102 150 L 198 150' } }], [{ on: [{ guide: 'a' }], parameters: { L: 3 } }])
    const { factor, sampler: small } = taken(sampler, { kind: 'hoop', nominalMm: 152 })
    expect(factor).toBeCloseTo(60 / 85.5, 9)
    // 48.5 mm of cloth lay beyond the hoop on each side, and still do.
    expect(small.cloth).toMatchObject({ widthMm: 249, heightMm: 249 })
    expect(small.workingHoop).toEqual({ shape: 'round', nominalMm: 152, insideMm: 144, at: [124.5, 124.5] })
    const [change] = whatChanges(sampler, workSampler(sampler).results, workSampler(small).results)
    expect(change?.before).toEqual({ stitches: 32, pitchMm: expect.closeTo(3, 9) })
    expect(change?.after).toEqual({ stitches: 22, pitchMm: expect.closeTo((96 * 60) / 85.5 / 22, 6) })
    expect(small.exercises[0]?.parameters).toEqual({ L: 3 })
  })

  it('cells and squares keep their size, about the same middle: 10 by 5 cells become 7 by 4, six squares four', () => {
    const sampler = samplerOf([
      { id: 'grid', guide: { kind: 'grid', at: [138, 144], columns: 10, rows: 5, cellMm: 2.4 } },
      { id: 'row', guide: { kind: 'square', at: [137.5, 150], sideMm: 5, repeat: 6 } },
    ])
    const { sampler: small } = taken(sampler, { kind: 'hoop', nominalMm: 152 })
    const [grid, row] = small.drawing.guides.map((one) => one.guide)
    // The middle of both was the middle of the hoop: 12 by 9.6 mm about (124.5, 124.5), and four squares of 5.
    expect(grid).toEqual({ kind: 'grid', at: [expect.closeTo(116.1, 3), 119.7], columns: 7, rows: 4, cellMm: 2.4 })
    expect(row).toEqual({ kind: 'square', at: [expect.closeTo(117, 3), 124.5], sideMm: 5, repeat: 4 })
  })

  it('squares side by side in columns and rows are fewer, not on one another; lines in rows come nearer', () => {
    const sampler = samplerOf([
      {
        id: 'pane',
        guide: { kind: 'square', at: [150, 150], sideMm: 5 },
        copies: { kind: 'rows', columns: 4, rows: 3, stepMm: [5, 5] },
      },
      { id: 'rain', guide: { kind: 'line', path: 'M 100 150 L 104 170' }, copies: { kind: 'rows', columns: 5, rows: 1, stepMm: [9, 9] } },
    ])
    const { factor, sampler: small } = taken(sampler, { kind: 'hoop', nominalMm: 152 })
    expect(small.drawing.guides[0]?.copies).toEqual({ kind: 'rows', columns: 3, rows: 2, stepMm: [5, 5] })
    expect(small.drawing.guides[1]?.copies).toEqual({
      kind: 'rows',
      columns: 5,
      rows: 1,
      stepMm: [expect.closeTo(9 * factor, 3), expect.closeTo(9 * factor, 3)],
    })
  })

  it('legs of four stitches of 2.1 come to three, although 0.7 of four are less than three', () => {
    const sampler = samplerOf(
      [{ id: 'l', guide: { kind: 'line', path: 'M 140 150 L 140 158.4 L 148.4 158.4' } }],
      [{ on: [{ guide: 'l' }], parameters: { L: 2.1 } }],
    )
    const [done] = workSampler(sampler).done
    if (!done) throw new Error('not worked')
    expect(ownFactor(done, 60 / 85.5, 6)).toBeCloseTo(0.75 / (60 / 85.5), 2)
    const { sampler: small } = taken(sampler, { kind: 'hoop', nominalMm: 152 })
    const legs = workSampler(small).done[0]?.pieces[0].worked.fitted.legs
    expect(legs?.map((leg) => Math.round(leg.count * 1e6) / 1e6)).toEqual([3, 3])
    expect(legs?.[0]?.pitchMm).toBeCloseTo(2.1, 1)
    // Three metres from its middle it may not move for it.
    expect(Math.abs(ownFactor(done, 60 / 85.5, 3000) - 1)).toBeLessThan(0.001)
  })

  it('to a card without a hoop: all of it within 10 mm of its edges', () => {
    const sampler = samplerOf([{ id: 'a', guide: { kind: 'line', path: 'M 100 100 L 200 150' } }])
    const { factor, sampler: card } = taken(sampler, { kind: 'card', widthMm: 80, heightMm: 60 })
    expect(factor).toBeCloseTo(0.6, 9)
    expect(card.workingHoop).toBeUndefined()
    expect(card.cloth).toMatchObject({ widthMm: 80 + 97, heightMm: 60 + 97 })
    expect(card.drawing.guides[0]?.guide).toEqual({ kind: 'line', path: 'M58.5 63.5L118.5 93.5' })
  })

  it('nothing, and what would be no design any more, are refused', () => {
    expect(takeTo(samplerOf([]), { kind: 'hoop', nominalMm: 152 }, [])).toMatchObject({ ok: false, problems: [{ code: 'refit.nothing-drawn' }] })
    const line = samplerOf([{ id: 'a', guide: { kind: 'line', path: 'M 100 100 L 200 150' } }])
    for (const size of [
      { kind: 'card', widthMm: 12, heightMm: 12 },
      { kind: 'card', widthMm: 1, heightMm: 1 },
      { kind: 'hoop', nominalMm: 5000 },
      { kind: 'hoop', nominalMm: Number.NaN },
    ] as const)
      expect(takeTo(line, size, []).ok, JSON.stringify(size)).toBe(false)
  })

  it('there and back again, every line lies within a hair of where it lay', () => {
    fc.assert(
      fc.property(fc.tuple(fc.integer({ min: 80, max: 220 }), fc.integer({ min: 80, max: 220 })), ([x, y]) => {
        const sampler = samplerOf([{ id: 'a', guide: { kind: 'line', path: `M ${x} ${y} L ${x + 10} ${y}` } }])
        const { sampler: small } = taken(sampler, { kind: 'hoop', nominalMm: 152 })
        const { sampler: back } = taken(small, { kind: 'hoop', nominalMm: 203 })
        const path = (back.drawing.guides[0]?.guide as { path: string }).path.match(/-?[\d.]+/g)?.map(Number) ?? []
        const wanted = [x, y, x + 10, y]
        for (const [index, value] of path.entries()) expect(value).toBeCloseTo((wanted[index] as number) + 0, 4)
      }),
      { seed: 61, numRuns: 30 },
    )
  })
})

describe('one length that suits everything', () => {
  const rows = (...advances: number[]) => advances.map((advanceMm) => ({ advanceMm, tailMm: 0 }))

  it('rows of 3, 4 and 6 come out at 96: 32, 24 and 16, and meet every 12 mm', () => {
    const [best] = lengthsForAll(rows(3, 4, 6), 98, 80, 120)
    expect(best).toEqual({ lengthMm: 96, rows: [32, 24, 16].map((count, at) => ({ count, pitchMm: [3, 4, 6][at] })), off: 0 })
    expect(meetEvery(rows(3, 4, 6), 96)).toBe(12)
  })

  it('with 4.5 among them only 108 does, though 96 is nearer', () => {
    const found = lengthsForAll(rows(3, 4, 4.5, 6), 96, 80, 120)
    expect(found[0]?.lengthMm).toBe(108)
    expect(meetEvery(rows(3, 4, 4.5, 6), 108)).toBe(36)
    expect(meetEvery(rows(3, 4, 4.5, 6), 30)).toBeNull()
  })

  it('a running stitch of 3 and gap 2 ends with a stitch: nine times 5 and 3 are 48, as are twelve of 4', () => {
    const both = [
      { advanceMm: 5, tailMm: 3 },
      { advanceMm: 4, tailMm: 0 },
    ]
    expect(lengthsForAll(both, 50, 40, 60)[0]).toEqual({
      lengthMm: 48,
      rows: [
        { count: 9, pitchMm: 5 },
        { count: 12, pitchMm: 4 },
      ],
      off: 0,
    })
    expect(meetEvery(both, 48)).toBeNull()
  })

  it('no length is nearer to whole stitches than the one offered first', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 15, max: 80 }), { minLength: 1, maxLength: 5 }), fc.integer({ min: 40, max: 200 }), (tenths, wanted) => {
        const all = rows(...tenths.map((tenth) => tenth / 10))
        const [best] = lengthsForAll(all, wanted, wanted * 0.8, wanted * 1.2)
        const least = Math.min(
          ...Array.from({ length: Math.floor(wanted * 1.2 * 2) + 1 }, (_, half) => half / 2)
            .filter((mm) => mm >= wanted * 0.8)
            .map((mm) => fitAll(all, mm).off),
        )
        expect(best?.off ?? 1).toBeLessThan(least + 0.002)
      }),
      { seed: 62, numRuns: 60 },
    )
  })

  it('the block of Six Thursdays, 126 by 113.4, wants the 8 inch hoop; a table cloth none', () => {
    expect(hoopAround(126, 113.4)?.inches).toBe(8)
    expect(hoopAround(400, 300)).toBeNull()
  })

  it('rows are read from what is worked and given the length at one edge; bands keep their width', () => {
    const sampler = samplerOf(
      [
        { id: 'a', guide: { kind: 'line', path: 'M 100 100 L 195 100' } },
        { id: 'b', guide: { kind: 'band', path: 'M 100 120 L 198 120', widthMm: 8 } },
        { id: 'c', guide: { kind: 'line', path: 'M 100 140 C 120 120 140 160 160 140' } },
        { id: 'd', guide: { kind: 'line', path: 'M 100 160 L 150 160' } },
      ],
      [
        { on: [{ guide: 'a' }], parameters: { L: 3 } },
        { on: [{ guide: 'b' }], stitch: 'herringbone' },
        { on: [{ guide: 'c' }], parameters: { L: 3 } },
        { on: [{ guide: 'd' }], stitch: 'running-stitch', parameters: { L: 3, G: 2 } },
      ],
    )
    const { done } = workSampler(sampler)
    const held = rowsHeld(sampler.drawing, ['a', 'b', 'c', 'd'], done)
    expect(held.map(({ guide, advanceMm, tailMm }) => [guide, advanceMm, Math.round(tailMm * 100) / 100])).toEqual([
      ['a', 3, 0],
      ['b', expect.any(Number), expect.any(Number)],
      ['d', 5, 3],
    ])
    const after = applyOperation(sampler, giveLength(sampler.drawing, held, 93))
    expect(after.ok && after.value.drawing.guides.map((one) => one.guide)).toEqual([
      { kind: 'line', path: 'M100 100L193 100' },
      { kind: 'band', path: 'M100 120L193 120', widthMm: 8 },
      sampler.drawing.guides[2]?.guide,
      { kind: 'line', path: 'M100 160L193 160' },
    ])
  })
})
