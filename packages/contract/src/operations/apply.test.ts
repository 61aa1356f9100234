/** Operations applied to a stored document: what is refused is refused alone, and what comes out can always be read again. */
import { newClass } from '@lemmata/core/classes'
import type { Operation } from '@lemmata/core/sampler'
import { describe, expect, it } from 'vitest'
import { bandSampler, dialSampler } from '../testing/index.ts'
import { MOST_LEARNERS } from '../documents/class.ts'
import { readSampler } from '../documents/read.ts'
import { MOST_EXERCISES } from '../documents/sampler.ts'
import { problemInWords } from '../problem-words.ts'
import { applyClassOperations, applySamplerOperations } from './apply.ts'
import { classOperation } from './class-operations.ts'
import { operation as operationSchema } from './sampler-operations.ts'

const demo = bandSampler('2026-12-03')
const sent = (...operations: Operation[]) => operations.map((operation, index) => ({ id: `op${index}`, operation }))
const first = demo.exercises[0]
if (!first) throw new Error('the demo is empty')

describe('operations on a sampler', () => {
  it('one that cannot be made takes none of the others with it, wherever it stands', () => {
    const good: Operation[] = [
      { kind: 'rename', name: 'Fog' },
      { kind: 'change-exercise', id: 'e1', set: { name: 'Drizzle' } },
      { kind: 'rename-lesson', id: demo.lessons[0]?.id ?? '', title: 'Wet' },
    ]
    for (let at = 0; at <= good.length; at += 1) {
      const all = [...good.slice(0, at), { kind: 'remove-exercise', id: 'nowhere' } as const, ...good.slice(at)]
      const done = applySamplerOperations(demo, sent(...all))
      expect(done.refused.map((one) => one.id)).toEqual([`op${at}`])
      expect(done.applied).toHaveLength(3)
      expect(done.document).toMatchObject({ name: 'Fog' })
      expect(done.document.lessons[0]?.title).toBe('Wet')
    }
  })

  it('one that would break a limit of the whole document is found and refused alone', () => {
    const more = Array.from({ length: MOST_EXERCISES }, (_, index): Operation => ({ kind: 'add-exercise', exercise: { ...first, id: `new${index}` }, at: 0 }))
    const done = applySamplerOperations(demo, sent(...more, { kind: 'rename', name: 'Full' }))
    expect(done.document.exercises).toHaveLength(MOST_EXERCISES)
    expect(done.refused).toHaveLength(demo.exercises.length)
    expect(done.document.name).toBe('Full')
    expect(readSampler(done.document).ok).toBe(true)
    expect(done.refused[0]?.problems[0] && problemInWords(done.refused[0].problems[0])).toMatch(/exercises/)
  })

  it('what names another that is not there is refused, and said', () => {
    const exercise = { ...first, id: 'lost', on: [{ guide: 'no-guide' }] }
    const done = applySamplerOperations(demo, sent({ kind: 'add-exercise', exercise, at: 0 }))
    expect(done.applied).toEqual([])
    expect(done.document).toEqual(demo)
  })

  it('a batch is one: all of it or nothing', () => {
    const batch: Operation = {
      kind: 'batch',
      operations: [
        { kind: 'rename', name: 'Half' },
        { kind: 'remove-thread', id: demo.threads[0]?.id ?? '' },
      ],
    }
    const done = applySamplerOperations(demo, sent(batch))
    expect(done.refused).toHaveLength(1)
    expect(done.document.name).toBe(demo.name)
    expect(done.refused[0]?.problems[0] && problemInWords(done.refused[0].problems[0])).toMatch(/^This thread is used by/)
  })

  it('nothing sent leaves the document as it is', () => {
    expect(applySamplerOperations(dialSampler(), [])).toMatchObject({ applied: [], refused: [] })
  })
})

describe('operations on a class', () => {
  const learner = (id: string) => ({ id, name: id, choices: {} })
  const add = (id: string) => ({ id: `add-${id}`, operation: { kind: 'add-learner', learner: learner(id), at: 0 } as const })

  it('more learners than a class holds are refused one by one', () => {
    const all = Array.from({ length: MOST_LEARNERS + 3 }, (_, index) => add(`l${index}`))
    const done = applyClassOperations(newClass('Thursdays'), all)
    expect(done.document.learners).toHaveLength(MOST_LEARNERS)
    expect(done.refused.map((one) => one.id)).toEqual([`add-l${MOST_LEARNERS}`, `add-l${MOST_LEARNERS + 1}`, `add-l${MOST_LEARNERS + 2}`])
  })

  it('a learner who is there already, or gone, is said by name', () => {
    const done = applyClassOperations(newClass('Thursdays'), [add('ida'), add('ida'), { id: 'gone', operation: { kind: 'remove-learner', id: 'ben' } }])
    expect(done.refused.map((one) => one.problems[0] && problemInWords(one.problems[0]))).toEqual([
      '"ida" is in this class already.',
      'The learner "ben" is no longer in this class, so this change could not be made.',
    ])
  })
})

describe('operations as they arrive', () => {
  it.each([
    ['an unknown kind', { kind: 'explode' }],
    ['an unknown field that is set', { kind: 'change-exercise', id: 'e1', set: { colour: 'red' } }],
    ['a place below nothing', { kind: 'add-lesson', lesson: { id: 'l9', title: 'x' }, at: -1 }],
    ['a matrix of five', { kind: 'transform-guides', ids: ['g1'], matrix: [1, 0, 0, 1, 0] }],
    ['a matrix that is not finite', { kind: 'transform-guides', ids: ['g1'], matrix: [1, 0, 0, 1, Number.NaN, 0] }],
    ['an empty batch', { kind: 'batch', operations: [] }],
    ['a name without a letter', { kind: 'rename', name: '' }],
    ['nothing', null],
  ])('%s is refused', (_name, given) => {
    expect(operationSchema.safeParse(given).success).toBe(false)
  })

  it('what is read is the operation that was written, without what nobody knows', () => {
    const written = { kind: 'rename', name: 'Fog', extra: 1 }
    expect(operationSchema.parse(written)).toEqual({ kind: 'rename', name: 'Fog' })
    expect(classOperation.safeParse({ kind: 'choose', learner: 'ida', exercise: 'e1', set: { secret: 1 } }).success).toBe(false)
  })
})
