/** Every stitch of the library on its guides, and its thread against what teachers reckon. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { practiceFor, practiceGuide } from '../guide/index.ts'
import { type Exercise, type Guide, newSampler } from '../sampler/index.ts'
import { demonstrate } from '../steps/index.ts'
import { LIBRARY } from '../stitches/index.ts'
import { workExercise, type WorkedExercise, workLeftHand } from './index.ts'

const around = surroundingsOf(newSampler('Test'))
const band = (length: number, widthMm: number): Guide => ({ kind: 'band', path: `M 0 0 L ${length} 0`, widthMm })
const line = (length: number): Guide => ({ kind: 'line', path: `M 0 0 L ${length} 0` })

function work(stitch: string, guide: Guide, more: Partial<Exercise> = {}): WorkedExercise {
  const result = workExercise({ id: 'e1', name: 'Test', stitch, guide, strands: 2, ...more }, around)
  if (!result.ok) throw new Error(`${stitch}: ${result.problems.map((problem) => problem.message).join(' ')}`)
  return result.value
}

const stitched = (done: WorkedExercise): number => done.thread.total - done.thread.tails

describe('every stitch of the library', () => {
  it.each(LIBRARY.map((document) => [document.id, document] as const))(
    '%s is worked on its practice guide by both hands, shown and worded',
    (_id, document) => {
      const done = work(document.id, practiceGuide(document.practice ?? practiceFor(document), 100, 100, 160))
      expect(done.problems.filter((problem) => problem.severity === 'error')).toEqual([])
      for (const segment of done.worked.segments) for (const at of segment.points) expect(Number.isFinite(at.x + at.y + at.z)).toBe(true)
      expect(workLeftHand(done).ok).toBe(true)
      const shown = demonstrate({ document: done.assigned.document, parameters: done.assigned.parameters, materials: done.assigned.materials, hand: 'left' })
      if (!shown.ok) throw new Error(shown.problems[0]?.message)
      expect(shown.value.steps.length).toBeGreaterThan(1)
      for (const [index, step] of shown.value.steps.entries()) {
        expect(step.number).toBe(index + 1)
        expect(step.sentence).toMatch(/\.$/)
      }
      // The front path drawn is the front path charged.
      const drawn = done.worked.segments
        .filter((segment) => segment.side === 'front' && segment.kind !== 'loop')
        .reduce((total, segment) => total + segment.lengthMm, 0)
      expect(done.thread.front).toBeCloseTo(drawn, 6)
      expect(done.difficulty.score).toBeGreaterThan(0)
      expect(done.difficulty.score).toBeLessThan(100)
    },
  )
})

describe('over and under', () => {
  it.each(['whipped-running', 'whipped-back', 'whipped-stem'])('%s passes under every stitch from one side', (id) => {
    const { passes, segments } = work(id, line(60)).worked
    expect(new Set(passes.map((pass) => pass.from))).toEqual(new Set(['right']))
    expect(passes.length).toBe(segments.filter((segment) => segment.side === 'front' && segment.label === 'st').length)
    // Each pass lies under a thread of the base: its piece has a lower order than the stitch it passes.
    const base = segments.filter((segment) => segment.label === 'st')
    const under = segments.filter((segment) => segment.thread === 'second' && segment.side === 'front' && !Number.isInteger(segment.order))
    expect(under.length).toBe(passes.length)
    for (const [index, piece] of under.entries()) expect(piece.order).toBeLessThan((base[index] as { order: number }).order)
  })

  it.each(['threaded-running', 'threaded-back'])('%s alternates sides', (id) => {
    const { passes } = work(id, line(60)).worked
    for (const [index, pass] of passes.entries()) expect(pass.from).toBe(index % 2 === 0 ? 'right' : 'left')
  })
})

describe('thread, against what teachers reckon', () => {
  // Per millimetre of line, two strands; the last figure is the share that the reckoning itself may be wrong by.
  it.each<[string, (length: number) => Guide, Record<string, number>, number, number]>([
    ['whipped-running', line, { L: 3, G: 1.5 }, 2.49, 0.13],
    ['whipped-back', line, { L: 2.5 }, 5.04, 0.13],
    ['threaded-running', line, { L: 3, G: 1.5 }, 2.53, 0.13],
    ['twisted-chain', line, { L: 3, o: 0.9 }, 3.95, 0.13],
    ['feather-stitch', (length) => band(length, 3.5 * 1.5), { L: 3 }, 4.04, 0.13],
    ['blanket-stitch', line, { L: 2.5, H: 5 }, 5.72, 0.13],
    ['herringbone', (length) => band(length, 5), { R: 4.5, B: 2 }, 4.14, 0.09],
    ['cross-stitch', (length) => band(length, 2), { L: 2 }, 6.25, 0.1],
    ['coral-knot', line, { L: 4, B: 1.5 }, 2.53, 0.22],
    ['wheatear-stitch', line, { L: 4, E: 2.8, x: 2.8 }, 8.7, 0.13],
    ['pekinese-stitch', line, { L: 3 }, 6.71, 0.21],
    ['palestrina-knot', line, { L: 4, B: 2.5 }, 4.3, 0.25],
  ])('%s', (id, guide, parameters, reckoned, grade) => {
    const perMm = (stitched(work(id, guide(240), { parameters })) - stitched(work(id, guide(120), { parameters }))) / 120
    expect(perMm / reckoned).toBeGreaterThan(1 - grade)
    expect(perMm / reckoned).toBeLessThan(1 + grade)
  })

  it.each<[string, Guide, Record<string, number>, number, number]>([
    ['detached-chain', { kind: 'spot', at: [0, 0] }, { L: 5 }, 19.9, 0.13],
    ['bullion-knot', { kind: 'spot', at: [0, 0] }, { L: 8 }, 86.7, 0.21],
    ['pistil-stitch', { kind: 'spot', at: [0, 0] }, { L: 5, wraps: 2 }, 14, 0.23],
    ['sorbello-stitch', { kind: 'square', at: [0, 0], sideMm: 5 }, {}, 31.3, 0.21],
  ])('one %s', (id, guide, parameters, reckoned, grade) => {
    const ratio = stitched(work(id, guide, { parameters })) / reckoned
    expect(ratio).toBeGreaterThan(1 - grade)
    expect(ratio).toBeLessThan(1 + grade)
  })
})

describe('difficulty keeps what every teacher agrees on', () => {
  const score = (id: string): number => {
    const document = LIBRARY.find((one) => one.id === id)
    if (!document) throw new Error(id)
    return work(id, practiceGuide(document.practice ?? practiceFor(document), 100, 100, 160)).difficulty.score
  }
  it.each([
    ['running-stitch', 'back-stitch'],
    ['back-stitch', 'stem-stitch'],
    ['back-stitch', 'split-stitch'],
    ['back-stitch', 'chain-stitch'],
    ['running-stitch', 'whipped-running'],
    ['chain-stitch', 'twisted-chain'],
    ['french-knot', 'bullion-knot'],
    ['threaded-running', 'pekinese-stitch'],
  ])('%s before %s', (easier, harder) => {
    expect(score(easier)).toBeLessThan(score(harder))
  })
})

describe('long rows', () => {
  it('a whipped line of thousands of stitches costs no more for each than a short one', () => {
    const zigzag = (count: number): Guide => ({
      kind: 'line',
      path: `M 0 0${Array.from({ length: count }, (_, index) => ` L ${index + 1} ${index % 2 === 0 ? 1 : 0}`).join('')}`,
    })
    const points = (count: number): number => {
      const { passes } = work('whipped-back', zigzag(count)).worked
      return passes.reduce((total, pass) => total + pass.soFar.length, 0) / passes.length
    }
    // What is kept for showing a step does not grow with the row.
    expect(points(2000) / points(400)).toBeLessThan(1.2)
  })
})
