import type { Pass, StitchDocument } from '../../notation/index.ts'

function kept(side: 'left' | 'right'): Pass {
  return {
    name: 'line',
    // The last stitch is shorter: one advance.
    place: { along: { step: ['L*(1-f)'], tail: 'L*(1-f)' } },
    start: [{ up: [0, 0] }, { down: ['L', 0], loose: true, as: 'st' }],
    afterCorner: [{ up: ['0.7*L', 0] }, { down: [0, 0], loose: true, as: 'st' }],
    repeat: [
      { up: ['L*(1-f)', 0], round: side },
      { down: ['L*(2-f)', 0], loose: true, as: 'st', when: 'not-last' },
      { down: ['2*L*(1-f)', 0], as: 'st', when: 'last' },
    ],
  }
}

export const stemStitch: StitchDocument = {
  format: 'lemmata-stitch',
  version: 1,
  id: 'stem-stitch',
  lookAlikes: [
    { name: 'Split stitch', tell: 'split pierces the thread; stem lies beside it and slants like a rope.' },
    { name: 'Outline stitch', tell: 'the thread is kept on the other side, and the rope lies flatter.' },
  ],
  name: 'Stem stitch',
  also: ['Crewel stitch', 'South Kensington stitch'],
  family: 'line',
  guide: ['line'],
  parameters: {
    L: { name: 'Stitch', usual: '2.2+4*W', min: 'max(1,5*W,2*p)', max: 7 },
    f: { name: 'Overlap', usual: 0.5, min: 0.25, max: 0.6, kind: 'share' },
  },
  passes: [kept('right')],
  variants: {
    outline: {
      name: 'Outline stitch (thread kept left)',
      because: 'The thread is kept on the other side: a flatter line.',
      when: { stemThread: 'left' },
      passes: [kept('left')],
    },
  },
  corner: 'restart',
  marks: 'guide-only',
  practice: { kind: 'line', lengthMm: 100 },
  goodFor: ['plant stems', 'wind and flowing lines', 'smooth curves'],
  tension: 'easy',
  look: { front: 'A smooth rope, every stitch slanting the same way.', back: 'Like back stitch.' },
  slips: [
    { see: 'One smooth place in the rope', mend: 'The thread changed sides there. Take it back and keep it on one side of the needle throughout.' },
    { see: 'The line twists thin', mend: 'Let the needle hang and untwist the thread.' },
  ],
  unpick: 'Draw back stitch by stitch with the eye of the needle; for more than a few, cut from behind.',
}
