/** Each mend, applied, takes its problem away. */
import { describe, expect, it } from 'vitest'
import type { Problem } from '../base/index.ts'
import { workSampler } from '../exercise/index.ts'
import { reachOutside } from '../extent/index.ts'
import { applyOperation, type DrawnGuide, type Exercise, newSampler, type Sampler } from '../sampler/index.ts'
import { mendFor, outsideProblem, placeOfProblem, problemsOnCloth } from './index.ts'
import { sentenceOf } from '../testing/index.ts'

const EXERCISE: Exercise = { id: 'e', name: 'Rain', stitch: 'back-stitch', on: [{ guide: 'g' }] }
const samplerWith = (guide: DrawnGuide['guide'], exercise: Partial<Exercise> = {}, copies?: DrawnGuide['copies']): Sampler => ({
  ...newSampler('Mends'),
  drawing: { guides: [{ id: 'g', guide, ...(copies ? { copies } : {}) }], groups: [] },
  exercises: [{ ...EXERCISE, ...exercise }],
})
const exerciseOf = (sampler: Sampler): Exercise => sampler.exercises[0] as Exercise

function problemsOf(sampler: Sampler): readonly Problem[] {
  const result = workSampler(sampler).results.get('e')
  if (!result) throw new Error('not worked')
  if (!result.ok) return result.problems
  const outside = outsideProblem(result.value, sampler)
  return outside ? [outside, ...result.value.problems] : result.value.problems
}

function mended(sampler: Sampler, code: string): Sampler {
  const problem = problemsOf(sampler).find((one) => one.code === code)
  if (!problem) throw new Error(`no ${code} here`)
  const mend = mendFor(problem, exerciseOf(sampler), workSampler(sampler).done[0] ?? null, sampler, [])
  if (!mend) throw new Error(`no mend for ${code}`)
  const applied = applyOperation(sampler, mend.operation)
  if (!applied.ok) throw new Error(sentenceOf(applied.problems))
  return applied.value
}

describe('what lies outside', () => {
  // The hoop of 8 inches about (155, 155) leaves a clear circle; this line ends 20 mm from the edge of the cloth.
  const outside = samplerWith({ kind: 'line', path: 'M 230 155 L 290 155' })

  it('is said with its reach, and moved inside by just that much', () => {
    const before = workSampler(outside).done[0]
    const reach = before ? reachOutside(before, outside).reachMm : 0
    expect(reach).toBeGreaterThan(20)
    expect(sentenceOf(problemsOf(outside).find((one) => one.code === 'cloth.outside'))).toBe(
      `It reaches ${Number(reach.toFixed(2))} mm outside the clear area, where hoop or frame is in the way of needle and fingers.`,
    )
    const after = mended(outside, 'cloth.outside')
    expect(problemsOf(after).map((one) => one.code)).not.toContain('cloth.outside')
    const path = after.drawing.guides[0]?.guide
    expect(path?.kind === 'line' ? path.path : '').toMatch(/^M/)
    const worked = workSampler(after).done[0]
    const first = worked?.pieces[0].worked.holes[0]
    const was = before?.pieces[0].worked.holes[0]
    expect((was?.x ?? 0) - (first?.x ?? 0)).toBeCloseTo(reach + 0.1, 1)
    expect(first?.y).toBeCloseTo(was?.y ?? 0, 3)
  })

  it('raised work that would lie under the wood is said to be crushed there; flat work, or less far out, is not', () => {
    const knots = (x: number): Sampler => {
      const base = samplerWith({ kind: 'spots', at: [[x, 155]] })
      return { ...base, exercises: base.exercises.map((one) => ({ ...one, stitch: 'french-knot', parameters: {} })) }
    }
    const said = (sampler: Sampler): string => sentenceOf(problemsOf(sampler).find((one) => one.code === 'cloth.outside'))
    // The clear circle ends 85.5 from 155, the wood begins 12 further out.
    expect(said(knots(260))).toContain('would lie under the wood, which crushes it')
    expect(said(knots(245))).not.toContain('crushes')
    expect(said(outside)).not.toContain('crushes')
  })

  it('says which of several pieces it is, and brings all of them inside', () => {
    const rays = samplerWith({ kind: 'line', path: 'M 200 60 L 215 60' }, {}, { kind: 'round', centre: [190, 60], count: 4 })
    expect(sentenceOf(problemsOf(rays).find((one) => one.code === 'cloth.outside'))).toMatch(/^Piece \d of 4 reaches/)
    expect(problemsOf(mended(rays, 'cloth.outside')).map((one) => one.code)).not.toContain('cloth.outside')
  })

  it('has no mend where it is too large for the hoop', () => {
    const long = samplerWith({ kind: 'line', path: 'M 5 155 L 305 155' })
    const [problem] = problemsOf(long)
    expect(problem?.code).toBe('cloth.outside')
    expect(mendFor(problem as Problem, exerciseOf(long), workSampler(long).done[0] ?? null, long, [])).toBeNull()
  })
})

describe('a guide that stitches do not fit', () => {
  it('has its corners moved along their legs, so that each leg is a whole number of stitches', () => {
    // Back stitches of 3 mm on legs of 31, 10.4 and 31 mm are 3.1 and 3.47 mm: evened to 30, 9 and 30 mm.
    const zigzag = samplerWith({ kind: 'line', path: 'M 120 140 L 151 140 L 151 150.4 L 120 150.4' }, { parameters: { L: 3 } })
    expect(problemsOf(zigzag).map((one) => one.code)).toContain('exercise.legs-differ')
    const after = mended(zigzag, 'exercise.legs-differ')
    expect(after.drawing.guides[0]?.guide).toMatchObject({ path: 'M 120 140 L 150 140 L 150 149 L 120 149' })
    expect(problemsOf(after).map((one) => one.code)).not.toContain('exercise.legs-differ')
  })

  it('is left alone where a corner would wander, where it is closed, and where it is copied', () => {
    const problem: Problem = { code: 'exercise.legs-differ', path: ['guide'], severity: 'caution', figures: {} }
    const square: DrawnGuide['guide'] = { kind: 'line', path: 'M 120 140 L 151 140 L 151 150.4 L 120 150.4 Z' }
    const zigzag: DrawnGuide['guide'] = { kind: 'line', path: 'M 120 140 L 151 140 L 151 150.4 L 120 150.4' }
    for (const sampler of [
      samplerWith(square, { parameters: { L: 3 } }),
      samplerWith(zigzag, { parameters: { L: 20 } }),
      samplerWith(zigzag, { parameters: { L: 3 } }, { kind: 'round', centre: [155, 155], count: 2 }),
    ])
      expect(mendFor(problem, exerciseOf(sampler), workSampler(sampler).done[0] ?? null, sampler, [])).toBeNull()
  })

  it('has a curve eased by fewer strands, and of one strand by drawing it just so much larger', () => {
    // Where the shortest good stitch of one strand is off by a little more than is allowed.
    const wave = (size: number): DrawnGuide['guide'] => ({
      kind: 'line',
      path: `M 130 155 q ${size} ${-3 * size} ${2 * size} 0 q ${size} ${3 * size} ${2 * size} 0`,
    })
    const found = [2, 2.5, 3, 3.5, 4, 5, 6].flatMap((size) =>
      [0.03, 0.05, 0.08, 0.12].map((toleranceMm) => samplerWith(wave(size), { stitch: 'back-stitch', materials: { main: { strands: 1 } }, toleranceMm })),
    )
    const tight = found.filter((sampler) => problemsOf(sampler).some((one) => one.code === 'exercise.tight-curve'))
    expect(tight.length).toBeGreaterThan(2)
    let eased = 0
    for (const sampler of tight) {
      const problem = problemsOf(sampler).find((one) => one.code === 'exercise.tight-curve') as Problem
      const mend = mendFor(problem, exerciseOf(sampler), workSampler(sampler).done[0] ?? null, sampler, [])
      if (!mend) continue
      eased += 1
      expect(mend.words).toMatch(/^Ease the curve: draw it \d+ % larger$/)
      expect(problemsOf(mended(sampler, 'exercise.tight-curve')).map((one) => one.code)).not.toContain('exercise.tight-curve')
    }
    expect(eased).toBeGreaterThan(0)
    const two = samplerWith(wave(2), { materials: { main: { strands: 3 } }, toleranceMm: 0.05 })
    const problem = problemsOf(two).find((one) => one.code === 'exercise.tight-curve') as Problem
    expect(mendFor(problem, exerciseOf(two), workSampler(two).done[0] ?? null, two, [])?.words).toBe('Take two strands')
  })
})

describe('the place of a problem on the cloth', () => {
  it('is where it reaches furthest, where a curve is tightest, at the corner, or at the box', () => {
    const outside = samplerWith({ kind: 'line', path: 'M 230 155 L 290 155' })
    const done = workSampler(outside).done[0]
    if (!done) throw new Error('not worked')
    const [first] = problemsOnCloth(done, outside, [])
    expect(first?.code).toBe('cloth.outside')
    expect(placeOfProblem({ code: 'cloth.outside' }, done, outside, [])?.x).toBeGreaterThan(288)
    const bent = workSampler(samplerWith({ kind: 'line', path: 'M 120 150 L 150 150 q 4 0 4 4 L 154 180' })).done[0]
    if (!bent) throw new Error('not worked')
    const tight = placeOfProblem({ code: 'exercise.tight-curve' }, bent, outside, [])
    expect(Math.hypot((tight?.x ?? 0) - 153, (tight?.y ?? 0) - 151)).toBeLessThan(2)
    expect(placeOfProblem({ code: 'assign.contrast' }, bent, outside, [])).toEqual({ x: expect.closeTo(154, 1), y: expect.closeTo(150, 1) })
  })
})

describe('what was set too far', () => {
  const line: DrawnGuide['guide'] = { kind: 'line', path: 'M 120 155 L 190 155' }
  it.each<[string, Partial<Exercise>]>([
    ['exercise.long', { parameters: { L: 12 } }],
    ['exercise.short', { parameters: { L: 0.6 } }],
    ['assign.needle', { materials: { main: { strands: 6, needle: { kind: 'embroidery', size: 10 } } } }],
    ['assign.no-needle', { materials: { main: { needle: { kind: 'embroidery', size: 29 } } } }],
    ['assign.strands', { materials: { main: { strands: 11 } } }],
    ['assign.no-variant', { variant: 'nowhere' }],
    ['assign.no-role', { materials: { lacing: { strands: 2 } } }],
    ['exercise.tolerance', { toleranceMm: -1 }],
  ])('%s goes away with its mend', (code, exercise) => {
    const sampler = samplerWith(line, exercise)
    expect(problemsOf(sampler).map((one) => one.code)).toContain(code)
    expect(problemsOf(mended(sampler, code)).map((one) => one.code)).not.toContain(code)
  })

  it('what was not set has no mend: the usual length of a stitch is the usual length already', () => {
    const problem: Problem = { code: 'exercise.long', path: ['parameters', 'L'], severity: 'caution', figures: {} }
    const sampler = samplerWith(line)
    expect(mendFor(problem, exerciseOf(sampler), workSampler(sampler).done[0] ?? null, sampler, [])).toBeNull()
  })
})

describe('two lines side by side', () => {
  const rows = (apartMm: number, more: Partial<Exercise> = {}, second = `M 120 ${150 + apartMm} L 190 ${150 + apartMm}`): Sampler => {
    const one = samplerWith({ kind: 'line', path: 'M 120 150 L 190 150' }, { stitch: 'stem-stitch', materials: { main: { strands: 6 } } })
    const first = exerciseOf(one)
    return {
      ...one,
      drawing: { ...one.drawing, guides: [...one.drawing.guides, { id: 'beside', guide: { kind: 'line', path: second } }] },
      exercises: [first, { ...first, id: 'second', name: 'Second row', on: [{ guide: 'beside' }], ...more }],
    }
  }
  const crowded = (sampler: Sampler): readonly Problem[] => {
    const { done } = workSampler(sampler)
    return done.flatMap((one) => problemsOnCloth(one, sampler, done).filter((problem) => problem.code === 'cloth.crowded'))
  }

  it('six strands lie 0.76 wide: 0.85 apart they have room, 0.3 apart they are said with both figures, each of the other', () => {
    expect(crowded(rows(0.85))).toEqual([])
    const said = crowded(rows(0.3))
    expect(said.map((one) => one.figures.other)).toEqual(['Second row', exerciseOf(rows(0.3)).name])
    expect((said[0]?.figures.wanted as { mm: number }).mm).toBeCloseTo(0.76, 1)
    // Each place counts once for every thread that lies there: the stitches of a stem overlap by half.
    expect((said[0]?.figures.along as { mm: number }).mm).toBeGreaterThan(30)
  })

  it('is moved away by what is wanting, and then has room', () => {
    const sampler = rows(0.3)
    const { done } = workSampler(sampler)
    const second = done.find((one) => one.exercise.id === 'second')
    const [problem] = second ? problemsOnCloth(second, sampler, done) : []
    const mend = problem && second && mendFor(problem, second.exercise, second, sampler, done)
    expect(mend?.words).toMatch(/^Move it 0\.\d mm away$/)
    const after = mend && applyOperation(sampler, mend.operation)
    expect(after?.ok && crowded(after.value)).toEqual([])
    const guide = after?.ok ? after.value.drawing.guides.find((one) => one.id === 'beside')?.guide : undefined
    expect(Number((guide as { path: string } | undefined)?.path.match(/[\d.]+/g)?.[1])).toBeGreaterThan(150.5)
  })

  it('what crosses it, what lies over it by the teacher’s word, and two stitches on one guide are meant', () => {
    expect(crowded(rows(0, {}, 'M 155 120 L 155 180'))).toEqual([])
    const first = exerciseOf(rows(0.3)).id
    expect(crowded(rows(0.3, { over: [first] }))).toEqual([])
    expect(crowded(rows(0.3, { on: exerciseOf(rows(0.3)).on }))).toEqual([])
  })
})
