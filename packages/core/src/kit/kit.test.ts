/** Cutting and parting, by hand and against every way there is; what a kit holds. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { workExercise, type WorkedExercise } from '../exercise/index.ts'
import { layExercises, newSampler, type Exercise, type Sampler } from '../sampler/index.ts'
import { sentenceOf } from '../testing/index.ts'
import { type Bundles, cutPutUps, fewestLengths, partStrands, planKit, threadsForKit, unpickedShare } from './index.ts'

const SKEIN_MM = 8000

describe('a length is parted into bundles', () => {
  it('thirty-six needlefuls of two strands are twelve lengths, and come out of one skein; for twelve learners nine', () => {
    const [one, twelve] = [1, 12].map((kits) => partStrands([{ strands: 2, count: 36 * kits }], 6).lengths)
    expect([one, twelve]).toEqual([12, 144])
    // 17 lengths of 45 cm in 8 m.
    expect(cutPutUps([{ lengthMm: 450, count: 12 }], SKEIN_MM)).toMatchObject({ putUps: 1, leftMm: 8000 - 12 * 450 })
    expect(cutPutUps([{ lengthMm: 450, count: 144 }], SKEIN_MM).putUps).toBe(9)
  })

  it('eleven bundles of three and twenty-two of two take thirteen lengths, with one strand over', () => {
    expect(
      partStrands(
        [
          { strands: 3, count: 11 },
          { strands: 2, count: 22 },
        ],
        6,
      ),
    ).toEqual({
      lengths: 13,
      partings: [
        { bundles: [2, 2, 2], lengths: 7 },
        { bundles: [3, 3], lengths: 5 },
        { bundles: [3, 2], lengths: 1 },
      ],
      spareStrands: 1,
    })
  })

  it('four strands leave two, which pair; five leave one', () => {
    expect(
      partStrands(
        [
          { strands: 4, count: 3 },
          { strands: 2, count: 3 },
        ],
        6,
      ),
    ).toMatchObject({ lengths: 3, spareStrands: 0 })
    expect(partStrands([{ strands: 5, count: 2 }], 6)).toMatchObject({ lengths: 2, spareStrands: 2 })
  })

  it('a thread that is not divided is cut as often as it is needed; two of it together are two lengths', () => {
    expect(partStrands([{ strands: 1, count: 7 }], 1)).toMatchObject({ lengths: 7, spareStrands: 0 })
    expect(partStrands([{ strands: 2, count: 7 }], 1)).toMatchObject({ lengths: 14, spareStrands: 0 })
    expect(partStrands([], 6)).toEqual({ lengths: 0, partings: [], spareStrands: 0 })
  })

  it.each([2, 4, 6])('of %d strands no fewer lengths would do: against every way there is', (strands) => {
    const sizes = Array.from({ length: strands }, (_, index) => index + 1)
    let tried = 0
    for (let code = 0; code < 4 ** sizes.length && tried < 700; code += strands === 6 ? 7 : 1) {
      const wanted: Bundles[] = sizes.map((size, index) => ({ strands: size, count: Math.floor(code / 4 ** index) % 4 }))
      const items = wanted.flatMap((one) => Array<number>(one.count).fill(one.strands))
      if (items.length > 9) continue
      tried += 1
      const { lengths } = partStrands(wanted, strands)
      expect(lengths, JSON.stringify(wanted)).toBe(leastBins(items, strands))
      expect(fewestLengths(wanted, strands)).toBeLessThanOrEqual(lengths)
    }
    expect(tried).toBeGreaterThan(strands === 2 ? 10 : 100)
  })
})

/** Every way of putting them together, smallest number of bins. */
function leastBins(items: readonly number[], room: number, bins: readonly number[] = []): number {
  const [first, ...rest] = [...items].sort((a, b) => b - a)
  if (first === undefined) return bins.length
  let best = leastBins(rest, room, [...bins, room - first])
  const seen = new Set<number>()
  for (const [index, left] of bins.entries()) {
    if (left < first || seen.has(left)) continue
    seen.add(left)
    best = Math.min(
      best,
      leastBins(
        rest,
        room,
        bins.map((one, at) => (at === index ? left - first : one)),
      ),
    )
  }
  return best
}

describe('lengths off skeins', () => {
  it('of several lengths the short ones fill what the long ones leave', () => {
    // Three of 3 m leave 2 m twice over: four of 50 cm each.
    expect(
      cutPutUps(
        [
          { lengthMm: 3000, count: 3 },
          { lengthMm: 500, count: 8 },
        ],
        SKEIN_MM,
      ),
    ).toEqual({ putUps: 2, leftMm: 3000, fewest: 2 })
  })

  it('never more than one over the least there can be, and every length is cut once', () => {
    for (let seed = 1; seed < 200; seed += 1) {
      const wanted = [450, 500, 350].map((lengthMm, index) => ({ lengthMm, count: (seed * (7 + 5 * index)) % 41 }))
      const { putUps, fewest, leftMm } = cutPutUps(wanted, SKEIN_MM)
      expect(putUps).toBeLessThanOrEqual(fewest + 1)
      expect(putUps * SKEIN_MM - leftMm).toBe(wanted.reduce((sum, one) => sum + one.lengthMm * one.count, 0))
    }
  })
})

const exercise = (id: string, stitch: string, y: number, more: Partial<Exercise> = {}): { exercise: Exercise; y: number } => ({
  exercise: { id, name: id, stitch, on: [{ guide: `g-${id}` }], ...more },
  y,
})

function course(brief: Partial<Sampler['brief']> = {}): { sampler: Sampler; done: readonly WorkedExercise[] } {
  const plain = newSampler('Kit')
  const all = [
    exercise('a', 'back-stitch', 40),
    exercise('b', 'couching-stitch', 60),
    exercise('c', 'bullion-knot', 80, { materials: { main: { thread: 't2', strands: 3 } } }),
  ]
  const sampler: Sampler = {
    ...plain,
    brief: { ...plain.brief, learners: 10, leftHanded: 2, sparePercent: 10, level: 'improver', ...brief },
    threads: [
      { id: 't1', kind: 'stranded-cotton', colour: { name: 'Rainwater', hex: '#336699' } },
      { id: 't2', kind: 'stranded-cotton', colour: { name: 'Low sun', hex: '#dd8800' } },
    ],
    drawing: {
      groups: [],
      guides: all.map(({ exercise: { id }, y }) => ({
        id: `g-${id}`,
        guide:
          id === 'c'
            ? {
                kind: 'spots' as const,
                at: [
                  [50, y],
                  [70, y],
                ] as const,
              }
            : { kind: 'line' as const, path: `M 40 ${y} H 140` },
      })),
    },
    exercises: all.map((one) => one.exercise),
    lessons: [{ id: 'l', title: 'All', exercises: ['a', 'b', 'c'] }],
  }
  const done = layExercises(sampler).map((laid) => {
    if (!laid.ok) throw new Error(sentenceOf(laid.problems))
    const worked = workExercise(laid.value, surroundingsOf(sampler))
    if (!worked.ok) throw new Error(sentenceOf(worked.problems))
    return worked.value
  })
  return { sampler, done }
}

describe('the kit of a class', () => {
  it('is for ten learners and one spare; what is cut for all is what is in each, eleven times', () => {
    const { sampler, done } = course()
    const kit = planKit(sampler, [...done].reverse())
    expect([kit.learners, kit.spares, kit.kits, kit.leftHanded]).toEqual([10, 1, 11, 2])
    expect(kit.colours.map((one) => one.thread.colour.name)).toEqual(['Rainwater', 'Low sun'])
    for (const { kit: one, lengths } of kit.colours) {
      const inEach = one.cut.reduce((sum, cut) => sum + cut.count, 0)
      const cutForAll = lengths.reduce((sum, { bundles }) => sum + bundles.reduce((total, bundle) => total + bundle.count, 0), 0)
      expect(cutForAll).toBe(11 * inEach)
      const worked = one.needlefuls.reduce((sum, needleful) => sum + needleful.count, 0)
      expect(inEach).toBe(worked + Math.ceil(unpickedShare({ level: 'improver' }) * worked))
    }
    expect(kit.threadsOnCard).toBe(kit.colours.reduce((sum, one) => sum + one.kit.cut.reduce((total, cut) => total + cut.count, 0), 0))
    // A piece for each kit and the teacher's own.
    expect(kit.cloth.count).toBe(12)
  })

  it('has for unpicking what a class told of, where it did: a quarter of eight needlefuls is two', () => {
    const { sampler, done } = course()
    const told = { ...sampler, brief: { ...sampler.brief, unpicked: { share: 0.25, learners: 9, on: '2026-11-12' } } }
    for (const { kit } of planKit(told, done).colours) {
      const worked = kit.needlefuls.reduce((sum, needleful) => sum + needleful.count, 0)
      expect(kit.spare).toBe(Math.ceil(worked / 4))
    }
    expect([unpickedShare({ level: 'beginner' }), unpickedShare(told.brief)]).toEqual([0.35, 0.25])
  })

  it('counts needlefuls by role as they are worked, and none is longer than what is cut less its tails', () => {
    const { done } = course()
    const all = threadsForKit(done, { level: 'experienced' }).flatMap((one) => one.needlefuls)
    for (const one of done)
      for (const { role, thread, use, needlefulMm, strands } of one.threads) {
        const found = all.find((needleful) => needleful.exercise === one.exercise.id && needleful.role === role && needleful.strands === strands.value)
        expect(found?.count, `${one.exercise.id} ${role} ${thread.id}`).toBe(use.needlefuls)
        expect((use.total - use.tails) / use.needlefuls).toBeLessThanOrEqual(needlefulMm - 130 + 1e-9)
      }
  })

  it('has every needle once, whichever exercises share it', () => {
    const { sampler, done } = course()
    const { needles } = planKit(sampler, done)
    const names = needles.map(({ needle }) => `${needle.family.id} ${needle.size}`)
    expect(new Set(names).size).toBe(names.length)
    expect(names.some((name) => name.startsWith('milliner'))).toBe(true)
    expect(needles.flatMap((one) => one.exercises)).toContain('c')
  })

  it('a course without exercises has an empty kit, and no learners no thread to cut', () => {
    const { sampler, done } = course({ learners: 0, leftHanded: 3 })
    const kit = planKit(sampler, done)
    expect(kit.kits).toBe(0)
    expect(kit.leftHanded).toBe(0)
    expect(kit.colours.every((one) => one.putUps === 0 && one.lengths.every((length) => length.parted.lengths === 0))).toBe(true)
    expect(planKit({ ...sampler, exercises: [] }, []).colours).toEqual([])
  })
})
