/** Which row comes next, which of its holes are marked, and what stands on its page. */
import { describe, expect, it } from 'vitest'
import { type Learner, newClass } from '../classes/index.ts'
import { workSampler } from '../exercise/index.ts'
import { planKit } from '../kit/index.ts'
import { courseOf } from '../order/index.ts'
import type { RowSummary } from '../photo/index.ts'
import { practiceOf, type PracticeEvent } from '../practice/index.ts'
import { newSampler, type Sampler } from '../sampler/index.ts'
import { drawRow } from './draw-row.ts'
import { makeNextRows, type NextRow, nextRow } from './index.ts'

const sampler: Sampler = {
  ...newSampler('Drizzle'),
  drawing: {
    groups: [],
    guides: [
      { id: 'g0', guide: { kind: 'line', path: 'M 40 60 L 120 60' } },
      { id: 'g1', guide: { kind: 'line', path: 'M 40 80 L 120 80' } },
      { id: 'g2', guide: { kind: 'spot', at: [60, 100] } },
    ],
  },
  exercises: [
    { id: 'rain', name: 'Rain', stitch: 'running-stitch', on: [{ guide: 'g0' }], parameters: { L: 3, G: 2 } },
    { id: 'front', name: 'Front', stitch: 'back-stitch', on: [{ guide: 'g1' }], parameters: { L: 3 } },
    { id: 'hail', name: 'Hail', stitch: 'french-knot', on: [{ guide: 'g2' }] },
  ],
  lessons: [{ id: 'l1', title: 'First', exercises: ['rain', 'front', 'hail'] }],
}
const ida: Learner = { id: 'ida', name: 'Ida', choices: {} }
const good: RowSummary = {
  ...{ method: 1, isCounted: true, isPutRight: false, kind: 'end-to-end', count: 18, lengthMm: 3, spreadMm: 0.2, plannedMm: 3 },
  ...{ firstMm: 3, lastMm: 3, gapMm: null, plannedGapMm: null, driftMm: 0.1, leanDeg: null, widestGapMm: null },
}
let made = 0
const event = (told: object): PracticeEvent =>
  ({ id: `e${(made += 1)}`, at: `2027-01-14T18:30:${String(made).padStart(2, '0')}.000Z`, learner: 'ida', by: 'learner', ...told }) as PracticeEvent
const can = (exercise: string): PracticeEvent => event({ kind: 'can', exercise, can: true })
const rows = (...all: readonly Partial<RowSummary>[]): PracticeEvent[] => all.map((row) => event({ kind: 'row', exercise: 'front', row: { ...good, ...row } }))
const next = (events: readonly PracticeEvent[]): NextRow =>
  nextRow(sampler, ida, practiceOf(events, 'ida'), [{ id: 'l1', exercises: ['rain', 'front', 'hail'], on: null }], '2027-01-14', () => 20)

describe('the next row', () => {
  it('is the first that she cannot do yet, every stitch marked while she has photographed none', () => {
    expect(next([])).toMatchObject({ exercise: { id: 'rain' }, advice: null, markEvery: 1, isLarger: false })
    expect(next([can('rain')])).toMatchObject({ exercise: { id: 'front' }, row: { plan: { kind: 'end-to-end' } } })
  })

  it('has fewer marks as her rows grow even, and none after two good ones', () => {
    expect(next([can('rain'), ...rows({ spreadMm: 0.9 })])).toMatchObject({ advice: { kind: 'uneven' }, markEvery: 3 })
    expect(next([can('rain'), ...rows({ lengthMm: 4, firstMm: 4, lastMm: 4 })])).toMatchObject({ advice: { kind: 'other-length' }, markEvery: 1 })
    expect(next([can('rain'), ...rows({}, {})])).toMatchObject({ advice: { kind: 'go-on' }, markEvery: 0 })
  })

  it('is a quarter larger after three that became no more even', () => {
    const found = next([can('rain'), ...rows({ spreadMm: 0.9 }, { spreadMm: 0.9 }, { spreadMm: 0.95 })])
    expect(found).toMatchObject({ advice: { kind: 'larger' }, isLarger: true })
    // 3 mm and a quarter, to a tenth; fitted to the row it is a little off.
    expect(found.row?.plan.stitchMm).toBeCloseTo(3.8, 0)
    expect(found.row?.plan.count).toBeLessThan(next([can('rain')]).row?.plan.count ?? 0)
  })

  it('is as she works it: her own length, not the class\u2019s', () => {
    const free: Sampler = { ...sampler, exercises: sampler.exercises.map((one) => (one.id === 'rain' ? { ...one, free: ['length'] } : one)) }
    const hers = { ...ida, choices: { rain: { parameters: { L: 5 } } } }
    const found = nextRow(free, hers, practiceOf([], 'ida'), [{ id: 'l1', exercises: ['rain'], on: null }], '2027-01-14', () => 0)
    expect(found.row?.plan.stitchMm).toBeGreaterThan(4.5)
  })

  it('is none of what is not worked in rows, and nothing where all is worked', () => {
    expect(next([can('rain'), can('front')])).toMatchObject({ exercise: { id: 'hail' }, row: null })
    expect(next([can('rain'), can('front'), can('hail')])).toMatchObject({ exercise: null, row: null })
  })
})

describe('marks at their true size', () => {
  const plan = { kind: 'apart', count: 3, pitchMm: 5, stitchMm: 3, gapMm: 2, acrossMm: 0, leanDeg: 0, lengthMm: 13, threadMm: 0.5 } as const
  const row = (more: object) => ({ plan: { ...plan, threadHex: '#000000', clothHex: '#ffffff', ...more } }) as unknown as NonNullable<NextRow['row']>
  const holes = (more: object, every: number) => drawRow(row(more), every).flatMap((one) => (one.kind === 'disc' ? [one.at.x] : []))

  it('are the first and the last hole where cloth lies between, worked by hand: 0 3, 5 8, 10 13', () => {
    expect(holes({}, 1)).toEqual([0, 3, 5, 8, 10, 13])
    expect(holes({}, 3)).toEqual([0, 3])
  })

  it('are shared holes end to end, both rails of a band, and none where only the line is wanted', () => {
    expect(holes({ kind: 'end-to-end', gapMm: 0, stitchMm: 5, lengthMm: 15 }, 1)).toEqual([0, 5, 10, 15])
    expect(holes({ kind: 'crossed', gapMm: 0, acrossMm: 4, lengthMm: 15 }, 3)).toEqual([0, 0, 15, 15])
    expect(holes({}, 0)).toEqual([])
  })
})

describe('the page', () => {
  const { done } = workSampler(sampler)
  const order = {
    ...{ sampler, done, course: courseOf(done), kit: planKit(sampler, done), dates: null, page: 'a4' as const, version: '1', printed: '2027-01-14' },
    measure: (text: string, sizeMm: number) => text.length * sizeMm * 0.5,
  } as const
  const words = (events: readonly PracticeEvent[], learners: readonly Learner[], of = sampler): string => {
    const book = makeNextRows({ ...order, sampler: of, group: { ...newClass('Thursday'), learners }, events })
    const found: string[] = []
    const read = (items: readonly unknown[]): void => {
      for (const one of items as readonly { readonly text?: string; readonly items?: readonly unknown[] }[]) {
        if (one.text !== undefined) found.push(one.text)
        if (one.items) read(one.items)
      }
    }
    for (let page = 0; page < book.pages; page += 1) for (const { items } of book.drawPage(page).layers) read(items)
    return found.join(' ')
  }

  it('has each by name, with why and how it is marked; who has worked all of it is named, without a row', () => {
    const told = words([can('rain'), can('front'), can('hail')], [ida, { id: 'bo', name: 'Bo', choices: {} }])
    expect(told).toMatch(/Bo Rain, Running stitch .*A first row: .* 1\d stitches, every stitch is marked\./)
    expect(told).toMatch(/All of it is worked by Ida\./)
    expect(told).not.toMatch(/Ida Rain/)
  })

  it('has what she has chosen, also of what is not worked in rows', () => {
    const free: Sampler = { ...sampler, exercises: sampler.exercises.map((one) => (one.id === 'hail' ? { ...one, free: ['strands'] } : one)) }
    const strands = (hers: Learner): string => words([can('rain'), can('front')], [hers], free)
    const [usual] = /\w+ strands?/i.exec(strands(ida)) ?? ['']
    const chosen = strands({ ...ida, choices: { hail: { strands: 5 } } })
    expect(usual).not.toMatch(/five/i)
    expect(chosen).toMatch(/Five strands/)
  })

  it('says what her last row asks for, once', () => {
    const told = words([can('rain'), ...rows({ spreadMm: 0.9 })], [ida])
    expect(told.match(/mark every third hole/g)).toHaveLength(1)
    expect(told).toContain('every third stitch is marked')
  })
})
