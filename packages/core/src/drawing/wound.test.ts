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
/** The wraps: as wide as the thread, from edge to edge of the coil in five places. */
const wraps = (items: readonly DrawingItem[], width: number) =>
  strokes(items).flatMap(({ path, width: wide }) => {
    const [a, b] = [path[0], path.at(-1)]
    return a && b && path.length === 5 && Math.abs(wide - width) < 1e-6 ? [{ a, b }] : []
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
      // At most 0.62 of a thread along, 1.4 threads across at the rounded ends, where the coil bows: under 27 degrees; 13 in its middle.
      expect((Math.asin(Math.min(1, Math.abs(along) / long)) * 180) / Math.PI).toBeLessThan(27)
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
    expect(discs(drawn('bullion-knot', at(0.5)).items)).toBe(0)
    expect(Math.abs(discs(cast.items) - (cast.coil?.turns ?? 0))).toBeLessThanOrEqual(1)
  })
})

describe('a knot', () => {
  const knotOf = (stitch: string, parameters: Record<string, number>, detail: 'edged' | 'chords' = 'edged') => {
    const worked = workAlone({ id: 'e', name: 'Knot', stitch, guide: at(0), parameters }, around)
    if (!worked.ok) throw new Error(sentenceOf(worked.problems))
    const segment = worked.value.worked.segments.find((one) => one.kind === 'knot')
    return { segment, items: drawExerciseThread(worked.value, { ...VIEW, detail }, 0) }
  }
  const turnOf = (paths: readonly (readonly { x: number; y: number }[])[], centre: { x: number; y: number }): number =>
    paths.reduce(
      (total, path) =>
        total +
        path.reduce((sum, p, index) => {
          const before = path[index - 1]
          if (!before) return sum
          const turn = Math.atan2(p.y - centre.y, p.x - centre.x) - Math.atan2(before.y - centre.y, before.x - centre.x)
          return sum + Math.atan2(Math.sin(turn), Math.cos(turn))
        }, 0),
      0,
    ) /
    (2 * Math.PI)

  it('is as large as it is wound, within its unevenness, and its spiral has as many turns', () => {
    const { segment, items } = knotOf('french-knot', { wraps: 3 })
    const centre = segment?.points.at(-1) ?? { x: 0, y: 0 }
    const reach = Math.max(...items.flatMap((one) => (one.kind === 'fill' ? one.points.map((p) => Math.hypot(p.x - centre.x, p.y - centre.y)) : [])))
    const radius = (segment?.sizeMm ?? 0) / 2
    // Its shadow lies a third of its radius to the lower right.
    expect(reach / radius).toBeGreaterThan(1)
    expect(reach / radius).toBeLessThan(1.65)
    const width = Math.max(...strokes(items).map((one) => one.width))
    // Each piece is drawn four times: shadow, edge, body, light; the edges are the second of four.
    const edges = strokes(items)
      .filter((one) => Math.abs(one.width - width) < 1e-9)
      .filter((_, index) => index % 2 === 1)
    expect(
      turnOf(
        edges.map((one) => one.path),
        centre,
      ),
    ).toBeCloseTo(3 + 0.35, 0)
  })

  it('that was crossed on the needle lies in two bows, not in a spiral', () => {
    const { segment, items } = knotOf('colonial-knot', {})
    expect(segment?.wound).toBe('eight')
    const french = knotOf('french-knot', { wraps: 2 }).items
    expect(strokes(items).length).toBeLessThan(strokes(french).length)
  })

  it('too small for its turns is a spot with a light', () => {
    const { items } = knotOf('french-knot', { wraps: 2 }, 'chords')
    expect(strokes(items)).toEqual([])
    expect(items.some((one) => one.kind === 'disc')).toBe(true)
  })
})
