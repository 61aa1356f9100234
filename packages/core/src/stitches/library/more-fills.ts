/** Shapes filled with thread: padded, fanned, interlocked, scattered, in rows. */
import type { Pass, Rows, StitchDocument } from '../../notation/index.ts'
import { stitch } from './define.ts'

const SPACING = { P: { name: 'Spacing', measures: 'apart', usual: '0.9*F', min: '0.7*F', max: '1.1*F' } } as const
const CUT_BEHIND = 'Slide the points of the scissors under the middle from behind and cut a few threads at a time; never from the front.'

/** Open stitches across, a little inside the outline, for what is worked over them. */
const padding = (inset: string): Pass => ({
  name: 'padding',
  lie: 'flat',
  place: { across: { pitch: '1.4*F', turn: 90, inset } },
  repeat: [
    [{ up: 'a' }, { down: 'b', as: 'pad' }],
    [{ up: 'b' }, { down: 'a', as: 'pad' }],
  ],
})

const longAndShort = (more: Partial<Pass> = {}, by: 'row' | 'column' = 'row'): Pass => ({
  name: 'rows',
  lie: 'flat',
  place: { across: { pitch: 'P', cuts: { first: ['L', 'L*f'], step: 'L-b', bite: 'b', min: 2, by } } },
  repeat: [
    { up: 'a', when: 'first-row' },
    { up: 'a', split: 'st*', when: 'later-row' },
    { down: 'b', as: 'st' },
  ],
  ...more,
})
const LENGTHS = {
  L: { name: 'Long stitch', usual: '4.2+6*W', min: 4, max: 10 },
  f: { name: 'Short over long', usual: 0.65, min: 0.5, max: 0.8, kind: 'share' },
  b: { name: 'Into the last row', usual: '0.25*L', min: 0.8, max: 3 },
} as const

const SHADING = {
  tension: 'easy',
  look: { front: 'One smooth field; no line shows where the rows meet.', back: 'Like the front, a little less even.' },
  slips: [
    {
      see: 'A line between the rows',
      mend: 'Their ends are not staggered: long and short must differ by a millimetre or more, and later rows pierce the last.',
    },
    { see: 'Cloth shows', mend: 'Add a stitch in the gap, along the same direction.' },
  ],
  unpick: CUT_BEHIND,
} as const

const filling = (id: string, name: string, base: string, rows: Rows, more: Partial<StitchDocument>): StitchDocument =>
  stitch({
    id,
    name,
    family: 'fill',
    guide: ['shape'],
    base,
    rows,
    passes: [],
    variants: {
      straight: {
        name: 'Rows along one direction',
        because: 'Straight rows show the direction; part rows fill the widest part.',
        rows: { ...rows, follow: 'direction' },
      },
    },
    marks: 'guide-only',
    practice: { kind: 'shape', widthMm: 20, heightMm: 12, outline: 'oval' },
    tension: 'easy',
    slips: [{ see: 'Cloth between the rows', mend: 'Set each row right against the last; add a part row where the shape is widest.' }],
    unpick: 'Row by row from the last, from behind.',
    ...more,
  })

export const moreFills: readonly StitchDocument[] = [
  stitch({
    id: 'padded-satin',
    name: 'Padded satin stitch',
    family: 'fill',
    guide: ['shape'],
    parameters: { ...SPACING, Z: { name: 'Padding height', usual: 0.4, min: 0.2, max: 1 } },
    passes: [
      padding('1.2*W'),
      {
        name: 'cover',
        lie: 'flat',
        place: { across: { pitch: 'P' } },
        start: [{ pad: 'Z' }],
        repeat: [{ up: 'a' }, { down: 'b', as: 'st' }],
      },
    ],
    marks: 'guide-only',
    practice: { kind: 'shape', widthMm: 15, heightMm: 6, outline: 'oval' },
    goodFor: ['plump petals and berries', 'raised letters'],
    tension: 'easy',
    look: { front: 'A smooth raised shape, its edge even.', back: 'Stitches across both ways.' },
    slips: [{ see: 'The padding shows at the edge', mend: 'Stop the padding half a thread inside the outline and aim the cover outside it.' }],
    unpick: CUT_BEHIND,
  }),
  stitch({
    id: 'satin-leaf',
    name: 'Satin leaf',
    family: 'fill',
    guide: ['shape'],
    parameters: {
      ...SPACING,
      V: { name: 'First stitch', usual: 2, min: 1, max: 6 },
      A: { name: 'Slant, degrees', usual: 50, min: 30, max: 80, kind: 'count' },
    },
    passes: [
      {
        name: 'left half',
        lie: 'flat',
        place: { along: { step: ['P/sin(0.01745*A)'], tail: '-size/2' } },
        start: [{ up: [0, 0] }, { down: ['V', 0], as: 'st' }],
        repeat: [{ up: { edge: 'left', lean: 'A' } }, { down: ['min(0,rest)', 0], as: 'st' }],
      },
      {
        name: 'right half',
        lie: 'flat',
        continues: true,
        place: { along: { step: ['P/sin(0.01745*A)'], tail: '-size/2', order: 'reverse' } },
        repeat: [{ up: { edge: 'right', lean: 'A' } }, { down: ['min(0,rest)', 0], as: 'st' }],
      },
    ],
    marks: 'guide-only',
    practice: { kind: 'shape', widthMm: 22, heightMm: 8, outline: 'oval' },
    goodFor: ['a first leaf', 'petals with a vein'],
    tension: 'easy',
    look: { front: 'Two smooth halves that slant to one vein.', back: 'Slanting stitches along the sides.' },
    slips: [{ see: 'The slant goes flat', mend: 'Draw three direction lines on each half and check against them.' }],
    unpick: CUT_BEHIND,
  }),
  stitch({
    id: 'leaf-stitch',
    lookAlikes: [{ name: 'Fishbone stitch', tell: 'its slants lie side by side.' }],
    name: 'Leaf stitch',
    family: 'fill',
    guide: ['shape'],
    parameters: {
      P: { name: 'Spacing', measures: 'apart', usual: '0.6+2*W', min: '1.5*F', max: 5 },
      o: { name: 'Past the vein', usual: '0.5+0.6*W', min: 0.3, max: 2 },
      A: { name: 'Slant, degrees', usual: 45, min: 25, max: 70, kind: 'count' },
    },
    passes: [
      {
        name: 'leaf',
        // From the lower end up; the tip is closed by one straight stitch, an advance beyond the last.
        place: { along: { step: ['P'], tail: '-size/4', order: 'reverse' } },
        end: [{ up: ['P', 0] }, { down: ['3*P', 0], as: 'st' }],
        repeat: [
          { up: { edge: 'left', lean: 'A' } },
          { down: ['min(o,rest)', '-min(o,max(0,rest),wr/2)'], as: 'st' },
          { up: { edge: 'right', lean: 'A' } },
          { down: ['min(o,rest)', 'min(o,max(0,rest),wl/2)'], as: 'st' },
        ],
      },
    ],
    marks: 'guide-only',
    practice: { kind: 'shape', widthMm: 24, heightMm: 9, outline: 'oval' },
    goodFor: ['light leaves', 'feathers'],
    tension: 'easy',
    look: { front: 'Open slants that cross on the vein, evenly spaced.', back: 'Short stitches along the sides.' },
    slips: [{ see: 'The crossing wanders', mend: 'Draw the vein as two lines and go down on the far one each time.' }],
    unpick: 'From the last slant back, from behind.',
  }),
  stitch({
    id: 'long-and-short',
    lookAlikes: [{ name: 'Brick stitch', tell: 'its rows are even and do not pierce each other.' }],
    name: 'Long and short stitch',
    also: ['Needle painting'],
    family: 'fill',
    guide: ['shape'],
    parameters: { ...LENGTHS, ...SPACING },
    passes: [longAndShort()],
    variants: {
      columns: {
        name: 'Columns, one after the other',
        because: 'Each column is finished before the next, so the eye keeps its direction; the rows are harder to judge.',
        passes: [longAndShort({}, 'column')],
      },
    },
    marks: 'guide-only',
    practice: { kind: 'shape', widthMm: 18, heightMm: 16, outline: 'rectangle' },
    goodFor: ['soft shading', 'skies and petals too wide for satin'],
    ...SHADING,
  }),
  stitch({
    id: 'padded-long-and-short',
    name: 'Padded long and short stitch',
    family: 'fill',
    guide: ['shape'],
    parameters: { ...LENGTHS, ...SPACING, Z: { name: 'Padding height', usual: 0.4, min: 0.2, max: 1 } },
    passes: [padding('2.5'), longAndShort({ start: [{ pad: 'Z' }] })],
    marks: 'guide-only',
    practice: { kind: 'shape', widthMm: 16, heightMm: 18, outline: 'oval' },
    goodFor: ['rounded fruit and petals'],
    ...SHADING,
  }),
  stitch({
    id: 'seed-stitch',
    name: 'Seed stitch',
    also: ['Seeding', 'Rice grain stitch'],
    family: 'fill',
    guide: ['shape'],
    parameters: {
      L: { name: 'Seed', usual: '0.6+1.4*W', min: 'max(0.8,2*W,2*p)', max: 3 },
      A: { name: 'Apart', measures: 'apart', usual: '1+2.7*W', min: 'L', max: 8 },
    },
    passes: [
      {
        name: 'seeds',
        place: { scatter: { apart: 'A', inset: 'L/2' } },
        repeat: [{ up: ['-L/2', 0] }, { down: ['L/2', 0], as: 'st' }],
      },
    ],
    marks: 'guide-only',
    practice: { kind: 'shape', widthMm: 20, heightMm: 12, outline: 'oval' },
    goodFor: ['light shade', 'sand, drizzle, distant rain'],
    tension: 'easy',
    look: { front: 'Evenly scattered, no two neighbours lying alike.', back: 'Short hops in every direction.' },
    slips: [{ see: 'Rows or clumps', mend: 'Turn the hoop after every few stitches, and fill the largest gap next.' }],
    unpick: 'One by one from behind.',
  }),
  filling(
    'chain-filling',
    'Chain stitch filling',
    'chain-stitch',
    { spacing: '2.4*W', follow: 'outline' },
    {
      goodFor: ['solid textured shapes', 'storm clouds'],
      look: { front: 'Rows of links side by side, following the shape.', back: 'Rows of back stitches.' },
    },
  ),
  filling(
    'split-filling',
    'Split stitch filling',
    'split-stitch',
    { spacing: '0.95*W', follow: 'outline' },
    {
      goodFor: ['flowing solid shapes', 'faces and fine fields'],
      look: { front: 'Fine rows like brush strokes along the form.', back: 'Rows of short stitches.' },
    },
  ),
  filling(
    'stem-filling',
    'Stem stitch filling',
    'stem-stitch',
    { spacing: '0.95*W', follow: 'outline' },
    {
      goodFor: ['woven-looking fields', 'trunks and baskets'],
      look: { front: 'Ropes side by side, all slanting one way.', back: 'Rows of back stitches.' },
    },
  ),
  filling(
    'back-filling',
    'Back stitch filling',
    'back-stitch',
    { spacing: '0.95*W', follow: 'outline' },
    {
      goodFor: ['firm flat shapes', 'small hard-wearing motifs'],
      look: { front: 'Solid rows, the stitches of neighbours not in step.', back: 'Long overlapping stitches.' },
    },
  ),
  stitch({
    id: 'french-knot-filling',
    name: 'French knot filling',
    family: 'fill',
    guide: ['shape'],
    parameters: {
      wraps: { name: 'Wraps', usual: 2, min: 1, max: 3, kind: 'count' },
      A: { name: 'Apart', measures: 'apart', usual: '2.75*D*sqrt(sqrt(wraps))', min: '2.4*D', max: '8*D' },
    },
    passes: [
      {
        name: 'knots',
        place: { scatter: { apart: 'A', inset: '1.3*D', packed: true } },
        repeat: [{ up: [0, 0] }, { wrap: 'wraps' }, { down: ['e', 0], as: 'knot' }],
      },
    ],
    marks: 'guide-only',
    practice: { kind: 'shape', widthMm: 14, heightMm: 9, outline: 'oval' },
    goodFor: ['fleece, foam and hail', 'flower centres'],
    tension: 'firm',
    look: { front: 'Knots packed shoulder to shoulder, no rows to be seen.', back: 'Hops in every direction.' },
    slips: [{ see: 'Cloth between the knots', mend: 'Work another knot into each gap, no nearer to its neighbours than its own width.' }],
    unpick: 'Cut each knot off on the front and draw the ends out behind.',
  }),
  stitch({
    id: 'brick-stitch',
    lookAlikes: [{ name: 'Long and short stitch', tell: 'its rows pierce each other, so that no step shows.' }],
    name: 'Brick stitch',
    family: 'fill',
    guide: ['shape', 'grid'],
    parameters: { L: { name: 'Brick', usual: '1.6+5.5*W', min: '4*W', max: 8 }, ...SPACING },
    passes: [
      {
        name: 'bricks',
        lie: 'flat',
        place: { across: { pitch: 'P', cuts: { first: ['L', 'L/2'], step: 'L', min: 'L/4' } } },
        // Later rows come up ahead and go down into the holes of the row before.
        repeat: [
          { up: 'a', when: 'first-row' },
          { down: 'b', as: 'st', when: 'first-row' },
          { up: 'b', when: 'later-row' },
          { down: 'a', as: 'st', when: 'later-row' },
        ],
      },
    ],
    marks: 'guide-only',
    practice: { kind: 'shape', widthMm: 18, heightMm: 12, outline: 'rectangle' },
    goodFor: ['walls and fields', 'plain shading by rows'],
    tension: 'easy',
    look: { front: 'Upright stitches of one length, neighbours half a stitch apart.', back: 'Longer slanting stitches.' },
    slips: [{ see: 'Steps of different heights', mend: 'Count the threads, or draw a line for every row.' }],
    unpick: CUT_BEHIND,
  }),
  stitch({
    id: 'darning-filling',
    name: 'Pattern darning',
    also: ['Darning filling'],
    family: 'fill',
    guide: ['grid'],
    parameters: {},
    passes: [
      {
        name: 'rows',
        place: { cells: { order: 'to-and-fro' } },
        // The gaps step aside from row to row and back: a zigzag.
        repeat: [{ up: ['size*(0.1+0.13*abs(row%6-3)+0.6*fro)', 'size/2'] }, { down: ['size*(0.7+0.13*abs(row%6-3)-0.6*fro)', 'size/2'], as: 'st' }],
      },
    ],
    marks: 'guide-only',
    practice: { kind: 'grid', columns: 12, rows: 6, cellMm: 3 },
    goodFor: ['woven-looking fields', 'borders on counted cloth'],
    tension: 'easy',
    look: { front: 'Rows of running stitch whose gaps make the pattern.', back: 'The same pattern, light and dark exchanged.' },
    slips: [{ see: 'The pattern slips a thread', mend: 'Count the first row twice; every later row is counted from it.' }],
    unpick: 'Row by row, from behind.',
  }),
]
