/** Edits of every kind at random, on a small sampler with all that edits can touch. */
import { turnAbout } from '@lemmata/core/geometry'
import { newSampler, type Operation, type Sampler, type SingleOperation } from '@lemmata/core/sampler'
import type { StitchDocument } from '@lemmata/core/notation'
import fc from 'fast-check'

const stitchOfOwn: StitchDocument = {
  format: 'lemmata-stitch',
  version: 1,
  id: 'own',
  name: 'Own',
  guide: ['line'],
  parameters: { L: 3 },
  passes: [{ name: 'line', place: { along: { step: ['L'] } }, start: [{ up: [0, 0] }], repeat: [{ down: ['L', 0] }], end: [{ down: [0, 0] }] }],
}
export const editedSampler: Sampler = {
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
  'put-back': fc.record({ kind: kind('put-back'), document: fc.constantFrom('Before', 'Long ago').map((name) => ({ ...editedSampler, name })) }),
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
  'set-underlay': fc.record({
    kind: kind('set-underlay'),
    underlay: fc.constantFrom(null, { picture: '6f1c1a52-3a0e-4f0e-9d2b-2f7f6a0f9b11', at: [100, 90] as const, widthMm: 120, heightShare: 0.75 }),
  }),
  'set-units': fc.record({ kind: kind('set-units'), units: fc.constantFrom('mm' as const, 'in' as const) }),
  'transform-guides': fc.record({
    kind: kind('transform-guides'),
    ids: fc.subarray(['g1', 'g2', 'g3', 'g4'], { minLength: 1 }),
    matrix: fc.integer({ min: 0, max: 6 }).map((turn) => turnAbout({ x: 20, y: 20 }, turn)),
  }),
}

const single: fc.Arbitrary<Operation> = fc.oneof(...Object.values(KINDS))
export const anyOperation: fc.Arbitrary<Operation> = fc.oneof(
  { weight: 6, arbitrary: single },
  { weight: 1, arbitrary: fc.array(single, { minLength: 1, maxLength: 5 }).map((operations): Operation => ({ kind: 'batch', operations })) },
)
