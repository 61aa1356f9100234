import type { StitchDocument } from '../../notation/index.ts'

export const chainStitch: StitchDocument = {
  format: 'lemmata-stitch',
  version: 1,
  id: 'chain-stitch',
  lookAlikes: [
    { name: 'Split stitch', tell: 'a link is a loop that opens; a split stitch is one thread parted.' },
    { name: 'Twisted chain stitch', tell: 'there each link crosses itself.' },
  ],
  name: 'Chain stitch',
  also: ['Tambour stitch (when hooked)'],
  family: 'loop',
  guide: ['line'],
  parameters: { L: { name: 'Loop', usual: '1.2+4*W', min: 'max(2,4*W,2*p)', max: 6 } },
  passes: [
    {
      name: 'line',
      // At a corner the tip of the loop lies on it, tied down over the tip; the thread comes up again inside the loop.
      place: { along: { step: ['L'], tail: 'e', cornerTail: 0, closedTail: 0 } },
      start: [{ up: [0, 0] }],
      repeat: [
        { down: [0, 0], loose: true, as: 'loop' },
        { up: ['L', 0], round: 'inside' },
      ],
      end: [{ down: ['e', 0], as: 'tie' }],
      close: [
        { down: [0, 0], loose: true, as: 'loop' },
        { up: ['L-e', 0], round: 'inside' },
        { down: ['L+e', 0], as: 'tie' },
      ],
    },
  ],
  corner: 'restart',
  marks: 'every-hole',
  practice: { kind: 'line', lengthMm: 90 },
  goodFor: ['bold lines', 'lightning and rope', 'rows side by side as a fill'],
  tension: 'loose',
  look: { front: 'Even open links, the last one tied down.', back: 'Straight stitches in a line, like back stitch.' },
  slips: [
    { see: 'A link came undone', mend: 'The loop was not under the needle. Hold the loop with the thumb until the needle is through.' },
    { see: 'Links pulled shut', mend: 'Draw the thread up slowly, and stop when the loop hugs the new thread.' },
  ],
  unpick: 'Undo the tie at the end; the chain then draws back link by link from its last loop.',
}
