/** Edits of a class: made, refused, and taken back to the byte. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { applyClassOperation, type ClassCalendar, type ClassDocument, type ClassOperation, invertClassOperation, type LessonNote, newClass } from './index.ts'

const after = (one: ClassDocument, ...operations: ClassOperation[]): ClassDocument =>
  operations.reduce((now, operation) => {
    const applied = applyClassOperation(now, operation)
    if (!applied.ok) throw new Error(applied.problems[0]?.code)
    return applied.value
  }, one)
const add = (id: string, at = 0): ClassOperation => ({ kind: 'add-learner', learner: { id, name: id, choices: {} }, at })
const weekly: ClassCalendar = {
  ...{ start: '2027-01-14', rhythm: { kind: 'every', days: 7 }, begins: '18:30', zone: 'Europe/Oslo' },
  ...{ off: {}, catchUp: [], moved: {}, twice: [] },
}
const thursdays = after(newClass('Thursdays', 'sampler-1'), add('ida'), add('ben', 1))

describe('learners', () => {
  it('stand where they are put, and nobody stands twice', () => {
    expect(thursdays.learners.map((one) => one.id)).toEqual(['ida', 'ben'])
    expect(after(thursdays, add('cy', 1)).learners.map((one) => one.id)).toEqual(['ida', 'cy', 'ben'])
    const twice = applyClassOperation(thursdays, add('ida'))
    expect(twice.ok ? null : twice.problems[0]).toMatchObject({ code: 'class.learner-there', figures: { name: 'ida' } })
  })

  it('who have gone take no more edits', () => {
    const gone = after(thursdays, { kind: 'remove-learner', id: 'ben' })
    for (const operation of [
      { kind: 'remove-learner', id: 'ben' },
      { kind: 'change-learner', id: 'ben', set: { name: 'Benjamin' } },
      { kind: 'choose', learner: 'ben', exercise: 'e1', set: { strands: 2 } },
    ] as ClassOperation[]) {
      const applied = applyClassOperation(gone, operation)
      expect(applied.ok ? null : applied.problems[0]?.code).toBe('class.learner-gone')
      expect(invertClassOperation(gone, operation)).toBeNull()
    }
  })
})

describe('dates', () => {
  it('are none until the class has them: what would change them is said', () => {
    for (const operation of [
      { kind: 'change-calendar', set: { begins: '10:00' } },
      { kind: 'set-day-off', on: '2027-01-21', why: 'snow' },
      { kind: 'move-date', lesson: 'l1', to: { on: '2027-01-22', follow: true } },
    ] as ClassOperation[]) {
      const applied = applyClassOperation(thursdays, operation)
      expect(applied.ok ? null : applied.problems[0]?.code).toBe('class.no-calendar')
    }
    const dated = after(thursdays, { kind: 'set-calendar', calendar: weekly }, { kind: 'set-day-off', on: '2027-01-21', why: 'snow' })
    expect(dated.calendar?.off).toEqual({ '2027-01-21': 'snow' })
    expect(after(dated, { kind: 'set-day-off', on: '2027-01-21', why: null }).calendar).toEqual(weekly)
    expect(after(dated, { kind: 'set-calendar', calendar: null })).toEqual(thursdays)
  })
})

describe('a choice', () => {
  it('is one setting of one exercise; another of the same exercise stays, and the last one taken out leaves nothing', () => {
    const chosen = after(
      thursdays,
      { kind: 'choose', learner: 'ida', exercise: 'e2', set: { thread: 't2' } },
      { kind: 'choose', learner: 'ida', exercise: 'e1', set: { strands: 3 } },
      { kind: 'choose', learner: 'ida', exercise: 'e2', set: { strands: 2 } },
    )
    expect(chosen.learners[0]?.choices).toEqual({ e1: { strands: 3 }, e2: { thread: 't2', strands: 2 } })
    const less = after(chosen, { kind: 'choose', learner: 'ida', exercise: 'e1', set: {}, clear: ['strands'] })
    expect(less.learners[0]?.choices).toEqual({ e2: { thread: 't2', strands: 2 } })
    expect(after(less, { kind: 'choose', learner: 'ida', exercise: 'e2', set: {}, clear: ['strands', 'thread'] }).learners[0]?.choices).toEqual({})
  })
})

const question = (asked: string): LessonNote => ({ kind: 'question', lesson: 'l1', on: '2027-01-14', asked, answer: '' })

describe('what came up in a lesson', () => {
  it('is kept, changed and taken out again; the last one leaves nothing behind', () => {
    const asked = after(thursdays, { kind: 'set-note', id: 'n1', note: question('Why does it curl?') })
    expect(asked.notes).toEqual({ n1: question('Why does it curl?') })
    const vote: LessonNote = {
      kind: 'vote',
      lesson: 'l1',
      on: '2027-01-14',
      about: 'Which rope?',
      ways: [
        { name: 'stem', votes: 4 },
        { name: 'outline', votes: 6 },
      ],
    }
    const both = after(asked, { kind: 'set-note', id: 'n2', note: vote })
    expect(both.notes?.n2).toEqual(vote)
    const without = after(after(both, { kind: 'set-note', id: 'n1', note: null }), { kind: 'set-note', id: 'n2', note: null })
    expect(JSON.stringify(without)).toBe(JSON.stringify(thursdays))
  })
})

describe('any history of a class', () => {
  const id = fc.constantFrom('ida', 'ben', 'cy')
  const exercise = fc.constantFrom('e1', 'e2')
  const single = fc.oneof(
    fc.tuple(id, fc.nat(4)).map(([one, at]) => add(one, at)),
    id.map((one): ClassOperation => ({ kind: 'remove-learner', id: one })),
    fc.tuple(id, fc.constantFrom('left', 'right', undefined), fc.boolean()).map(
      ([one, hand, settled]): ClassOperation => ({
        kind: 'change-learner',
        id: one,
        set: hand ? { hand, settled } : { name: 'Other' },
        ...(hand ? {} : { clear: ['hand'] }),
      }),
    ),
    fc.tuple(id, exercise, fc.nat({ max: 6 }), fc.boolean()).map(
      ([one, on, strands, clears]): ClassOperation => ({
        kind: 'choose',
        learner: one,
        exercise: on,
        set: clears ? {} : { strands },
        ...(clears ? { clear: ['strands', 'thread'] } : {}),
      }),
    ),
    fc.boolean().map((has): ClassOperation => ({ kind: 'set-calendar', calendar: has ? weekly : null })),
    fc.tuple(fc.nat(200), fc.boolean()).map(
      ([minutes, clears]): ClassOperation => ({
        kind: 'change-calendar',
        set: clears ? { begins: '10:00' } : { minutes, catchUp: ['2027-02-04'] },
        ...(clears ? { clear: ['minutes'] } : {}),
      }),
    ),
    fc
      .tuple(fc.constantFrom('2027-01-21', '2027-01-28'), fc.option(fc.constantFrom('a', 'b')))
      .map(([on, why]): ClassOperation => ({ kind: 'set-day-off', on, why })),
    fc
      .tuple(fc.constantFrom('l1', 'l2'), fc.option(fc.record({ on: fc.constant('2027-01-22'), follow: fc.boolean() })))
      .map(([lesson, to]): ClassOperation => ({ kind: 'move-date', lesson, to })),
    fc
      .tuple(fc.constantFrom('n1', 'n2', 'n3'), fc.option(fc.constantFrom('Why?', 'How?')))
      .map(([note, asked]): ClassOperation => ({ kind: 'set-note', id: note, note: asked === null ? null : question(asked) })),
    fc.string({ minLength: 1, maxLength: 8 }).map((name): ClassOperation => ({ kind: 'rename-class', name })),
    fc.boolean().map((children): ClassOperation => ({ kind: 'set-children', children })),
  )
  const any = fc.oneof(
    single,
    fc.array(single, { minLength: 1, maxLength: 4 }).map((operations): ClassOperation => ({ kind: 'batch', operations })),
  )

  it('taken back step by step is the class as it was, to the byte', () => {
    fc.assert(
      fc.property(fc.array(any, { maxLength: 12 }), (operations) => {
        let now = thursdays
        const back: { readonly before: string; readonly inverse: ClassOperation | null }[] = []
        for (const operation of operations) {
          const applied = applyClassOperation(now, operation)
          if (!applied.ok) continue
          back.push({ before: JSON.stringify(now), inverse: invertClassOperation(now, operation) })
          now = applied.value
        }
        for (const { before, inverse } of back.reverse()) {
          if (inverse) now = after(now, inverse)
          expect(JSON.stringify(now)).toBe(before)
        }
      }),
      { seed: 77, numRuns: 400 },
    )
  })
})
