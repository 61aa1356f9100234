import fc from 'fast-check'
import { expect, it } from 'vitest'
import { thinned } from './thinned.ts'

const at = (x: number, y: number) => ({ x, y })

it('by hand: what lies within the measure goes, a corner stays', () => {
  const line = [at(0, 0), at(1, 0.005), at(2, 0), at(3, -0.009), at(4, 0), at(4, 2)]
  expect(thinned(line, 0.01)).toEqual([at(0, 0), at(4, 0), at(4, 2)])
  expect(thinned(line, 0.006)).toEqual([at(0, 0), at(1, 0.005), at(3, -0.009), at(4, 0), at(4, 2)])
  // Fewer than five are as few as they may be.
  expect(thinned(line.slice(0, 4), 1)).toEqual(line.slice(0, 4))
})

it('keeps some of the points in their order, and every other within the measure of the line that is left', () => {
  const coordinate = fc.integer({ min: -400, max: 400 }).map((one) => one / 40)
  const points = fc.uniqueArray(fc.record({ x: coordinate, y: coordinate }), { minLength: 5, maxLength: 40, selector: ({ x, y }) => `${x} ${y}` })
  fc.assert(
    fc.property(points, (all) => {
      const left = thinned(all, 0.5)
      const places = left.map((one) => all.indexOf(one))
      expect(places).toEqual([...places].sort((a, b) => a - b))
      expect([places[0], places.at(-1)]).toEqual([0, all.length - 1])
      places.slice(1).forEach((to, index) => {
        const [a, b] = [all[places[index] as number], all[to]] as [{ x: number; y: number }, { x: number; y: number }]
        for (const one of all.slice((places[index] as number) + 1, to)) {
          const away = Math.abs((one.x - a.x) * (b.y - a.y) - (b.x - a.x) * (one.y - a.y)) / Math.hypot(b.x - a.x, b.y - a.y)
          expect(away).toBeLessThanOrEqual(0.5 + 1e-9)
        }
      })
    }),
    { numRuns: 300, seed: 5 },
  )
})
