/** Threads, strands and needles chosen, with their reasons; figures from materials worked by hand. */
import { describe, expect, it } from 'vitest'
import type { Guide } from '../guide/index.ts'
import { choiceOfNeedle, nameNeedle, needleKey } from '../materials/index.ts'
import { newSampler, type Sampler, type SamplerThread } from '../sampler/index.ts'
import { sentenceOf, type ShortExercise, workAlone } from '../testing/index.ts'
import { problemInWords, toldInWords } from '../words/index.ts'
import { strandsInWords, surroundingsOf, wordForRole } from './index.ts'

const line: Guide = { kind: 'line', path: 'M 20 60 L 90 60' }
const thread = (id: string, name: string, hex: string, kind = 'stranded-cotton'): SamplerThread => ({ id, kind, colour: { name, hex } })
const THREADS = [thread('a', 'Slate', '#4a5a6a'), thread('b', 'Mist', '#f2eee2'), thread('c', 'Rust', '#9a4a2a')]
const sampler: Sampler = { ...newSampler('Assign'), threads: THREADS }

function assigned(exercise: Partial<ShortExercise> & Pick<ShortExercise, 'stitch'>, given: Partial<Sampler> = {}) {
  const worked = workAlone({ id: 'e', name: 'x', guide: line, ...exercise }, surroundingsOf({ ...sampler, ...given }))
  if (!worked.ok) throw new Error(sentenceOf(worked.problems))
  return { ...worked.value.assigned, worked: worked.value }
}
const refused = (exercise: Partial<ShortExercise> & Pick<ShortExercise, 'stitch'>, given: Partial<Sampler> = {}): string => {
  const worked = workAlone({ id: 'e', name: 'x', guide: line, ...exercise }, surroundingsOf({ ...sampler, ...given }))
  return worked.ok ? '' : sentenceOf(worked.problems)
}

describe('the thread', () => {
  it('is the first of the sampler unless it is said; a lacing is another colour of the same, so that it is seen', () => {
    const { threads } = assigned({ stitch: 'threaded-running' })
    expect(threads.map((one) => [one.role, one.thread.value.id, toldInWords(one.thread.reason)])).toEqual([
      ['main', 'a', 'The first thread of this sampler.'],
      [expect.any(String), 'b', 'Another colour of the same thread, so that it is seen.'],
    ])
  })

  it('where there is no other colour the main one serves, and says so', () => {
    const { threads } = assigned({ stitch: 'threaded-running' }, { threads: THREADS.slice(0, 1) })
    expect(toldInWords(threads[1]?.thread.reason ?? { code: '', figures: {} })).toBe('The same as the main thread: there is no other colour of it.')
  })

  it('that is given is given', () => {
    const { main } = assigned({ stitch: 'back-stitch', thread: 'c' })
    expect(main.thread).toMatchObject({ value: { id: 'c' }, chosen: false })
    expect(toldInWords(main.thread.reason)).toBe('Given by you.')
  })

  it('that is not there is refused with what to do', () => {
    expect(refused({ stitch: 'back-stitch', thread: 'z' })).toBe('There is no thread "z" in this sampler. Choose one of its threads, or add it in Brief.')
    expect(refused({ stitch: 'back-stitch' }, { threads: [] })).toBe('This sampler has no thread yet. Add one in Brief.')
    expect(refused({ stitch: 'back-stitch' }, { threads: [thread('x', 'X', '#000000', 'spider-silk')] })).toMatch(/^"spider-silk" is not a kind of thread/)
  })

  it('that hardly shows on the cloth is said with its contrast', () => {
    const pale = { ...sampler.cloth, colour: { name: 'Cream', hex: '#f4f0e4' } }
    const { worked } = assigned({ stitch: 'back-stitch', thread: 'b' }, { cloth: pale })
    const problem = worked.problems.find((one) => one.code === 'assign.contrast')
    expect(problem && problemInWords(problem)).toMatch(/^Mist hardly shows on Cream: their contrast is 1\.0\d to 1, and under 1\.5 a line is lost/)
  })
})

describe('strands', () => {
  it('more for longer stitches than for shorter, never more than the thread has', () => {
    const strands = [1.5, 2.5, 4, 6, 9].map((L) => assigned({ stitch: 'back-stitch', parameters: { L } }).main.strands.value)
    expect([...strands].sort((a, b) => a - b)).toEqual(strands)
    expect(Math.max(...strands)).toBeLessThanOrEqual(6)
    expect(new Set(strands).size).toBeGreaterThan(2)
  })

  it('even where a thread is split, for the needle parts it in the middle', () => {
    for (const L of [2, 3, 4, 5]) expect(assigned({ stitch: 'split-stitch', parameters: { L } }).main.strands.value % 2).toBe(0)
  })

  it('overruled keep what was advised beside what is', () => {
    const { main } = assigned({ stitch: 'back-stitch', strands: 1 })
    expect(main.strands).toMatchObject({ value: 1, chosen: false })
    expect(main.advisedStrands.value).toBeGreaterThan(1)
    expect(toldInWords(main.strands.reason)).toMatch(/^One strand lies 0\.\d+ mm wide/)
    expect(toldInWords(main.advisedStrands.reason)).toMatch(/^\w+ strands lie 0\.\d+ mm wide/)
  })

  it('of a laid thread are more than of its tie', () => {
    const { threads } = assigned({ stitch: 'couching-stitch' })
    const [laid, tie] = threads
    expect(laid.bundle.lineWidthMm).toBeGreaterThan(tie?.bundle.lineWidthMm ?? Infinity)
    expect(toldInWords(laid.strands.reason)).toMatch(/thicker than what ties it down/)
    expect(toldInWords(tie?.strands.reason ?? { code: '', figures: {} })).toMatch(/over a laid thread of/)
  })

  it('beyond what the thread has are refused, in the words of that thread', () => {
    expect(refused({ stitch: 'back-stitch', strands: 9 })).toBe('Stranded cotton can be worked with 1 to 6 strands; 9 was asked for.')
    expect(refused({ stitch: 'back-stitch', strands: 1.5 })).toMatch(/1\.5 was asked for/)
  })

  it('are spoken of as people do', () => {
    expect([1, 2, 8, 12].map(strandsInWords)).toEqual(['one strand', 'two strands', 'eight strands', '12 strands'])
  })
})

describe('the needle', () => {
  it('is blunt where nothing but the ends enters the cloth, sharp where the stitch does', () => {
    const { threads } = assigned({ stitch: 'whipped-back' })
    expect(threads.map((one) => one.needle.value.family.point)).toEqual([expect.stringMatching(/sharp/), 'blunt'])
  })

  it('that does not serve is said, with one that would', () => {
    const { worked } = assigned({ stitch: 'back-stitch', strands: 6, needle: { kind: 'embroidery', size: 10 } })
    const problem = worked.problems.find((one) => one.code === 'assign.needle')
    expect(problem && problemInWords(problem)).toMatch(/^Embroidery 10: the eye opens .* this thread needs .* would serve\.$/)
  })

  it('that nobody makes is refused', () => {
    expect(refused({ stitch: 'back-stitch', needle: { kind: 'embroidery', size: 99 } })).toBe(
      'There is no embroidery needle of size 99. Choose one from the list in Thread.',
    )
  })

  it('that was measured counts by its millimetres, under whatever size its packet has', () => {
    // A 10 is too fine for three strands; one sold as a 10 that is as thick as a 7 is not.
    const fine = assigned({ stitch: 'back-stitch', strands: 3, needle: { kind: 'embroidery', size: 10 } })
    const thick = assigned({ stitch: 'back-stitch', strands: 3, needle: { kind: 'embroidery', size: 10, shaftMm: 0.69 } })
    const said = ({ worked }: typeof fine) => worked.problems.some((one) => one.code === 'assign.needle')
    expect([said(fine), said(thick)]).toEqual([true, false])
    const { value } = thick.main.needle
    expect([nameNeedle(value), needleKey(value), choiceOfNeedle(value)]).toEqual([
      'Embroidery 10 (0.69 mm)',
      'embroidery 10 0.69',
      { kind: 'embroidery', size: 10, shaftMm: 0.69 },
    ])
    expect(thick.main.needles.some((one) => one.needle === value)).toBe(true)
    // Of no usual size, but with a shaft, it can be worked with; measured as it usually is, it is the usual one.
    expect(refused({ stitch: 'back-stitch', needle: { kind: 'embroidery', size: 29, shaftMm: 0.69 } })).toBe('')
    expect(choiceOfNeedle(assigned({ stitch: 'back-stitch', needle: { kind: 'embroidery', size: 7, shaftMm: 0.69 } }).main.needle.value)).toEqual({
      kind: 'embroidery',
      size: 7,
    })
  })
})

describe('the stitch', () => {
  it('that is not in the library, has no such variant, or no such thread, is said', () => {
    expect(refused({ stitch: 'nowhere' })).toMatch(/^There is no stitch called "nowhere"/)
    expect(refused({ stitch: 'back-stitch', variant: 'upside-down' })).toMatch(/^Back stitch has no variant "upside-down". It has /)
    const worked = workAlone({ id: 'e', name: 'x', stitch: 'back-stitch', guide: line, materials: { lacing: { strands: 2 } } }, surroundingsOf(sampler))
    expect(worked.ok && sentenceOf(worked.value.problems.find((one) => one.code === 'assign.no-role'))).toBe(
      'Back stitch has no thread called "lacing"; it has "main". What is chosen for it is not used.',
    )
  })

  it('calls its threads by what they are', () => {
    expect(wordForRole('main', ['main', 'tie'])).toBe('laid thread')
    expect(wordForRole('main', ['main', 'whipping'])).toBe('main thread')
    expect(wordForRole('gold-edge', ['main', 'gold-edge'])).toBe('gold edge thread')
  })
})
