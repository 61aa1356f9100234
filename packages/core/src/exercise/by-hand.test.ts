/**
 * Twenty stitches worked by hand, needle and thread on the table: where the needle goes through and what it passes, as a list. `u` up,
 * `d` down, then mm to the right and mm toward one (y grows downward, so left of a line that runs to the right is negative); `under`,
 * `over` with the side that the needle comes from, `hitch` where the thread lies under its point. Lengths are whole on purpose.
 */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import type { Guide } from '../guide/index.ts'
import { newSampler } from '../sampler/index.ts'
import { sentencesOf, type ShortExercise, workAlone } from '../testing/index.ts'
import type { Segment, WorkedStitch } from '../work/index.ts'

const around = surroundingsOf(newSampler('By hand'))

function work(stitch: string, guide: Guide, parameters: Readonly<Record<string, number>>, more: Partial<ShortExercise> = {}): WorkedStitch {
  const result = workAlone({ id: 'e1', name: 'By hand', stitch, guide, strands: 2, parameters, ...more }, around)
  if (!result.ok) throw new Error(`${stitch}: ${sentencesOf(result.problems).join(' ')}`)
  return result.value.worked
}

const mm = (value: number): number => Math.round(value * 100) / 100 + 0

/** What the hand does, in its order. */
function done({ holes, surfaceMoves }: WorkedStitch, from = 0, to = holes.length): readonly string[] {
  return holes
    .slice(from, to)
    .flatMap((hole, index) => [
      `${hole.move === 'up' ? 'u' : 'd'} ${mm(hole.x)} ${mm(hole.y)}`,
      ...surfaceMoves
        .filter((move) => move.afterHole === from + index && (move.kind === 'under' || move.kind === 'over'))
        .map((move) => `${move.kind}${move.hitch ? ' hitch' : ''} from ${sideOf(move.side)}`),
    ])
}

function sideOf(side: { readonly x: number; readonly y: number } | null): string {
  if (!side) return 'nowhere'
  return Math.abs(side.x) > Math.abs(side.y) ? (side.x > 0 ? 'the right' : 'the left') : side.y > 0 ? 'below' : 'above'
}

/** Which of two threads lies over the other where they cross; null where they do not. */
function over({ segments }: WorkedStitch, one: string, other: string): string | null {
  const find = (name: string): Segment[] => {
    const [label = '', index = '0'] = name.split(' ')
    const made = segments.filter((segment) => segment.side === 'front' && segment.label === label)
    return made.slice(Number(index), Number(index) + 1)
  }
  const [a, b] = [find(one)[0], find(other)[0]]
  if (!a || !b || !cross(a, b)) return null
  return a.order > b.order ? one : other
}

function cross(a: Segment, b: Segment): boolean {
  for (let i = 1; i < a.points.length; i += 1)
    for (let j = 1; j < b.points.length; j += 1) {
      const [p, q, r, s] = [a.points[i - 1], a.points[i], b.points[j - 1], b.points[j]]
      if (!p || !q || !r || !s) continue
      const turn = (o: typeof p, v: typeof p, w: typeof p): number => (v.x - o.x) * (w.y - o.y) - (v.y - o.y) * (w.x - o.x)
      if (turn(p, q, r) * turn(p, q, s) < 0 && turn(r, s, p) * turn(r, s, q) < 0) return true
    }
  return false
}

const line = (length: number): Guide => ({ kind: 'line', path: `M 0 0 H ${length}` })
const band = (length: number, widthMm: number): Guide => ({ kind: 'band', path: `M 0 0 H ${length}`, widthMm })
const spot: Guide = { kind: 'spot', at: [0, 0] }

/** Right beside a hole: a French knot goes down there. */
const BESIDE = work('french-knot', spot, { wraps: 1 }).holes[1]?.x ?? 0

describe('knots on a line', () => {
  it('Palestrina: down above, up below, twice from above under the bar, the second time over the thread', () => {
    // A knot every 4 mm, its last stitch 0.6 mm beyond the last knot.
    expect(done(work('palestrina-knot', line(12.6), { L: 4, B: 2 }))).toEqual([
      'u 0 0',
      ...['d 4 -1', 'u 4 1', 'under from above', 'under hitch from above'],
      ...['d 8 -1', 'u 8 1', 'under from above', 'under hitch from above'],
      ...['d 12 -1', 'u 12 1', 'under from above', 'under hitch from above'],
      'd 12.6 0',
    ])
  })

  it('pearl: once from above, over the thread', () => {
    expect(done(work('pearl-stitch', line(9 + BESIDE), { L: 3, B: 2 }))).toEqual([
      'u 0 0',
      ...['d 3 -1', 'u 3 1', 'under hitch from above'],
      ...['d 6 -1', 'u 6 1', 'under hitch from above'],
      ...['d 9 -1', 'u 9 1', 'under hitch from above'],
      `d ${mm(9 + BESIDE)} 0`,
    ])
  })

  it('coral: a bite across the line, the loop crossed beneath it', () => {
    const worked = work('coral-knot', line(12 + BESIDE), { L: 4, B: 1 })
    expect(done(worked)).toEqual(['u 0 0', 'd 4 -0.5', 'u 4 0.5', 'd 8 -0.5', 'u 8 0.5', 'd 12 -0.5', 'u 12 0.5', `d ${mm(12 + BESIDE)} 0.5`])
    expect(worked.segments.filter((segment) => segment.kind === 'loop')).toHaveLength(3)
  })
})

describe('knots on squares and spots', () => {
  it('sorbello: along the top, out below on the left, twice from above under the bar, down below on the right', () => {
    const worked = work('sorbello-stitch', { kind: 'square', at: [3, 3], sideMm: 6 }, {})
    expect(done(worked)).toEqual(['u 0 0', 'd 6 0', 'u 0 6', 'under from above', 'under hitch from above', 'd 6 6'])
    const bar = worked.segments.find((segment) => segment.label === 'bar')
    // The bar is drawn 0.42 of the side into the square.
    expect(Math.max(...(bar?.points.map((at) => at.y) ?? []))).toBeCloseTo(2.52, 2)
  })

  it('four-legged knot: down the upright, up ahead, under it from above with the thread beneath, on to the other side', () => {
    const all = done(work('four-legged-knot', spot, { A: 3 }))
    expect([...all.slice(0, 3), all.at(-1)]).toEqual(['u 0 -3', 'd 0 3', 'u 3 0', 'd -3 0'])
    expect(all.filter((one) => one.includes('hitch'))).toHaveLength(1)
  })

  it.each([
    ['french-knot', { wraps: 2 }, 'wrap', 2],
    ['colonial-knot', {}, 'eight', 2],
  ] as const)('%s: wound, and down beside its own hole and not in it', (id, parameters, wound, turns) => {
    const worked = work(id, spot, parameters)
    const [up, down] = worked.holes
    expect(done(worked).length).toBe(2)
    const gap = Math.hypot((down?.x ?? 0) - (up?.x ?? 0), (down?.y ?? 0) - (up?.y ?? 0))
    expect(gap).toBeGreaterThan(0.1)
    expect(gap).toBeLessThan(0.6)
    expect(worked.segments.map((segment) => [segment.wound, segment.turns])).toEqual([[wound, turns]])
  })

  it('pistil: wound, and down as far away as the stalk is long', () => {
    expect(done(work('pistil-stitch', spot, { L: 5, wraps: 2 }))).toEqual(['u 0 0', 'd 5 0'])
  })

  it.each([
    ['bullion-knot', { L: 6 }, 'wrap'],
    ['cast-on-stitch', { L: 6, loops: 14 }, 'cast'],
    ['double-cast-on', { L: 6, loops: 16 }, 'cast-both'],
  ] as const)('%s: to the far end, half out at the near one, wound, down at the far end again', (id, parameters, wound) => {
    const worked = work(id, spot, parameters)
    expect(done(worked)).toEqual(['u 0 0', 'd 6 0', 'u 0 0', 'd 6 0'])
    const coil = worked.segments.find((segment) => segment.turns > 0)
    expect(coil?.wound).toBe(wound)
    if ('loops' in parameters) expect(coil?.turns).toBe(parameters.loops)
  })

  it('drizzle: cast on a needle that stands in the cloth, and down beside where it came up', () => {
    const worked = work('drizzle-stitch', spot, { H: 6, loops: 13 })
    expect(worked.holes.map(({ move }) => move)).toEqual(['up', 'down'])
    expect(worked.segments[0]?.turns).toBe(13)
  })
})

describe('loops across a band', () => {
  it('Cretan: from each rail in turn toward the middle, the thread under the point, each arm over the last', () => {
    // On a band of 8 mm, an arm every 2 mm, the plait a quarter of the way from the middle.
    const worked = work('cretan-stitch', band(20, 8), { P: 2, q: 0.25 })
    const p = worked.fitted.pitchMm
    const frames = [1, 2, 3].map((k) => [`d ${mm((k + 1) * p)} ${k % 2 === 1 ? -4 : 4}`, `u ${mm((k + 1) * p)} ${k % 2 === 1 ? -1 : 1}`])
    expect(done(worked).slice(0, 7)).toEqual(['u 0 0', ...frames.flat()])
    for (const k of [0, 1, 2]) expect(over(worked, `arm ${k}`, `arm ${k + 1}`)).toBe(`arm ${k + 1}`)
  })

  it('closed fly: a straight stitch, then arms from rail to rail, each tied down into the end of the last tie', () => {
    const worked = work('closed-fly', band(19, 8), { P: 2, V: 3 })
    // On a band of 8 mm the arms hang 0.7 of its half width.
    expect(done(worked).slice(0, 10)).toEqual([
      ...['u 0 0', 'd 3 0'],
      ...['u 2 4', 'd 2 -4', 'u 4.8 0', 'd 6.8 0'],
      ...['u 4 4', 'd 4 -4', 'u 6.8 0', 'd 8.8 0'],
    ])
    expect(over(worked, 'arms 0', 'tie 0')).not.toBe('arms 0')
  })

  it('herringbone: half way back on each rail, every arm over the last', () => {
    const worked = work('herringbone', band(22, 6), { R: 4, B: 2 })
    expect(done(worked).slice(0, 8)).toEqual(['u 0 3', 'd 4 -3', 'u 2 -3', 'd 6 3', 'u 4 3', 'd 8 -3', 'u 6 -3', 'd 10 3'])
    for (const k of [0, 1, 2, 3]) expect(over(worked, `arm ${k}`, `arm ${k + 1}`)).toBe(`arm ${k + 1}`)
  })
})

describe('round a middle and over pins', () => {
  it('star eyelet: a back stitch on the rim, then the spoke from the same place', () => {
    const worked = work('star-eyelet', { kind: 'ring', at: [0, 0], radiusMm: 5 }, { L: 3 })
    const middle = worked.holes.filter((hole) => Math.hypot(hole.x, hole.y) < 0.01)
    expect(middle.length).toBe(worked.holes.length / 4)
    // In and out at every place of the rim twice.
    const rim = worked.holes.filter((hole) => Math.hypot(hole.x, hole.y) > 4.9)
    const times = new Map<string, number>()
    for (const { x, y } of rim) times.set(`${mm(x)} ${mm(y)}`, (times.get(`${mm(x)} ${mm(y)}`) ?? 0) + 1)
    expect(new Set(times.values())).toEqual(new Set([3]))
  })

  it('woven wheel: an odd number of spokes, and over and under change with every round', () => {
    const worked = work('woven-wheel', { kind: 'ring', at: [0, 0], radiusMm: 5 }, { S: 5, B: 0.6 })
    const ways = worked.surfaceMoves.map((move) => move.kind)
    expect(ways.slice(0, 5)).toEqual(['over', 'under', 'over', 'under', 'over'])
    expect(ways.slice(5, 10)).toEqual(['under', 'over', 'under', 'over', 'under'])
  })

  it('whipped wheel: back over one and under two, every time the two that follow', () => {
    const worked = work('whipped-wheel', { kind: 'ring', at: [0, 0], radiusMm: 6 }, { S: 8 })
    expect(worked.surfaceMoves.every((move) => move.kind === 'under' && move.labels.length === 2)).toBe(true)
  })

  it('woven picot: three warps from the base round the pin, then over, under, over and back', () => {
    const worked = work('woven-picot', { kind: 'pins', base: [0, 0], pins: [[0, -10]] }, { G: 2, y: 0.5 })
    expect(worked.holes.slice(0, 3).map(({ move, x, y }) => [move, Math.abs(mm(x)), mm(y)])).toEqual([
      ['up', 2, 0],
      ['down', 2, 0],
      ['up', 0, 0],
    ])
    // Up at one side of the base and down at the other.
    expect((worked.holes[0]?.x ?? 0) * (worked.holes[1]?.x ?? 0)).toBe(-4)
    const ways = worked.surfaceMoves.filter((move) => move.kind === 'over' || move.kind === 'under').map((move) => move.kind)
    expect(new Set(ways.map((way, index) => `${index % 2} ${way}`))).toEqual(new Set(['0 over', '1 under']))
  })
})

describe('laid, whipped, in rows', () => {
  it('couching: laid, tied square from the far side to the near one, the end to the back last', () => {
    const worked = work('couching-stitch', line(16), { P: 4 })
    const all = worked.holes.map((hole) => `${hole.thread} ${hole.move} ${mm(hole.x)}`)
    expect(all).toEqual(['main up 0', ...[4, 8, 12].flatMap((x) => [`tie up ${x}`, `tie down ${x}`]), 'main down 16'])
    const laid = worked.segments.find((segment) => segment.label === 'laid')?.order ?? 1e9
    expect(worked.segments.filter((segment) => segment.label === 'tie').every((tie) => tie.order > laid)).toBe(true)
  })

  it('triple couching: the middle thread over the ties of the outer two, under its own between them', () => {
    const worked = work('triple-couching', line(16), { P: 4 })
    const ties = worked.segments.filter((segment) => segment.label === 'tie')
    const wide = ties.filter((tie) => tie.lengthMm > 1)
    // Three ties of the outer threads stand between four of the middle one.
    expect([wide.length, ties.length - wide.length]).toEqual([3, 4])
    const middles = worked.segments.filter((segment) => segment.label === 'middle')
    for (const [index, tie] of wide.entries()) expect((middles[index + 1]?.order ?? 0) > tie.order).toBe(true)
    for (const [index, tie] of ties.filter((one) => one.lengthMm <= 1).entries()) expect(tie.order > (middles[index]?.order ?? 1e9)).toBe(true)
  })

  it('whipped stem: under both stitches where they overlap, always from below', () => {
    const worked = work('whipped-stem', line(20), { L: 4, f: 0.5 })
    expect(worked.surfaceMoves.length).toBe(worked.segments.filter((segment) => segment.label === 'st').length - 1)
    expect(worked.surfaceMoves.every((move) => move.labels.length === 2 && (move.side?.y ?? 0) > 0.9)).toBe(true)
  })

  it('long and short: the first row alternates, later rows come up through the last', () => {
    const worked = work(
      'long-and-short',
      { kind: 'shape', path: 'M 0 0 H 10 V 16 H 0 Z', directions: ['M 5 0 V 16'] },
      { L: 6, f: 0.5, b: 1.5 },
      { strands: 1 },
    )
    const first = worked.segments.filter((segment) => segment.row === 0 && segment.side === 'front').map((segment) => mm(segment.lengthMm))
    expect(new Set(first.filter((_, index) => index % 2 === 0))).toEqual(new Set([6]))
    expect(new Set(first.filter((_, index) => index % 2 === 1))).toEqual(new Set([3]))
    const later = worked.segments.filter((segment) => segment.row === 1 && segment.side === 'front')
    expect(later.every((segment) => segment.pierces)).toBe(true)
    // Past the end of the long stitch less the bite of 1.5 mm: its rows overlap by so much.
    const starts = worked.holes.filter((hole) => hole.row === 1 && hole.move === 'up').map((hole) => mm(hole.y))
    expect(new Set(starts)).toEqual(new Set([4.5, 1.5]))
  })

  it('reverse chain: up a step ahead, under both threads of the last link, down in the same hole', () => {
    const worked = work('reverse-chain', line(12), { L: 3 })
    expect(done(worked).filter((one) => !one.startsWith('under'))).toEqual([
      'u 0 0',
      'd 1.35 0',
      'u 3 0',
      'd 3 0',
      'u 6 0',
      'd 6 0',
      'u 9 0',
      'd 9 0',
      'u 12 0',
      'd 12 0',
    ])
    expect(worked.surfaceMoves.map((move) => move.labels.length)).toEqual([1, 2, 2, 2])
  })
})
