/** Edits of a sampler: every kind, alone and in batches, done and taken back, by one writer and by two. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { turnAbout } from '../geometry/index.ts'
import { applyOperation, danglingReferences, invertOperation, newSampler, type Operation, type Sampler, type SingleOperation } from './index.ts'
import { sentenceOf } from '../testing/index.ts'

const stitchOfOwn = { format: 'lemmata-stitch', version: 1, id: 'own', name: 'Own', guide: ['line'], passes: [] } as const
const start: Sampler = {
  ...newSampler('Weather'),
  threads: ['t1', 't2', 't3'].map((id) => ({ id, kind: 'stranded-cotton', colour: { name: id, hex: '#5F7048' } })),
  drawing: {
    guides: ['g1', 'g2', 'g3'].map((id, index) => ({ id, guide: { kind: 'line' as const, path: `M 0 ${index * 10} L 50 ${index * 10}` } })),
    groups: [{ id: 'm1', members: ['g2', 'g3'] }],
  },
  exercises: ['a', 'b', 'c'].map((id, index) => ({ id, name: `Exercise ${id}`, stitch: 'back-stitch', on: [{ guide: `g${index + 1}` }] })),
  lessons: [
    { id: 'l1', title: 'Rain', exercises: ['a', 'b'] },
    { id: 'l2', title: 'Fog', exercises: ['c'] },
  ],
  stitches: [stitchOfOwn],
}

const exerciseId = fc.constantFrom('a', 'b', 'c', 'd')
const guideId = fc.constantFrom('g1', 'g2', 'g3', 'g4')
const threadId = fc.constantFrom('t1', 't2', 't3', 't4')
const lessonId = fc.constantFrom('l1', 'l2', 'l3')
const place = fc.nat(4)
const kind = <Kind extends string>(name: Kind) => fc.constant(name)
const maybe = <T>(one: fc.Arbitrary<T>) => fc.option(one, { nil: undefined })
const some = <T extends object>(shape: { [Key in keyof T]: fc.Arbitrary<T[Key]> }) => fc.record(shape, { requiredKeys: [] }) as fc.Arbitrary<Partial<T>>
const copies = fc.constantFrom(
  { kind: 'round' as const, centre: [5, 5] as const, count: 3 },
  { kind: 'rows' as const, columns: 2, rows: 2, stepMm: [9, 9] as const },
)

/** One generator a kind: the compiler asks for every kind there is. */
const KINDS: { readonly [Kind in SingleOperation['kind']]: fc.Arbitrary<Extract<SingleOperation, { kind: Kind }>> } = {
  'add-exercise': fc.record({
    kind: kind('add-exercise'),
    exercise: fc.record({ id: exerciseId, name: fc.constant('New'), stitch: fc.constantFrom('back-stitch', 'own'), on: guideId.map((guide) => [{ guide }]) }),
    at: place,
    taught: maybe(fc.record({ lesson: lessonId, at: place })),
  }),
  'add-group': fc.record({ kind: kind('add-group'), group: fc.record({ id: fc.constantFrom('m1', 'm2'), members: fc.constant(['g1']), copies }), at: place }),
  'add-guide': fc.record({
    kind: kind('add-guide'),
    guide: fc.record({ id: guideId, guide: fc.constant({ kind: 'ring' as const, at: [9, 9] as const, radiusMm: 4 }) }),
    at: place,
  }),
  'add-lesson': fc.record({ kind: kind('add-lesson'), lesson: fc.record({ id: lessonId, title: fc.string({ minLength: 1 }) }), at: place }),
  'add-thread': fc.record({
    kind: kind('add-thread'),
    thread: threadId.map((id) => ({ id, kind: 'stranded-cotton', colour: { name: 'Moss', hex: '#5F7048' } })),
    at: place,
  }),
  'arrange-lessons': fc.record({
    kind: kind('arrange-lessons'),
    lessons: fc
      .tuple(fc.shuffledSubarray(['l1', 'l2', 'l3']), fc.shuffledSubarray(['a', 'b', 'c', 'd']))
      .map(([lessons, ids]) => lessons.map((id, index) => ({ id, title: `New ${id}`, exercises: ids.filter((_, at) => at % lessons.length === index) }))),
  }),
  assign: fc.record({
    kind: kind('assign'),
    id: exerciseId,
    role: fc.constantFrom('main', 'tie'),
    set: some({ thread: threadId, strands: fc.integer({ min: 1, max: 6 }), shades: fc.subarray(['t1', 't2'], { minLength: 1 }) }),
    clear: fc.subarray(['needle', 'shades', 'strands'] as const),
  }),
  'change-brief': fc.record({
    kind: kind('change-brief'),
    set: some({ learners: fc.nat(20), purpose: fc.string(), waysOfWorking: fc.constant({ split: 'from-above' as const }) }),
    clear: fc.subarray(['lessons', 'purpose'] as const),
  }),
  'change-cloth': fc.record({
    kind: kind('change-cloth'),
    set: some({ widthMm: fc.integer({ min: 50, max: 400 }), threadsPerCm: fc.constantFrom(10, null) }),
    clear: fc.subarray(['thicknessMm'] as const),
  }),
  'change-exercise': fc.record({
    kind: kind('change-exercise'),
    id: exerciseId,
    set: some({
      note: fc.string(),
      name: fc.string({ minLength: 1 }),
      over: fc.subarray(['a', 'b'], { minLength: 1 }),
      pins: fc.constantFrom({ lesson: 'l1' }, { before: ['b', 'c'] }, { first: true, after: ['a'] }),
      substitutes: fc.constant([{ stitch: 'own' }]),
    }),
    clear: fc.subarray(['marks', 'nth', 'note'] as const),
  }),
  'change-group': fc.record({
    kind: kind('change-group'),
    id: fc.constantFrom('m1', 'm2'),
    set: some({ name: fc.string(), copies }),
    clear: fc.subarray(['copies'] as const),
  }),
  'change-guide': fc.record({
    kind: kind('change-guide'),
    id: guideId,
    set: some({ name: fc.string(), draft: fc.boolean(), copies }),
    clear: fc.subarray(['layer', 'copies'] as const),
  }),
  'change-thread': fc.record({
    kind: kind('change-thread'),
    id: threadId,
    set: some({ weight: fc.constant('8'), kind: fc.constant('pearl-cotton') }),
    clear: fc.subarray(['weight'] as const),
  }),
  'drop-order': fc.record({ kind: kind('drop-order'), id: fc.constantFrom('o1', 'o2') }),
  'keep-order': fc.record({
    kind: kind('keep-order'),
    order: fc.record({ id: fc.constantFrom('o1', 'o2'), name: fc.constantFrom('One', 'Two'), lessons: fc.constantFrom([['a'], ['b']], [['c', 'a']]) }),
    at: place,
  }),
  'move-exercise': fc.record({ kind: kind('move-exercise'), id: exerciseId, to: fc.option(fc.record({ lesson: lessonId, at: place })) }),
  'put-stitch': fc.record({
    kind: kind('put-stitch'),
    stitch: fc.constantFrom('own', 'other').map((id) => ({ ...stitchOfOwn, id, name: `Written ${id}` })),
    at: maybe(place),
  }),
  'remove-exercise': fc.record({ kind: kind('remove-exercise'), id: exerciseId }),
  'remove-group': fc.record({ kind: kind('remove-group'), id: fc.constantFrom('m1', 'm2') }),
  'remove-guide': fc.record({ kind: kind('remove-guide'), id: guideId }),
  'remove-lesson': fc.record({ kind: kind('remove-lesson'), id: lessonId }),
  'remove-stitch': fc.record({ kind: kind('remove-stitch'), id: fc.constantFrom('own', 'other') }),
  'remove-thread': fc.record({ kind: kind('remove-thread'), id: threadId }),
  rename: fc.record({ kind: kind('rename'), name: fc.string({ minLength: 1 }) }),
  'rename-lesson': fc.record({ kind: kind('rename-lesson'), id: lessonId, title: fc.string({ minLength: 1 }) }),
  'set-display-hoop': fc.record({
    kind: kind('set-display-hoop'),
    hoop: fc.constantFrom(null, { shape: 'oval' as const, insideMm: [200, 150] as const, at: [155, 155] as const }),
  }),
  'set-hoop': fc.record({ kind: kind('set-hoop'), hoop: fc.constant(null) }),
  'set-parameters': fc.record({
    kind: kind('set-parameters'),
    id: exerciseId,
    set: some({ L: fc.integer({ min: 1, max: 9 }), G: fc.constant(2) }),
    clear: fc.subarray(['f', 'G']),
  }),
  'set-units': fc.record({ kind: kind('set-units'), units: fc.constantFrom('mm' as const, 'in' as const) }),
  'transform-guides': fc.record({
    kind: kind('transform-guides'),
    ids: fc.subarray(['g1', 'g2', 'g3', 'g4'], { minLength: 1 }),
    matrix: fc.integer({ min: 0, max: 6 }).map((turn) => turnAbout({ x: 20, y: 20 }, turn)),
  }),
}

const single: fc.Arbitrary<Operation> = fc.oneof(...Object.values(KINDS))
const operation: fc.Arbitrary<Operation> = fc.oneof(
  { weight: 6, arbitrary: single },
  { weight: 1, arbitrary: fc.array(single, { minLength: 1, maxLength: 5 }).map((operations): Operation => ({ kind: 'batch', operations })) },
)

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
