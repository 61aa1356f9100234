/** The demo samplers as a teacher meets them: everything worked, nothing to mend, no rule broken. And the ways of drawing them. */
import { workSampler } from '@lemmata/core/exercise'
import { problemsOnCloth } from '@lemmata/core/mend'
import { brokenRules, courseOf, courseSettings, planOf } from '@lemmata/core/order'
import { contrast } from '@lemmata/core/materials'
import { practiceOf, whatNext } from '@lemmata/core/practice'
import { describe, expect, it } from 'vitest'
import { problemInWords } from '../problem-words.ts'
import { diaryClass, sixThursdays, thursdayClass, thursdayPractice, weatherDiary } from './index.ts'
import { markPractice } from '../api/learning.ts'
import { type At, cutAcross, leaf, outlineOfArcs, smooth, wave } from './paths.ts'

describe.each([
  ['Weather Diary', weatherDiary()],
  ['Six Thursdays', sixThursdays('2026-11-26')],
] as const)('%s', (_, sampler) => {
  const worked = workSampler(sampler)

  it('is worked whole, lies inside its hoop, and has nothing to mend', () => {
    expect(worked.done.length).toBe(sampler.exercises.length)
    const said = worked.done.flatMap((one) => problemsOnCloth(one, sampler, worked.done).map((problem) => `${one.exercise.name}: ${problemInWords(problem)}`))
    expect(said).toEqual([])
  })

  it('is taught in the order of its lessons without a broken rule', () => {
    const course = courseOf(worked.done)
    const settings = courseSettings(sampler)
    expect(brokenRules(course, planOf(sampler, course, settings), settings).map((rule) => rule.sentence)).toEqual([])
    expect(sampler.lessons.flatMap((one) => one.exercises).length).toBe(sampler.exercises.length)
  })

  it('uses every thread that it lists, and each shows on the cloth: three to one', () => {
    const used = new Set(worked.done.flatMap((one) => one.threads.map((thread) => thread.thread.id)))
    expect(sampler.threads.filter((thread) => !used.has(thread.id)).map((thread) => thread.colour.name)).toEqual([])
    for (const { colour } of sampler.threads) expect(contrast(colour.hex, sampler.cloth.colour.hex), colour.name).toBeGreaterThanOrEqual(3)
  })
})

it('the class chooses among what there is', () => {
  const sampler = weatherDiary()
  for (const learner of diaryClass().learners)
    for (const [exercise, { thread }] of Object.entries(learner.choices)) {
      expect(sampler.exercises.some((one) => one.id === exercise)).toBe(true)
      if (thread !== undefined) expect(sampler.threads.some((one) => one.id === thread)).toBe(true)
    }
})

it('six Thursdays are dated from the day they are loaded: three held, one skipped, ten learners, two of them left-handed', () => {
  // The 26th of November 2026 is a Thursday.
  const { startDate, everyDays, skipDates } = sixThursdays('2026-11-26').brief
  expect([startDate, everyDays, skipDates]).toEqual(['2026-11-05', 7, ['2026-11-26']])
  expect(sixThursdays('2026-11-25').brief.startDate).toBe('2026-10-29')
  const { learners, calendar } = thursdayClass('2026-11-26')
  expect([calendar?.start, Object.keys(calendar?.off ?? {})]).toEqual(['2026-11-05', ['2026-11-26']])
  expect([learners.length, learners.filter((one) => one.hand === 'left').length]).toEqual([10, 2])
})

it('their term is half over: three lessons held, two missed, one learner stuck, one ahead, all of it told by the tellable', () => {
  const sampler = sixThursdays('2026-11-26')
  const group = thursdayClass('2026-11-26')
  const told = thursdayPractice(
    sampler,
    group,
    '2026-11-26',
    () => 20,
    () => 3,
  )
  // Whatever ids they are given, what was told last is the last.
  const events = told.map((one, index) => ({ ...one, id: `00000000-0000-4000-8000-${String(999_999 - index).padStart(12, '0')}` }))
  const rows = [...practiceOf(events, group.learners[0]?.id ?? '').exercises.values()].map((one) => one.rows.map((row) => row.spreadMm / row.lengthMm))
  expect(rows.some((one) => one.length > 1)).toBe(true)
  for (const one of rows) expect(one).toEqual([...one].sort((a, b) => b - a))
  for (const one of events) expect(markPractice.safeParse({ events: [one] }).success, JSON.stringify(one)).toBe(true)
  const lessons = sampler.lessons.map((one, index) => ({
    ...one,
    on: ['2026-11-05', '2026-11-12', '2026-11-19', '2026-12-03', '2026-12-10', '2026-12-17'][index] ?? null,
  }))
  const next = group.learners.map(({ id }) => whatNext(practiceOf(events, id), lessons, '2026-11-26', () => 20).kind)
  expect(next.filter((one) => one === 'help')).toHaveLength(1)
  expect(next.filter((one) => one === 'ahead')).toHaveLength(1)
  expect(next).toContain('catch-up')
  const missed = events.filter((one) => one.kind === 'came' && !one.came)
  expect([missed.length, new Set(events.flatMap((one) => (one.kind === 'came' ? [one.lesson] : []))).size]).toEqual([2, 3])
})

describe('drawing', () => {
  const places = (path: string): At[] => [...path.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map((one): At => [Number(one[1]), Number(one[2])])
  const area = (points: readonly At[]): number =>
    Math.abs(
      points.reduce((sum, [x, y], index) => sum + x * (points[(index + 1) % points.length] as At)[1] - (points[(index + 1) % points.length] as At)[0] * y, 0) /
        2,
    )

  it('a shape cut by waves is as large as its parts, which share their cuts', () => {
    // A disc of radius 10 about (0, 0), from its leftmost place.
    const disc = outlineOfArcs(
      [-10, 0],
      [
        { to: [0, -10], radius: 10 },
        { to: [10, 0], radius: 10 },
        { to: [0, 10], radius: 10 },
        { to: [-10, 0], radius: 10 },
      ],
    )
    const waves = [(x: number): number => -3 + Math.sin(x), (x: number): number => 4 + 0.5 * Math.sin(x)]
    const parts = cutAcross(disc, waves).map(places)
    expect(parts).toHaveLength(3)
    const whole = Math.PI * 100
    expect(parts.reduce((sum, part) => sum + area(part), 0)).toBeGreaterThan(0.99 * whole)
    expect(parts.reduce((sum, part) => sum + area(part), 0)).toBeLessThan(1.01 * whole)
    const onCut = (part: readonly At[], of: (x: number) => number): At[] => part.filter(([x, y]) => Math.abs(y - of(x)) < 0.02)
    expect(onCut(parts[0] as At[], waves[0] as (x: number) => number).length).toBeGreaterThan(20)
    expect(Math.max(...(parts[0] as At[]).map(([x, y]) => y - (waves[0] as (x: number) => number)(x)))).toBeLessThan(0.02)
    expect(Math.min(...(parts[1] as At[]).map(([x, y]) => y - (waves[0] as (x: number) => number)(x)))).toBeGreaterThan(-0.02)
  })

  it('a leaf has its tips, its width and its widest place', () => {
    const guide = leaf([0, 0], [20, 0], 6, 0.4)
    const points = guide.kind === 'shape' ? places(guide.path) : []
    expect(points[0]).toEqual([0, 0])
    expect(points).toContainEqual([20, 0])
    // Across the axis at 0.4 of 20: 3 to each side.
    expect(points).toContainEqual([8, 3])
    expect(points).toContainEqual([8, -3])
  })

  it('a smooth way goes through its places; a wave ends where it should', () => {
    const way = wave([0, 0], [20, 0], 2, 1.5)
    expect(way[0]).toEqual([0, 0])
    expect(way.at(-1)?.[0]).toBeCloseTo(20, 9)
    expect(way.at(-1)?.[1]).toBeCloseTo(0, 9)
    expect(Math.max(...way.map(([, y]) => y))).toBeCloseTo(1.5, 2)
    const path = places(
      smooth([
        [0, 0],
        [5, 5],
        [10, 0],
      ]),
    )
    for (const place of [
      [0, 0],
      [5, 5],
      [10, 0],
    ])
      expect(path).toContainEqual(place)
  })
})
