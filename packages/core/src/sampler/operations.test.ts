/** Edits of a sampler: every kind, alone and in batches, done and taken back, by one writer and by two. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyOperation as operation, editedSampler as start } from '@lemmata/contract/testing'
import { applyOperation, danglingReferences, invertOperation, type Operation, type Sampler } from './index.ts'
import { sentenceOf } from '../testing/index.ts'

/** As far as each can be applied: what is refused is passed over. */
function after(from: Sampler, operations: readonly Operation[]): Sampler {
  return operations.reduce((now, one) => {
    const done = applyOperation(now, one)
    return done.ok ? done.value : now
  }, from)
}

describe('operations', () => {
  it('done and taken back leave the document as it was, to the byte, after any history', () => {
    let applied = 0
    fc.assert(
      fc.property(fc.array(operation, { maxLength: 12 }), operation, (history, last) => {
        const before = after(start, history)
        const done = applyOperation(before, last)
        const inverse = invertOperation(before, last)
        if (!done.ok || !inverse) return
        applied += 1
        const back = applyOperation(done.value, inverse)
        expect(back.ok ? JSON.stringify(back.value) : back.problems).toBe(JSON.stringify(before))
      }),
      { seed: 51, numRuns: 3000 },
    )
    expect(applied).toBeGreaterThan(1000)
  })

  it.each([61, 62, 63])('a session of two thousand, all taken back and all done again, is the same to the byte at each end (seed %i)', (seed) => {
    const steps: { readonly done: Operation; readonly back: Operation }[] = []
    let now = start
    for (const one of fc.sample(operation, { numRuns: 6000, seed })) {
      if (steps.length === 2000) break
      const next = applyOperation(now, one)
      const back = invertOperation(now, one)
      if (!next.ok || !back) continue
      now = next.value
      steps.push({ done: one, back })
    }
    expect(steps.length).toBe(2000)
    const end = JSON.stringify(now)
    const apply = (one: Operation): void => {
      const next = applyOperation(now, one)
      if (!next.ok) throw new Error(next.problems[0]?.code)
      now = next.value
    }
    for (const { back } of [...steps].reverse()) apply(back)
    expect(JSON.stringify(now)).toBe(JSON.stringify(start))
    for (const { done } of steps) apply(done)
    expect(JSON.stringify(now)).toBe(end)
  })

  it('never leave a name of what is not there', () => {
    fc.assert(
      fc.property(fc.array(operation, { maxLength: 25 }), (history) => {
        expect(danglingReferences(after(start, history))).toEqual([])
      }),
      { seed: 52, numRuns: 1000 },
    )
  })

  it('a batch that is refused changes nothing, and names its reason', () => {
    const refused = applyOperation(start, {
      kind: 'batch',
      operations: [
        { kind: 'rename', name: 'Half' },
        { kind: 'remove-exercise', id: 'nobody' },
      ],
    })
    expect(refused).toMatchObject({ ok: false, problems: [{ code: 'operation.exercise-gone' }] })
  })

  it('leave untouched exercises the same objects, so that they are not worked again', () => {
    const done = after(start, [{ kind: 'change-exercise', id: 'b', set: { note: 'slowly' } }])
    expect(done.exercises[0]).toBe(start.exercises[0])
    expect(done.exercises[1]).not.toBe(start.exercises[1])
    expect(done.cloth).toBe(start.cloth)
  })
})

describe('what is in use', () => {
  const assigned = (role: string, more: object): Sampler => after(start, [{ kind: 'assign', id: 'a', role, set: more }])

  it.each([
    ['a thread of the main role', assigned('main', { thread: 't1' }), { kind: 'remove-thread', id: 't1' }, /used by "Exercise a"/],
    ['a thread of the second role', assigned('tie', { thread: 't2' }), { kind: 'remove-thread', id: 't2' }, /used by "Exercise a"/],
    ['a shade', assigned('main', { shades: ['t3'] }), { kind: 'remove-thread', id: 't3' }, /used by "Exercise a"/],
    ['a guide that is worked on', start, { kind: 'remove-guide', id: 'g1' }, /used by "Exercise a"/],
    [
      'a stitch that is worked',
      after(start, [{ kind: 'change-exercise', id: 'b', set: { stitch: 'own' } }]),
      { kind: 'remove-stitch', id: 'own' },
      /used by "Exercise b"/,
    ],
  ] as const)('%s is not taken away', (_what, sampler, removal, words) => {
    const done = applyOperation(sampler, removal)
    expect(done.ok).toBe(false)
    if (!done.ok) expect(sentenceOf(done.problems)).toMatch(words)
  })

  it('an exercise takes its places along, and comes back with them', () => {
    const full = after(start, [
      { kind: 'change-exercise', id: 'b', set: { over: ['a'], pins: { after: ['a'] } } },
      { kind: 'keep-order', order: { id: 'o1', name: 'Mine', lessons: [['a', 'b'], ['c']] }, at: 0 },
    ])
    const gone = after(full, [{ kind: 'remove-exercise', id: 'a' }])
    expect(gone.lessons[0]?.exercises).toEqual(['b'])
    expect(gone.keptOrders[0]?.lessons).toEqual([['b'], ['c']])
    expect(gone.exercises[0]).toEqual({ id: 'b', name: 'Exercise b', stitch: 'back-stitch', on: [{ guide: 'g2' }] })
    const inverse = invertOperation(full, { kind: 'remove-exercise', id: 'a' }) as Operation
    expect(after(gone, [inverse])).toEqual(full)
  })

  it('a guide leaves its group; a lesson lets its pins go', () => {
    const free = after(start, [
      { kind: 'remove-exercise', id: 'b' },
      { kind: 'remove-guide', id: 'g2' },
    ])
    expect(free.drawing.groups[0]?.members).toEqual(['g3'])
    const pinned = after(start, [
      { kind: 'change-exercise', id: 'c', set: { pins: { lesson: 'l2' } } },
      { kind: 'remove-lesson', id: 'l2' },
    ])
    expect(pinned.exercises[2]?.pins).toBeUndefined()
  })
})

describe('two writers', () => {
  it('who edit different things keep both, whichever comes first', () => {
    const mine: Operation[] = [
      { kind: 'rename-lesson', id: 'l1', title: 'Drizzle' },
      { kind: 'assign', id: 'a', role: 'main', set: { strands: 3 } },
    ]
    const theirs: Operation[] = [
      { kind: 'move-exercise', id: 'b', to: { lesson: 'l2', at: 0 } },
      { kind: 'assign', id: 'a', role: 'main', set: { thread: 't2' } },
      { kind: 'set-parameters', id: 'a', set: { L: 3 } },
    ]
    const [one, other] = [after(start, [...mine, ...theirs]), after(start, [...theirs, ...mine])]
    expect(one).toEqual(other)
    expect(one.lessons.map((lesson) => [lesson.title, lesson.exercises])).toEqual([
      ['Drizzle', ['a']],
      ['Fog', ['b', 'c']],
    ])
    expect(one.exercises[0]?.materials).toEqual({ main: { thread: 't2', strands: 3 } })
  })

  it('an order taken over elsewhere keeps the title written here, and what was added here stays taught', () => {
    const taken: Operation = {
      kind: 'arrange-lessons',
      lessons: [
        { id: 'l2', title: 'Fog', exercises: ['c', 'b'] },
        { id: 'l1', title: 'Rain', exercises: ['a'] },
      ],
    }
    const here = after(start, [
      { kind: 'rename-lesson', id: 'l1', title: 'Sleet' },
      { kind: 'add-exercise', exercise: { id: 'd', name: 'New', stitch: 'back-stitch', on: [{ guide: 'g1' }] }, at: 3, taught: { lesson: 'l2', at: 1 } },
    ])
    expect(after(here, [taken]).lessons).toEqual([
      { id: 'l2', title: 'Fog', exercises: ['c', 'b', 'd'] },
      { id: 'l1', title: 'Sleet', exercises: ['a'] },
    ])
  })
})
