import type { StitchDocument } from '../../notation/index.ts'

export const satinStitch: StitchDocument = {
  format: 'lemmata-stitch',
  version: 1,
  id: 'satin-stitch',
  name: 'Satin stitch',
  also: ['Damask stitch'],
  family: 'fill',
  guide: ['shape'],
  parameters: { P: { name: 'Spacing', measures: 'apart', usual: '0.9*F', min: '0.7*F', max: '1.1*F' } },
  passes: [
    {
      name: 'fill',
      lie: 'flat',
      place: { across: { pitch: 'P' } },
      repeat: [{ up: 'a' }, { down: 'b', as: 'st' }],
    },
  ],
  variants: {
    turned: {
      name: 'Turned at the edge',
      because: 'Nearly half the thread, but the edge lies flatter and the tension is harder to keep.',
      when: { satin: 'turned' },
      passes: [
        {
          name: 'fill',
          lie: 'flat',
          place: { across: { pitch: 'P' } },
          repeat: [
            [{ up: 'a' }, { down: 'b', as: 'st' }],
            [{ up: 'b' }, { down: 'a', as: 'st' }],
          ],
        },
      ],
    },
  },
  marks: 'guide-only',
  practice: { kind: 'shape', widthMm: 18, heightMm: 7, outline: 'oval' },
  goodFor: ['petals, rays and small solid shapes', 'a smooth shine'],
  tension: 'easy',
  look: { front: 'Threads parallel and touching, the edge smooth.', back: 'Like the front when wrapped; short stitches along the edges when turned.' },
  slips: [
    { see: 'A ragged edge', mend: 'Outline first in split stitch and go down just outside it, half a thread over the line.' },
    { see: 'Cloth between the stitches', mend: 'Strip the strands and lay them together again; add a stitch where cloth shows.' },
  ],
  unpick: 'Slide the points of the scissors under the middle from behind and cut a few threads at a time; never from the front.',
}
