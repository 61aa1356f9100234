/** What stands up: coils, knots and beads, drawn as they lie whichever way they are turned. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import type { Guide } from '../guide/index.ts'
import { newSampler } from '../sampler/index.ts'
import { sentenceOf, workAlone } from '../testing/index.ts'
import type { DrawingItem } from './drawing.ts'
import { drawExerciseThread } from './draw-sampler.ts'

const around = surroundingsOf(newSampler('Wound'))
const VIEW = { side: 'front', pixelsPerMm: 8, detail: 'edged' } as const

function drawn(stitch: string, guide: Guide, parameters: Record<string, number> = {}) {
  const worked = workAlone({ id: 'e', name: 'Wound', stitch, guide, parameters }, around)
  if (!worked.ok) throw new Error(sentenceOf(worked.problems))
  const coil = worked.value.worked.segments.find((one) => one.kind === 'coil')
  return { items: drawExerciseThread(worked.value, VIEW, 0), coil, width: worked.value.assigned.main.bundle.lineWidthMm }
}

const strokes = (items: readonly DrawingItem[]) =>
  items.flatMap((one) => (one.kind === 'stroke' ? one.paths.map((path) => ({ path, width: one.widthMm })) : []))
/** The wraps: short strokes of two places. */
const wraps = (items: readonly DrawingItem[], width: number) =>
  strokes(items).flatMap(({ path, width: wide }) => {
    const [a, b, more] = path
    return a && b && !more && Math.abs(wide - width) < 1e-6 && Math.hypot(a.x - b.x, a.y - b.y) < 4 * width ? [{ a, b }] : []
  })

const at = (turnRad: number): Guide => ({ kind: 'spot', at: [50, 50], turnRad })

describe('a bullion', () => {
  it.each([0, 0.4, Math.PI / 4, 1.2, Math.PI / 2, 2.5, -1])('turned by %d has its wraps square to it, within the slant of one thread', (turnRad) => {
    const { items, width } = drawn('bullion-knot', at(turnRad), { L: 8 })
    const found = wraps(items, width)
    expect(found.length).toBeGreaterThan(8)
    for (const { a, b } of found) {
      const along = (b.x - a.x) * Math.cos(turnRad) + (b.y - a.y) * Math.sin(turnRad)
      const long = Math.hypot(b.x - a.x, b.y - a.y)
      // 0.56 of a thread along, 2.3 threads across: 13.7 degrees.
      expect((Math.asin(Math.min(1, Math.abs(along) / long)) * 180) / Math.PI).toBeLessThan(14)
    }
  })

  it('is the same picture turned', () => {
    const level = wraps(drawn('bullion-knot', at(0), { L: 8 }).items, drawn('bullion-knot', at(0)).width)
    const turnRad = 0.9
    const turned = wraps(drawn('bullion-knot', at(turnRad), { L: 8 }).items, drawn('bullion-knot', at(0)).width)
    expect(turned.length).toBe(level.length)
    for (const [index, { a }] of level.entries()) {
      const [x, y] = [a.x - 50, a.y - 50]
      expect(turned[index]?.a.x).toBeCloseTo(50 + x * Math.cos(turnRad) - y * Math.sin(turnRad), 6)
      expect(turned[index]?.a.y).toBeCloseTo(50 + x * Math.sin(turnRad) + y * Math.cos(turnRad), 6)
    }
  })

  it('shows each wrap that is wound, side by side from end to end', () => {
    const { items, coil, width } = drawn('bullion-knot', at(0), { L: 8, x: 2 })
    // L / W wraps fill the length, and two more let it curve.
    expect(coil?.turns).toBe(Math.round(8 / width + 2))
    const xs = wraps(items, width).map(({ a, b }) => (a.x + b.x) / 2)
    expect(xs.length).toBeGreaterThanOrEqual((coil?.turns ?? 0) - 1)
    expect(Math.max(...xs) - Math.min(...xs)).toBeGreaterThan(8 - 2.5 * width)
    for (const [index, x] of xs.entries()) if (index > 0) expect(x - (xs[index - 1] ?? 0)).toBeLessThan(1.3 * width)
  })
})

describe('a cast-on', () => {
  it('has a bar at every loop; a bullion has none', () => {
    const discs = (items: readonly DrawingItem[]) => items.filter((one) => one.kind === 'disc').length
    const cast = drawn('cast-on-stitch', at(0.5))
    // Both show the two holes they stand in.
    const holes = discs(drawn('bullion-knot', at(0.5)).items)
    expect(holes).toBe(2)
    expect(Math.abs(discs(cast.items) - holes - (cast.coil?.turns ?? 0))).toBeLessThanOrEqual(1)
  })
})

describe('a knot', () => {
  it('is as large as it is wound, and its spiral has as many turns', () => {
    const worked = workAlone({ id: 'e', name: 'Knot', stitch: 'french-knot', guide: at(0), parameters: { wraps: 3 } }, around)
    if (!worked.ok) throw new Error(sentenceOf(worked.problems))
    const [segment] = worked.value.worked.segments.filter((one) => one.kind === 'knot')
    const items = drawExerciseThread(worked.value, VIEW, 0)
    const largest = Math.max(...items.flatMap((one) => (one.kind === 'disc' ? [one.radiusMm] : [])))
    // Its shade lies a little wider than the knot.
    expect(largest).toBeCloseTo(((segment?.sizeMm ?? 0) / 2) * 1.06, 6)
    const spiral = strokes(items).find(({ path }) => path.length > 30)
    const angle = (spiral?.path ?? []).reduce((total, p, index, all) => {
      const before = all[index - 1]
      if (!before) return total
      const centre = { x: segment?.points.at(-1)?.x ?? 0, y: segment?.points.at(-1)?.y ?? 0 }
      const turn = Math.atan2(p.y - centre.y, p.x - centre.x) - Math.atan2(before.y - centre.y, before.x - centre.x)
      return total + Math.atan2(Math.sin(turn), Math.cos(turn))
    }, 0)
    expect(angle / (2 * Math.PI)).toBeCloseTo(3 + 0.35, 1)
  })
})
