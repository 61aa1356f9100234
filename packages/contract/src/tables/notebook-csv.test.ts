/** A stitch notebook as a table. */
import { workSampler } from '@lemmata/core/exercise'
import type { RowSummary } from '@lemmata/core/photo'
import { notebookOf, type PracticeEvent } from '@lemmata/core/practice'
import { describe, expect, it } from 'vitest'
import { bandSampler } from '../testing/index.ts'
import { notebookCsv, readCsv } from './index.ts'

const sampler = bandSampler('2026-11-23')
const [exercise = ''] = sampler.lessons[0]?.exercises ?? []
const row = (spreadMm: number, more: Partial<RowSummary> = {}): RowSummary => ({
  ...{ method: 1, isCounted: true, isPutRight: false, kind: 'end-to-end', count: 20, lengthMm: 2.5, spreadMm, plannedMm: 2.5, firstMm: 2.5, lastMm: 2.5 },
  ...{ gapMm: null, plannedGapMm: null, driftMm: 0.123, leanDeg: null, widestGapMm: null },
  ...more,
})
const event = (at: string, of: RowSummary, learner = 'p1'): PracticeEvent => ({
  ...{ id: at, at: `${at}T18:00:00.000Z`, learner, by: 'learner', kind: 'row', exercise, row: of },
})
const events = [
  event('2027-01-21', row(0.2)),
  event('2027-01-14', row(0.9)),
  event('2027-01-20', row(0.1), 'p2'),
  event('2027-01-28', row(0.3, { isCounted: false })),
  event('2027-01-29', row(0.3, { isPutRight: true })),
]
const worked = new Map(workSampler(sampler, new Set([exercise])).done.map((one) => [one.exercise.id as string, one]))
const setting = { language: 'en', units: 'mm', cloth: '=HYPERLINK("x")', worked } as const

describe('a stitch notebook', () => {
  it('has her own rows alone, as they were photographed, each with what was said of it then', () => {
    const rows = notebookOf(events, 'p1')
    expect(rows.map((one) => [one.on, one.number, one.advice.kind])).toEqual([
      ['2027-01-14', 1, 'uneven'],
      ['2027-01-21', 2, 'once-more'],
      ['2027-01-28', 3, 'go-on'],
      ['2027-01-29', 4, 'go-on'],
    ])
  })

  it('is a table with the setting of each, and nothing in it is a formula', () => {
    const [head, first, , third, fourth] = readCsv(notebookCsv(notebookOf(events, 'p1'), setting)).map((one) => one.cells)
    const of = (cells: readonly string[] | undefined, column: string): string => cells?.[head?.indexOf(column) ?? -1] ?? ''
    const own = worked.get(exercise)
    expect(of(first, 'Exercise')).toBe(own?.exercise.name)
    expect(of(first, 'Stitch')).toBe(own?.assigned.document.name)
    expect(Number(of(first, 'Strands'))).toBe(own?.assigned.main.bundle.strands)
    expect([of(first, 'Length mm'), of(first, 'Varies by mm'), of(first, 'Off the line mm')]).toEqual(['2.5', '0.9', '0.12'])
    expect(of(first, 'What was said')).toContain('mark every third hole')
    expect([of(first, 'Stitches'), of(third, 'Stitches'), of(third, 'Varies by mm'), of(third, 'How it was measured')]).toEqual(['20', '', '', 'as a whole'])
    expect(of(fourth, 'How it was measured')).toBe('each stitch, put right by hand')
    expect(of(first, 'Cloth')).toBe('\'=HYPERLINK("x")')
  })

  it('speaks the language of the course, and keeps rows of what is taught no more', () => {
    const [head, first] = readCsv(notebookCsv(notebookOf(events, 'p1'), { ...setting, language: 'de', worked: new Map() })).map((one) => one.cells)
    expect(head).toContain('Was gesagt wurde')
    expect(head).toHaveLength(first?.length ?? 0)
    expect(first).toContain(exercise)
  })
})
