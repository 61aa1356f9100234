/** Work in which the cloth itself is cut. */
import type { Move, StitchDocument } from '../../notation/index.ts'
import { stitch } from './define.ts'

const CUTTING =
  'Cut cloth cannot be put back: finish the stitching that holds the edge, count twice, then cut with small sharp points, away from your other hand.'

/** One side of a cell overcast, where it is to be. */
const side = (from: string, to: string, given: string, offset = 'B/2'): Move => ({
  each: { along: { from, to }, every: 'P', offset },
  moves: [{ up: [0, '-B/2'] }, { down: [0, 'B/2'], as: 'bar' }],
  if: given,
})

export const openwork: readonly StitchDocument[] = [
  stitch({
    id: 'overcast-edge',
    name: 'Overcast edge',
    family: 'openwork',
    guide: ['shape'],
    parameters: {
      P: { name: 'Spacing', measures: 'apart', usual: '0.9*W', min: '0.7*W', max: '1.3*W' },
      C: { name: 'Border', usual: '0.7+W', min: '1.5*W', max: 3 },
      G: { name: 'Running stitch', usual: '1+2*W', min: 1, max: 4 },
    },
    passes: [
      {
        name: 'padding line',
        place: { along: { step: ['G', 'G'], tail: 0, closedTail: 0, of: 'outline' } },
        repeat: [{ up: [0, 0] }, { down: ['G', 0], as: 'run' }],
      },
      {
        name: 'overcast',
        continues: true,
        place: { along: { step: ['P'], tail: 0, closedTail: 0, of: 'outline' } },
        start: [{ pad: 0.3 }],
        repeat: [{ up: ['P/2', '-C/2'] }, { down: ['P/2', 'C/2'], as: 'st' }],
      },
    ],
    marks: 'guide-only',
    practice: { kind: 'shape', widthMm: 16, heightMm: 11, outline: 'oval' },
    goodFor: ['the edge of anything that will be cut', 'raised outlines'],
    tension: 'firm',
    look: { front: 'A close even cord round the shape.', back: 'Short stitches side by side.' },
    slips: [{ see: 'Cloth between the stitches', mend: 'Go over it again before anything is cut.' }],
    unpick: 'From behind, a few at a time, before any cutting.',
    cautions: [CUTTING],
  }),
  stitch({
    id: 'cut-eyelet',
    name: 'Cut eyelet',
    also: ['Overcast eyelet'],
    family: 'openwork',
    guide: ['ring'],
    parameters: {
      P: { name: 'Spacing', measures: 'apart', usual: '0.85*W', min: '0.7*W', max: '1.2*W' },
      C: { name: 'Border', usual: '0.6+1.3*W', min: '1.5*W', max: 3 },
      G: { name: 'Running stitch', usual: '0.8+1.5*W', min: 0.8, max: 3 },
    },
    passes: [
      {
        name: 'running',
        place: { along: { step: ['G', 'G'], tail: 0, closedTail: 0 } },
        repeat: [{ up: [0, '-0.4*C'] }, { down: ['G', '-0.4*C'], as: 'run' }],
      },
      {
        name: 'overcast',
        continues: true,
        place: { along: { step: ['P'], tail: 0, closedTail: 0 } },
        start: [{ cut: 'centre', size: '2*radius' }],
        repeat: [{ up: ['P/2', '-C'] }, { down: ['P/2', '0.3'], as: 'st' }],
      },
    ],
    marks: 'guide-only',
    practice: { kind: 'ring', radiusMm: 2.2 },
    goodFor: ['round holes', 'berries, snow, lace borders'],
    tension: 'firm',
    look: { front: 'A clean round hole in an even rim.', back: 'The same rim, a little flatter.' },
    slips: [{ see: 'Cut threads stand out', mend: 'Cut no more than the hole, fold the points behind, and hold them under the stitches.' }],
    unpick: 'The stitching can be drawn back; the hole stays.',
    cautions: [CUTTING, 'An awl is sharp: pierce over a pad, never over your knee or hand.'],
  }),
  stitch({
    id: 'cut-grid',
    name: 'Cut grid',
    also: ['Drawn-thread grid'],
    family: 'openwork',
    guide: ['grid'],
    parameters: { B: { name: 'Bar', usual: 'max(1,3*p)', min: '2*W', max: 3 }, P: { name: 'Overcast', usual: '0.95*W', min: '0.7*W', max: '1.5*W' } },
    passes: [
      {
        name: 'outline',
        place: { cells: { order: 'to-and-fro' } },
        // The outer sides first, while the cloth is whole.
        repeat: [
          side('nw', 'ne', '1-row', 'P/2'),
          side('ne', 'se', 'col-columns+2', 'P/2'),
          side('se', 'sw', 'row-rows+2', 'P/2'),
          side('sw', 'nw', '1-col', 'P/2'),
        ],
      },
      { name: 'cutting', place: { cells: { order: 'to-and-fro' } }, repeat: [{ cut: 'centre', size: 'size-B' }] },
      {
        name: 'bars',
        place: { cells: { order: 'to-and-fro' } },
        // Up one bar and along the next, so that the thread is carried behind a bar and never over a hole.
        repeat: [
          side('sw', 'nw', '(1-fro)*col*(row+col%2)'),
          side('nw', 'sw', '(1-fro)*col*(1-row)*(1-col%2)'),
          side('nw', 'ne', '(1-fro)*row'),
          side('se', 'ne', 'fro*(columns-1-col)'),
          side('ne', 'nw', 'fro*row'),
        ],
      },
    ],
    marks: 'guide-only',
    practice: { kind: 'grid', columns: 3, rows: 3, cellMm: 4 },
    goodFor: ['lattices in linen', 'openwork borders'],
    tension: 'firm',
    look: { front: 'Square holes in straight lines, every bar round and covered.', back: 'The same.' },
    slips: [{ see: 'A bar is cut through', mend: 'Lay a thread across in its place and overcast it with the others; then count again.' }],
    unpick: 'The overcast can be drawn back; the cut threads cannot.',
    cautions: [CUTTING],
  }),
]
