import type { StitchDocument } from '../../notation/index.ts'

export const frenchKnot: StitchDocument = {
  format: 'lemmata-stitch',
  version: 1,
  id: 'french-knot',
  lookAlikes: [{ name: 'Colonial knot', tell: 'a figure of eight instead of turns one way: firmer and taller.' }],
  name: 'French knot',
  also: ['Wound knot'],
  family: 'knot',
  guide: ['spot', 'spots'],
  parameters: { wraps: { name: 'Wraps', usual: 2, min: 1, max: 3, kind: 'count' } },
  passes: [
    {
      name: 'knot',
      place: { once: true },
      repeat: [{ up: [0, 0] }, { wrap: 'wraps' }, { down: ['e', 0], as: 'knot' }],
    },
  ],
  marks: 'every-hole',
  practice: { kind: 'spots', count: 12, apartMm: 7 },
  goodFor: ['hail and dots', 'centres', 'texture when packed'],
  tension: 'firm',
  look: { front: 'Round, close to the cloth, all of a size.', back: 'One tiny stitch each.' },
  slips: [
    { see: 'The knot pulled through', mend: 'Go down right beside the first hole, never in it, and hold the thread taut until the last centimetre.' },
    { see: 'A loose loop on top', mend: 'The thread went slack. Keep it taut with the other hand as the needle goes down.' },
  ],
  unpick: 'A tight knot does not come undone: cut it off from the front with fine points, then draw out the ends from behind.',
  cautions: ['Both hands are busy: keep the needle\u2019s point away from the wrapping fingers.'],
}
