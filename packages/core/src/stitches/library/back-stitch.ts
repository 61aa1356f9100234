import type { StitchDocument } from '../../notation/index.ts'

export const backStitch: StitchDocument = {
  format: 'lemmata-stitch',
  version: 1,
  id: 'back-stitch',
  lookAlikes: [
    { name: 'Double running stitch', tell: 'the same in front; behind, back stitch is twice as long and overlaps.' },
    { name: 'Split stitch', tell: 'there the thread itself is pierced.' },
  ],
  name: 'Back stitch',
  also: [],
  family: 'line',
  guide: ['line'],
  parameters: { L: { name: 'Stitch', usual: '1.2+3*W', min: 'max(1,3*W,2*p)', max: 4 } },
  passes: [
    {
      name: 'line',
      place: { along: { step: ['L'], tail: 'L' } },
      start: [{ up: ['L', 0] }, { down: [0, 0], as: 'st' }],
      repeat: [{ up: ['2*L', 0] }, { down: ['L', 0], as: 'st' }],
    },
  ],
  corner: 'through',
  marks: 'every-hole',
  practice: { kind: 'line', lengthMm: 90 },
  goodFor: ['firm outlines', 'lettering', 'a base for whipping'],
  tension: 'easy',
  look: { front: 'A solid line without gaps, every hole shared.', back: 'Stitches twice as long, each overlapping the last.' },
  slips: [
    { see: 'Gaps between stitches', mend: 'Aim back into the very hole of the last stitch, from straight above.' },
    { see: 'A stitch has vanished', mend: 'It went back through its own hole. Come up one stitch ahead first.' },
  ],
  unpick: 'From behind, cut every third long stitch and draw the pieces out with the eye of the needle.',
}
