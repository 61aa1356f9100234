/** Each mend, applied, takes its problem away. */
import { describe, expect, it } from 'vitest'
import type { Problem } from '../base/index.ts'
import { workSampler } from '../exercise/index.ts'
import { reachOutside } from '../extent/index.ts'
import { applyOperation, type DrawnGuide, type Exercise, newSampler, type Sampler } from '../sampler/index.ts'
import { mendFor, outsideProblem } from './index.ts'

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
  const mend = mendFor(problem, exerciseOf(sampler), workSampler(sampler).done[0] ?? null, sampler)
  if (!mend) throw new Error(`no mend for ${code}`)
  const applied = applyOperation(sampler, mend.operation)
  if (!applied.ok) throw new Error(applied.problems[0]?.message)
  return applied.value
}

describe('what lies outside', () => {
  // The hoop of 8 inches about (155, 155) leaves a clear circle; this line ends 20 mm from the edge of the cloth.
  const outside = samplerWith({ kind: 'line', path: 'M 230 155 L 290 155' })

  it('is said with its reach, and moved inside by just that much', () => {
    const before = workSampler(outside).done[0]
    const reach = before ? reachOutside(before, outside).reachMm : 0
    expect(reach).toBeGreaterThan(20)
    expect(problemsOf(outside).find((one) => one.code === 'cloth.outside')?.message).toBe(
      `It reaches ${reach.toFixed(1)} mm outside the clear area, where the hoop is in the way of needle and fingers.`,
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

  it('says which of several pieces it is, and brings all of them inside', () => {
    const rays = samplerWith({ kind: 'line', path: 'M 200 60 L 215 60' }, {}, { kind: 'round', centre: [190, 60], count: 4 })
    expect(problemsOf(rays).find((one) => one.code === 'cloth.outside')?.message).toMatch(/^Piece \d of 4 reaches/)
    expect(problemsOf(mended(rays, 'cloth.outside')).map((one) => one.code)).not.toContain('cloth.outside')
  })

  it('has no mend where it is too large for the hoop', () => {
    const long = samplerWith({ kind: 'line', path: 'M 5 155 L 305 155' })
    const [problem] = problemsOf(long)
    expect(problem?.code).toBe('cloth.outside')
    expect(mendFor(problem as Problem, exerciseOf(long), workSampler(long).done[0] ?? null, long)).toBeNull()
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
    const problem: Problem = { code: 'exercise.long', path: ['parameters', 'L'], severity: 'caution', message: '' }
    const sampler = samplerWith(line)
    expect(mendFor(problem, exerciseOf(sampler), workSampler(sampler).done[0] ?? null, sampler)).toBeNull()
  })
})
