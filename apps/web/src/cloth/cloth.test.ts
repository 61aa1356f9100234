/** The cloth on the screen: scales, rulers, handles, what lies under the pointer. */
import { surroundingsOf } from '@lemmata/core/assign'
import { workExercise } from '@lemmata/core/exercise'
import { layAlone, newSampler } from '@lemmata/core/sampler'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { nearestExercise } from './nearest-exercise.ts'
import { rulerTicks } from './rulers.ts'
import { centred, fitView, RULER_PX, toCloth, toScreen, zoomAt } from './view.ts'

describe('the view', () => {
  const view = fc.record({
    scale: fc.double({ min: 0.5, max: 40, noNaN: true }),
    x: fc.double({ min: -500, max: 500, noNaN: true }),
    y: fc.double({ min: -500, max: 500, noNaN: true }),
  })
  const at = fc.record({ x: fc.double({ min: -300, max: 300, noNaN: true }), y: fc.double({ min: -300, max: 300, noNaN: true }) })

  it('goes to the screen and back', () => {
    fc.assert(
      fc.property(view, at, (one, point) => {
        const back = toCloth(one, toScreen(one, point))
        expect(Math.hypot(back.x - point.x, back.y - point.y)).toBeLessThan(1e-6)
      }),
      { seed: 81, numRuns: 200 },
    )
  })

  it('zooming keeps the place under the pointer', () => {
    fc.assert(
      fc.property(view, at, fc.double({ min: 0.3, max: 3, noNaN: true }), (one, pointer, by) => {
        const before = toCloth(one, pointer)
        const after = toCloth(zoomAt(one, by, pointer), pointer)
        expect(Math.hypot(before.x - after.x, before.y - after.y)).toBeLessThan(1e-6)
      }),
      { seed: 82, numRuns: 200 },
    )
  })

  it('fits the box beside the rulers, centred', () => {
    const box = { left: 50, top: 60, right: 250, bottom: 160 }
    const fitted = fitView(900, 600, box)
    const [a, b] = [toScreen(fitted, { x: box.left, y: box.top }), toScreen(fitted, { x: box.right, y: box.bottom })]
    expect(a.x).toBeGreaterThanOrEqual(RULER_PX)
    expect(a.y).toBeGreaterThanOrEqual(RULER_PX)
    expect(b.x).toBeLessThanOrEqual(900)
    expect(b.y).toBeLessThanOrEqual(600)
    expect(toScreen(centred(3, 900, 600, { x: 10, y: 10 }), { x: 10, y: 10 })).toEqual({
      x: RULER_PX + (900 - RULER_PX) / 2,
      y: RULER_PX + (600 - RULER_PX) / 2,
    })
  })
})

describe('rulers', () => {
  it.each(['mm', 'in'] as const)('in %s: never closer than four and a half pixels, labels never closer than 38', (unit) => {
    for (const scale of [0.4, 1, 3.78, 10, 40]) {
      const ticks = rulerTicks(0, 300, scale, unit)
      const labels = ticks.filter((tick) => tick.label !== null)
      for (let index = 1; index < ticks.length; index += 1)
        expect(((ticks[index] as { mm: number }).mm - (ticks[index - 1] as { mm: number }).mm) * scale).toBeGreaterThanOrEqual(4.4)
      for (let index = 1; index < labels.length; index += 1)
        expect(((labels[index] as { mm: number }).mm - (labels[index - 1] as { mm: number }).mm) * scale).toBeGreaterThanOrEqual(37)
      expect(ticks[0]).toMatchObject({ mm: 0, label: '0', size: 'large' })
    }
  })

  it('an inch is 25.4 mm', () => {
    expect(
      rulerTicks(0, 60, 4, 'in')
        .filter((tick) => tick.label !== null)
        .map((tick) => tick.mm),
    ).toEqual([0, 25.4, 50.8])
  })
})

describe('the pointer', () => {
  it('finds the nearest thread within reach, and nothing beyond it', () => {
    const around = surroundingsOf(newSampler('x'))
    const done = [10, 20].flatMap((y) => {
      const result = workExercise(layAlone({ id: `e${y}`, name: 'E', stitch: 'back-stitch' }, { kind: 'line', path: `M 0 ${y} L 50 ${y}` }), around)
      return result.ok ? [result.value] : []
    })
    expect(nearestExercise(done, { x: 25, y: 12 }, 4)).toBe('e10')
    expect(nearestExercise(done, { x: 25, y: 18.5 }, 4)).toBe('e20')
    expect(nearestExercise(done, { x: 25, y: 40 }, 4)).toBeNull()
  })
})
