/** The card as it is printed and cut out: black on plain paper, with a line of known length, for printers shrink what they print. */
import type { DrawingItem } from '../drawing/index.ts'
import type { Point } from '../geometry/index.ts'
import { CARD_MM, DOT_MM, DOTS, TARGET_MM, TARGETS, WINDOW } from './card.ts'

const BLACK = '#000000'
const WHITE = '#ffffff'
const CUT = '#5E4634'

/** `at`: the card's middle on the page, mm. */
export function drawCard(at: Point): readonly DrawingItem[] {
  const moved = ({ x, y }: Point): Point => ({ x: at.x + x, y: at.y + y })
  const disc = (middle: Point, radiusMm: number, fill: string): DrawingItem => ({ kind: 'disc', at: moved(middle), radiusMm, fill })
  const cut = (wide: number, tall: number): DrawingItem => ({
    kind: 'stroke',
    paths: [[moved({ x: -wide, y: -tall }), moved({ x: wide, y: -tall }), moved({ x: wide, y: tall }), moved({ x: -wide, y: tall })]],
    ...{ widthMm: 0.2, colour: CUT, closed: true, dashMm: [1.6, 1.2] },
  })
  return [
    cut(CARD_MM.width / 2, CARD_MM.height / 2),
    cut(WINDOW.right, WINDOW.bottom),
    ...TARGETS.flatMap((one, index) => [
      disc(one, TARGET_MM.outer, BLACK),
      disc(one, TARGET_MM.white, WHITE),
      disc(one, TARGET_MM.inner, BLACK),
      ...(index === 0 ? [disc(one, TARGET_MM.eye, WHITE)] : []),
    ]),
    ...DOTS.map((one) => disc(one, DOT_MM, BLACK)),
  ]
}
