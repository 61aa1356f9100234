/** Counted over a grid: slants, squares, eyes; and what is laced through counted stitches. */
import type { Move, StitchDocument } from '../../notation/index.ts'
import { stitch } from './define.ts'

const COUNT = 'Count the cloth threads of the first row twice; every later row is counted from it.'

/** From every corner and every side of a square into its middle. */
const EYE: readonly Move[] = [
  { up: 'nw' },
  { down: 'centre', as: 'st' },
  { up: { from: 'nw', to: 'ne' } },
  { down: 'centre', as: 'st' },
  { up: 'ne' },
  { down: 'centre', as: 'st' },
  { up: { from: 'ne', to: 'se' } },
  { down: 'centre', as: 'st' },
  { up: 'se' },
  { down: 'centre', as: 'st' },
  { up: { from: 'se', to: 'sw' } },
  { down: 'centre', as: 'st' },
  { up: 'sw' },
  { down: 'centre', as: 'st' },
  { up: { from: 'sw', to: 'nw' } },
  { down: 'centre', as: 'st' },
]

export const counted: readonly StitchDocument[] = [
  stitch({
    id: 'half-cross',
    name: 'Half cross stitch',
    family: 'counted',
    guide: ['grid'],
    passes: [
      {
        name: 'rows',
        place: { cells: { order: 'to-and-fro' } },
        repeat: [{ up: ['size*fro', 'size*fro'] }, { down: ['size*(1-fro)', 'size*(1-fro)'], as: 'st' }],
      },
    ],
    marks: 'guide-only',
    practice: { kind: 'grid', columns: 14, rows: 4, cellMm: 2 },
    goodFor: ['light counted fields', 'skies behind crosses'],
    tension: 'easy',
    look: { front: 'Small slants, all one way.', back: 'Short upright stitches.' },
    lookAlikes: [
      { name: 'Tent stitch', tell: 'the same on the front; its back is long slants, which wear better.' },
      { name: 'Cross stitch', tell: 'a second arm crosses each.' },
    ],
    slips: [{ see: 'A slant lies the other way', mend: COUNT }],
    unpick: 'Row by row from behind.',
  }),
  stitch({
    id: 'tent-stitch',
    name: 'Tent stitch',
    also: ['Continental tent stitch', 'Petit point'],
    family: 'counted',
    guide: ['grid'],
    passes: [
      {
        name: 'rows',
        place: { cells: { order: 'to-and-fro' } },
        // The needle always goes back behind the last stitch, so that the back is covered as well.
        repeat: [{ up: ['size*(1-fro)', 'size*(1-fro)'] }, { down: ['size*fro', 'size*fro'], as: 'st' }],
      },
    ],
    marks: 'guide-only',
    practice: { kind: 'grid', columns: 14, rows: 4, cellMm: 2 },
    goodFor: ['hard-wearing counted pictures', 'small pictures in fine thread'],
    tension: 'easy',
    look: { front: 'Small slants, all one way.', back: 'Long slants that cover the cloth.' },
    lookAlikes: [{ name: 'Half cross stitch', tell: 'the same on the front; its back is short and upright and takes less thread.' }],
    slips: [{ see: 'The cloth is drawn askew', mend: 'Work in a hoop or frame, and do not pull.' }],
    unpick: 'Row by row from behind.',
  }),
  stitch({
    id: 'four-sided-stitch',
    name: 'Four-sided stitch',
    family: 'openwork',
    guide: ['grid'],
    passes: [
      {
        name: 'squares',
        place: { cells: { order: 'to-and-fro' } },
        repeat: [
          { up: ['size*fro', 0] },
          { down: ['size*fro', 'size'], as: 'side' },
          { up: ['size*(1-fro)', 0] },
          { down: ['size*fro', 0], as: 'side' },
          { up: ['size*(1-fro)', 'size'] },
          { down: ['size*fro', 'size'], as: 'side' },
          { up: ['size*(1-fro)', 0], if: 'fro*(1-col)+(1-fro)*(col-columns+2)' },
          { down: ['size*(1-fro)', 'size'], as: 'side', if: 'fro*(1-col)+(1-fro)*(col-columns+2)' },
        ],
      },
    ],
    marks: 'every-hole',
    practice: { kind: 'grid', columns: 10, rows: 2, cellMm: 3 },
    goodFor: ['pulled borders with rows of holes', 'hems'],
    tension: 'firm',
    look: { front: 'Squares of four stitches, a small hole at every corner.', back: 'Crosses.' },
    lookAlikes: [{ name: 'Double running stitch', tell: 'its squares are drawn as a line and not pulled; its back is as its front.' }],
    slips: [{ see: 'A side is missing', mend: 'Upright, along the foot, along the top: always in that order, behind always slanting.' }],
    unpick: 'Stitch by stitch from behind; the holes close again when the cloth is washed.',
  }),
  stitch({
    id: 'algerian-eye',
    name: 'Algerian eye',
    also: ['Eyelet square'],
    family: 'openwork',
    guide: ['square', 'grid'],
    passes: [
      {
        name: 'eyes',
        place: { once: true },
        repeat: EYE,
      },
    ],
    variants: {
      cells: {
        name: 'In the cells of a grid',
        guide: ['grid'],
        when: { guide: 'grid' },
        practice: { kind: 'grid', columns: 5, rows: 2, cellMm: 5 },
        passes: [
          {
            name: 'eyes',
            place: { cells: { order: 'to-and-fro' } },
            repeat: EYE,
          },
        ],
      },
    },
    marks: 'every-hole',
    practice: { kind: 'square', sideMm: 5, repeat: 6 },
    goodFor: ['stars in counted work', 'borders with eyelets'],
    tension: 'firm',
    look: { front: 'Eight stitches into one open hole, the outline a square.', back: 'The same star, turned a little.' },
    lookAlikes: [{ name: 'Star eyelet', tell: 'it is round and has as many spokes as fit.' }],
    slips: [{ see: 'The hole closes', mend: 'Always up at the edge and down in the middle, and pull away from the middle each time.' }],
    unpick: 'Stitch by stitch from behind.',
  }),
  stitch({
    id: 'cloud-filling',
    name: 'Cloud filling',
    also: ['Mexican stitch'],
    family: 'fill',
    guide: ['grid'],
    passes: [
      {
        name: 'upright stitches',
        place: { cells: { order: 'to-and-fro' } },
        repeat: [{ up: ['size*(0.25+0.5*(row%2))', 'size*0.25'] }, { down: ['size*(0.25+0.5*(row%2))', 'size*0.75'], as: 'st' }],
      },
      {
        name: 'lacing',
        thread: 'lacing',
        place: { cells: { order: 'forward' } },
        repeat: [
          { up: ['-0.1*size', 0], if: '(1-col)*(rows-1-row)' },
          { under: ['st[row*columns+col+(row%2)*(columns-1-2*col)]'], at: 0.2, from: 'behind', if: 'rows-1-row' },
          { under: ['st[(row+1)*columns+col+((row+1)%2)*(columns-1-2*col)]'], at: 0.8, from: 'behind', if: 'rows-1-row' },
          { down: ['1.1*size', 0], as: 'end', if: '(col-columns+2)*(rows-1-row)' },
        ],
      },
    ],
    marks: 'guide-only',
    practice: { kind: 'grid', columns: 8, rows: 5, cellMm: 4 },
    goodFor: ['clouds and nets', 'light fields in two colours'],
    tension: 'easy',
    look: { front: 'Waves of the second thread between rows of small stitches: a net of clouds.', back: 'Only the small stitches.' },
    lookAlikes: [{ name: 'Threaded running stitch', tell: 'one line, laced to itself.' }],
    slips: [{ see: 'The clouds do not close', mend: 'The small stitches of every second row stand half way between those of the last.' }],
    unpick: 'Draw the second thread back row by row; the small stitches stay.',
  }),
]
