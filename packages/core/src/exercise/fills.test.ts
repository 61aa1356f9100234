/** Fills of rings close in the middle, and weaving on spokes lies round. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { distance, type Point } from '../geometry/index.ts'
import type { Guide } from '../guide/index.ts'
import { newSampler } from '../sampler/index.ts'
import { sentenceOf, workAlone } from '../testing/index.ts'

const around = surroundingsOf(newSampler('Fills'))
const CENTRE: Point = { x: 50, y: 50 }
const disc = (r: number): Guide => ({ kind: 'shape', path: `M ${50 - r} 50 A ${r} ${r} 0 1 1 ${50 + r} 50 A ${r} ${r} 0 1 1 ${50 - r} 50 Z` })

function workedOn(stitch: string, guide: Guide) {
  const worked = workAlone({ id: 'e', name: 'x', stitch, guide }, around)
  if (!worked.ok) throw new Error(`${stitch}: ${sentenceOf(worked.problems)}`)
  return worked.value
}

/** How far the middle of a disc is from the nearest thread in front, mm: between places half a millimetre apart on it. */
function barrenMiddle(stitch: string, radiusMm: number): number {
  let nearest = Infinity
  for (const { side, points } of workedOn(stitch, disc(radiusMm)).pieces[0].worked.segments) {
    if (side !== 'front') continue
    for (const [index, b] of points.entries()) {
      const a = points[index - 1] ?? b
      const steps = Math.max(1, Math.ceil(distance(a, b) / 0.5))
      for (let step = 0; step <= steps; step += 1)
        nearest = Math.min(nearest, distance({ x: a.x + ((b.x - a.x) * step) / steps, y: a.y + ((b.y - a.y) * step) / steps }, CENTRE))
    }
  }
  return nearest
}

describe('a disc filled by rings', () => {
  it.each(['chain-filling', 'split-filling', 'stem-filling', 'back-filling'])('%s leaves no gap in its middle', (stitch) => {
    // A gap is seen from a millimetre across; a link of chain is itself as wide.
    for (let radius = 4; radius <= 12; radius += 0.5)
      expect(barrenMiddle(stitch, radius), `radius ${radius}`).toBeLessThan(stitch === 'chain-filling' ? 1 : 0.75)
  })
})

describe('a woven wheel', () => {
  it('is round: between two spokes its rows are as far from the middle as at them', () => {
    for (const radiusMm of [5, 8]) {
      const { segments } = workedOn('woven-wheel', { kind: 'ring', at: [50, 50], radiusMm }).pieces[0].worked
      const weaving = segments.filter((segment) => segment.side === 'front' && segment.made.pass === 1).flatMap((segment) => segment.points)
      const radii = weaving.map((at) => distance(at, CENTRE))
      const outermost = Math.max(...radii)
      // Looked at in sectors of ten degrees: the outermost thread of each.
      const sectors = Array.from({ length: 36 }, (_, sector) =>
        Math.max(
          ...weaving.flatMap((at, index) =>
            Math.floor(((Math.atan2(at.y - 50, at.x - 50) + Math.PI) / (2 * Math.PI)) * 36) % 36 === sector ? [radii[index] as number] : [],
          ),
        ),
      )
      // A pentagon would lie 19 % nearer between its corners; the last round ends somewhere, one row lower.
      expect(Math.min(...sectors) / outermost).toBeGreaterThan(0.9)
    }
  })
})
