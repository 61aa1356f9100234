/** A stitch of two threads, worked by hand: both are measured, needled, named and told apart, from the cloth to the totals. */
import { describe, expect, it } from 'vitest'
import { roleThreads, workSampler } from '../exercise/index.ts'
import { newSampler, type Sampler } from '../sampler/index.ts'
import { makeSheets } from '../sheets/index.ts'
import { demonstrate, stepSentence } from '../steps/index.ts'
import { totalThread } from './index.ts'
import { sentenceOf } from '../testing/index.ts'

/** Soft cotton of 1 mm laid along 60 mm on calico of 0.28 mm, tied by two strands at every 6 mm. */
const sampler: Sampler = {
  ...newSampler('Isobars'),
  threads: [
    { id: 't1', kind: 'stranded-cotton', colour: { name: 'Rainwater', hex: '#4B6D8F' } },
    { id: 't2', kind: 'soft-cotton', colour: { name: 'Cloud', hex: '#6E7F86' } },
  ],
  drawing: { guides: [{ id: 'g1', guide: { kind: 'line', path: 'M 50 50 L 110 50' } }], groups: [] },
  exercises: [
    {
      id: 'e1',
      name: 'Isobar',
      stitch: 'couching-stitch',
      on: [{ guide: 'g1' }],
      parameters: { P: 6 },
      materials: { main: { thread: 't2' }, tie: { thread: 't1', strands: 2 } },
    },
  ],
  lessons: [{ id: 'l1', title: 'One', exercises: ['e1'] }],
}
const { done, problems } = workSampler(sampler)
const [couching] = done
if (!couching) throw new Error(sentenceOf(problems))
const words = (text: string, sizeMm: number): number => text.length * sizeMm * 0.5

describe('couching with soft cotton, tied by two strands', () => {
  const [laid, tie] = couching.threads

  it('has nothing wrong with it', () => {
    expect(problems).toEqual([])
    expect(couching.threads.map(({ role, thread, strands }) => [role, thread.id, strands.value])).toEqual([
      ['main', 't2', 1],
      ['tie', 't1', 2],
    ])
  })

  it('lays 60 mm with two trips: (60 + 2 x 0.8 x (0.28 + 1.00)) x 1.05 + 130 = 195.15 mm', () => {
    expect(laid?.use.front).toBeCloseTo(60, 6)
    expect(laid?.use.through).toBeCloseTo(2.048, 6)
    expect(laid?.use.total).toBeCloseTo(195.1504, 4)
  })

  it('ties it nine times with 0.40 mm, over 1.1 mm and a little: (11.34 + 49.05 + 9.81) x 1.05 + 130 = 203.70 mm', () => {
    // Ties at 6, 12, ... 54 mm; each 2 x (0.5 x 1.1 + 0.08) = 1.26 mm long, and 8 ways between them of the root of 6^2 + 1.26^2.
    expect(couching.stitches).toBe(9)
    expect(tie?.use.front).toBeCloseTo(9 * 1.26, 6)
    expect(tie?.use.back).toBeCloseTo(8 * Math.hypot(6, 1.26), 4)
    expect(tie?.use.through).toBeCloseTo(18 * 0.8 * (0.28 + 0.27 * 2 ** 0.57), 1)
    expect(tie?.use.total).toBeCloseTo(203.702, 2)
  })

  it('takes the laid ends through with a large eye, and ties with a fine point', () => {
    const name = (one: typeof laid): string => `${one?.needle.value.family.id} ${one?.needle.value.size}`
    expect([name(laid), name(tie)]).toEqual(['chenille 20', 'embroidery 8'])
  })

  it('is as long in all as both together', () => {
    expect(couching.thread.total).toBeCloseTo(195.1504 + 203.702, 2)
    expect(couching.thread.needlefuls).toBe(2)
  })

  it('says in its steps which thread is taken up, once each', () => {
    const { document, parameters } = couching.assigned
    const { materials } = couching.pieces[0].work
    const shown = demonstrate({ document, parameters, materials, threads: roleThreads(couching.assigned), hand: 'right' })
    if (!shown.ok) throw new Error(sentenceOf(shown.problems))
    const sentences = shown.value.steps.map((step) => stepSentence(step, couching.assigned))
    const takes = sentences.filter((one) => /Take the [^:.]*: /.test(one))
    expect(takes.length).toBe(2)
    expect(takes[0]).toContain('one strand of soft matt cotton in Cloud, in a chenille 20.')
    expect(takes[1]).toContain('Take the tie: two strands of stranded cotton in Rainwater, in an embroidery 8.')
  })

  it('has both threads in the key of the sheet and in the totals', () => {
    const pages = makeSheets({ sampler, exercises: [couching], title: 'Isobars', page: 'a4', hand: 'right', measure: words })
    const said = pages
      .flatMap((page) => page.layers.flatMap((layer) => layer.items))
      .flatMap((item) => (item.kind === 'words' ? [item.text] : []))
      .join(' ')
    for (const one of ['Cloud', 'Rainwater', 'Chenille 20', 'Embroidery 8']) expect(said).toContain(one)
    expect(totalThread([couching]).map((one) => [one.thread.id, one.needlefuls])).toEqual([
      ['t2', 1],
      ['t1', 1],
    ])
  })
})

describe('a thread of nearly the colour of the cloth', () => {
  it('is said, with both names and the contrast, for the thread that it is', () => {
    const pale: Sampler = { ...sampler, threads: sampler.threads.map((one) => (one.id === 't2' ? { ...one, colour: { name: 'Mist', hex: '#EFE9DA' } } : one)) }
    const [problem] = workSampler(pale).problems
    expect(problem).toMatchObject({ code: 'assign.contrast', path: ['exercises', 0, 'materials', 'main', 'thread'] })
    expect(sentenceOf(problem)).toMatch(/Mist hardly shows on Calico: their contrast is 1\.\d\d to 1/)
  })
})
