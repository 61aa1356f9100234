/** Figures worked by hand; each comment holds the arithmetic. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import type { Guide } from '../guide/index.ts'
import { newSampler } from '../sampler/index.ts'
import { leftAlone, sentencesOf, type ShortExercise, workAlone, type WorkedAlone } from '../testing/index.ts'

const around = surroundingsOf(newSampler('Test'))
const line = (path: string): Guide => ({ kind: 'line', path })

function work(stitch: string, guide: Guide, more: Partial<ShortExercise> = {}): WorkedAlone {
  const result = workAlone({ id: 'e1', name: 'Test', stitch, guide, strands: 2, ...more }, around)
  if (!result.ok) throw new Error(sentencesOf(result.problems).join('\n'))
  return result.value
}

const CIRCLE = 'M 8 0 A 8 8 0 0 1 -8 0 A 8 8 0 0 1 8 0 Z'

describe('fitted pitch', () => {
  it('divides 100 mm asked at 3 mm into 33 back stitches of 3.030 mm', () => {
    const { fitted } = work('back-stitch', line('M 0 0 L 100 0'), { parameters: { L: 3 } }).worked
    expect(fitted.count).toBe(33)
    expect(fitted.pitchMm).toBeCloseTo(100 / 33, 9)
  })

  it('lands a hole on the corner of an L of 50 + 30 mm: 7 of 7.143 and 4 of 7.5, with a caution', () => {
    const done = work('back-stitch', line('M 0 0 L 50 0 L 50 30'), { parameters: { L: 7 } })
    const legs = done.worked.fitted.legs
    expect(legs.map((leg) => leg.count)).toEqual([7, 4])
    expect(legs[0]?.pitchMm).toBeCloseTo(50 / 7, 9)
    expect(legs[1]?.pitchMm).toBeCloseTo(7.5, 9)
    expect(done.worked.holes.some((hole) => Math.hypot(hole.x - 50, hole.y) < 1e-9)).toBe(true)
    expect(done.problems.filter((problem) => problem.severity === 'caution').map((problem) => problem.code)).toContain('exercise.legs-differ')
  })

  it('fits running stitch of 5 and 5 to 95 mm exactly: 10 stitches, 9 gaps', () => {
    const { fitted, holes } = work('running-stitch', line('M 0 0 L 95 0'), { parameters: { L: 5, G: 5 } }).worked
    expect(fitted.count).toBe(10)
    expect(fitted.pitchMm).toBeCloseTo(10, 12)
    expect(holes.at(-1)?.x).toBeCloseTo(95, 9)
  })

  it('shortens back stitch on a circle of 8 mm to 17 chords of 2.940 mm', () => {
    // c_max = sqrt(8 x 8 x 0.15 - 4 x 0.15^2) = 3.084; 16 chords leave 0.154 mm, 17 leave 0.136 mm.
    const done = work('back-stitch', line(CIRCLE), { parameters: { L: 4 }, toleranceMm: 0.15 })
    const [a, b] = done.worked.holes.filter((hole) => hole.move === 'down')
    expect(done.worked.fitted.count).toBe(17)
    expect(Math.hypot((a?.x ?? 0) - (b?.x ?? 0), (a?.y ?? 0) - (b?.y ?? 0))).toBeCloseTo(2 * 8 * Math.sin(Math.PI / 17), 2)
    expect(done.deviationMm).toBeCloseTo(8 * (1 - Math.cos(Math.PI / 17)), 2)
  })

  it('keeps split stitch with half overlap at 25 on the same circle, drawn bent at the split', () => {
    const done = work('split-stitch', line(CIRCLE), { parameters: { L: 4 }, toleranceMm: 0.15 })
    expect(done.worked.fitted.count).toBe(25)
    expect(done.worked.fitted.pitchMm).toBeCloseTo(2.011, 3)
    const pierced = done.worked.segments.filter((segment) => segment.parted.length > 0)
    expect(pierced.length).toBe(24)
    for (const segment of pierced) {
      const at = segment.parted[0] as { x: number; y: number }
      expect(Math.hypot(at.x, at.y)).toBeCloseTo(8, 2)
      expect(Math.min(...segment.points.map((point) => Math.hypot(point.x - at.x, point.y - at.y)))).toBeLessThan(1e-9)
    }
  })

  it('says so where a curve is tighter than the shortest good stitch', () => {
    const done = work('back-stitch', line('M 1 0 A 1 1 0 0 1 -1 0 A 1 1 0 0 1 1 0 Z'))
    expect(done.problems.map((problem) => problem.code)).toContain('exercise.tight-curve')
  })
})

describe('thread', () => {
  // 5.2 of the reference figures, per mm of line, two strands; slack and trips included, ends left out by
  // taking the difference of 200 and 100 mm.
  it.each([
    ['running-stitch', { L: 3, G: 1.5 }, undefined, 1.31],
    ['back-stitch', { L: 2.5 }, undefined, 3.62],
    ['split-stitch', { L: 3, f: 0.4 }, 'from-below', 3.1],
    ['split-stitch', { L: 3, f: 0.2 }, 'from-above', 4.17],
    ['stem-stitch', { L: 4 }, undefined, 3.74],
    ['chain-stitch', { L: 3 }, undefined, 3.67],
  ])('%s %j takes what teachers reckon, within 15 %%', (stitch, parameters, variant, table) => {
    const more = { parameters, ...(variant === 'from-above' ? { variant } : {}) }
    const long = work(stitch, line('M 0 0 L 200 0'), more).thread
    const short = work(stitch, line('M 0 0 L 100 0'), more).thread
    const perMm = (long.total - long.tails - short.total + short.tails) / 100
    expect(perMm / table).toBeGreaterThan(0.85)
    expect(perMm / table).toBeLessThan(1.15)
  })

  it('one French knot of two wraps takes 8.8 mm', () => {
    const { thread } = work('french-knot', { kind: 'spot', at: [0, 0] })
    // 2 x pi x (0.61 + 0.40) + 2 D + 2 trips, and 5 % slack.
    expect(thread.total - thread.tails).toBeGreaterThan(8.77 * 0.85)
    expect(thread.total - thread.tails).toBeLessThan(8.77 * 1.15)
  })

  it('wrapped satin takes 4.77 mm a mm2; turned saves 38 to 46 %, its back under a fifth', () => {
    const guide: Guide = { kind: 'shape', path: 'M 0 0 L 10 0 L 10 6 L 0 6 Z' }
    const wrapped = work('satin-stitch', guide, { parameters: { P: 0.48 } }).thread
    const turned = work('satin-stitch', guide, { parameters: { P: 0.48 }, variant: 'turned' }).thread
    expect((wrapped.total - wrapped.tails) / 60 / 4.77).toBeCloseTo(1, 1)
    const saved = 1 - (turned.total - turned.tails) / (wrapped.total - wrapped.tails)
    expect(saved).toBeGreaterThan(0.38)
    expect(saved).toBeLessThan(0.46)
    expect(turned.back).toBeLessThan(wrapped.back / 5)
  })
})

describe('width and look', () => {
  it.each([
    ['running-stitch', 1, 1],
    ['back-stitch', 1, 1],
    ['split-stitch', 1.2, 1.2],
    ['stem-stitch', 1.4, 1.7],
    ['chain-stitch', 2.6, 4],
  ])('%s reads %f to %f times the thread', (stitch, low, high) => {
    const done = work(stitch, line('M 0 0 L 90 0'))
    const ratio = done.widthMm / done.assigned.main.bundle.lineWidthMm
    expect(ratio).toBeGreaterThan(low - 0.01)
    expect(ratio).toBeLessThan(high + 0.01)
  })

  it('a chain lies under its successor and is tied down at the end', () => {
    const { segments } = work('chain-stitch', line('M 0 0 L 30 0')).worked
    const loops = segments.filter((segment) => segment.kind === 'loop')
    for (let index = 1; index < loops.length; index += 1)
      expect((loops[index] as { order: number }).order).toBeGreaterThan((loops[index - 1] as { order: number }).order)
    expect(segments.at(-1)?.label).toBe('tie')
  })

  it('begins chain, stem and split afresh at a corner', () => {
    for (const stitch of ['chain-stitch', 'stem-stitch', 'split-stitch']) {
      const done = work(stitch, line('M 0 0 L 40 0 L 40 30'))
      expect(done.worked.holes.filter((hole) => Math.hypot(hole.x - 40, hole.y) < 1e-6).length).toBeGreaterThan(0)
      expect(
        done.worked.segments
          .filter((segment) => segment.side === 'front')
          .every((segment) => segment.points.every((point) => Number.isFinite(point.x + point.y))),
      ).toBe(true)
    }
  })
})

describe('the left hand', () => {
  it.each(['running-stitch', 'back-stitch', 'stem-stitch', 'split-stitch', 'chain-stitch'])('%s uses the same marked holes from the other end', (stitch) => {
    const done = work(stitch, line('M 0 0 L 90 0'), { marks: 'every-hole' })
    const left = leftAlone(done)
    if (!left.ok) throw new Error('left hand failed')
    const dots = done.marks.flatMap((mark) => (mark.kind === 'dot' ? [mark.at.x] : []))
    // The tie of a chain lies beyond the last dot and has none of its own.
    const marked = left.value.holes.filter((hole) => left.value.segments.find((segment) => segment.to === left.value.holes.indexOf(hole))?.label !== 'tie')
    for (const hole of marked) expect(Math.min(...dots.map((dot) => Math.abs(dot - hole.x)))).toBeLessThan(0.6)
    expect(left.value.holes[0]?.x).toBeGreaterThan(85)
  })
})

describe('difficulty', () => {
  it('rises from running through back to stem, split and chain, then the knot, then satin', () => {
    const score = (stitch: string, guide: Guide): number => work(stitch, guide).difficulty.score
    const straight = line('M 0 0 L 90 0')
    const running = score('running-stitch', straight)
    const back = score('back-stitch', straight)
    const satin = score('satin-stitch', { kind: 'shape', path: 'M 0 0 L 18 0 L 18 7 L 0 7 Z' })
    const knot = score('french-knot', {
      kind: 'spots',
      at: [
        [0, 0],
        [7, 0],
        [14, 0],
      ],
    })
    expect(back).toBeGreaterThan(running)
    for (const next of ['stem-stitch', 'split-stitch', 'chain-stitch']) expect(score(next, straight)).toBeGreaterThan(back)
    for (const next of ['stem-stitch', 'split-stitch', 'chain-stitch']) expect(score(next, straight)).toBeLessThan(knot)
    expect(satin).toBeGreaterThan(knot)
  })

  it('has parts that add up to the score', () => {
    const { difficulty } = work('stem-stitch', line('M 0 0 C 20 -20 40 20 60 0'))
    expect(difficulty.parts.reduce((total, part) => total + part.score, 0)).toBeCloseTo(difficulty.score, 9)
  })
})
