/** Lines worked over again with a second thread: whipped, threaded, interlaced. */
import type { Pass, StitchDocument } from '../../notation/index.ts'

const over = (name: string, step: string, more: Omit<Pass, 'name' | 'thread' | 'place'>, times = 'count(st)'): Pass => ({
  name,
  thread: name === 'whipping' ? 'whipping' : 'lacing',
  place: { along: { step: [step], times } },
  ...more,
})

/** Under every stitch from the same side, not into the cloth. */
const whip = (step: string, references: readonly string[] = ['st[k]'], times?: string): Pass =>
  over('whipping', step, { start: [{ up: ['0.1*W', '-1.2*W'] }], repeat: [{ under: references, from: 'right' }], end: [{ down: ['-0.1*W', '1.2*W'] }] }, times)

/** Under every stitch from alternate sides, in even waves. */
const thread = (step: string): Pass =>
  over('lacing', step, {
    start: [{ up: ['0.1*W', '-1.2*W'] }],
    repeat: [[{ under: ['st[k]'], from: 'right', bight: '1.6*W' }], [{ under: ['st[k]'], from: 'left', bight: '1.6*W' }]],
    end: [{ down: ['-0.1*W', 0.3] }],
  })

const composite = (id: string, name: string, base: string, pass: Pass, more: Partial<StitchDocument> = {}): StitchDocument => ({
  format: 'lemmata-stitch',
  version: 1,
  id,
  name,
  family: 'composite line',
  guide: ['line'],
  base,
  parameters: {},
  passes: [pass],
  marks: 'every-hole',
  practice: { kind: 'line', lengthMm: 90 },
  tension: 'easy',
  unpick: 'Draw the second thread back from its end first; the base stays.',
  ...more,
})

const WHIPPED = {
  goodFor: ['corded lines', 'a second colour'],
  look: { front: 'A smooth cord, every wrap leaning the same way.', back: 'Only the base stitches.' },
  slips: [{ see: 'The cloth is pricked', mend: 'Slide the eye end of the needle under, or take a blunt one.' }],
}
const THREADED = {
  goodFor: ['wavy lines', 'a second colour'],
  look: { front: 'The second thread waves evenly from side to side.', back: 'Only the base stitches.' },
  slips: [{ see: 'The waves lie flat', mend: 'It was drawn too tight. Leave each wave standing and even it with the needle.' }],
}

export const compositeLines: readonly StitchDocument[] = [
  composite('whipped-running', 'Whipped running stitch', 'running-stitch', whip('L+G'), WHIPPED),
  composite('whipped-back', 'Whipped back stitch', 'back-stitch', whip('L'), WHIPPED),
  composite('whipped-stem', 'Whipped stem stitch', 'stem-stitch', whip('L*(1-f)', ['st[k]@0.75', 'st[k+1]@0.25'], 'count(st)-1'), {
    ...WHIPPED,
    marks: 'guide-only',
  }),
  composite('whipped-chain', 'Whipped chain stitch', 'chain-stitch', whip('L', ['loop[k]@0.3', 'loop[k]@0.7'], 'count(loop)'), WHIPPED),
  composite('threaded-running', 'Threaded running stitch', 'running-stitch', thread('L+G'), { ...THREADED, also: ['Laced running stitch'] }),
  composite('threaded-back', 'Threaded back stitch', 'back-stitch', thread('L'), THREADED),
  composite(
    'pekinese-stitch',
    'Pekinese stitch',
    'back-stitch',
    over(
      'lacing',
      'L',
      {
        start: [{ up: ['0.1*W', '-1.4*W'] }],
        repeat: [
          { under: ['st[k+1]'], from: 'right', at: 0.55, bight: 0.5 },
          { under: ['st[k]'], from: 'left', at: 0.4, bight: '1.6*W' },
        ],
        end: [{ under: ['st[k]'], from: 'right', at: 0.5 }, { down: [0.4, 0.3] }],
      },
      'count(st)-1',
    ),
    {
      goodFor: ['interlaced borders'],
      look: { front: 'Loops interlaced along one side of a firm line.', back: 'Only the back stitch.' },
      slips: [{ see: 'Loops of different sizes', mend: 'Tighten each loop as it is made, before the next.' }],
    },
  ),
  {
    ...composite('double-threaded-back', 'Double threaded back stitch', 'back-stitch', thread('L'), {
      ...THREADED,
      also: ['Double laced back stitch'],
      look: { front: 'Two waves that cross over every stitch, like links.', back: 'Only the base stitches.' },
    }),
    passes: [
      thread('L'),
      over('lacing back', 'L', {
        start: [{ up: ['0.1*W', '1.2*W'] }],
        repeat: [[{ under: ['st[k]'], from: 'left', bight: '1.6*W' }], [{ under: ['st[k]'], from: 'right', bight: '1.6*W' }]],
        end: [{ down: ['-0.1*W', '-0.3'] }],
      }),
    ],
  },
  composite(
    'threaded-palestrina',
    'Threaded Palestrina',
    'palestrina-knot',
    over(
      'lacing',
      'L',
      {
        start: [{ up: ['0.1*W', '-1.2*W'] }],
        repeat: [[{ under: ['bar[k]@0.3'], from: 'right', bight: '1.8*W' }], [{ under: ['bar[k]@0.3'], from: 'left', bight: '1.8*W' }]],
        end: [{ down: ['0.3*W', 0.4] }],
      },
      'count(bar)',
    ),
    { ...THREADED, look: { front: 'A wave that runs between the knots from side to side.', back: 'Only the knotted line.' } },
  ),
]
