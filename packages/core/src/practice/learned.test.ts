/** What classes teach the minutes: nothing where nothing is told, the truth after two classes, and little by one who is unlike all others. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type ExercisePractice, learnedFrom, type LearnerPractice, UNTOUCHED } from './index.ts'

const planned = (): number => 20
const practice = (minutes: readonly (readonly [string, number])[], state: ExercisePractice['state'] = 'can'): LearnerPractice => ({
  exercises: new Map(minutes.map(([id, count]) => [id, { ...UNTOUCHED, state, minutes: count }])),
  came: new Map(),
  questions: [],
})

describe('by hand', () => {
  it('nothing told is the table, and so is what is not finished, or was not to be done at home', () => {
    expect(learnedFrom([], planned)).toEqual({ pace: 1, learners: 0, exercises: new Map() })
    expect(learnedFrom([practice([['rain', 60]], 'practising')], planned).pace).toBe(1)
    expect(learnedFrom([practice([['rain', 60]])], () => 0)).toEqual({ pace: 1, learners: 0, exercises: new Map() })
  })

  it('three who took twice as long draw it half the way, as three who are imagined took what the table says', () => {
    const three = ['a', 'b', 'c'].map(() =>
      practice([
        ['rain', 40],
        ['fog', 40],
      ]),
    )
    const { pace, learners, exercises } = learnedFrom(three, planned)
    // 2 to the power of 3 / (3 + 3).
    expect(pace).toBeCloseTo(Math.SQRT2, 12)
    expect(learners).toBe(3)
    // Neither of the two is longer than the other: what is left for each alone is nothing.
    expect(exercises.get('rain')).toEqual({ minutes: expect.closeTo(20 * Math.SQRT2, 9), learners: 3 })
  })

  it('an exercise that takes everyone longer than the others is longer by itself, and the others are shorter', () => {
    const six = Array.from({ length: 6 }, () =>
      practice([
        ['rain', 40],
        ['fog', 20],
        ['sun', 20],
        ['hail', 20],
      ]),
    )
    const { exercises } = learnedFrom(six, planned)
    const of = (id: string): number => exercises.get(id)?.minutes ?? 0
    // Each one's pace is the middle half of 0, 0, 0, ln 2: nothing. What is left of rain is ln 2, drawn by 6 / (6 + 6).
    expect(of('rain')).toBeCloseTo(20 * Math.SQRT2, 9)
    expect(of('fog')).toBeCloseTo(20, 9)
  })
})

/** Learners of known truth, by a seeded hand. */
function classesOf(seed: number, learners: number, truth: { readonly pace: number; readonly of: readonly number[] }): readonly LearnerPractice[] {
  let state = seed >>> 0
  const random = (): number => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0
    return (state + 0.5) / 4_294_967_296
  }
  const normal = (): number => Math.sqrt(-2 * Math.log(random())) * Math.cos(2 * Math.PI * random())
  return Array.from({ length: learners }, () => {
    const own = truth.pace * Math.exp(0.2 * normal())
    return practice(truth.of.map((factor, index) => [`e${index}`, Math.max(1, 20 * own * factor * Math.exp(0.25 * normal()))] as const))
  })
}

const TRUTH = { pace: 1.25, of: [1, 1.2, 0.85, 1, 1.1, 0.9, 1, 1, 1.15, 0.8, 1, 1] }

it('after two classes of fourteen the class\u2019s pace is within a tenth of its truth, nineteen times in twenty', () => {
  const off = Array.from({ length: 200 }, (_, seed) => Math.abs(learnedFrom(classesOf(seed + 1, 28, TRUTH), planned).pace / TRUTH.pace - 1)).sort(
    (a, b) => a - b,
  )
  expect(off[189]).toBeLessThan(0.1)
})

it('one who is unlike all others moves it by less than a twentieth, however wild', () => {
  fc.assert(
    fc.property(fc.nat(10_000), fc.double({ min: 0.01, max: 50, noNaN: true }), (seed, wild) => {
      const all = classesOf(seed + 1, 20, TRUTH)
      const stranger = practice(TRUTH.of.map((_, index) => [`e${index}`, Math.max(1, 20 * wild)] as const))
      const moved = learnedFrom([...all, stranger], planned).pace / learnedFrom(all, planned).pace
      expect(Math.abs(moved - 1)).toBeLessThan(0.05)
    }),
    { seed: 9, numRuns: 200 },
  )
})

it('longer told is never shorter learned', () => {
  const minutes = fc.array(fc.integer({ min: 1, max: 90 }), { minLength: 1, maxLength: 9 })
  fc.assert(
    fc.property(minutes, fc.nat(8), fc.integer({ min: 1, max: 60 }), (given, at, more) => {
      const of = (told: readonly number[]) =>
        learnedFrom(
          told.map((count) => practice([['rain', count]])),
          planned,
        ).exercises.get('rain')?.minutes ?? 0
      const longer = given.map((count, index) => (index === at % given.length ? count + more : count))
      expect(of(longer)).toBeGreaterThanOrEqual(of(given) - 1e-9)
    }),
    { seed: 4, numRuns: 200 },
  )
})
