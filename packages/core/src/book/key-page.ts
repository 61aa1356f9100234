/** How the key, the pictures and the minutes are read: on a real line of this course. */
import { drawLine, USUAL_SHEEN } from '../drawing/index.ts'
import { beside, type Block, bullet, gap, heading, hint, rule, stack, text, title } from '../pages/index.ts'
import { keyTable } from './key-rows.ts'
import type { Making } from './types.ts'

export function howToReadTheKey(making: Making, widthMm: number): readonly Block[] {
  const { said, set, lessons } = making
  const all = lessons.flatMap((one) => one.exercises)
  // The first with two threads says most.
  const example = all.find((one) => new Set(one.threads.map((used) => used.role)).size > 1) ?? all[0]
  const half = (widthMm - 6) / 2
  const key = example ? keyTable(making, [example], widthMm) : null
  const pale = {
    heightMm: 5,
    draw: () =>
      drawLine(
        [
          { x: 1, y: 2.5 },
          { x: 40, y: 2.5 },
        ],
        { colour: '#FFFFFF', diameterMm: 1.8, lineWidthMm: 1.9, flatWidthMm: 2, sheen: USUAL_SHEEN },
        16,
        '#FFFFFF',
      ),
  }
  return [
    title(set, said.key.title, widthMm),
    hint(set, said.key.once, widthMm),
    gap(2),
    ...(key ? [key.head, ...key.rows] : []),
    gap(2),
    ...said.key.means.map(([word, means]) => beside([0, text(set, `**${word}**`, 30)], [32, text(set, means, widthMm - 32)])),
    rule(widthMm),
    heading(set, said.key.pictures, widthMm),
    ...said.key.inPictures.map((one) => bullet(set, one, widthMm)),
    rule(widthMm),
    beside(
      [0, stack([heading(set, said.key.pale, half), pale, text(set, said.key.paleHow, half)])],
      [half + 6, stack([heading(set, said.key.minutes, half), text(set, said.key.minutesHow, half)])],
    ),
  ]
}
