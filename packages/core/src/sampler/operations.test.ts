import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { applyOperation, invertOperation, newSampler, type Operation, type Sampler } from './index.ts'

const start: Sampler = {
  ...newSampler('Weather'),
  exercises: ['a', 'b', 'c'].map((id) => ({ id, name: `Exercise ${id}`, stitch: 'back-stitch', guide: { kind: 'line', path: 'M 0 0 L 50 0' } })),
}
const id = fc.constantFrom('a', 'b', 'c', 'd')
const operation: fc.Arbitrary<Operation> = fc.oneof(
  fc.record({ kind: fc.constant('rename' as const), name: fc.string({ minLength: 1 }) }),
  fc.record({ kind: fc.constant('set-units' as const), units: fc.constantFrom('mm' as const, 'in' as const) }),
  fc.record({ kind: fc.constant('change-brief' as const), set: fc.record({ learners: fc.nat(20), purpose: fc.string() }, { requiredKeys: [] }) }),
  fc.record({ kind: fc.constant('remove-exercise' as const), id }),
  fc.record({
    kind: fc.constant('change-exercise' as const),
    id,
    set: fc.record({ strands: fc.integer({ min: 1, max: 6 }), note: fc.string() }, { requiredKeys: [] }),
  }),
  fc.record({ kind: fc.constant('change-exercise' as const), id, set: fc.constant({}), clear: fc.constant(['strands' as const, 'note' as const]) }),
  fc.record({ kind: fc.constant('order-exercises' as const), ids: fc.shuffledSubarray(['a', 'b', 'c', 'd']) }),
  fc.record({
    kind: fc.constant('add-exercise' as const),
    at: fc.nat(5),
    exercise: fc.record({
      id,
      name: fc.constant('New'),
      stitch: fc.constant('back-stitch'),
      guide: fc.constant({ kind: 'line' as const, path: 'M 0 0 L 9 0' }),
    }),
  }),
  fc.record({
    kind: fc.constant('set-order' as const),
    ids: fc.shuffledSubarray(['a', 'b', 'c', 'd']),
    lessons: fc.constantFrom([], [{ id: 'l1', title: 'Rain', exercises: ['a', 'c'] }]),
  }),
  fc.record({
    kind: fc.constant('keep-order' as const),
    at: fc.nat(3),
    order: fc.record({
      id: fc.constantFrom('o1', 'o2'),
      name: fc.constantFrom('One', 'Two'),
      exercises: fc.constant(['a', 'b']),
      lessons: fc.constant([['a'], ['b']]),
    }),
  }),
  fc.record({ kind: fc.constant('drop-order' as const), id: fc.constantFrom('o1', 'o2') }),
  fc.record({
    kind: fc.constant('put-version' as const),
    at: fc.nat(3),
    version: fc.record({
      id: fc.constantFrom('v1', 'v2'),
      name: fc.constantFrom('One', 'Two'),
      choices: fc.constantFrom({}, { a: { strands: 3 } }),
    }),
  }),
  fc.record({ kind: fc.constant('drop-version' as const), id: fc.constantFrom('v1', 'v2') }),
  fc.record({ kind: fc.constant('set-hoop' as const), hoop: fc.constant(null) }),
  fc.record({
    kind: fc.constant('put-thread' as const),
    at: fc.nat(3),
    thread: fc.record({ id: fc.constantFrom('t1', 't2'), kind: fc.constant('stranded-cotton'), colour: fc.constant({ name: 'Moss', hex: '#5F7048' }) }),
  }),
  fc.record({ kind: fc.constant('remove-thread' as const), id: fc.constantFrom('t1', 't2') }),
)

describe('operations', () => {
  it('done and taken back leave the document as it was, after any history', () => {
    fc.assert(
      fc.property(fc.array(operation, { maxLength: 12 }), operation, (history, last) => {
        let before = start
        for (const one of history) {
          const applied = applyOperation(before, one)
          if (applied.ok) before = applied.value
        }
        const done = applyOperation(before, last)
        const inverse = invertOperation(before, last)
        if (!done.ok || !inverse) return
        const back = applyOperation(done.value, inverse)
        expect(back.ok && back.value).toEqual(before)
      }),
      { seed: 51, numRuns: 1000 },
    )
  })

  it('leave untouched exercises the same objects, so that they are not worked again', () => {
    const done = applyOperation(start, { kind: 'change-exercise', id: 'b', set: { strands: 3 } })
    if (!done.ok) throw new Error('refused')
    expect(done.value.exercises[0]).toBe(start.exercises[0])
    expect(done.value.exercises[1]).not.toBe(start.exercises[1])
    expect(done.value.cloth).toBe(start.cloth)
  })

  it('order keeps what the list does not know', () => {
    const done = applyOperation(start, { kind: 'order-exercises', ids: ['c', 'a'] })
    expect(done.ok && done.value.exercises.map((exercise) => exercise.id)).toEqual(['c', 'a', 'b'])
  })

  it('do not take away a thread that is in use', () => {
    const using: Sampler = { ...start, exercises: start.exercises.map((exercise) => ({ ...exercise, thread: 't1' })) }
    const done = applyOperation(using, { kind: 'remove-thread', id: 't1' })
    expect(done.ok).toBe(false)
    if (!done.ok) expect(done.problems[0]?.message).toMatch(/is used by "Exercise a"/)
  })
})
