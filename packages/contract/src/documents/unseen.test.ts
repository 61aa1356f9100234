/** Stitches that the library has never seen, given as files; and files that are no stitch at all. */
import { surroundingsOf } from '@lemmata/core/assign'
import { drawExerciseThread } from '@lemmata/core/drawing'
import { showMistake } from '@lemmata/core/hold'
import { practiceFor, practiceGuide } from '@lemmata/core/guide'
import { type StitchDocument, usualMistakes } from '@lemmata/core/notation'
import { courseOf, restsOn } from '@lemmata/core/order'
import { newSampler } from '@lemmata/core/sampler'
import { makeSheets } from '@lemmata/core/sheets'
import { demonstrate } from '@lemmata/core/steps'
import { LIBRARY } from '@lemmata/core/stitches'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readStitch } from './read.ts'
import { leftAlone, type ShortExercise, workAlone } from '@lemmata/core/testing'
import type { Problem } from '@lemmata/core/base'
import { problemInWords } from '../problem-words.ts'

const sentenceOf = (given: readonly Problem[] | Problem | undefined): string => {
  const first = given && 'code' in given ? given : given?.[0]
  return first ? problemInWords(first) : ''
}

const sentencesOf = (problems: readonly Problem[]): string[] => problems.map((problem) => problemInWords(problem))

const head = { format: 'lemmata-stitch', version: 1 }
const sampler = newSampler('Test')

/** Squall: stem with a second thread laced under every other stitch. */
const composite = {
  ...head,
  id: 'squall-line',
  name: 'Squall line',
  guide: ['line'],
  base: 'stem-stitch',
  parameters: {},
  passes: [
    {
      name: 'lace',
      thread: 'second',
      place: { along: { step: ['2*L*(1-f)'], times: 'floor(count(st)/2)' } },
      start: [{ up: [0, '-1.5*W'] }],
      repeat: [[{ under: ['st[2*k]'], from: 'right', bight: 'W' }], [{ under: ['st[2*k]'], from: 'left', bight: 'W' }]],
      end: [{ down: [0, '1.5*W'] }],
    },
  ],
}
/** Eddy: a loop that leans, tied by a long slant. */
const loop = {
  ...head,
  id: 'eddy-loop',
  name: 'Eddy loop',
  guide: ['line'],
  parameters: { L: { usual: 5, min: 2, max: 9, name: 'Reach' } },
  passes: [
    {
      name: 'loops',
      place: { along: { step: ['L'], tail: 2 } },
      repeat: [{ up: [0, 0] }, { down: [1, 1.2], loose: true, as: 'loop' }, { up: ['L-1', 0.4], round: 'inside' }, { down: ['L+1', '-0.8'], as: 'tie' }],
    },
  ],
}
/** Sleet: a spot of three straight stitches, the last wrapped. */
const spot = {
  ...head,
  id: 'sleet-spot',
  name: 'Sleet spot',
  guide: ['spots'],
  parameters: { A: 2, turns: { usual: 5, kind: 'count' } },
  passes: [
    {
      name: 'star',
      place: { once: true },
      repeat: [
        { up: ['-A', 0] },
        { down: ['A', 0], as: 'bar' },
        { up: [0, 'A'] },
        { down: [0, '-A'] },
        { up: ['-A', '-A'] },
        { wrap: 'turns' },
        { down: ['A', 'A'], as: 'coil' },
      ],
    },
  ],
}
/** Net: spokes woven by pairs. */
const woven = {
  ...head,
  id: 'net-wheel',
  name: 'Net wheel',
  guide: ['ring'],
  parameters: { S: { usual: 7, kind: 'count' } },
  passes: [
    { name: 'spokes', place: { along: { step: ['6.2832*radius/S'], closedTail: 0, odd: true } }, repeat: [{ up: [0, 0] }, { down: 'centre', as: 'ray' }] },
    {
      name: 'weave',
      continues: true,
      place: { times: '2*count(ray)' },
      start: [{ up: [0.4, 0.2] }],
      repeat: [[{ under: ['ray[k%count(ray)]'], at: 0.5 }], [{ over: ['ray[k%count(ray)]'], at: 0.5 }]],
      end: [{ down: { from: '-', to: 'centre', mm: 0.5 } }],
    },
  ],
}
/** Fog: chords in pairs, open, tied across by their own thread. */
const fill = {
  ...head,
  id: 'fog-bank',
  name: 'Fog bank',
  guide: ['shape'],
  parameters: { P: { usual: 'F', min: '0.8*F', max: '3*F' } },
  passes: [
    {
      name: 'bars',
      lie: 'flat',
      place: { across: { pitch: 'P' } },
      repeat: [
        { up: 'a' },
        { down: 'b', as: 'bar' },
        { each: { along: 'bar', every: 4, offset: 2, from: 'b' }, moves: [{ up: [0, '-h'] }, { down: [0, 'h'] }] },
      ],
    },
  ],
}

/** Breaker: bars in one thread, a second laid and tied step by step over them, and each bar drawn in. */
const interplay = {
  ...head,
  id: 'breaker-band',
  name: 'Breaker band',
  guide: ['band'],
  parameters: { S: { usual: '2+3*W', min: 2, max: 9, name: 'Between bars' } },
  passes: [
    { name: 'bars', place: { along: { step: ['S'], tail: 0 } }, repeat: [{ up: [0, '-w'] }, { down: [0, 'w'], as: 'bar' }] },
    { name: 'held', thread: 'second', place: { whole: true }, repeat: [{ up: ['-0.4*S', 0] }, { hold: true }] },
    {
      name: 'waves',
      place: { along: { step: ['S'], times: 'count(bar)' } },
      repeat: [
        { take: 'second' },
        { drawn: ['bar[k]'], by: ['0.25*S', 0] },
        { under: ['bar[k]'], from: 'behind', bight: '0.8*W' },
        { by: ['0.6*S', '0.3*w'], as: 'wave' },
        { take: 'main' },
        { up: ['0.6*S', '0.3*w-0.6*W'] },
        { down: ['0.6*S', '0.3*w+0.6*W'], as: 'tie' },
      ],
    },
    { name: 'end', thread: 'second', continues: true, place: { whole: true }, repeat: [{ down: ['U', 0], plunge: true }] },
  ],
}

const exerciseFor = (document: StitchDocument, more: Partial<ShortExercise> = {}): ShortExercise => ({
  id: document.id,
  name: document.name,
  stitch: document.id,
  guide: practiceGuide(document.practice ?? practiceFor(document), 100, 100, 140),
  strands: 2,
  ...more,
})

describe('a stitch nobody has seen', () => {
  it.each([
    ['composite', composite],
    ['loop', loop],
    ['spot', spot],
    ['woven', woven],
    ['fill', fill],
    ['interplay of two threads', interplay],
  ])('a new %s is checked, worked by both hands, drawn, moved, rated, worded and printed', (_kind, file) => {
    const read = readStitch(JSON.parse(JSON.stringify(file)))
    if (!read.ok) throw new Error(sentencesOf(read.problems).join(' '))
    const document = read.value
    const result = workAlone(exerciseFor(document), surroundingsOf({ ...sampler, stitches: [document] }))
    if (!result.ok) throw new Error(sentencesOf(result.problems).join(' '))
    const done = result.value
    expect(leftAlone(done).ok).toBe(true)
    expect(drawExerciseThread(done, { side: 'front', detail: 'full' }, 0).length).toBeGreaterThan(10)
    expect(done.difficulty.score).toBeGreaterThan(5)
    expect(done.minutes.total).toBeGreaterThan(0.5)
    const shown = demonstrate({ document: done.assigned.document, parameters: done.assigned.parameters, materials: done.assigned.materials, hand: 'right' })
    if (!shown.ok) throw new Error(sentenceOf(shown.problems))
    for (const step of shown.value.steps) expect(step.sentence).toMatch(/^[A-Z].*\.$/)
    const pages = makeSheets({
      sampler: { ...sampler, stitches: [document], exercises: [done.exercise] },
      exercises: [done],
      title: document.name,
      page: 'a4',
      hand: 'left',
      measure: (text, size) => text.length * size * 0.5,
    })
    const printed = pages.flatMap((page) => page.layers.flatMap((layer) => layer.items))
    expect(printed.some((item) => item.kind === 'words' && item.text.includes(document.name))).toBe(true)
    expect(
      usualMistakes(done.assigned.document)
        .map((mistake) => showMistake(done.work, mistake))
        .some(Boolean),
    ).toBe(true)
  })

  it('that wraps rests on the easiest knot of the course, and changes no other score', () => {
    const read = readStitch(spot)
    if (!read.ok) throw new Error('unreadable')
    const around = surroundingsOf({ ...sampler, stitches: [read.value] })
    const of = (stitch: string, stitches: Parameters<typeof surroundingsOf>[0] | null = null) => {
      const document = LIBRARY.find((one) => one.id === stitch) ?? read.value
      const result = workAlone(exerciseFor(document), stitches ? surroundingsOf(stitches) : around)
      if (!result.ok) throw new Error(stitch)
      return result.value
    }
    const done = ['running-stitch', 'french-knot', 'bullion-knot', 'sleet-spot'].map((stitch) => of(stitch))
    const rests = restsOn(courseOf(done)).get('sleet-spot') ?? []
    expect(rests.filter(({ motion }) => motion === 'wrap').map(({ on }) => on)).toEqual(['french-knot'])
    for (const one of done.slice(0, 3)) expect(of(one.exercise.stitch, sampler).difficulty.score).toBe(one.difficulty.score)
  })
})

describe('a bad stitch', () => {
  const { practice: _practice, ...line } = LIBRARY.find((one) => one.id === 'back-stitch') as StitchDocument
  const pass = (more: object) => ({ ...line, id: 'bad', passes: [{ name: 'x', place: { along: { step: ['L'] } }, ...more }] })
  const messages = (given: unknown): string => {
    const read = readStitch(given)
    if (!read.ok) return read.problems.map((problem) => `${problem.path.join('.')} ${sentenceOf(problem)}`).join('\n')
    const result = workAlone(exerciseFor(read.value), surroundingsOf({ ...sampler, stitches: [read.value] }))
    return result.ok ? '' : sentencesOf(result.problems).join('\n')
  }

  it.each<[string, unknown, RegExp]>([
    ['a loop that nothing catches', pass({ repeat: [{ up: [0, 0] }, { down: ['L', 0], loose: true }] }), /pass 1, .*loop/i],
    ['division by zero', pass({ repeat: [{ up: ['L/0', 0] }, { down: ['L', 0] }] }), /pass 1, repeat, move 1.*(zero|divi)/i],
    [
      'a reference to nothing',
      pass({ repeat: [{ up: [0, 0] }, { under: ['ghost'] }, { down: ['L', 0] }] }),
      /pass 1, repeat, move 2: nothing is labelled "ghost"/,
    ],
    ['10,000 moves', pass({ repeat: Array.from({ length: 10_000 }, (_, index) => (index % 2 === 0 ? { up: [index, 0] } : { down: [index, 0] })) }), /repeat/],
    ['a hostile expression', pass({ repeat: [{ up: ['constructor.constructor("return 1")()', 0] }, { down: ['L', 0] }] }), /pass 1, repeat, move 1/],
    ['a huge count', pass({ place: { along: { step: ['L'], times: '1e9' } }, repeat: [{ up: [0, 0] }, { down: ['L', 0] }] }), /too many/],
    [
      'an each within an each',
      pass({
        repeat: [
          { up: [0, 0] },
          { down: ['L', 0], as: 'st' },
          { each: { along: 'st', every: 1 }, moves: [{ each: { along: 'st', every: 1 }, moves: [{ up: [0, 1] }] }] },
        ],
      }),
      /may not hold another "each"/,
    ],
    [
      'an each with no step',
      pass({ repeat: [{ up: [0, 0] }, { down: ['L', 0], as: 'st' }, { each: { along: 'st', every: 0 }, moves: [{ up: [0, 1] }, { down: [0, -1] }] }] }),
      /longer than 0\./,
    ],
    [
      'a thread held that nobody goes on with',
      { ...line, id: 'bad', passes: [{ name: 'x', place: { along: { step: ['L'] } }, repeat: [{ up: [0, 0] }, { hold: true }] }, line.passes[0]] },
      /continues|already in front/,
    ],
    [
      'rows shorter than their bite',
      {
        ...line,
        id: 'bad',
        guide: ['shape'],
        passes: [{ name: 'x', place: { across: { pitch: 0.5, cuts: { first: [1], step: 1, bite: 2 } } }, repeat: [{ up: 'a' }, { down: 'b' }] }],
      },
      /too short/,
    ],
    ['a base that is not there', { ...line, id: 'bad', base: 'nowhere-stitch' }, /not to be found/],
    ['no pass and no base', { ...line, id: 'bad', passes: [] }, /at least one pass/],
    [
      'a placement that the guide does not have',
      { ...line, id: 'bad', guide: ['line'], passes: [{ name: 'x', place: { cells: {} }, repeat: [{ up: 'sw' }, { down: 'ne' }] }] },
      /in the cells of a grid/,
    ],
  ])('%s is refused, and the move is named', (_name, given, words) => {
    expect(messages(given)).toMatch(words)
  })

  it('of any shape is refused or worked, and never throws', () => {
    const expression = fc.oneof(
      fc.double(),
      fc.constantFrom('L', 'W', 'k', 'count(st)', 'L/0', '(((', 'min(', '1e999', '__proto__', 'rest', 'size*2', 'sqrt(-1)'),
    )
    const point = fc.oneof(fc.tuple(expression, expression), fc.constantFrom('a', 'b', 'a+1', '-', 'centre', 'nw', 'pin', 'toString'))
    const move = fc.oneof(
      fc.record({ up: point }),
      fc.record({ up: point, round: fc.constantFrom('inside', 'cross', 'left', 'right') }),
      fc.record({ down: point, as: fc.constant('st') }),
      fc.record({ down: point, loose: fc.constant(true) }),
      fc.record({ wrap: expression }),
      fc.record({ cast: expression, free: expression }),
      fc.record({ under: fc.constant(['st[k]']) }),
      fc.record({ lay: fc.tuple(expression, expression) }),
      fc.record({ bead: expression }),
      fc.record({ pad: expression }),
      fc.record({ cut: point, size: expression }),
      fc.record({ hold: fc.constant(true) }),
      fc.record({ each: fc.record({ along: fc.constant('st'), every: expression }), moves: fc.constant([{ up: [0, -1] }, { down: [0, 1] }]) }),
    )
    const place = fc.oneof(
      fc.record({ along: fc.record({ step: fc.array(expression, { minLength: 1, maxLength: 2 }) }) }),
      fc.record({ across: fc.record({ pitch: expression }) }),
      fc.constant({ once: true }),
      fc.constant({ whole: true }),
      fc.record({ times: expression }),
      fc.record({ scatter: fc.record({ apart: expression }) }),
      fc.constant({ cells: {} }),
      fc.constant({ pins: true }),
      fc.constant({ pins: 'fan' }),
      fc.record({ weave: fc.record({ label: fc.constantFrom('st', 'none'), tip: expression, beat: expression }) }),
    )
    const document = fc.record({
      ...Object.fromEntries(Object.entries({ ...head, id: 'any', name: 'Any', parameters: { L: 3 } }).map(([key, value]) => [key, fc.constant(value)])),
      guide: fc.constantFrom(['line'], ['shape'], ['spots'], ['grid'], ['pins'], ['ring'], ['band']),
      passes: fc.array(fc.record({ name: fc.constant('x'), place, repeat: fc.array(move, { minLength: 1, maxLength: 6 }) }), { minLength: 1, maxLength: 2 }),
    })
    fc.assert(
      fc.property(document, (given) => {
        const said = messages(given)
        expect(typeof said).toBe('string')
      }),
      { seed: 9, numRuns: 400 },
    )
    fc.assert(
      fc.property(fc.anything(), (given) => {
        expect(readStitch(given).ok).toBe(false)
      }),
      { seed: 10, numRuns: 200 },
    )
  })
})
