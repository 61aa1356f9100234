/** One exercise on several guides, on live copies, and two exercises on one guide: everything is the sum of the pieces. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { newSampler, type DrawnGuide, type Exercise, type Sampler } from '../sampler/index.ts'
import { sentenceOf, workAlone } from '../testing/index.ts'
import { workSampler } from './index.ts'

const drawn = (id: string, path: string, copies?: DrawnGuide['copies']): DrawnGuide => ({ id, guide: { kind: 'line', path }, ...(copies ? { copies } : {}) })
const samplerWith = (guides: readonly DrawnGuide[], exercises: readonly Exercise[]): Sampler => ({
  ...newSampler('Pieces'),
  drawing: { guides, groups: [] },
  exercises,
})
const only = (sampler: Sampler) => {
  const { done, problems } = workSampler(sampler)
  if (!done[0]) throw new Error(sentenceOf(problems))
  return { one: done[0], done, problems }
}

describe('an exercise on three guides', () => {
  const lengths = [30, 60, 45]
  const guides = lengths.map((length, index) => drawn(`g${index}`, `M 20 ${40 + 10 * index} L ${20 + length} ${40 + 10 * index}`))
  const { one } = only(
    samplerWith(guides, [{ id: 'e', name: 'Rain', stitch: 'back-stitch', on: guides.map(({ id }) => ({ guide: id })), parameters: { L: 3 } }]),
  )
  const alone = guides.map(({ guide }) => {
    const worked = workAlone({ id: 'e', name: 'Rain', stitch: 'back-stitch', parameters: { L: 3 }, guide }, surroundingsOf(newSampler('Alone')))
    if (!worked.ok) throw new Error(sentenceOf(worked.problems))
    return worked.value
  })

  it('has 10, 20 and 15 stitches of 3 mm: 45', () => {
    expect(one.pieces.map((piece) => piece.worked.fitted.count)).toEqual([10, 20, 15])
    expect(one.stitches).toBe(45)
  })

  it('has the marks, motions and thread of all three; needlefuls go on from one to the next', () => {
    const sum = (of: (done: (typeof alone)[number]) => number): number => alone.reduce((total, done) => total + of(done), 0)
    expect(one.pieces.reduce((total, piece) => total + piece.marks.length, 0)).toBe(sum((done) => done.marks.length))
    expect(one.motions.up).toBe(sum((done) => done.motions.up ?? 0))
    for (const part of ['front', 'back', 'through', 'slack'] as const)
      expect(one.thread[part]).toBeCloseTo(
        sum((done) => done.thread[part]),
        6,
      )
    // 135 mm of back stitch are some 450 mm of thread: two needlefuls of 320 mm, not one for each guide.
    expect(one.thread.needlefuls).toBe(2)
    expect(one.thread.total).toBeCloseTo(sum((done) => done.thread.total - done.thread.tails) + 2 * 130, 6)
  })
})

describe('a ray copied eight times', () => {
  const rays = drawn('g', 'M 110 100 L 134 100', { kind: 'round', centre: [100, 100], count: 8 })
  const { one } = only(samplerWith([rays], [{ id: 'e', name: 'Sun', stitch: 'back-stitch', on: [{ guide: 'g' }], parameters: { L: 3 } }]))

  it('is eight pieces of eight stitches, an eighth of a turn apart', () => {
    expect(one.pieces.length).toBe(8)
    expect(one.stitches).toBe(64)
    // Where each ray ends: 34 mm from the middle, at 0, 45, 90 ... degrees.
    one.pieces.forEach((piece, index) => {
      const ends = piece.worked.holes.map((hole) => [hole.x - 100, hole.y - 100] as const)
      const furthest = ends.reduce((best, at) => (Math.hypot(...at) > Math.hypot(...best) ? at : best))
      expect(Math.hypot(...furthest)).toBeCloseTo(34, 3)
      const turn = (Math.atan2(furthest[1], furthest[0]) + 2 * Math.PI) % (2 * Math.PI)
      expect(Math.min(Math.abs(turn - (index * Math.PI) / 4), 2 * Math.PI - Math.abs(turn - (index * Math.PI) / 4))).toBeLessThan(1e-3)
    })
  })

  it('uses eight times the thread of one, before tails', () => {
    const { one: first } = only(
      samplerWith([{ id: 'g', guide: rays.guide }], [{ id: 'e', name: 'Sun', stitch: 'back-stitch', on: [{ guide: 'g' }], parameters: { L: 3 } }]),
    )
    expect(one.thread.total - one.thread.tails).toBeCloseTo(8 * (first.thread.total - first.thread.tails), 6)
    // Holes that eight rays have each for themselves.
    expect(one.motions.up).toBe(8 * (first.motions.up ?? 0))
  })

  it('a piece may have another length, and only that one has', () => {
    const { one: changed } = only(
      samplerWith(
        [rays],
        [
          {
            id: 'e',
            name: 'Sun',
            stitch: 'back-stitch',
            on: [{ guide: 'g' }],
            parameters: { L: 3 },
            pieces: { [one.pieces[2]?.id ?? '']: { parameters: { L: 4 } } },
          },
        ],
      ),
    )
    expect(changed.pieces.map((piece) => piece.worked.fitted.count)).toEqual([8, 8, 6, 8, 8, 8, 8, 8])
  })
})

describe('a copy with a length of its own', () => {
  const rows = (lengthShare: number, guide: DrawnGuide['guide']): Sampler => ({
    ...newSampler('Rain'),
    drawing: { groups: [], guides: [{ id: 'g', guide, copies: { kind: 'rows', columns: 1, rows: 2, stepMm: [0, 10] } }] },
    exercises: [
      {
        id: 'e',
        name: 'Rain',
        stitch: guide.kind === 'pins' ? 'woven-picot' : guide.kind === 'shape' ? 'satin-stitch' : 'back-stitch',
        on: [{ guide: 'g' }],
        pieces: { 'g/1': { lengthShare } },
      },
    ],
  })
  const pieces = (sampler: Sampler) => workSampler(sampler).done[0]?.pieces ?? []

  it('is cut off, or drawn on, at its end: 30 mm and its copy of 18, or of 45', () => {
    for (const [share, long] of [
      [0.6, 18],
      [1.5, 45],
    ] as const) {
      const [first, second] = pieces(rows(share, { kind: 'line', path: 'M 100 100 L 130 100' }))
      expect(first?.worked.fitted.lengthMm).toBeCloseTo(30, 6)
      expect(second?.worked.fitted.lengthMm).toBeCloseTo(long, 6)
      expect(second?.worked.holes.every(({ y }) => Math.abs(y - 110) < 1e-6)).toBe(true)
    }
  })

  it('what stands on pins is so much higher; what has no length of its own stays', () => {
    const [first, second] = pieces(rows(0.5, { kind: 'pins', base: [100, 120], pins: [[100, 100]] }))
    const tall = (piece: typeof first): number => (piece?.guide.kind === 'pins' ? piece.guide.base.y - (piece.guide.pins[0]?.y ?? 0) : 0)
    expect([tall(first), tall(second)]).toEqual([20, 10])
    const [, same] = pieces(rows(0.5, { kind: 'shape', path: 'M 100 100 L 112 100 L 112 106 L 100 106 Z' }))
    expect(same?.guide.kind === 'shape' ? same.guide.areaMm2 : 0).toBeCloseTo(72, 6)
  })
})

describe('a leaf drawn once', () => {
  const leaf: DrawnGuide = { id: 'g', guide: { kind: 'shape', path: 'M 60 60 L 100 60 L 100 76 L 60 76 Z' } }
  const { done, problems } = only(
    samplerWith(
      [leaf],
      [
        { id: 'edge', name: 'Edge', stitch: 'split-stitch', on: [{ guide: 'g', part: 'outline' }] },
        { id: 'fill', name: 'Fill', stitch: 'satin-stitch', on: [{ guide: 'g' }] },
      ],
    ),
  )

  it('is outlined in one stitch and filled in another', () => {
    expect(problems.filter((one) => one.severity === 'error')).toEqual([])
    const [edge, fill] = done
    const outline = edge?.pieces[0].guide
    expect(outline?.kind === 'line' ? outline.path.length : 0).toBeCloseTo(112, 3)
    const area = fill?.pieces[0].guide
    expect(area?.kind === 'shape' ? area.areaMm2 : 0).toBeCloseTo(640, 1)
  })

  it('follows when the guide is changed, both of them', () => {
    const wider: DrawnGuide = { id: 'g', guide: { kind: 'shape', path: 'M 60 60 L 120 60 L 120 76 L 60 76 Z' } }
    const again = only(
      samplerWith(
        [wider],
        done.map((one) => one.exercise),
      ),
    ).done
    const outline = again[0]?.pieces[0].guide
    expect(outline?.kind === 'line' ? outline.path.length : 0).toBeCloseTo(152, 3)
    expect(again[1]?.stitches).toBeGreaterThan((done[1]?.stitches ?? 0) * 1.4)
  })
})
