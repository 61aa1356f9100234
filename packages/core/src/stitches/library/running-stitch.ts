import type { StitchDocument } from '../../notation/index.ts'

export const runningStitch: StitchDocument = {
  format: 'lemmata-stitch',
  version: 1,
  id: 'running-stitch',
  lookAlikes: [{ name: 'Double running stitch', tell: 'that one is solid on both sides.' }],
  name: 'Running stitch',
  also: [],
  family: 'line',
  guide: ['line'],
  parameters: {
    L: { name: 'Stitch', usual: '1.8+2.7*W', min: 'max(1.5,3*W,2*p)', max: 6 },
    G: { name: 'Gap', measures: 'between', usual: 'L', min: '0.3*L', max: 8 },
  },
  passes: [
    {
      name: 'line',
      place: { along: { step: ['L', 'G'], tail: '-G' } },
      repeat: [{ up: [0, 0] }, { down: ['L', 0], as: 'st' }],
    },
  ],
  corner: 'through',
  marks: 'every-hole',
  practice: { kind: 'line', lengthMm: 96 },
  goodFor: ['paths', 'light outlines', 'large borders, because it is quick'],
  tension: 'easy',
  look: { front: 'A dotted line: stitches and gaps alike, on the line.', back: 'The same as the front where stitch and gap are equal.' },
  slips: [
    { see: 'Lengths drift along the row', mend: 'Mark every hole for thirty stitches and look two stitches ahead.' },
    { see: 'The cloth puckers', mend: 'Do not draw up; press flat with a fingernail before the next stitch.' },
  ],
  unpick: 'Lift each stitch from behind with the eye of the needle and draw the thread back, stitch by stitch.',
}
