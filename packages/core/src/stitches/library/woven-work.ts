/** Worked off the cloth: wheels, woven points, detached buttonhole; and felt laid beneath. */
import type { Pass, PointForm, StitchDocument } from '../../notation/index.ts'
import { stitch } from './define.ts'

/** Just under the tip, on the side where the first row goes: the last warp's thread turns there. */
const TO_THE_WEAVING: PointForm = { from: 'pin', to: 'base', mm: 1.4, by: [0, '1.2*W'] }

/** Over and under the warps in turn, from the tip on which the thread waits to the base; it goes down at the edge. */
function weaving(edge: string): Pass {
  return {
    name: 'weaving',
    continues: true,
    place: { weave: { label: 'w', tip: 1.6, beat: 'y' } },
    repeat: [[{ over: ['w[thread]'], at: 'at' }], [{ under: ['w[thread]'], at: 'at' }]],
    end: [{ down: ['0.2', edge], as: 'end' }],
  }
}

/** As many columns as have room, the same in every row. */
const COLUMNS = {
  along: { from: 'a', to: 'b' },
  every: 'span/max(1,round(span/L))',
  offset: '0.5*span/max(1,round(span/L))',
  back: true,
}

export const wovenWork: readonly StitchDocument[] = [
  stitch({
    id: 'woven-wheel',
    lookAlikes: [{ name: 'Whipped wheel', tell: 'it goes back over each spoke, and leaves a ridge on it.' }],
    name: 'Woven wheel',
    also: ['Spider web rose', 'Woven spider wheel'],
    family: 'woven',
    guide: ['ring'],
    parameters: {
      S: { name: 'Spokes', usual: 5, min: 5, max: 11, kind: 'count' },
      B: { name: 'Between rounds', measures: 'apart', usual: '0.9*W', min: '0.7*W', max: '2*W' },
    },
    passes: [
      {
        name: 'spokes',
        place: { along: { step: ['6.2832*radius/S'], closedTail: 0, odd: true } },
        repeat: [{ up: [0, 0] }, { down: 'centre', as: 'spoke' }],
      },
      {
        name: 'weaving',
        continues: true,
        place: { times: 'count(spoke)*max(1,floor((radius-1.2)/B))' },
        start: [{ up: ['0.25*W', '0.6*W'] }],
        repeat: [
          [{ over: ['spoke[k%count(spoke)]'], at: '1-(0.8+B*k/count(spoke))/radius' }],
          [{ under: ['spoke[k%count(spoke)]'], at: '1-(0.8+B*k/count(spoke))/radius' }],
        ],
        end: [{ down: { from: '-', to: 'centre', mm: '0.6*W' }, as: 'end' }],
      },
    ],
    marks: 'every-hole',
    practice: { kind: 'ring', radiusMm: 5 },
    goodFor: ['roses', 'suns and whirlwinds'],
    tension: 'easy',
    look: { front: 'Over and under in turn, round and round, until no spoke shows.', back: 'Only the spokes.' },
    slips: [{ see: 'The rhythm breaks', mend: 'Count the spokes: their number must be odd.' }],
    unpick: 'Draw the weaving back from its end with the eye of the needle.',
  }),
  stitch({
    id: 'whipped-wheel',
    lookAlikes: [{ name: 'Woven wheel', tell: 'it goes over and under in turn, and covers the spokes.' }],
    name: 'Whipped wheel',
    also: ['Ribbed spider wheel'],
    family: 'woven',
    guide: ['ring'],
    parameters: {
      S: { name: 'Spokes', usual: 8, min: 5, max: 16, kind: 'count' },
      B: { name: 'Between rounds', measures: 'apart', usual: '1.3*W', min: '0.9*W', max: '3*W' },
    },
    passes: [
      { name: 'spokes', place: { along: { step: ['6.2832*radius/S'], closedTail: 0 } }, repeat: [{ up: [0, 0] }, { down: 'centre', as: 'spoke' }] },
      {
        name: 'whipping',
        continues: true,
        place: { times: 'count(spoke)*max(1,floor((radius-1.4)/B))' },
        start: [{ up: ['0.25*W', '0.6*W'] }],
        // Back over one, under two.
        repeat: [{ under: ['spoke[k%count(spoke)]', 'spoke[(k+1)%count(spoke)]@1-(0.9+B*k/count(spoke))/radius'], at: '1-(0.9+B*k/count(spoke))/radius' }],
        end: [{ down: { from: '-', to: 'centre', mm: '0.6*W' }, as: 'end' }],
      },
    ],
    marks: 'every-hole',
    practice: { kind: 'ring', radiusMm: 6 },
    goodFor: ['cobwebs', 'ribbed wheels'],
    tension: 'easy',
    look: { front: 'A ridge on every spoke, hollows between.', back: 'Only the spokes.' },
    slips: [{ see: 'A spoke without a ridge', mend: 'Back over one, under two, every time; never skip.' }],
    unpick: 'Draw the whipping back from its end with the eye of the needle.',
  }),
  stitch({
    id: 'woven-picot',
    name: 'Woven picot',
    family: 'woven',
    guide: ['pins'],
    parameters: {
      G: { name: 'Between warps', measures: 'apart', usual: '1.7+3*W', min: 'W', max: 5 },
      y: { name: 'Beat', usual: '0.85*D', min: '0.7*D', max: '2*D' },
    },
    passes: [
      {
        name: 'warps',
        place: { pins: true },
        repeat: [
          { pin: 'pin' },
          { up: [0, 'G'] },
          { round: 'pin', to: [0, '-G'], as: 'w' },
          { down: [0, '-G'], as: 'w' },
          { up: [0, 0] },
          { round: 'pin', to: TO_THE_WEAVING, as: 'w' },
          { hold: true },
        ],
      },
      weaving('G'),
    ],
    variants: {
      fan: {
        name: 'Petal or leaf: pins fanned under one weave',
        because: 'Three pins make a petal, five a leaf: close together for a tight weave, the outer ones lower for a curved top.',
        parameters: { G: { name: 'Between warps', measures: 'apart', usual: '1.6*W', min: 'W', max: 5 } },
        passes: [
          {
            name: 'warps',
            place: { pins: 'fan' },
            repeat: [
              { pin: 'pin' },
              { up: [0, '2*(pins-1)*G*left'] },
              { round: 'pin', to: [0, '2*(pins-1)*G*right'], as: 'w', when: 'not-last' },
              { round: 'pin', to: TO_THE_WEAVING, as: 'w', when: 'last' },
              { down: [0, '2*(pins-1)*G*right'], as: 'w', when: 'not-last' },
              { hold: true, when: 'last' },
            ],
          },
          weaving('(pins-1)*G'),
        ],
        practice: { kind: 'pins', heightMm: 14, pins: 3 },
      },
    },
    marks: 'every-hole',
    practice: { kind: 'pins', heightMm: 10 },
    goodFor: ['free-standing petals and leaves'],
    tension: 'easy',
    look: { front: 'A firm woven point that stands free of the cloth, wider to its base.', back: 'Two small stitches at the base.' },
    slips: [{ see: 'It narrows in the middle', mend: 'Lay each row easy and beat it up with the needle; do not draw in at the sides.' }],
    unpick: 'Draw the weaving back row by row from its end.',
    cautions: ['A pin holds the tip: set it with its point buried, and take it out before the base is full.'],
  }),
  stitch({
    id: 'needle-lace',
    name: 'Needle lace filling',
    also: ['Detached buttonhole'],
    family: 'woven',
    guide: ['shape'],
    parameters: {
      R: { name: 'Between rows', measures: 'apart', usual: '0.6+2.2*W', min: '1.5*W', max: 4 },
      L: { name: 'Loop', usual: '0.6+2.6*W', min: '1.8*W', max: 5 },
    },
    passes: [
      {
        name: 'outline',
        place: { along: { step: ['L'], tail: 0, closedTail: 0, of: 'outline' } },
        repeat: [{ up: ['L', 0] }, { down: [0, 0], as: 'out' }],
      },
      {
        name: 'rows',
        continues: true,
        place: { across: { pitch: 'R', turn: 180 } },
        repeat: [
          [
            { up: 'a' },
            // The first row hangs from the outline, every other from the row above.
            {
              each: { along: { from: 'a', to: 'b' }, every: 'span/max(1,round(span/L))', offset: '0.5*span/max(1,round(span/L))' },
              moves: [{ under: ['out*'], from: 'right', round: 'inside', as: 'la' }, { by: ['0.5*span/max(1,round(span/L))', 0] }],
              when: 'first',
            },
            {
              each: { along: { from: 'a', to: 'b' }, every: 'span/max(1,round(span/L))', offset: '0.5*span/max(1,round(span/L))' },
              moves: [{ under: ['lb*'], from: 'right', round: 'inside', as: 'la' }, { by: ['0.5*span/max(1,round(span/L))', 0] }],
              when: 'not-first',
            },
            { down: 'b', as: 'la' },
          ],
          [
            { up: 'b' },
            // Half a loop aside, so that every loop hangs from the middle of one above.
            {
              each: { along: { from: 'a', to: 'b' }, every: 'span/max(1,round(span/L))', offset: 'span/max(1,round(span/L))', back: true },
              moves: [{ under: ['la*'], from: 'right', round: 'inside', as: 'lb' }, { by: ['-0.5*span/max(1,round(span/L))', 0] }],
            },
            { down: 'a', as: 'lb' },
          ],
        ],
      },
    ],
    marks: 'guide-only',
    practice: { kind: 'shape', widthMm: 11, heightMm: 14, outline: 'rectangle' },
    goodFor: ['veils of cloud', 'raised fillings that lift off the cloth'],
    tension: 'easy',
    look: { front: 'Rows of small loops, each hanging from the one above.', back: 'Only stitches along the edge.' },
    slips: [{ see: 'The rows lose a loop', mend: 'Count the loops of each row; begin and end in the cloth at the very edge.' }],
    unpick: 'Draw back row by row from the end; nothing is in the cloth but the edges.',
  }),
  stitch({
    id: 'ceylon-stitch',
    name: 'Ceylon stitch',
    also: ['Knitted filling'],
    family: 'woven',
    guide: ['shape'],
    parameters: {
      R: { name: 'Between rows', measures: 'apart', usual: '0.6+2.6*W', min: '1.8*W', max: 5 },
      L: { name: 'Loop', usual: '0.8+2.8*W', min: '2.2*W', max: 6 },
    },
    passes: [
      {
        name: 'rows',
        place: { across: { pitch: 'R', turn: 180 } },
        repeat: [
          [
            { up: 'b', when: 'first' },
            { down: 'a', as: 'bar', when: 'first' },
            { up: 'b' },
            {
              each: COLUMNS,
              moves: [
                { under: ['bar*'], from: 'right', as: 'rise' },
                { by: ['-0.5*span/max(1,round(span/L))', '0.4*R'], as: 'fall' },
              ],
              when: 'first',
            },
            {
              each: COLUMNS,
              moves: [
                { under: ['raise*', 'drop*'], at: 0.35, from: 'behind', as: 'rise' },
                { by: ['-0.5*span/max(1,round(span/L))', '0.4*R'], as: 'fall' },
              ],
              when: 'not-first',
            },
            { down: 'a' },
          ],
          [
            { up: 'b' },
            {
              each: COLUMNS,
              moves: [
                { under: ['rise*', 'fall*'], at: 0.35, from: 'behind', as: 'raise' },
                { by: ['-0.5*span/max(1,round(span/L))', '0.4*R'], as: 'drop' },
              ],
            },
            { down: 'a' },
          ],
        ],
      },
    ],
    marks: 'guide-only',
    practice: { kind: 'shape', widthMm: 11, heightMm: 14, outline: 'rectangle' },
    goodFor: ['woollen things: a scarf, a cap', 'fillings that look knitted'],
    tension: 'easy',
    look: { front: 'Rows of crossed loops, one column under the other, as if knitted.', back: 'The rows are carried back from side to side.' },
    lookAlikes: [{ name: 'Needle lace filling', tell: 'its loops hang between the loops above and are not crossed.' }],
    slips: [{ see: 'A column stops', mend: 'Pass under both threads of the crossing above, every column in every row, and always from right to left.' }],
    unpick: 'Draw back row by row from the last; only the ends of the rows are in the cloth.',
  }),
  stitch({
    id: 'felt-padding',
    name: 'Felt padding',
    family: 'padding',
    guide: ['shape'],
    parameters: {
      T: { name: 'Step inside', usual: 1.2, min: 0.5, max: 4 },
      G: { name: 'Between stitches', measures: 'apart', usual: '2+2*W', min: 1.5, max: 6 },
    },
    passes: [
      {
        name: 'small layer',
        place: { along: { step: ['G'], tail: 0, closedTail: 0, of: 'outline', inset: '2*T' } },
        start: [{ pad: 0.8, felt: '2*T' }],
        repeat: [{ up: ['G/2', '-0.3'] }, { down: ['G/2', '0.7'], as: 'st' }],
      },
      {
        name: 'large layer',
        continues: true,
        place: { along: { step: ['G'], tail: 0, closedTail: 0, of: 'outline', inset: 'T/2' } },
        start: [{ pad: 0.8, felt: 'T/2' }],
        repeat: [{ up: ['G/2', '-0.3'] }, { down: ['G/2', '0.7'], as: 'st' }],
      },
    ],
    marks: 'guide-only',
    practice: { kind: 'shape', widthMm: 18, heightMm: 12, outline: 'oval' },
    goodFor: ['a high base for satin or laid work'],
    tension: 'easy',
    look: { front: 'Layers that step inward below, smooth on top, held by small stitches.', back: 'A ring of small stitches for each layer.' },
    slips: [{ see: 'A hard edge shows through the cover', mend: 'Cut each lower layer a little smaller, and bevel the edge of the top one.' }],
    unpick: 'Cut the small stitches behind and lift the felt off.',
    cautions: ['Cut felt with the points of the scissors away from you, and put them down closed.'],
  }),
]
