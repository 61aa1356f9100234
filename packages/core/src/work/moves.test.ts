/**
 * Each move of the notation worked alone, with its thread measured by hand; and each thing that a move refuses, reached by
 * a stitch that asks for it. Lines run along y = 0 to the right, so left is up (y negative); L = 4 mm, five repeats on 20 mm.
 */
import { describe, expect, it } from 'vitest'
import { materialValues } from '../assign/index.ts'
import { parsePath } from '../geometry/index.ts'
import { type Guide, readGuide, type ReadGuide } from '../guide/index.ts'
import { findThreadKind, makeBundle, type ThreadKind } from '../materials/index.ts'
import { type Move, type Pass, resolveParameters, type StitchDocument } from '../notation/index.ts'
import { sentenceOf } from '../testing/index.ts'
import { workStitch, type WorkedStitch } from './index.ts'

const bundle = makeBundle(findThreadKind('stranded-cotton', undefined) as ThreadKind, 2)
const materials = materialValues(bundle, { name: 'cloth', threadsPerCm: 24, thicknessMm: 0.3 }, 0.62)
const { W, D } = materials

const LINE = (() => {
  const path = parsePath('M 0 0 H 20')
  if (!path.ok) throw new Error('no path')
  return { kind: 'line', path: path.value } as const satisfies ReadGuide
})()
const guideOf = (guide: Guide): ReadGuide => {
  const read = readGuide(guide)
  if (!read.ok) throw new Error(sentenceOf(read.problems))
  return read.value
}
const ALONG: Pass['place'] = { along: { step: ['L'], tail: 0 } }

interface Given {
  readonly guide?: ReadGuide
  readonly place?: Pass['place']
  readonly start?: readonly Move[]
  readonly end?: readonly Move[]
  readonly passes?: readonly Pass[]
}

function tried(repeat: readonly Move[], { guide = LINE, place = ALONG, start, end, passes }: Given = {}) {
  const document: StitchDocument = {
    ...{ format: 'lemmata-stitch', version: 1, id: 'invented', name: 'Invented', guide: ['line'], parameters: { L: 4 } },
    passes: passes ?? [{ name: 'only', place, repeat, ...(start ? { start } : {}), ...(end ? { end } : {}) }],
  }
  const parameters = resolveParameters(document, materials, {})
  if (!parameters.ok) throw new Error(sentenceOf(parameters.problems))
  return workStitch({ document, guide, parameters: parameters.value, materials, leftHand: false })
}

function work(repeat: readonly Move[], given: Given = {}): WorkedStitch {
  const worked = tried(repeat, given)
  if (!worked.ok) throw new Error(sentenceOf(worked.problems))
  return worked.value
}
const refusal = (repeat: readonly Move[], given: Given = {}): string => {
  const worked = tried(repeat, given)
  return worked.ok ? 'worked' : sentenceOf(worked.problems)
}
const fronts = (worked: WorkedStitch) => worked.segments.filter((one) => one.side === 'front')
const lengths = (worked: WorkedStitch, kind: string): number[] => worked.segments.filter((one) => one.kind === kind).map((one) => one.lengthMm)
const RUN: readonly Move[] = [{ up: [0, 0] }, { down: ['L/2', 0], as: 'st' }]

describe('up and down', () => {
  it('lie straight in front between their holes, and straight behind from hole to hole', () => {
    const worked = work(RUN)
    expect(fronts(worked).map((one) => one.lengthMm)).toEqual([2, 2, 2, 2, 2])
    expect(worked.segments.filter((one) => one.side === 'back').map((one) => one.lengthMm)).toEqual([2, 2, 2, 2])
    expect(worked.holes.map((hole) => [hole.x, hole.move]).slice(0, 4)).toEqual([
      [0, 'up'],
      [2, 'down'],
      [4, 'up'],
      [6, 'down'],
    ])
    expect(worked.motions).toMatchObject({ up: 5, down: 5 })
  })

  it('a hole met again is the same hole', () => {
    const worked = work([{ up: ['L', 0] }, { down: [0, 0] }])
    // Back stitch: six places, met ten times.
    expect(new Set(worked.holes.map((hole) => hole.same)).size).toBe(6)
  })

  it('to the left of a line that runs to the right is up', () => {
    expect(work([{ up: [0, 0] }, { down: [0, 3] }]).holes[1]).toMatchObject({ x: 0, y: -3 })
  })

  it.each<[string, readonly Move[], RegExp]>([
    ['up twice', [{ up: [0, 0] }, { up: ['L', 0] }], /comes up while the thread is already in front/],
    ['down twice', [{ down: [0, 0] }], /goes down while the thread is already behind/],
    ['down the hole it came up by', [{ up: [0, 0] }, { down: [0, 0] }], /goes down the very hole it came up by/],
    ['up the hole it went down by', [{ up: [0, 0] }, { down: ['L', 0] }], /comes up in the very hole it has just gone down by/],
    ['up, and left in front', [{ up: [0, 0], when: 'first' }], /left in front at the end/],
  ])('%s is refused with what to do', (_name, moves, words) => {
    expect(refusal(moves)).toMatch(words)
  })

  it('a refusal names the pass, the move and the repeat it happens in', () => {
    const moves: Move[] = [{ up: [0, 0] }, { down: ['2', 0] }, { down: ['3', 0], when: 'last' }]
    expect(refusal(moves)).toMatch(/^Invented, pass 1, repeat, move 3, repeat 5: /)
  })
})

describe('a loop', () => {
  const CHAIN: readonly Move[] = [
    { up: [0, 0], when: 'first' },
    { down: [0, 0], loose: true, as: 'loop' },
    { up: ['L', 0], round: 'inside' },
  ]
  const TIE: readonly Move[] = [{ down: [0.5, 0] }]

  it('left loose and caught goes round the thread that catches it: twice its length and a little', () => {
    const loops = lengths(work(CHAIN, { end: TIE }), 'loop')
    expect(loops).toHaveLength(5)
    for (const one of loops) {
      expect(one).toBeGreaterThan(8)
      // The bight is half a turn about a thread.
      expect(one).toBeLessThan(8 + 2 * Math.PI * (D + W))
    }
  })

  it.each<[string, readonly Move[], RegExp]>([
    ['never caught', [{ up: [0, 0] }, { down: ['L/2', 0], loose: true }], /left loose is not caught/],
    ['caught though none is left', [{ up: [0, 0], round: 'inside' }, { down: ['L/2', 0] }], /no loose loop for this move to catch/],
  ])('%s is refused', (_name, moves, words) => {
    expect(refusal(moves)).toMatch(words)
  })

  it('open at the very end is refused: it would come undone', () => {
    expect(refusal(RUN, { end: [{ up: [0, 0] }, { down: [1, 0], loose: true }] })).toMatch(/A loop is left open at the end|a loop is left open at the end/)
  })
})

describe('by', () => {
  it('leads the thread by way of a place: as long as the way is', () => {
    // Over a point 3 mm aside half way along 4 mm: twice the root of 2 squared and 3 squared, smoothed a little.
    const worked = work([{ up: [0, 0] }, { by: ['L/2', 3] }, { down: ['L', 0] }, { up: ['L', 1] }, { down: ['L', -1] }], {
      place: { along: { step: ['L'], tail: 0, times: 1 } },
    })
    const [first] = fronts(worked)
    expect(first?.lengthMm).toBeGreaterThan(2 * Math.hypot(10, 3) - 1e-6)
    expect(Math.min(...(first?.points.map((at) => at.y) ?? []))).toBeCloseTo(-3, 1)
  })

  it('behind there is nothing to lead', () => {
    expect(refusal([{ by: [0, 1] }, ...RUN])).toMatch(/thread is behind, so it cannot be led/)
  })
})

describe('wrap and cast', () => {
  it('a wrapped knot takes its turns: two more of them take two more turns of thread', () => {
    const knot = (turns: number): WorkedStitch => work([{ up: [0, 0] }, { wrap: turns }, { down: [0.5, 0], as: 'knot' }])
    const wound = (worked: WorkedStitch): number => Math.max(...fronts(worked).map((one) => one.wrapMm))
    const [two, four] = [wound(knot(2)), wound(knot(4))]
    expect(two).toBeGreaterThan(0)
    expect(four / two).toBeCloseTo(2, 1)
    expect(fronts(knot(3))[0]).toMatchObject({ kind: 'knot', turns: 3, wound: 'wrap' })
    expect(knot(3).motions).toMatchObject({ wind: 5, wrap: 15 })
  })

  it('a figure of eight is wound as one, loops are cast', () => {
    expect(fronts(work([{ up: [0, 0] }, { wrap: 2, turn: 'eight' }, { down: [0.5, 0], as: 'knot' }]))[0]?.wound).toBe('eight')
    const cast = work([{ up: [0, 0] }, { cast: 9 }, { down: [3, 0], as: 'coil' }])
    expect(fronts(cast)[0]).toMatchObject({ kind: 'coil', turns: 9, wound: 'cast' })
    expect(cast.motions.cast).toBe(45)
  })

  it.each<[string, Move, RegExp]>([
    ['none at all', { wrap: 0 }, /0 wraps cannot be made; ask for 1 to 200/],
    ['more than a needle holds', { cast: 1000 }, /1000 loops cannot be made/],
  ])('%s is refused', (_name, move, words) => {
    expect(refusal([{ up: [0, 0] }, move, { down: [0.5, 0] }])).toMatch(words)
  })

  it('behind there is nothing to wrap', () => {
    expect(refusal([{ wrap: 2 }, ...RUN])).toMatch(/nothing to wrap: come up first/)
  })
})

describe('lay and each', () => {
  const LAID: Pass = { name: 'laid', place: { whole: true }, repeat: [{ up: [0, 0] }, { lay: [0, 'U'] }, { down: ['U', 0], as: 'laid', plunge: true }] }

  it('a laid thread is as long as its line, and its end is taken to the back', () => {
    const worked = work([], { passes: [LAID] })
    expect(fronts(worked)[0]?.lengthMm).toBeCloseTo(20, 6)
    expect(worked.motions).toMatchObject({ lay: 1, plunge: 1 })
  })

  it('ties along it stand a step apart, half a step from its ends, square over it', () => {
    const tie: Move[] = [{ each: { along: 'laid', every: 5 }, moves: [{ up: [0, '-h'] }, { down: [0, 'h'], as: 'tie' }] }]
    const worked = work([], { passes: [LAID, { name: 'ties', thread: 'tie', place: { whole: true }, repeat: tie }] })
    const ties = fronts(worked).filter((one) => one.label === 'tie')
    expect(ties.map((one) => one.points[0]?.x.toFixed(2))).toEqual(['2.50', '7.50', '12.50', '17.50'])
    for (const one of ties) expect(one.lengthMm).toBeGreaterThanOrEqual(W + 2 * 0.08 - 1e-9)
  })

  it('offset and back: from where it is said, in the other order', () => {
    const at = (more: object): (string | undefined)[] => {
      const moves: Move[] = [{ each: { along: 'laid', every: 5, ...more }, moves: [{ up: [0, '-h'] }, { down: [0, 'h'], as: 'tie' }] }]
      const worked = work([], { passes: [LAID, { name: 'ties', thread: 'tie', place: { whole: true }, repeat: moves }] })
      return fronts(worked)
        .filter((one) => one.label === 'tie')
        .map((one) => one.points[0]?.x.toFixed(1))
    }
    expect(at({ offset: 1 })).toEqual(['1.0', '6.0', '11.0', '16.0'])
    expect(at({ offset: 1, back: true })).toEqual(['16.0', '11.0', '6.0', '1.0'])
    expect(at({ offset: 1, from: ['U', 0] })).toEqual(['19.0', '14.0', '9.0', '4.0'])
  })

  it.each<[string, Move, RegExp]>([
    ['steps of nothing', { each: { along: 'laid', every: 0 }, moves: [{ up: [0, 0] }] }, /must be longer than 0/],
    ['far too many', { each: { along: 'laid', every: 0.0001 }, moves: [{ up: [0, 0] }] }, /make more than 20000|make more than 20.000/],
    ['along a thread that nobody laid', { each: { along: 'cord', every: 2 }, moves: [{ up: [0, 0] }] }, /nothing is labelled "cord"/],
  ])('%s are refused', (_name, move, words) => {
    expect(refusal([], { passes: [LAID, { name: 'ties', place: { whole: true }, repeat: [move] }] })).toMatch(words)
  })
})

describe('under and over', () => {
  const BASE: Pass = { name: 'line', place: ALONG, repeat: RUN }
  const lace = (move: Move): Pass => ({
    name: 'lace',
    thread: 'lacing',
    place: { along: { step: ['L'], tail: 0, times: 'count(st)' } },
    start: [{ up: [0, -1] }],
    repeat: [move],
    end: [{ down: [0, -1] }],
  })

  it('passes each stitch without entering the cloth: two holes for the whole row', () => {
    const worked = work([], { passes: [BASE, lace({ under: ['st[k]'], from: 'right' })] })
    expect(worked.holes.length).toBe(2 * 5 + 2)
    expect(worked.motions['pass-under']).toBe(5)
    expect(worked.surfaceMoves.map((one) => [one.kind, one.labels])).toEqual(Array.from({ length: 5 }, () => ['under', ['st']]))
  })

  it('under lies below the stitch it passes, over above it', () => {
    const order = (kind: 'under' | 'over'): number[] => {
      const move: Move = kind === 'under' ? { under: ['st[k]'] } : { over: ['st[k]'] }
      const worked = work([], { passes: [BASE, lace(move)] })
      const stitch = worked.segments.find((one) => one.label === 'st')?.order ?? 0
      return worked.segments.filter((one) => one.thread === 'lacing' && one.side === 'front').map((one) => one.order - stitch)
    }
    expect(order('under').some((one) => one < 0)).toBe(true)
    expect(order('over').every((one) => one > 0)).toBe(true)
  })

  it.each<[string, Move, RegExp]>([
    ['no thread named', { under: [] }, /name at least one thread to pass/i],
    ['a label that is nowhere', { under: ['cord'] }, /nothing is labelled "cord", so it cannot be passed/],
    ['one that has not been made', { under: ['st[k+9]'] }, /there is no "st\[9\]" to pass; 5 of them have been made/],
  ])('%s is refused', (_name, move, words) => {
    expect(refusal([], { passes: [BASE, lace(move)] })).toMatch(words)
  })
})

describe('split', () => {
  it('comes up through the last stitch, which is parted there', () => {
    const worked = work([
      { up: [0, 0], when: 'first' },
      { up: [0, 0], split: 'st', when: 'not-first' },
      { down: ['1.5*L', 0], as: 'st' },
    ])
    const first = fronts(worked)[0]
    expect(first?.parted).toHaveLength(1)
    expect(first?.parted[0]?.x).toBeCloseTo(4, 6)
    expect(worked.motions.split).toBe(4)
  })

  it('beside it the needle would split nothing', () => {
    const beside: Move[] = [
      { up: [0, 0], when: 'first' },
      { up: [0, 3], split: 'st', when: 'not-first' },
      { down: ['1.5*L', 0], as: 'st' },
    ]
    expect(refusal(beside)).toMatch(/lies 3 mm beside "st", so the needle would not split it/)
  })
})

describe('hold', () => {
  it('leaves the thread in front for the pass that goes on with it', () => {
    const out: Pass = { name: 'out', place: { whole: true }, repeat: [{ up: [0, 0] }, { by: ['U/2', 1] }, { hold: true }] }
    const back: Pass = { name: 'back', continues: true, place: { whole: true }, repeat: [{ down: ['U', 0], as: 'st' }] }
    const worked = work([], { passes: [out, back] })
    expect(worked.holes.map((hole) => hole.move)).toEqual(['up', 'down'])
    expect(fronts(worked).reduce((total, one) => total + one.lengthMm, 0)).toBeGreaterThan(20)
    const { continues: _not, ...begun } = back
    expect(refusal([], { passes: [out, begun] })).toMatch(/Write "continues"/)
  })

  it('waits in its own needle while another is worked over it, and goes down after', () => {
    const laid: Pass = { name: 'laid', place: { whole: true }, repeat: [{ up: [0, 0] }, { lay: [0, 'U'] }, { hold: true, as: 'laid' }] }
    const ties: Pass = {
      name: 'ties',
      thread: 'tie',
      place: { along: { step: ['L'], tail: 0 } },
      repeat: [{ up: ['L/2', -0.5] }, { down: ['L/2', 0.5], as: 'tie' }],
    }
    const end: Pass = { name: 'end', continues: true, place: { whole: true }, repeat: [{ down: ['U', 0], plunge: true }] }
    const worked = work([], { passes: [laid, ties, end] })
    const [first] = worked.segments.filter((one) => one.label === 'laid')
    const tied = worked.segments.filter((one) => one.label === 'tie')
    expect(first?.lengthMm).toBeCloseTo(20, 3)
    // Every tie lies over it, and its end is the last hole of all.
    expect(tied.length).toBeGreaterThan(3)
    for (const one of tied) expect(one.order).toBeGreaterThan(first?.order ?? 0)
    expect(worked.holes.at(-1)).toMatchObject({ move: 'down', thread: 'main', y: 0 })
    expect(worked.holes[0]).toMatchObject({ move: 'up', thread: 'main' })
    // No thread behind from the one needle's hole to the other's.
    expect(worked.segments.filter((one) => one.side === 'back' && one.thread === 'main')).toEqual([])
    expect(refusal([], { passes: [laid, ties] })).toMatch(/Write "continues"/)
  })

  it('two that are held are taken up in the order in which they were put aside', () => {
    const held = (name: string, t: number): Pass => ({
      name,
      place: { whole: true },
      repeat: [{ up: [0, t] }, { lay: [0, 'U'], aside: t }, { hold: true, as: name }],
    })
    const ended = (t: number): Pass => ({ name: 'end', continues: true, place: { whole: true }, repeat: [{ down: ['U', t], plunge: true }] })
    const worked = work([], { passes: [held('upper', 1), held('lower', -1), ended(1), ended(-1)] })
    const ends = worked.holes.filter((hole) => hole.move === 'down')
    const starts = worked.holes.filter((hole) => hole.move === 'up')
    expect(ends.map((hole) => hole.y)).toEqual(starts.map((hole) => hole.y))
  })

  it('behind there is nothing to hold', () => {
    expect(refusal([{ hold: true }])).toMatch(/no thread in front to hold/)
  })
})

describe('what is not thread', () => {
  it('a bead is as wide as it is and costs one motion', () => {
    const worked = work([{ up: [0, 0] }, { bead: 2 }, { down: ['L/2', 0] }])
    expect(worked.segments.filter((one) => one.kind === 'bead').map((one) => one.sizeMm)).toEqual([2, 2, 2, 2, 2])
    expect(worked.motions.bead).toBe(5)
    expect(refusal([{ up: [0, 0] }, { bead: 0 }, { down: ['L/2', 0] }])).toMatch(/give it a width above 0/)
  })

  it('padding lifts what is worked over it: more thread in front, none more behind', () => {
    const padded = work(RUN, { start: [{ pad: 2 }] })
    const plain = work(RUN)
    expect(Math.max(...fronts(padded).map((one) => one.lengthMm))).toBeGreaterThan(Math.max(...fronts(plain).map((one) => one.lengthMm)))
    expect(lengths(padded, 'straight').filter((one) => one === 2).length).toBeGreaterThanOrEqual(4)
    expect(refusal(RUN, { start: [{ pad: 0 }] })).toMatch(/padding 0 mm high cannot be laid; give it a height above 0 and up to 20 mm/)
    expect(refusal(RUN, { start: [{ pad: 1, felt: 0.5 }] })).toMatch(/felt is laid under a shape, and this guide is not one/)
  })

  it('a gap is cut round where it is said, as large as it is said', () => {
    const worked = work([{ cut: [0, 0], size: 3 }, { up: [2, 0] }, { down: [3, 0] }], { place: { along: { step: ['L'], tail: 0, times: 1 } } })
    const [gap] = worked.patches
    expect(gap?.kind).toBe('gap')
    for (const at of gap?.outline ?? []) expect(Math.hypot(at.x, at.y)).toBeCloseTo(1.5, 9)
    expect(refusal([{ cut: [0, 0], size: 0 }, ...RUN])).toMatch(/give it a size above 0/)
  })

  it('threads are drawn out of a strip between two heights', () => {
    const worked = work(RUN, { start: [{ withdraw: [1, 4] }] })
    const [drawn] = worked.patches
    expect(drawn?.kind).toBe('drawn')
    const ys = drawn?.outline.map((at) => at.y) ?? []
    expect([Math.min(...ys), Math.max(...ys)]).toEqual([-4, -1])
    expect(Math.max(...(drawn?.outline.map((at) => at.x) ?? []))).toBeCloseTo(20, 6)
  })

  it('a pin is set, and the thread goes round its far side', () => {
    const worked = work([{ pin: 'pin' }, { up: [0, 0] }, { round: 'pin', to: [0, 1] }, { down: [0, 1], as: 'w' }], {
      guide: guideOf({ kind: 'pins', base: [10, 20], pins: [[10, 10]] }),
      place: { pins: true },
    })
    expect(worked.motions).toMatchObject({ pin: 1, 'round-pin': 1 })
    // There and back: twice ten millimetres at the least.
    expect(fronts(worked).reduce((total, one) => total + one.lengthMm, 0)).toBeGreaterThan(20)
    expect(Math.min(...fronts(worked).flatMap((one) => one.points.map((at) => at.y)))).toBeLessThan(10)
  })
})

describe('points', () => {
  it.each<[string, Move, RegExp]>([
    ['a name this guide does not have', { down: 'centre' }, /no point called "centre"/],
    ['an expression of what is not there', { down: ['nowhere', 0] }, /nothing called "nowhere"/],
    ['a division by nothing', { down: ['1/0', 0] }, /divides by zero/],
  ])('%s is refused', (_name, move, words) => {
    expect(refusal([{ up: [0, 0] }, move])).toMatch(words)
  })

  it('"-" is where the needle last went through; before it has, it is nowhere', () => {
    const worked = work([{ up: [0, 0] }, { down: { from: '-', to: ['L', 0], mm: 1.5 } }])
    expect(worked.holes.slice(0, 2).map((hole) => hole.x)).toEqual([0, 1.5])
    expect(refusal([{ up: '-' }, { down: [1, 0] }])).toMatch(/"-" means where the needle last went through/)
  })

  it('between two places by a share, by millimetres, and aside of that', () => {
    const to = (more: object): { x: number; y: number } | undefined => {
      const worked = work([{ up: [0, 0] }, { down: { from: [0, 0], to: ['L', 0], ...more } }, { up: [1, 1] }, { down: [2, 2] }], {
        place: { along: { step: ['L'], tail: 0, times: 5 } },
      })
      return worked.holes[1]
    }
    expect(to({})).toMatchObject({ x: 2, y: 0 })
    expect(to({ at: 0.25 })).toMatchObject({ x: 1, y: 0 })
    expect(to({ mm: 3 })).toMatchObject({ x: 3, y: 0 })
    expect(to({ at: 0.5, by: [0, 2] })).toMatchObject({ x: 2, y: -2 })
  })
})

describe('when', () => {
  it.each<[Move['when'], number]>([
    ['first', 1],
    ['last', 1],
    ['not-first', 4],
    ['not-last', 4],
    ['even', 3],
    ['odd', 2],
  ])('%s is so many of five repeats', (when, times) => {
    const more: Move[] = [...RUN, { up: ['0.7*L', 0], when }, { down: ['0.9*L', 0], as: 'more', when }]
    expect(fronts(work(more)).filter((one) => one.label === 'more')).toHaveLength(times)
  })

  it('only and except name repeats by their number, from 0', () => {
    const named = (how: object): number =>
      fronts(work([...RUN, { up: ['0.7*L', 0], ...how }, { down: ['0.9*L', 0], as: 'more', ...how }])).filter((one) => one.label === 'more').length
    expect(named({ only: [0, 3] })).toBe(2)
    expect(named({ except: [0, 3] })).toBe(3)
  })
})

describe('a line that closes at once', () => {
  it('is named as what is wrong, and not the stitch that meets itself there', () => {
    // Round a ring of 0.6 mm, 3.8 mm long, a back stitch of 4 mm is worked once: it comes up where it went down.
    const back: Move[] = [{ up: ['L', 0] }, { down: [0, 0] }]
    const ring = guideOf({ kind: 'line', path: 'M 50 50 A 0.6 0.6 0 0 1 51.2 50 A 0.6 0.6 0 0 1 50 50' })
    expect(refusal(back, { guide: ring, place: { along: { step: ['L'], tail: 0, closedTail: 0 } } })).toMatch(
      /this line closes after a single stitch.*Draw it larger, or take shorter stitches or fewer strands\.$/,
    )
  })
})

describe('what would never end', () => {
  it('more repeats than a hand could make in a year are refused before they are made', () => {
    expect(refusal(RUN, { place: { along: { step: [0.00001], tail: 0 } } })).toMatch(/make more than 60000|make more than 60.000/)
    expect(refusal(RUN, { place: { times: 1e9 } })).toMatch(/repeats are too many/)
    expect(refusal(RUN, { place: { along: { step: [0], tail: 0 } } })).toMatch(/must all be longer than 0/)
  })
})
