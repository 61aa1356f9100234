/** Laid threads that fill a shape, the main thread, tied down by another or by itself. */
import type { Move, Pass, StitchDocument } from '../../notation/index.ts'
import { stitch } from './define.ts'

const LAID: Pass = {
  name: 'laid',
  place: { across: { pitch: 'B' } },
  repeat: [
    [{ up: 'a' }, { down: 'b', as: 'laid' }],
    [{ up: 'b' }, { down: 'a', as: 'laid' }],
  ],
}

const LAID_ACROSS: Pass = {
  name: 'laid across',
  place: { across: { pitch: 'B', turn: 90 } },
  repeat: [
    [{ up: 'a' }, { down: 'b', as: 'across' }],
    [{ up: 'b' }, { down: 'a', as: 'across' }],
  ],
}

const TIE: readonly Move[] = [{ up: [0, '-h'] }, { down: [0, 'h'], as: 'tie' }]
const ties = (offset: string, back: boolean): Move => ({ each: { along: 'laid[k]', every: 'P', offset, from: 'a', ...(back ? { back } : {}) }, moves: TIE })
/** Tied to and fro, one laid thread after the other. */
const tied = (offset: string): Pass => ({
  name: 'ties',
  thread: 'tie',
  place: { across: { pitch: 'B' } },
  repeat: [[ties(offset, false)], [ties(offset, true)]],
})

const PARAMETERS = {
  B: { name: 'Between laid threads', measures: 'apart', usual: 'W', min: '0.9*W', max: 3 },
  P: { name: 'Between ties', measures: 'apart', usual: '2.2+4*W', min: 'max(2,4*W)', max: 8 },
} as const

const couched = (id: string, name: string, offset: string, more: Partial<StitchDocument>): StitchDocument =>
  stitch({
    id,
    name,
    family: 'laid',
    guide: ['shape'],
    parameters: PARAMETERS,
    passes: [LAID, tied(offset)],
    marks: 'guide-only',
    practice: { kind: 'shape', widthMm: 16, heightMm: 12, outline: 'rectangle' },
    goodFor: ['smooth solid fields', 'metal and heavy threads'],
    tension: 'easy',
    look: { front: 'Laid threads side by side; the ties make the pattern.', back: 'Rows of small stitches, and turns at the edges.' },
    slips: [{ see: 'The pattern of ties wanders', mend: 'Draw the rows of ties first, and measure from one edge only.' }],
    unpick: 'Cut the ties behind, then lift the laid threads.',
    ...more,
  })

export const laidWork: readonly StitchDocument[] = [
  couched('couched-filling', 'Couched filling', 'P/4+P/2*(k%2)', {
    also: ['Brick couching'],
    look: { front: 'Laid threads side by side, each row of ties half way between the last.', back: 'Rows of small stitches, and turns at the edges.' },
  }),
  couched('zigzag-couching', 'Zigzag couching', 'P/8+P*0.1875*abs(k%8-4)', {
    look: { front: 'Ties step to one side and back: a zigzag over the laid threads.', back: 'Rows of small stitches, and turns at the edges.' },
  }),
  stitch({
    ...couched('diamond-couching', 'Diamond couching', 'P/8', {}),
    passes: [
      LAID,
      {
        name: 'ties',
        thread: 'tie',
        place: { across: { pitch: 'B' } },
        // Two sets of ties, one stepping down and one up: where they meet, one tie serves both.
        repeat: [ties('P/8+P*0.1875*abs(k%8-4)', false), { ...ties('P*0.875-P*0.1875*abs(k%8-4)', true), when: 'not-last' }],
      },
    ],
    look: { front: 'Ties step apart and together again: diamonds over the laid threads.', back: 'Rows of small stitches, and turns at the edges.' },
  }),
  couched('double-brick-couching', 'Double brick couching', 'P/4', {
    passes: [
      LAID,
      {
        name: 'ties',
        thread: 'tie',
        place: { across: { pitch: '2*B' } },
        // Each tie holds two laid threads; the next pair is tied half way between.
        repeat: [
          [{ each: { along: 'laid[2*k]', every: 'P', offset: 'P/4', from: 'a' }, moves: [{ up: [0, '-h'] }, { down: [0, 'h+B'], as: 'tie' }] }],
          [{ each: { along: 'laid[2*k]', every: 'P', offset: 'P*0.75', from: 'a', back: true }, moves: [{ up: [0, '-h'] }, { down: [0, 'h+B'], as: 'tie' }] }],
        ],
      },
    ],
    look: { front: 'Pairs of laid threads, tied like a wall of bricks.', back: 'Rows of small stitches, and turns at the edges.' },
    lookAlikes: [{ name: 'Couched filling', tell: 'each laid thread is tied by itself.' }],
  }),
  stitch({
    id: 'burden-stitch',
    name: 'Burden stitch',
    family: 'laid',
    guide: ['shape'],
    parameters: {
      B: { name: 'Between laid threads', measures: 'apart', usual: '1+3*W', min: '2.5*W', max: 6 },
      P: { name: 'Between stitches', measures: 'apart', usual: '1.15*W', min: '0.9*W', max: '4*W' },
    },
    passes: [
      LAID,
      {
        name: 'stitches',
        thread: 'tie',
        place: { across: { pitch: 'P', turn: 90, cuts: { first: ['2*B', 'B'], step: '2*B', min: '0.5*B' } } },
        repeat: [
          { up: 'a', when: 'first-row' },
          { down: 'b', as: 'tie', when: 'first-row' },
          { up: 'b', when: 'later-row' },
          { down: 'a', as: 'tie', when: 'later-row' },
        ],
      },
    ],
    marks: 'guide-only',
    practice: { kind: 'shape', widthMm: 16, heightMm: 12, outline: 'rectangle' },
    goodFor: ['shaded fields with a woven look', 'brick walls and fur'],
    tension: 'easy',
    look: { front: 'Upright stitches over laid threads, each row half way between the last.', back: 'Slanting stitches, and turns at the edges.' },
    lookAlikes: [{ name: 'Brick stitch', tell: 'there is nothing laid beneath it.' }],
    slips: [{ see: 'The rows run out of step', mend: 'Every stitch goes over one laid thread and down right beside the next.' }],
    unpick: 'The upright stitches first, from behind, then the laid threads.',
  }),
  stitch({
    id: 'cross-tied-lattice',
    name: 'Lattice with cross ties',
    also: ['Trellis with ties'],
    family: 'laid',
    guide: ['shape'],
    parameters: {
      B: { name: 'Between laid threads', measures: 'apart', usual: '1.6+5*W', min: '3*W', max: 12 },
      q: { name: 'Tie', usual: '0.4+0.8*W', min: '0.8*W', max: 2 },
    },
    passes: [
      LAID,
      LAID_ACROSS,
      {
        name: 'ties',
        thread: 'tie',
        place: { crossings: ['laid', 'across'] },
        repeat: [{ up: ['-q', '-q'] }, { down: ['q', 'q'], as: 'tie' }, { up: ['q', '-q'] }, { down: ['-q', 'q'], as: 'tie' }],
      },
    ],
    marks: 'guide-only',
    practice: { kind: 'shape', widthMm: 18, heightMm: 14, outline: 'rectangle' },
    goodFor: ['windows and nets', 'large flower centres'],
    tension: 'easy',
    look: { front: 'A net of even squares, a small cross on every crossing.', back: 'Turns at the edges, and the hops between ties.' },
    lookAlikes: [{ name: 'Laid lattice', tell: 'one tie to each crossing.' }],
    slips: [{ see: 'Crosses of different kinds', mend: 'The same arm on top at every crossing.' }],
    unpick: 'Ties first, then the upper set, then the lower.',
  }),
  stitch({
    id: 'bokhara-couching',
    lookAlikes: [{ name: 'Romanian stitch', tell: 'one tie to each stitch, in its middle.' }],
    name: 'Bokhara couching',
    family: 'laid',
    guide: ['shape'],
    parameters: {
      B: { name: 'Spacing', measures: 'apart', usual: 'W', min: '0.9*W', max: '2*W' },
      P: { name: 'Between ties', measures: 'apart', usual: '1.7+3*W', min: 'max(1.5,3*W)', max: 6 },
    },
    passes: [
      {
        name: 'laid and tied',
        place: { across: { pitch: 'B' } },
        repeat: [
          { up: 'a' },
          { down: 'b', as: 'laid' },
          { each: { along: 'laid', every: 'P', offset: 'P/3+P/3*(k%3)', from: 'b' }, moves: [{ up: ['-0.3', '-h'] }, { down: ['0.3', 'h'], as: 'tie' }] },
        ],
      },
    ],
    marks: 'guide-only',
    practice: { kind: 'shape', widthMm: 16, heightMm: 12, outline: 'rectangle' },
    goodFor: ['solid fields in one thread', 'large leaves'],
    tension: 'easy',
    look: { front: 'Laid threads with small slanting ties that step in diagonals.', back: 'Rows of small stitches.' },
    slips: [{ see: 'The laid thread pulls in', mend: 'Lay it slightly loose; draw the ties tight.' }],
    unpick: 'The ties of the last thread first, then the thread itself.',
  }),
  stitch({
    id: 'laid-lattice',
    name: 'Laid lattice',
    also: ['Trellis couching'],
    family: 'laid',
    guide: ['shape'],
    parameters: {
      B: { name: 'Between laid threads', measures: 'apart', usual: '1.2+4*W', min: '2.5*W', max: 10 },
      q: { name: 'Tie', usual: '0.3+0.7*W', min: '0.8*W', max: 2 },
    },
    passes: [
      LAID,
      LAID_ACROSS,
      { name: 'ties', thread: 'tie', place: { crossings: ['laid', 'across'] }, repeat: [{ up: ['-q', '-q'] }, { down: ['q', 'q'], as: 'tie' }] },
    ],
    marks: 'guide-only',
    practice: { kind: 'shape', widthMm: 18, heightMm: 12, outline: 'rectangle' },
    goodFor: ['open fields', 'nets and windows'],
    tension: 'easy',
    look: { front: 'A net of even squares, every crossing tied the same way.', back: 'Turns at the edges, and the hops between ties.' },
    slips: [{ see: 'The squares lean', mend: 'Mark the edge at every thread, and lay one whole set before the other.' }],
    unpick: 'Ties first, then the upper set, then the lower.',
  }),
]
