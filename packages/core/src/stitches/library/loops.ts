/** Loops: crossed, single, branching, along an edge. */
import type { Pass, StitchDocument } from '../../notation/index.ts'
import { stitch as document } from './define.ts'

const edgeLoops = (): readonly Pass[] => [
  {
    name: 'edge',
    place: { along: { step: ['L'], tail: 'e', cornerTail: 0, closedTail: 0 } },
    start: [{ up: [0, 0] }],
    repeat: [
      { down: ['L', 'H'], loose: true, as: 'loop' },
      { up: ['L', 0], round: 'inside' },
    ],
    end: [{ down: ['e', 0], as: 'tie' }],
  },
]

export const loops: readonly StitchDocument[] = [
  document({
    id: 'twisted-chain',
    lookAlikes: [
      { name: 'Chain stitch', tell: 'its links lie open and do not cross.' },
      { name: 'Coral knot', tell: 'the bite is across the line, and the loop is pulled to a knot.' },
    ],
    name: 'Twisted chain stitch',
    family: 'loop',
    guide: ['line'],
    parameters: {
      L: { name: 'Loop', usual: '1.2+4*W', min: 'max(2,4*W,2*p)', max: 6 },
      o: { name: 'Beside the line', usual: '1.2+0.6*W-0.7', min: 0.4, max: 3 },
    },
    passes: [
      {
        name: 'line',
        place: { along: { step: ['L'], tail: 'e', cornerTail: 0, closedTail: 0 } },
        start: [{ up: [0, 0] }],
        repeat: [
          { down: ['0.15*L', 'o'], loose: true, as: 'loop' },
          { up: ['L', 0], round: 'cross' },
        ],
        end: [{ down: ['e', 0], as: 'tie' }],
      },
    ],
    corner: 'restart',
    marks: 'every-hole',
    practice: { kind: 'line', lengthMm: 90 },
    goodFor: ['textured lines', 'branches'],
    tension: 'loose',
    look: { front: 'A small twist in each link.', back: 'Short slanting stitches.' },
    slips: [{ see: 'A plain chain link', mend: 'Go down beside the line, to the left of the last link, so that the loop crosses.' }],
  }),
  document({
    id: 'detached-chain',
    name: 'Detached chain',
    also: ['Lazy daisy'],
    family: 'loop',
    guide: ['spots', 'spot'],
    parameters: { L: { name: 'Petal', usual: '2.4+6*W', min: 'max(3,5.5*W,2*p)', max: 12 } },
    passes: [
      {
        name: 'petal',
        place: { once: true },
        repeat: [{ up: [0, 0] }, { down: [0, 0], loose: true, as: 'loop' }, { up: ['L', 0], round: 'inside' }, { down: ['L+e', 0], as: 'tie' }],
      },
    ],
    marks: 'every-hole',
    practice: { kind: 'spots', count: 8, apartMm: 11 },
    goodFor: ['petals', 'small leaves', 'raindrops'],
    tension: 'loose',
    look: { front: 'Open petals, each tied over its tip.', back: 'One short stitch each.' },
    slips: [{ see: 'The petal closed', mend: 'Hold the loop down and draw slowly; stop while it is still open.' }],
  }),
  document({
    id: 'fly-stitch',
    lookAlikes: [
      { name: 'Feather stitch', tell: 'there each loop is caught by the next, without a tie.' },
      { name: 'Detached chain', tell: 'both ends of its loop start from one hole.' },
    ],
    name: 'Fly stitch',
    family: 'loop',
    guide: ['band'],
    parameters: {
      H: { name: 'Depth', usual: '1.2+4*W', min: 'max(1.5,3*W,2*p)', max: 8 },
      T: { name: 'Tail', usual: '1.2+1.8*W', min: '2*W', max: 8 },
      gap: { name: 'Room between', measures: 'between', usual: '1.5+2*W', min: 0, max: 10 },
    },
    passes: [
      {
        name: 'flies',
        place: { along: { step: ['H+gap'], tail: 'T-gap' } },
        repeat: [{ up: [0, '-w'] }, { down: [0, 'w'], loose: true, as: 'loop' }, { up: ['H', 0], round: 'inside' }, { down: ['H+T', 0], as: 'tie' }],
      },
    ],
    marks: 'every-hole',
    practice: { kind: 'band', lengthMm: 80, widthMm: 5 },
    goodFor: ['frost', 'scattered filling', 'stems with leaves'],
    tension: 'easy',
    look: { front: 'Open arms, even on both sides, with a straight tail.', back: 'Short connecting stitches.' },
    slips: [{ see: 'Uneven arms', mend: 'Mark the two rails and the middle, and come up exactly on the middle.' }],
  }),
  document({
    id: 'feather-stitch',
    lookAlikes: [
      { name: 'Cretan stitch', tell: 'there the arms come in from the rails and plait down the middle.' },
      { name: 'Fly stitch', tell: 'every fly is tied by itself.' },
    ],
    name: 'Feather stitch',
    family: 'loop',
    guide: ['band'],
    parameters: { L: { name: 'Advance', usual: '1.3+4*W', min: 'max(2,4*W,2*p)', max: 6 } },
    passes: [
      {
        name: 'feather',
        place: { along: { step: ['L'], tail: 'e' } },
        start: [{ up: [0, '-w/3'] }],
        repeat: [
          [
            { down: [0, 'w'], loose: true, as: 'loop' },
            { up: ['L', 'w/3'], round: 'inside' },
          ],
          [
            { down: [0, '-w'], loose: true, as: 'loop' },
            { up: ['L', '-w/3'], round: 'inside' },
          ],
        ],
        end: [{ down: { from: '-', to: ['L', 0], mm: 'e' }, as: 'tie' }],
      },
    ],
    marks: 'every-hole',
    practice: { kind: 'band', lengthMm: 80, widthMm: 7 },
    goodFor: ['branches', 'seaweed and frost', 'seams'],
    tension: 'loose',
    look: { front: 'Loops branching to each side in turn.', back: 'Short slanting stitches.' },
    slips: [{ see: 'Two loops on one side', mend: 'Say the side aloud: left, right. Unpick to the last right one.' }],
  }),
  document({
    id: 'blanket-stitch',
    lookAlikes: [
      { name: 'Buttonhole stitch, closed', tell: 'the same moves with no cloth between.' },
      { name: 'Knotted buttonhole stitch', tell: 'a knot sits on the edge at every spoke.' },
    ],
    name: 'Blanket stitch',
    family: 'loop',
    guide: ['line'],
    parameters: {
      L: { name: 'Spacing', measures: 'apart', usual: '1.2+3*W', min: 'max(1.5,2.5*W,2*p)', max: 6 },
      H: { name: 'Height', usual: '2+6*W', min: '3*W', max: 12 },
    },
    passes: edgeLoops(),
    corner: 'fan',
    marks: 'every-hole',
    practice: { kind: 'line', lengthMm: 90 },
    goodFor: ['edges', 'ground and grass lines'],
    tension: 'easy',
    look: { front: 'Upright spokes of one height, a straight edge below.', back: 'Slanting stitches, one for each spoke.' },
    slips: [{ see: 'The edge pulls in', mend: 'Draw up along the edge, not away from it, and stop when the loop lies flat.' }],
  }),
  document({
    id: 'buttonhole-stitch',
    lookAlikes: [{ name: 'Blanket stitch', tell: 'the same moves with room between the spokes.' }],
    name: 'Buttonhole stitch, closed',
    family: 'loop',
    guide: ['line'],
    parameters: {
      L: { name: 'Spacing', measures: 'apart', usual: '1.15*D', min: '0.9*D', max: '2*D' },
      H: { name: 'Height', usual: '1.6+5.4*W', min: '3*W', max: 10 },
    },
    passes: edgeLoops(),
    corner: 'fan',
    marks: 'guide-only',
    practice: { kind: 'line', lengthMm: 60 },
    goodFor: ['firm edges', 'solid bands'],
    tension: 'firm',
    look: { front: 'Spokes side by side, no cloth between, the edge a firm cord.', back: 'Slanting stitches close together.' },
    slips: [{ see: 'Cloth between the spokes', mend: 'Come up right beside the last stitch: count them over a centimetre.' }],
  }),
]
