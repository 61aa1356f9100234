import type { Pass, StitchDocument } from '../../notation/index.ts'

const fromBelow: Pass = {
  name: 'line',
  // The last stitch is one advance long, so that nothing stays unsplit.
  place: { along: { step: ['L*(1-f)'], tail: 'L*(1-f)' } },
  start: [{ up: [0, 0] }, { down: ['L', 0], as: 'st' }],
  // After a corner: one short stitch back into the corner hole, so that nothing pulls out.
  afterCorner: [{ up: ['0.7*L', 0] }, { down: [0, 0], as: 'st' }],
  repeat: [
    { up: ['L*(1-f)', 0], split: 'st' },
    { down: ['L*(2-f)', 0], as: 'st', when: 'not-last' },
    { down: ['2*L*(1-f)', 0], as: 'st', when: 'last' },
  ],
}

const fromAbove: Pass = {
  name: 'line',
  place: { along: { step: ['L*(1-f)'], tail: 'L', closedTail: 'L*(1-f)' } },
  start: [{ up: ['L', 0] }, { down: [0, 0], as: 'st' }],
  afterCorner: [{ up: ['L', 0] }, { down: [0, 0], as: 'st' }],
  repeat: [{ up: ['L*(2-f)', 0] }, { down: ['L*(1-f)', 0], split: 'st', as: 'st' }],
}

export const splitStitch: StitchDocument = {
  format: 'lemmata-stitch',
  version: 1,
  id: 'split-stitch',
  lookAlikes: [
    { name: 'Stem stitch', tell: 'stem lies beside the last stitch and never through it.' },
    { name: 'Chain stitch', tell: 'a fine split line looks like tiny links; a chain is made of loops.' },
  ],
  name: 'Split stitch',
  also: ['Kensington outline'],
  family: 'line',
  guide: ['line'],
  parameters: {
    L: { name: 'Stitch', usual: '1.7+3*W', min: 'max(1,4*W,2*p)', max: 5 },
    f: { name: 'Overlap', usual: 0.5, min: 0.2, max: 0.7, kind: 'share' },
  },
  passes: [fromBelow],
  variants: {
    'from-above': {
      name: 'Split from above',
      because: 'You see the thread that you split; behind, the stitches are longer.',
      when: { split: 'from-above' },
      parameters: { f: { name: 'Overlap', usual: 0.3, min: 0.2, max: 0.7, kind: 'share' } },
      passes: [fromAbove],
    },
  },
  corner: 'restart',
  marks: 'guide-only',
  practice: { kind: 'line', lengthMm: 90 },
  goodFor: ['narrow outlines that bend', 'rows that fill a shape', 'an edge under satin'],
  tension: 'easy',
  look: { front: 'A narrow braid, each stitch parted evenly down its middle.', back: 'A row of short separate stitches; from above, longer overlapping ones.' },
  slips: [
    {
      see: 'It looks like stem stitch',
      mend: 'The needle passed beside the thread. Pierce the middle of the last stitch; an even number of strands parts cleanly.',
    },
    { see: 'A rounded corner', mend: 'Go into the corner hole without splitting and begin afresh.' },
  ],
  unpick: 'Split threads do not draw back cleanly: cut every second stitch from behind and pull the pieces from the front with tweezers.',
}
