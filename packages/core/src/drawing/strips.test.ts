/** Flat stitches side by side: they share their edges, a gap stays a gap, and an interlocking fill is left alone. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { newSampler } from '../sampler/index.ts'
import { sentenceOf, type ShortExercise, workAlone } from '../testing/index.ts'
import type { Segment } from '../work/index.ts'
import type { Fill, Stroke } from './drawing.ts'
import { drawThread } from './draw-thread.ts'
import { lookOf } from './draw-sampler.ts'
import { stripsOf } from './strips.ts'

const around = surroundingsOf(newSampler('Flat'))
function work(more: Partial<ShortExercise>) {
  const result = workAlone(
    { id: 'e', name: 'E', stitch: 'satin-stitch', guide: { kind: 'shape', path: 'M 40 40 H 60 V 46 H 40 Z' }, strands: 2, ...more },
    around,
  )
  if (!result.ok) throw new Error(sentenceOf(result.problems))
  const { worked, assigned } = result.value
  const front = worked.segments.filter((one) => one.side === 'front').sort((a, b) => a.order - b.order)
  return { front, all: worked.segments, look: lookOf(assigned), flat: assigned.main.bundle.flatWidthMm }
}
const plain = (points: readonly (readonly [number, number])[], like: Segment): Segment => ({ ...like, points: points.map(([x, y]) => ({ x, y, z: 0 })) })
const strips = (segments: readonly Segment[], flat: number) => [
  ...stripsOf(
    segments,
    (one) => one.points,
    () => flat,
  ).values(),
]

describe('strips', () => {
  const { front, look, flat, all } = work({})
  const satin = front.filter((one) => one.lie === 'flat')

  it('of neighbours share their edge exactly: no step, no gap', () => {
    const found = strips(satin, flat)
    expect(found.length).toBeGreaterThan(20)
    let shared = 0
    for (const [index, one] of found.slice(0, -1).entries()) {
      const next = found[index + 1]
      const same = [one.left, one.right].some((edge) =>
        [next?.left, next?.right].some((other) => other && [other.from, other.to].some((p) => Math.hypot(p.x - edge.from.x, p.y - edge.from.y) < 1e-9)),
      )
      if (same) shared += 1
    }
    expect(shared).toBe(found.length - 1)
  })

  it('together cover the shape once: their area is the shape and half a width at both ends', () => {
    const area = (points: readonly { x: number; y: number }[]): number =>
      Math.abs(
        points.reduce(
          (sum, p, index) =>
            sum + p.x * (points[(index + 1) % points.length] as { y: number }).y - (points[(index + 1) % points.length] as { x: number }).x * p.y,
          0,
        ) / 2,
      )
    const covered = strips(satin, flat).reduce((sum, one) => sum + area(one.outline), 0)
    expect(covered).toBeGreaterThan(0.95 * 20 * 6)
    expect(covered).toBeLessThan((20 + 1.5 * flat) * 6 * 1.03)
  })

  it('leave a gap that is wider than a thread and a third as it is', () => {
    const [first] = satin as [Segment]
    const near = [
      plain(
        [
          [0, 0],
          [0, 6],
        ],
        first,
      ),
      plain(
        [
          [1, 0],
          [1, 6],
        ],
        { ...first, sequence: 2 },
      ),
    ]
    const wide = [
      near[0] as Segment,
      plain(
        [
          [1.4, 0],
          [1.4, 6],
        ],
        { ...first, sequence: 2 },
      ),
    ]
    const reach = (segments: readonly Segment[]): number => Math.max(...strips(segments.slice(), 1)[0]!.outline.map((p) => Math.abs(p.x)))
    expect(reach(near)).toBeCloseTo(0.5, 9)
    expect(reach(wide)).toBeCloseTo(0.5, 9)
    const edges = (segments: readonly Segment[]): number => strips(segments.slice(), 1)[0]!.outline.length
    // Linked on one side it has two corners there; free it has four.
    expect(edges(near)).toBe(6)
    expect(edges(wide)).toBe(8)
  })

  it('crossing threads are no neighbours', () => {
    const [first] = satin as [Segment]
    const crossed = [
      plain(
        [
          [0, 0],
          [0.8, 6],
        ],
        first,
      ),
      plain(
        [
          [0.8, 0],
          [0, 6],
        ],
        { ...first, sequence: 2 },
      ),
    ]
    for (const one of strips(crossed, 1)) expect(one.outline).toHaveLength(8)
  })

  it('a flat fill is drawn in tones of its colour, one shadow under all of it', () => {
    const items = drawThread(all, { side: 'front', look, detail: 'edged', pixelsPerMm: 8 })
    const shadows = items.filter((one): one is Fill => one.kind === 'fill' && (one.also?.length ?? 0) > 10)
    expect(shadows).toHaveLength(1)
    expect(1 + (shadows[0]?.also?.length ?? 0)).toBe(satin.length)
  })
})

describe('an interlocking fill', () => {
  it('begins at a point where it comes up through the row before, each at a place of its own', () => {
    const { all, look } = work({ stitch: 'long-and-short', guide: { kind: 'shape', path: 'M 40 40 H 60 V 60 H 40 Z' } })
    const pierced = all.filter((one) => one.side === 'front' && one.pierces)
    expect(pierced.length).toBeGreaterThan(10)
    const items = drawThread(pierced, { side: 'front', look, detail: 'chords', pixelsPerMm: 2 })
    const shapes = items.filter((one): one is Fill => one.kind === 'fill')
    expect(shapes).toHaveLength(pierced.length)
    const tips = shapes.map(({ points }) => {
      const [a, b, c] = [points[0], points[1], points[2]] as [{ x: number; y: number }, { x: number; y: number }, { x: number; y: number }]
      return [Math.hypot((points.at(-1) as { x: number }).x - a.x, (points.at(-1) as { y: number }).y - a.y), Math.hypot(c.x - b.x, c.y - b.y)] as const
    })
    for (const [wide] of tips) expect(wide).toBeLessThan(0.3 * look.flatWidthMm)
    expect(new Set(tips.map(([, long]) => long.toFixed(3))).size).toBeGreaterThan(5)
  })
})

describe('split stitches', () => {
  it('have a gap where the needle came through, and are not drawn like back stitches', () => {
    const line = { kind: 'line', path: 'M 40 40 H 90' } as const
    const split = work({ stitch: 'split-stitch', guide: line })
    const back = work({ stitch: 'back-stitch', guide: line })
    const draw = ({ all, look }: typeof split) => drawThread(all, { side: 'front', look, detail: 'full', pixelsPerMm: 26 })
    expect(split.front.filter((one) => one.parted.length > 0).length).toBeGreaterThan(5)
    const grooves = (items: ReturnType<typeof draw>) => items.filter((one): one is Stroke => one.kind === 'stroke' && one.opacity === 0.35).length
    expect(grooves(draw(split))).toBeLessThan(3)
    expect(grooves(draw(back))).toBeGreaterThan(5)
  })
})
