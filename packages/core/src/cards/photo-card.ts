/** The card that lies round a photographed row, and the line that says whether a printer kept its size: on any page that has them. */
import type { Making } from '../book/index.ts'
import type { DrawingItem } from '../drawing/index.ts'
import { type Block, figure } from '../pages/index.ts'
import { CARD_MM, drawCard } from '../photo/index.ts'
import { WALNUT, words } from '../sheets/index.ts'
import { CARD_WORDS, type CardWords } from './words.ts'

const CHECK_MM = 100

const wordsOf = ({ sampler }: Pick<Making, 'sampler'>): CardWords => CARD_WORDS[sampler.brief.language ?? 'en']

/** In the middle of so wide a page. */
export function photoCard(making: Pick<Making, 'sampler'>, widthMm: number): Block {
  const middle = { x: widthMm / 2, y: CARD_MM.height / 2 }
  return figure({ heightMm: CARD_MM.height, draw: () => drawCard(middle) }, widthMm, wordsOf(making).photo)
}

export function photoCheckLine(making: Pick<Making, 'sampler'>, widthMm: number): Block {
  const [left, right] = [widthMm / 2 - CHECK_MM / 2, widthMm / 2 + CHECK_MM / 2]
  const stroke = (from: number, to: number, top: number, bottom: number): DrawingItem => ({
    ...{ kind: 'stroke', widthMm: 0.25, colour: WALNUT },
    paths: [
      [
        { x: from, y: top },
        { x: to, y: bottom },
      ],
    ],
  })
  return {
    heightMm: 11,
    draw: () => [
      ...[stroke(left, right, 2.5, 2.5), stroke(left, left, 1, 4), stroke(right, right, 1, 4)],
      words(wordsOf(making).photoLine(CHECK_MM), { x: widthMm / 2, y: 7.6 }, 3, 'text', WALNUT, 'middle'),
    ],
  }
}
