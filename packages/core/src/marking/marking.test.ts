/** Marks: which suits which cloth and course, against what teachers say; what thread covers, reckoned by hand. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { workExercise, type WorkedExercise } from '../exercise/index.ts'
import { layAlone, type Marking, newSampler, type Sampler } from '../sampler/index.ts'
import { adviseMarking, bareMarks, bareShareOf, GERMAN_MARKING, GERMAN_METHODS, MARK_METHODS, MARKING_SENTENCES, type MarkVerdict, seenMarks } from './index.ts'

const plain = newSampler('Marks')
const lessons = (count: number) => Array.from({ length: count }, (_, index) => ({ id: `l${index}`, title: 'x', exercises: [] }))
function advice(cloth: Partial<Sampler['cloth']>, marking: Marking = {}, course: { lessons?: number; everyDays?: number } = {}, bare: number | null = 0) {
  const list = adviseMarking(
    { cloth: { ...plain.cloth, ...cloth }, brief: { ...plain.brief, everyDays: course.everyDays ?? 7, marking }, lessons: lessons(course.lessons ?? 1) },
    () => bare,
  )
  const of = (id: string) => {
    const one = list.find(({ method }) => method.id === id)
    return { verdict: one?.verdict as MarkVerdict, codes: one?.reasons.map((reason) => reason.code) ?? [] }
  }
  return { list, of }
}

describe('which way of marking', () => {
  it('on pale linen that is washed a water-erasable pen serves, with its caution; white ones do not', () => {
    const { list, of } = advice({ kind: 'linen-cotton' })
    expect(list).toHaveLength(MARK_METHODS.length)
    expect(of('water-pen')).toEqual({ verdict: 'with-care', codes: ['marking.no-heat-first'] })
    expect(of('white-water-pen').verdict).toBe('no')
    expect(of('film')).toEqual({ verdict: 'suits', codes: ['marking.drags'] })
    expect(list[0]?.verdict).toBe('suits')
    expect(list.findIndex((one) => one.verdict === 'no')).toBeGreaterThan(list.findIndex((one) => one.verdict === 'with-care'))
  })

  it('on navy a white pen, with a strong light; through denim and felt nothing is traced', () => {
    const navy = advice({ kind: 'plain-cotton', colour: { name: 'Navy', hex: '#1F2A44' } })
    expect(navy.of('white-water-pen').codes).toContain('marking.strong-light')
    expect(navy.of('water-pen').codes).toContain('marking.not-on-dark')
    const denim = advice({ kind: 'denim', colour: { name: 'Denim', hex: '#5B6B86' } })
    expect(denim.of('water-pen').codes).toContain('marking.not-seen-through')
    expect(denim.of('transfer-paper').codes).not.toContain('marking.not-seen-through')
    expect(advice({ kind: 'felt', threadsPerCm: null }).of('transfer-paper').codes).toContain('marking.nap')
    expect(advice({ kind: 'felt', threadsPerCm: null }).of('tacking').verdict).toBe('suits')
  })

  it('fading ink goes before a course of six Thursdays ends; for one evening it serves', () => {
    expect(advice({}, {}, { lessons: 6 }).list.find((one) => one.method.id === 'fading-pen')?.reasons).toContainEqual({
      code: 'marking.fades',
      figures: { days: 35 },
    })
    expect(advice({}, {}, { lessons: 1 }).of('fading-pen').codes).not.toContain('marking.fades')
  })

  it('what must not be wetted, ironed or get cold rules out what needs it', () => {
    const dry = advice({}, { washable: false })
    expect([dry.of('water-pen').verdict, dry.of('film').verdict, dry.of('transfer-paper').verdict]).toEqual(['no', 'no', 'no'])
    expect(advice({}, { ironed: false }).of('heat-pen').verdict).toBe('no')
    expect(advice({}, { cold: true }).of('heat-pen')).toEqual({ verdict: 'no', codes: ['marking.returns-in-cold'] })
    expect(advice({}).of('heat-pen')).toEqual({ verdict: 'with-care', codes: ['marking.may-return'] })
  })

  it('what stays must be covered: pencil beside running stitches does not suit, under satin it does', () => {
    expect(advice({}, {}, {}, 0.45).of('pencil')).toEqual({ verdict: 'no', codes: ['marking.stays-bare'] })
    expect(advice({}, {}, {}, 0.02).of('pencil').verdict).toBe('suits')
    expect(advice({}, {}, {}, 0.45).of('iron-on').codes).toEqual(['marking.stays-bare', 'marking.mirrored'])
  })
})

describe('what thread covers', () => {
  const work = (stitch: string, path: string, more: object = {}): WorkedExercise => {
    const done = workExercise(layAlone({ id: 'e', name: 'Row', stitch, marks: 'guide-only', ...more }, { kind: 'line', path }), surroundingsOf(plain))
    if (!done.ok) throw new Error(done.problems[0]?.code)
    return done.value
  }
  const line = 'M 20 40 L 100 40'
  const share = (done: WorkedExercise, lineMm: number): number => bareShareOf(bareMarks([done], lineMm)) ?? NaN

  it('of a fine line under back stitch nearly nothing is seen, under running stitch as much as its gaps are long', () => {
    const strands = { materials: { main: { strands: 6 } } }
    expect(share(work('back-stitch', line, strands), 0.4)).toBeLessThan(0.03)
    // Stitches of 4 and gaps of 3: three sevenths, less half a thread at both ends of each gap.
    const running = share(work('running-stitch', line, { ...strands, parameters: { L: 4, G: 3 } }), 0.4)
    expect(running).toBeGreaterThan(0.3)
    expect(running).toBeLessThan(0.43)
  })

  it('a broad line is seen at both sides of a fine thread, and its area is length by width', () => {
    const [one] = bareMarks([work('back-stitch', line, { materials: { main: { strands: 1 } } })], 1)
    expect(one?.markedMm2).toBeCloseTo(80, 1)
    expect((one?.bareMm2 ?? 0) / (one?.markedMm2 ?? 1)).toBeGreaterThan(0.6)
  })

  it('what lies over it counts, and what has no marks has nothing to be seen', () => {
    const [bare, over] = [work('running-stitch', line), work('back-stitch', line, { materials: { main: { strands: 6 } }, marks: 'none' })]
    expect(bareShareOf(bareMarks([bare, over], 0.4).slice(0, 1)) ?? NaN).toBeLessThan(0.03)
    expect(bareShareOf(bareMarks([over], 0.4))).toBeNull()
    expect(seenMarks(bareMarks([bare], 0.4)).map((one) => one.exercise.name)).toEqual(['Row'])
    expect(seenMarks(bareMarks([over, bare], 0.4))).toEqual([])
  })
})

it('every reason and every way of marking has its German', () => {
  expect(Object.keys(GERMAN_MARKING).sort()).toEqual(Object.keys(MARKING_SENTENCES).sort())
  for (const [code, sentence] of Object.entries(MARKING_SENTENCES)) {
    const figures = (text: unknown): readonly string[] => [...String(text).matchAll(/\{\w+\}/g)].map(([one]) => one)
    expect(figures(GERMAN_MARKING[code]), code).toEqual(figures(sentence))
  }
  for (const { id } of MARK_METHODS) expect(GERMAN_METHODS[id], id).toBeTruthy()
})
