/** What Find offers, and what is found by which words. */
import { bandSampler } from '@lemmata/contract/testing'
import { describe, expect, it } from 'vitest'
import { entriesOf, matches } from './find-entries.ts'

const demo = bandSampler('2026-12-03')
const stages = [{ id: 'cloth', name: 'Cloth', complete: true, wrong: [], words: '' }] as const

describe('finding', () => {
  const found = (typed: string): string[] =>
    entriesOf(demo, stages)
      .filter((one) => matches(typed, one.words))
      .map((one) => one.value)

  it('finds exercises by name, letter and stitch, stitches by any name, stages and commands', () => {
    expect(found('breeze')).toEqual(['exercise e3'])
    expect(found('stem')).toContain('exercise e3')
    expect(found('stem')).toContain('stitch stem-stitch')
    expect(found('cloth')).toEqual(['stage cloth'])
    expect(found('undo')).toEqual(['do undo'])
    expect([found('kit'), found('cut li'), found('stores')]).toEqual([['do kit'], ['do kit'], ['do stores']])
    expect(found('draw zig')).toEqual(['draw zigzag'])
  })

  it('words may be begun and stand in any order', () => {
    expect(found('edg fog')).toEqual(['exercise e4'])
    expect(found('fog edg')).toEqual(['exercise e4'])
    expect(found('og')).toEqual([])
  })

  it('an alias finds its stitch', () => {
    const alias = entriesOf(demo, stages).find((one) => one.value.startsWith('stitch ') && one.label.includes('('))
    const other = alias?.label.match(/\((\w+)/)?.[1] ?? ''
    expect(found(other)).toContain(alias?.value)
  })
})
