/** Bands between two rails, and leaves between their edges. */
import type { StitchDocument } from '../../notation/index.ts'
import { stitch } from './define.ts'

export const moreBands: readonly StitchDocument[] = [
  stitch({
    id: 'open-chain',
    name: 'Open chain stitch',
    also: ['Ladder chain', 'Square chain'],
    family: 'loop',
    guide: ['band'],
    parameters: { L: { name: 'Link', usual: '1.2+4*W', min: 'max(2,3*W,2*p)', max: 7 } },
    passes: [
      {
        name: 'links',
        place: { along: { step: ['L'], tail: 'e' } },
        start: [{ up: [0, '-wr'] }],
        repeat: [
          { down: [0, 'wl'], loose: true, as: 'loop' },
          { up: ['L', '-wr'], round: 'inside', and: ['L', 'wl'] },
        ],
        // The last link is held open at both corners.
        end: [{ down: ['e', '-wr'], as: 'tie' }, { up: [0, 'wl'] }, { down: ['e', 'wl'], as: 'tie' }],
      },
    ],
    corner: 'through',
    marks: 'every-hole',
    practice: { kind: 'band', lengthMm: 80, widthMm: 5 },
    goodFor: ['ladders and casings', 'covering a cord'],
    tension: 'loose',
    look: { front: 'Square links like a ladder, both rails straight.', back: 'Slanting stitches from rail to rail.' },
    slips: [{ see: 'A link closed to a point', mend: 'Leave the loop slack until the needle has gone down inside it on the other rail.' }],
    unpick: 'Undo both ties at the end, then draw back link by link.',
  }),
  stitch({
    id: 'closed-fly',
    name: 'Closed fly stitch',
    also: ['Fly stitch leaf'],
    family: 'loop',
    guide: ['band', 'shape'],
    parameters: {
      P: { name: 'Spacing', measures: 'apart', usual: '0.9*F', min: '0.7*F', max: '3*F' },
      V: { name: 'Depth', usual: '1.4+2.4*W', min: '2*W', max: 8 },
    },
    passes: [
      {
        name: 'leaf',
        lie: 'flat',
        place: { along: { step: ['P'], tail: 'V' } },
        start: [{ up: [0, 0] }, { down: ['V', 0], as: 'st' }],
        repeat: [
          // At the very tip there is no width to cross.
          { up: [0, '-wr'], when: 'not-first' },
          { down: [0, 'wl'], loose: true, as: 'arms', when: 'not-first' },
          // Near a blunt tip the arms lie flatter, so that no cloth opens between them and the first stitch.
          { up: ['min(V,max(P,0.7*(wl+wr)/2))', 0], round: 'inside', when: 'not-first' },
          { down: ['min(V,max(P,0.7*(wl+wr)/2))+P', 0], as: 'tie', when: 'not-first' },
        ],
      },
    ],
    corner: 'through',
    marks: 'guide-only',
    practice: { kind: 'shape', widthMm: 22, heightMm: 8, outline: 'oval' },
    goodFor: ['leaves and ferns', 'broad flat threads'],
    tension: 'easy',
    look: { front: 'Arms side by side, their ties one line down the middle.', back: 'Crossing stitches from edge to edge.' },
    slips: [{ see: 'The middle line breaks', mend: 'Bring each tie down into the end of the last one.' }],
    unpick: 'From the last stitch back, tie first, then arms.',
  }),
  stitch({
    id: 'cretan-stitch',
    lookAlikes: [{ name: 'Feather stitch', tell: 'its loops open outwards from a middle line.' }],
    name: 'Cretan stitch',
    family: 'loop',
    guide: ['band', 'shape'],
    parameters: {
      P: { name: 'Spacing', measures: 'apart', usual: '0.7+3*W', min: '1.2*W', max: 6 },
      q: { name: 'Width of the plait', usual: 0.25, min: 0.1, max: 0.6, kind: 'share' },
    },
    passes: [
      {
        name: 'arms',
        place: { along: { step: ['P'], tail: 'P' } },
        start: [{ up: [0, 0] }],
        repeat: [
          [
            { down: ['P', '-wr'], loose: true, as: 'arm', when: 'not-first' },
            { up: ['P', '-q*wr'], round: 'inside', when: 'not-first' },
          ],
          [
            { down: ['P', 'wl'], loose: true, as: 'arm', when: 'not-first' },
            { up: ['P', 'q*wl'], round: 'inside', when: 'not-first' },
          ],
        ],
        end: [{ down: { from: '-', to: ['P', 0], mm: 'e' }, as: 'tie' }],
      },
    ],
    corner: 'through',
    marks: 'guide-only',
    practice: { kind: 'band', lengthMm: 80, widthMm: 9 },
    goodFor: ['leaves', 'wide borders', 'feathers'],
    tension: 'easy',
    look: { front: 'Arms from each side in turn, plaited down the middle.', back: 'Short slanting stitches at both sides.' },
    slips: [{ see: 'The plait wanders', mend: 'Draw the two middle lines, and point the needle to them each time.' }],
    unpick: 'Draw back arm by arm from the last.',
  }),
  stitch({
    id: 'chevron-stitch',
    lookAlikes: [{ name: 'Herringbone stitch', tell: 'its arms cross near the rails.' }],
    name: 'Chevron stitch',
    family: 'band',
    guide: ['band'],
    parameters: {
      S: { name: 'From foot to foot', measures: 'apart', usual: '2+4.5*W', min: '4*W', max: 9 },
      B: { name: 'Level stitch', usual: '0.9+2.6*W', min: '2*W', max: 'S' },
    },
    passes: [
      {
        name: 'bars',
        place: { along: { step: ['S'], tail: 'B-S' } },
        repeat: [
          [
            { up: [0, '-w'] },
            { down: ['B', '-w'], as: 'foot' },
            { up: ['B/2', '-w'], when: 'not-last' },
            { down: ['S+B/2', 'w'], as: 'bar', when: 'not-last' },
          ],
          [{ up: [0, 'w'] }, { down: ['B', 'w'], as: 'foot' }, { up: ['B/2', 'w'], when: 'not-last' }, { down: ['S+B/2', '-w'], as: 'bar', when: 'not-last' }],
        ],
      },
    ],
    corner: 'through',
    marks: 'every-hole',
    practice: { kind: 'band', lengthMm: 84, widthMm: 6 },
    goodFor: ['borders', 'a trellis in rows'],
    tension: 'easy',
    look: { front: 'Zigzag bars with a level stitch at every point, all alike.', back: 'Two rows of short stitches.' },
    slips: [{ see: 'Points of different widths', mend: 'Mark both rails at every foot; the bar starts from the middle of the level stitch.' }],
    unpick: 'From the last bar back, from behind.',
  }),
  stitch({
    id: 'romanian-stitch',
    lookAlikes: [{ name: 'Bokhara couching', tell: 'it ties one long thread several times.' }],
    name: 'Romanian stitch',
    also: ['Oriental couching'],
    family: 'band',
    guide: ['band'],
    parameters: {
      P: { name: 'Spacing', measures: 'apart', usual: 'W', min: '0.7*F', max: '2*F' },
      q: { name: 'Tie', usual: 0.5, min: 0.2, max: 0.7, kind: 'share' },
    },
    passes: [
      {
        name: 'bars',
        lie: 'flat',
        place: { along: { step: ['P'], tail: 'P', closedTail: 0 } },
        repeat: [{ up: [0, 'wl'] }, { down: [0, '-wr'], as: 'bar' }, { up: ['0.6*P', '-0.6*q*w'] }, { down: ['-0.6*P', 'q*w'], as: 'tie' }],
      },
    ],
    corner: 'through',
    marks: 'guide-only',
    practice: { kind: 'band', lengthMm: 50, widthMm: 8 },
    goodFor: ['broad borders', 'petals and leaves with a woven middle'],
    tension: 'easy',
    look: { front: 'Long stitches side by side, each tied by one slanting stitch in the middle.', back: 'Short stitches along both rails.' },
    slips: [{ see: 'Ties out of line', mend: 'Draw two lines for the ties and keep every tie between them.' }],
    unpick: 'Tie first, then the long stitch under it.',
  }),
  stitch({
    id: 'hem-stitch',
    name: 'Hem stitch',
    also: ['Antique hem stitch'],
    family: 'openwork',
    guide: ['band'],
    parameters: {
      L: { name: 'Bundle', usual: 'max(2,4*p)', min: '2*p', max: 5 },
      d: { name: 'Below the edge', usual: 'max(0.8,2*p)', min: 'p', max: 3 },
    },
    passes: [
      {
        name: 'bundles',
        place: { along: { step: ['L'], tail: 0 } },
        start: [{ withdraw: ['-w', 'w'] }],
        repeat: [{ up: [0, '-w-d'] }, { down: ['L', '-w'], as: 'st' }, { up: [0, '-w'] }, { down: ['L', '-w'], as: 'tie' }, { bundle: [0, 'L'], at: '-w' }],
      },
    ],
    corner: 'through',
    marks: 'every-nth',
    practice: { kind: 'band', lengthMm: 60, widthMm: 4 },
    goodFor: ['hems of linen', 'a first step into openwork'],
    tension: 'firm',
    look: { front: 'Bundles of the same number of threads, drawn in at one edge.', back: 'Small slanting stitches.' },
    slips: [{ see: 'Bundles of different widths', mend: 'Count the threads of each bundle with the needle before drawing up.' }],
    unpick: 'The thread can be drawn back; the withdrawn threads cannot be put back.',
    cautions: ['Threads of the cloth are drawn out for good: practise on the margin, and count twice before the first snip.'],
  }),
]
