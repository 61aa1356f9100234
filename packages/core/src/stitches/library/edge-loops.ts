/** Loops on an edge, round a middle, over a bar. */
import type { StitchDocument } from '../../notation/index.ts'
import { stitch } from './define.ts'

export const edgeLoops: readonly StitchDocument[] = [
  stitch({
    id: 'buttonhole-wheel',
    name: 'Buttonhole wheel',
    family: 'loop',
    guide: ['ring'],
    parameters: { L: { name: 'Spacing', measures: 'apart', usual: '0.9+2.2*W', min: '1.2*W', max: 6 } },
    passes: [
      {
        name: 'spokes',
        place: { along: { step: ['L'], tail: 'e', closedTail: 0 } },
        start: [{ up: [0, 0] }],
        repeat: [
          { down: 'centre', loose: true, as: 'loop' },
          { up: ['L', 0], round: 'inside' },
        ],
        end: [{ down: ['e', 0], as: 'tie' }],
      },
    ],
    marks: 'every-hole',
    practice: { kind: 'ring', radiusMm: 5 },
    goodFor: ['wheels, suns and hollyhocks', 'an eyelet that opens as it is drawn'],
    tension: 'firm',
    look: { front: 'Spokes from one open hole to a corded rim.', back: 'Slanting stitches from the middle to the rim.' },
    lookAlikes: [
      { name: 'Star eyelet', tell: 'its spokes have no cord at the rim.' },
      { name: 'Blanket stitch', tell: 'the same moves along a line.' },
    ],
    slips: [{ see: 'The rim is uneven', mend: 'Draw the ring and mark the spokes; draw each loop toward the next mark, not away from the middle.' }],
    unpick: 'Undo the last tie, then loop by loop.',
  }),
  stitch({
    id: 'up-and-down-buttonhole',
    name: 'Up and down buttonhole stitch',
    family: 'loop',
    guide: ['line'],
    parameters: {
      L: { name: 'From pair to pair', measures: 'apart', usual: '1.8+4.5*W', min: 'max(2.5,4*W,2*p)', max: 8 },
      H: { name: 'Height', usual: '2+6*W', min: '3*W', max: 12 },
      g: { name: 'Within a pair', usual: '0.4+1.5*W', min: '1.2*W', max: 3 },
    },
    passes: [
      {
        name: 'edge',
        place: { along: { step: ['L'], tail: 'g+e', cornerTail: 'g', closedTail: 'g' } },
        start: [{ up: [0, 0] }],
        repeat: [
          { down: ['L', 'H'], loose: true, as: 'loop' },
          { up: ['L', 0], round: 'inside' },
          { down: ['L+g', 0], as: 'foot' },
          { up: ['L+g', 'H'] },
          { under: ['foot'], at: 0.8, from: 'left' },
        ],
        end: [{ down: ['g+e', 0], as: 'tie' }],
      },
    ],
    corner: 'restart',
    marks: 'every-hole',
    practice: { kind: 'line', lengthMm: 80 },
    goodFor: ['borders of paired spokes', 'fences and grass'],
    tension: 'easy',
    look: { front: 'Upright spokes two and two on a corded edge.', back: 'Slanting and upright stitches in turn.' },
    lookAlikes: [{ name: 'Blanket stitch', tell: 'its spokes stand singly.' }],
    slips: [
      { see: 'The second spoke is loose at its foot', mend: 'Hold the small loop on the edge with the thumb: draw the thread up first, then down through it.' },
    ],
    unpick: 'The second spoke first, out from under its foot, then the loop.',
  }),
  stitch({
    id: 'buttonhole-bar',
    name: 'Buttonhole bar',
    also: ['Detached bar', 'Bride'],
    family: 'woven',
    guide: ['spots', 'spot'],
    parameters: {
      L: { name: 'Bar', usual: '4+10*W', min: '5*W', max: 25 },
      P: { name: 'Spacing', measures: 'apart', usual: '1.05*W', min: '0.9*W', max: '2*W' },
    },
    passes: [
      {
        name: 'bar',
        place: { once: true },
        repeat: [
          { up: [0, '0.4*W'] },
          { down: ['L', '0.4*W'], as: 'bar' },
          { up: ['L', '-0.4*W'] },
          { down: [0, '-0.4*W'], as: 'bar' },
          { up: ['-e', 0] },
          { each: { along: 'bar~1', every: 'P', offset: 'P/2' }, moves: [{ under: ['bar~1@u', 'bar@1-u'], from: 'left', round: 'inside' }] },
          { down: ['L+e', 0], as: 'end' },
        ],
      },
    ],
    marks: 'ends-only',
    practice: { kind: 'spots', count: 4, apartMm: 16 },
    goodFor: ['loops for buttons', 'a bar across a cut place', 'stems that stand free'],
    tension: 'firm',
    look: { front: 'A round bar that stands free of the cloth between its two ends.', back: 'A small stitch at either end.' },
    lookAlikes: [{ name: 'Buttonhole stitch, closed', tell: 'its spokes go through the cloth.' }],
    slips: [{ see: 'The bar is sewn to the cloth', mend: 'Use a blunt needle or the eye end, and slide it under the bar only.' }],
    unpick: 'Draw the loops back with the eye of the needle, one by one.',
  }),
  stitch({
    id: 'applique-edge',
    name: 'Appliqué edge',
    also: ['Slip-stitched edge'],
    family: 'edge',
    guide: ['shape'],
    parameters: {
      P: { name: 'Spacing', measures: 'apart', usual: 3, min: 1.5, max: 6 },
      b: { name: 'Over the edge', usual: 'max(0.8,2*W)', min: 0.5, max: 2 },
    },
    passes: [
      {
        name: 'edge',
        place: { along: { step: ['P'], tail: 0, closedTail: 0, of: 'outline' } },
        repeat: [{ up: [0, 'b'] }, { down: [0, '-0.2'], as: 'st' }],
      },
    ],
    marks: 'guide-only',
    practice: { kind: 'shape', widthMm: 26, heightMm: 16, outline: 'oval' },
    goodFor: ['a patch of cloth on the ground', 'felt shapes'],
    tension: 'firm',
    look: { front: 'Short stitches square to the edge of the patch, hardly seen.', back: 'Slanting stitches round the shape.' },
    slips: [{ see: 'The patch puckers', mend: 'Tack it flat first, and draw each stitch only until it lies on the edge.' }],
    unpick: 'Snip the stitches from behind; the patch lifts off.',
  }),
]
