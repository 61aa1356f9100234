/** What each stage says it lacks, from the document and what was worked of it. */
import { bandSampler } from '@lemmata/contract/testing'
import { workSampler } from '@lemmata/core/exercise'
import { applyOperation, newSampler, type Operation, type Sampler } from '@lemmata/core/sampler'
import { describe, expect, it } from 'vitest'
import type { WorkedInPage } from '../compute/use-worked.ts'
import { stageStates } from './stage-states.ts'

const demo = bandSampler('2026-12-03')
const after = (...operations: Operation[]): Sampler =>
  operations.reduce((sampler, operation) => {
    const applied = applyOperation(sampler, operation)
    if (!applied.ok) throw new Error(applied.problems[0]?.code)
    return applied.value
  }, demo)

function states(sampler: Sampler, more: Partial<WorkedInPage> = {}, printed: number | null = null) {
  const { results, done } = workSampler(sampler)
  const all = stageStates(sampler, { results, done, busy: false, complete: true, failed: null, ...more }, 5, printed)
  return new Map(all.map((one) => [one.id, one] as const))
}

describe('the stages', () => {
  it('of a finished sampler lack nothing but the paper', () => {
    const all = states(demo)
    expect([...all.values()].map((one) => [one.name, one.words])).toEqual([
      ['Brief', '10 learners'],
      ['Stitches', '8 exercises'],
      ['Order', 'no broken rule'],
      ['Cloth', '2 cautions'],
      ['Thread', 'all assigned'],
      ['Calendar', '6 lessons'],
      ['Sheets', 'not printed'],
      ['Class', 'who needs what'],
    ])
    expect([...all.values()].filter((one) => !one.complete).map((one) => one.id)).toEqual(['sheets'])
  })

  it('of an empty one say where to begin', () => {
    const all = states(newSampler('Empty'))
    expect(all.get('stitches')?.words).toBe('choose the first')
    for (const id of ['order', 'cloth', 'thread'] as const) expect(all.get(id)).toMatchObject({ words: 'nothing yet', complete: false, wrong: [] })
  })

  it('name the one that reaches outside, and count several', () => {
    const guides = demo.drawing.guides.map((one) => one.id)
    const away = (ids: readonly string[]): Operation => ({ kind: 'transform-guides', ids, matrix: [1, 0, 0, 1, 70, 0] })
    expect(states(after(away(guides.slice(0, 1)))).get('cloth')).toMatchObject({ words: 'Steady rain reaches outside, 2 cautions', complete: false })
    expect(states(after(away(guides.slice(0, 1)))).get('cloth')?.wrong[0]).toBe('e1')
    expect(states(after(away(guides.slice(0, 3)))).get('cloth')).toMatchObject({ words: '3 outside, 2 cautions', complete: false })
    expect(
      states(after(away(guides.slice(0, 3))))
        .get('cloth')
        ?.wrong.slice(0, 3),
    ).toEqual(['e1', 'e2', 'e8'])
  })

  it('count what cannot be worked before what lies outside', () => {
    const broken: Sampler = { ...demo, exercises: demo.exercises.map((one, index) => (index < 2 ? { ...one, stitch: 'no-such-stitch' } : one)) }
    expect(states(broken).get('cloth')?.words).toMatch(/^2 cannot be worked/)
    expect(states(broken).get('cloth')?.wrong.slice(0, 2)).toEqual(broken.exercises.slice(0, 2).map((one) => one.id))
  })

  it('count a needle that does not serve, chosen by the teacher or by nobody', () => {
    const thick: Operation = { kind: 'assign', id: 'e1', role: 'main', set: { strands: 6, needle: { kind: 'embroidery', size: 10 } } }
    expect(states(after(thick)).get('thread')).toMatchObject({ words: 'all assigned, 1 caution', wrong: ['e1'] })
  })

  it('say how far the work is while it goes on, and never that all is well', () => {
    const { results } = workSampler(demo)
    const some = new Map([...results].slice(0, 3))
    const all = states(demo, { results: some, done: [], complete: false, busy: true })
    for (const id of ['order', 'cloth', 'thread'] as const) expect(all.get(id)).toMatchObject({ words: 'working 3 of 8', complete: false, wrong: [] })
  })

  it('say nothing of what has not been worked', () => {
    const all = states(demo, { results: new Map(), done: [], complete: false, failed: 'The stitches could not be worked.' })
    expect(all.get('cloth')?.complete).toBe(false)
    expect(all.get('thread')).toMatchObject({ words: 'not worked', complete: false })
  })

  it('count broken rules', () => {
    const [first, second, third] = demo.lessons.map((lesson) => lesson.id)
    const late: Operation = { kind: 'change-exercise', id: 'e1', set: { pins: { last: true } } }
    expect(first && second && third).toBeTruthy()
    const order = states(after(late)).get('order')
    expect(order?.complete).toBe(false)
    expect(order?.words).toMatch(/^\d+ broken rules$/)
  })

  it('know paper that is as the sampler is from paper that is older', () => {
    expect(states(demo, {}, 5).get('sheets')).toMatchObject({ words: 'printed', complete: true })
    expect(states(demo, {}, 4).get('sheets')).toMatchObject({ words: 'changed since', complete: false })
  })
})
