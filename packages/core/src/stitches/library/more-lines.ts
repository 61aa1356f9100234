/** Lines worked twice over, and lines of a laid thread tied down by another. */
import type { Move, Pass, StitchDocument } from '../../notation/index.ts'
import { stitch } from './define.ts'

/** A thread of its own laid along the whole line, both ends taken to the back. */
const laid = (name: string, thread: 'main' | 'padding' = 'main'): Pass => ({
  name,
  thread,
  place: { whole: true },
  repeat: [{ up: [0, 0] }, { lay: [0, 'U'] }, { down: ['U', 0], plunge: true, as: 'laid' }],
})

/** Laid and left in its needle while it is tied; then its end is taken to the back. */
const held: Pass = { ...laid('laid thread'), repeat: [{ up: [0, 0] }, { lay: [0, 'U'] }, { hold: true, as: 'laid' }] }
const plunged: Pass = { name: 'end of the laid thread', continues: true, place: { whole: true }, repeat: [{ down: ['U', 0], plunge: true }] }

/** Drawn in at every tie and out between them; its end waits in front. */
const waved = (name: string, sign: '' | '-'): Pass => ({
  name,
  thread: 'outer',
  place: { along: { step: ['P'], tail: 0 } },
  start: [{ up: [0, `${sign}0.55*W`] }],
  repeat: [{ by: ['0.5*P', `${sign}1.15*W`] }, { by: ['P', `${sign}0.55*W`], when: 'not-last' }],
  end: [{ hold: true, as: 'laid' }],
})

const end = (side: string, sign: '' | '-'): Pass => ({
  name: `end of the ${side} thread`,
  thread: 'outer',
  continues: true,
  place: { whole: true },
  repeat: [{ down: ['U', `${sign}0.55*W`], plunge: true }],
})

const tie = (s: string, half: string): Move[] => [{ up: [s, `-${half}`] }, { down: [s, half], as: 'tie' }]

export const moreLines: readonly StitchDocument[] = [
  stitch({
    id: 'double-running',
    name: 'Double running stitch',
    also: ['Holbein stitch'],
    family: 'line',
    guide: ['line'],
    parameters: { L: { name: 'Stitch', usual: '1.4+2.5*W', min: 'max(1,3*W,2*p)', max: 5 } },
    passes: [
      { name: 'out', place: { along: { step: ['L', 'L'], tail: 0, closedTail: 0 } }, repeat: [{ up: [0, 0] }, { down: ['L', 0], as: 'st' }] },
      {
        name: 'back',
        continues: true,
        place: { along: { step: ['L', 'L'], tail: 0, closedTail: 0, order: 'reverse' } },
        repeat: [{ up: ['2*L', 0] }, { down: ['L', 0], as: 'st' }],
      },
    ],
    corner: 'through',
    marks: 'every-hole',
    practice: { kind: 'line', lengthMm: 90 },
    goodFor: ['outlines seen from both sides', 'fine drawings'],
    tension: 'easy',
    look: { front: 'A solid thin line.', back: 'The same solid line.' },
    slips: [{ see: 'The line steps from side to side', mend: 'On the way back come up and go down on the same side of the stitch each time.' }],
    unpick: 'Draw out the way back first, then the way out, stitch by stitch from behind.',
  }),
  stitch({
    id: 'couching-stitch',
    lookAlikes: [{ name: 'Whipped running stitch', tell: 'there the second thread goes under stitches and not through the cloth.' }],
    name: 'Couching',
    family: 'laid',
    guide: ['line'],
    parameters: { P: { name: 'Between ties', measures: 'apart', usual: '2.2+4*W', min: 'max(2,4*W,2*p)', max: 6 } },
    passes: [held, { name: 'ties', thread: 'tie', place: { along: { step: ['P'], tail: 'P', closedTail: 'P' } }, repeat: tie('P', '(0.5*W+0.08)') }, plunged],
    corner: 'through',
    marks: 'every-hole',
    practice: { kind: 'line', lengthMm: 96 },
    goodFor: ['thick and precious threads', 'bold flowing outlines'],
    tension: 'easy',
    look: { front: 'A smooth laid thread, ties square to it at even steps, hugging and not biting.', back: 'Only the small stitches of the tying thread.' },
    slips: [
      { see: 'The laid thread wavers', mend: 'Hold it along the line a little taut, and tie square to it.' },
      { see: 'Ties bite into it', mend: 'Draw each tie until it just rests on the thread.' },
    ],
    unpick: 'Snip the ties behind, one by one, and lift the laid thread off whole.',
  }),
  stitch({
    id: 'couching-in-pairs',
    name: 'Couching in pairs',
    family: 'laid',
    guide: ['line'],
    parameters: { P: { name: 'Between ties', measures: 'apart', usual: '2.2+4*W', min: 'max(2,4*W,2*p)', max: 7 } },
    passes: [
      { ...held, name: 'first laid thread', repeat: [{ up: [0, '0.5*W'] }, { lay: [0, 'U'], aside: '0.5*W' }, { hold: true, as: 'laid' }] },
      { ...held, name: 'second laid thread', repeat: [{ up: [0, '-0.5*W'] }, { lay: [0, 'U'], aside: '-0.5*W' }, { hold: true, as: 'laid' }] },
      { name: 'ties', thread: 'tie', place: { along: { step: ['P'], tail: 'P', closedTail: 'P' } }, repeat: tie('P', '(W+0.08)') },
      { ...plunged, name: 'end of the first thread', repeat: [{ down: ['U', '0.5*W'], plunge: true }] },
      { ...plunged, name: 'end of the second thread', repeat: [{ down: ['U', '-0.5*W'], plunge: true }] },
    ],
    corner: 'through',
    marks: 'every-hole',
    practice: { kind: 'line', lengthMm: 90 },
    goodFor: ['metal threads', 'a broad smooth line'],
    tension: 'easy',
    look: { front: 'Two threads side by side under one row of ties.', back: 'Only the small stitches of the tying thread, and four ends.' },
    lookAlikes: [{ name: 'Couching', tell: 'one thread is laid.' }],
    slips: [{ see: 'The two threads cross', mend: 'Lay them side by side without a twist, and hold both taut while you tie.' }],
    unpick: 'Snip the ties behind, one by one, and lift both threads off whole.',
  }),
  stitch({
    id: 'triple-couching',
    name: 'Triple couching',
    family: 'laid',
    guide: ['line'],
    parameters: { P: { name: 'Between ties', measures: 'apart', usual: '2.2+4*W', min: 'max(2,4*W,2*p)', max: 7 } },
    passes: [
      waved('left thread', ''),
      waved('right thread', '-'),
      { name: 'middle thread', place: { whole: true }, repeat: [{ up: [0, 0] }, { hold: true }] },
      {
        name: 'ties',
        thread: 'tie',
        place: { along: { step: ['P'], tail: 0 } },
        // The middle thread is tied between two ties of the outer ones and passes over those.
        repeat: [
          { take: 'main' },
          { by: ['0.5*P', 0], as: 'middle' },
          { take: 'tie' },
          ...tie('0.5*P', '(0.5*W+0.08)'),
          ...tie('P', '(1.05*W+0.08)').map((move): Move => ({ ...move, when: 'not-last' })),
        ],
      },
      { name: 'end of the middle thread', continues: true, place: { whole: true }, repeat: [{ down: ['U', 0], plunge: true, as: 'middle' }] },
      end('left', ''),
      end('right', '-'),
    ],
    corner: 'through',
    marks: 'every-nth',
    practice: { kind: 'line', lengthMm: 90 },
    goodFor: ['chain-like borders', 'three colours in one line'],
    tension: 'easy',
    look: { front: 'Two threads swell and draw in like links; a third runs over their middle.', back: 'Two rows of small stitches.' },
    slips: [{ see: 'The links are uneven', mend: 'Tie the outer two together first, all along, then the middle one half way between.' }],
    unpick: 'Free the middle thread first, then the outer two.',
  }),
  stitch({
    id: 'overcast-trailing',
    name: 'Overcast trailing',
    also: ['Trailing stitch'],
    family: 'laid',
    guide: ['line'],
    parameters: {
      P: { name: 'Spacing', measures: 'apart', usual: '0.9*W', min: '0.7*W', max: '1.3*W' },
      C: { name: 'Cord', usual: '0.8+0.9*W', min: '1.5*W', max: 2.5 },
    },
    passes: [
      laid('padding', 'padding'),
      {
        name: 'overcast',
        place: { along: { step: ['P'], tail: 0, closedTail: 0 } },
        start: [{ pad: '0.45*C' }],
        repeat: tie('0.5*P', '(0.5*C+0.08)'),
      },
    ],
    corner: 'through',
    marks: 'guide-only',
    practice: { kind: 'line', lengthMm: 50 },
    goodFor: ['raised stems and letters', 'a firm edge for openwork'],
    tension: 'firm',
    look: { front: 'A smooth round cord, every stitch square to it and touching the next.', back: 'A ribbon of short stitches.' },
    slips: [{ see: 'Cloth or padding between the stitches', mend: 'Set each stitch right against the last and draw the padding taut as you go.' }],
    unpick: 'Cut the covering stitches behind, a few at a time; the padding stays.',
  }),
]
