/** Practice: events in any order come to the same, and to one thing to do next. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type CourseLesson, lessonNow, practiceOf, type PracticeEvent, whatNext } from './index.ts'

let made = 0
type Told = Record<string, unknown> & { readonly kind: PracticeEvent['kind'] }
const event = (told: Told, at = `2027-01-14T18:30:${String(made).padStart(2, '0')}.000Z`): PracticeEvent =>
  ({ id: `e${(made += 1)}`, at, learner: 'ida', by: 'learner', ...told }) as unknown as PracticeEvent
const of = (events: readonly PracticeEvent[], exercise = 'rain') => practiceOf(events, 'ida').exercises.get(exercise)

describe('an exercise', () => {
  it('is practised once minutes or a piece are told, and untouched again when they are taken back', () => {
    expect(of([])).toBeUndefined()
    const piece = event({ kind: 'piece', exercise: 'rain', piece: 2, worked: true })
    expect(of([piece])).toMatchObject({ state: 'practising', minutes: 0, pieces: [2], stuckAt: null, rows: [] })
    expect(of([piece, event({ kind: 'piece', exercise: 'rain', piece: 2, worked: false })])?.state).toBe('untouched')
    const minutes = [event({ kind: 'minutes', exercise: 'rain', minutes: 12 }), event({ kind: 'minutes', exercise: 'rain', minutes: 8 })]
    expect(of([piece, ...minutes])).toMatchObject({ state: 'practising', minutes: 20 })
  })

  it('that one is stuck in is so until it is got over, or can be done; minutes alone do not end it', () => {
    const stuck = event({ kind: 'stuck', exercise: 'rain', stuck: true, step: 4 })
    const minutes = event({ kind: 'minutes', exercise: 'rain', minutes: 5 })
    expect(of([stuck, minutes])).toMatchObject({ state: 'stuck', stuckAt: 4, minutes: 5 })
    expect(of([stuck, event({ kind: 'stuck', exercise: 'rain', stuck: false, step: null })])).toMatchObject({ state: 'practising', stuckAt: null })
    const can = event({ kind: 'can', exercise: 'rain', can: true })
    expect(of([stuck, minutes, can])).toMatchObject({ state: 'can', stuckAt: null })
    expect(of([stuck, minutes, can, event({ kind: 'can', exercise: 'rain', can: false })])?.state).toBe('practising')
  })

  it('is hers alone', () => {
    const others = { ...event({ kind: 'minutes', exercise: 'rain', minutes: 90 }), learner: 'ben' }
    expect(of([others])).toBeUndefined()
  })
})

it('events told twice, in any order and by two devices come to the same', () => {
  const told = fc.oneof(
    fc.record({ kind: fc.constant('piece'), exercise: fc.constantFrom('rain', 'fog'), piece: fc.nat(3), worked: fc.boolean() }),
    fc.record({ kind: fc.constant('can'), exercise: fc.constantFrom('rain', 'fog'), can: fc.boolean() }),
    fc.record({ kind: fc.constant('minutes'), exercise: fc.constantFrom('rain', 'fog'), minutes: fc.integer({ min: 1, max: 60 }) }),
    fc.record({ kind: fc.constant('needlefuls'), exercise: fc.constantFrom('rain', 'fog'), count: fc.integer({ min: -3, max: 5 }) }),
    fc.record({ kind: fc.constant('stuck'), exercise: fc.constantFrom('rain', 'fog'), stuck: fc.boolean(), step: fc.option(fc.nat(9)) }),
    fc.record({ kind: fc.constant('question'), exercise: fc.constant('rain'), asked: fc.string() }),
    fc.record({ kind: fc.constant('came'), lesson: fc.constantFrom('l1', 'l2'), came: fc.boolean() }),
  )
  const history = fc.array(fc.tuple(told, fc.integer({ min: 0, max: 5 })), { maxLength: 12 })
  fc.assert(
    fc.property(history, fc.nat(1000), fc.nat(1000), (given, a, b) => {
      const events = given.map(([one, second], index) => ({ ...event(one as Told, `2027-01-14T18:30:0${second}.000Z`), id: `e${index}` }))
      const shuffled = [...events, ...events.slice(0, a % (events.length + 1))].sort(
        (x, y) => ((x.id.charCodeAt(1) * 31 + b) % 7) - ((y.id.charCodeAt(1) * 31 + b) % 7),
      )
      expect(practiceOf(shuffled, 'ida')).toEqual(practiceOf(events, 'ida'))
      const minutes = events.flatMap((one) => (one.kind === 'minutes' ? [one.minutes] : [])).reduce((sum, one) => sum + one, 0)
      expect([...practiceOf(shuffled, 'ida').exercises.values()].reduce((sum, one) => sum + one.minutes, 0)).toBe(minutes)
    }),
    { seed: 3, numRuns: 300 },
  )
})

describe('what next', () => {
  const lessons: readonly CourseLesson[] = [
    { id: 'l1', exercises: ['rain', 'rule'], on: '2027-01-14' },
    { id: 'l2', exercises: ['front'], on: '2027-01-21' },
    { id: 'l3', exercises: ['breeze'], on: '2027-01-28' },
  ]
  const can = (...exercises: string[]) => exercises.map((exercise) => event({ kind: 'can', exercise, can: true }))
  const next = (events: readonly PracticeEvent[], today: string) => whatNext(practiceOf(events, 'ida'), lessons, today, () => 20)

  it('before the first lesson one is ready for it; in its week one practises it', () => {
    expect(next([], '2027-01-10')).toEqual({ kind: 'ready', lesson: 'l1' })
    expect(next([], '2027-01-14')).toEqual({ kind: 'practise', exercise: 'rain', minutes: 0, planned: 20 })
    expect(next([...can('rain'), event({ kind: 'minutes', exercise: 'rule', minutes: 7 })], '2027-01-20')).toEqual({
      ...{ kind: 'practise', exercise: 'rule', minutes: 7, planned: 20 },
    })
  })

  it('what her last photographed row asks for is the reason; one row makes a piece practised, and rows keep their order', () => {
    const row = (spreadMm: number) => ({
      ...{ method: 1, isCounted: true, isPutRight: false, kind: 'end-to-end', count: 20, lengthMm: 2.5, spreadMm, plannedMm: 2.5, firstMm: 2.5, lastMm: 2.5 },
      ...{ gapMm: null, plannedGapMm: null, driftMm: 0.1, leanDeg: null, widestGapMm: null },
    })
    const rows = [0.7, 0.8, 0.75].map((spreadMm) => event({ kind: 'row', exercise: 'rain', row: row(spreadMm) }))
    expect(of([rows[1], rows[0]] as PracticeEvent[])).toMatchObject({ state: 'practising', rows: [row(0.7), row(0.8)] })
    expect(next(rows.slice(0, 1), '2027-01-14')).toMatchObject({ kind: 'practise', advice: { kind: 'uneven', beforeMm: null } })
    expect(next(rows, '2027-01-14')).toMatchObject({ kind: 'practise', advice: { kind: 'larger' } })
  })

  it('what the class has had is caught up first, with the lessons named; and help goes before all', () => {
    expect(next(can('rain'), '2027-01-28')).toEqual({ kind: 'catch-up', lessons: ['l1', 'l2'], exercise: 'rule' })
    const stuck = event({ kind: 'stuck', exercise: 'breeze', stuck: true, step: 3 })
    expect(next([...can('rain'), stuck], '2027-01-28')).toEqual({ kind: 'help', exercise: 'breeze', step: 3 })
  })

  it('who can do all so far is ready for the next, ahead once it is begun, and finished at the end', () => {
    const two = can('rain', 'rule', 'front')
    expect(next(two, '2027-01-22')).toEqual({ kind: 'ready', lesson: 'l3' })
    expect(next([...two, event({ kind: 'minutes', exercise: 'breeze', minutes: 5 })], '2027-01-22')).toEqual({ kind: 'ahead', exercise: 'breeze' })
    expect(next([...two, ...can('breeze')], '2027-01-22')).toEqual({ kind: 'finished' })
  })

  it('in a course without dates is its next piece, whatever was begun before its time', () => {
    const undated = lessons.map((one) => ({ ...one, on: null }))
    const of = (events: readonly PracticeEvent[]) => whatNext(practiceOf(events, 'ida'), undated, '2027-01-22', () => 20)
    const early = event({ kind: 'minutes', exercise: 'breeze', minutes: 5 })
    expect(of([...can('rain'), early])).toEqual({ kind: 'practise', exercise: 'rule', minutes: 0, planned: 20 })
    expect(of(can('rain', 'rule', 'front', 'breeze'))).toEqual({ kind: 'finished' })
  })

  it('the lesson that is on is the last that was held', () => {
    expect(['2027-01-01', '2027-01-14', '2027-01-27', '2027-03-01'].map((day) => lessonNow(lessons, day))).toEqual(['l1', 'l1', 'l2', 'l3'])
    expect(lessonNow([], '2027-01-01')).toBeNull()
    expect(lessonNow([{ id: 'l1', exercises: [], on: null }], '2027-01-01')).toBe('l1')
  })
})
