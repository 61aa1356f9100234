/** The felt of one learner as a drawing at true size: every patch to cut, named with its layer, and a line to check the size by. */
import type { FeltSheet } from '../cutting/index.ts'
import type { Drawing, DrawingItem } from '../drawing/index.ts'

const INK = '#1f2a37'
const TEXT_MM = 3
const CHECK_MM = 50

export function feltTemplate(sheet: FeltSheet): Drawing {
  const foot = 12
  const items = sheet.places.flatMap(({ patch, outline }): DrawingItem[] => {
    const [left, right] = [Math.min(...outline.map(({ x }) => x)), Math.max(...outline.map(({ x }) => x))]
    const [top, bottom] = [Math.min(...outline.map(({ y }) => y)), Math.max(...outline.map(({ y }) => y))]
    const text = patch.layers > 1 ? `${patch.name} ${patch.layer}/${patch.layers}` : patch.name
    return [
      { kind: 'stroke', paths: [outline], closed: true, widthMm: 0.3, colour: INK },
      {
        kind: 'words',
        at: { x: (left + right) / 2, y: (top + bottom) / 2 + TEXT_MM / 3 },
        text,
        // Within the patch, as far as that can be read.
        sizeMm: Math.max(1.6, Math.min(TEXT_MM, (1.7 * (right - left)) / Math.max(1, text.length))),
        face: 'text',
        colour: INK,
        align: 'middle',
      },
    ]
  })
  const y = sheet.heightMm + 5
  const check: DrawingItem[] = [
    {
      kind: 'stroke',
      paths: [
        [
          { x: 4, y },
          { x: 4 + CHECK_MM, y },
        ],
        ...[4, 4 + CHECK_MM].map((x) => [
          { x, y: y - 1.5 },
          { x, y: y + 1.5 },
        ]),
      ],
      widthMm: 0.3,
      colour: INK,
    },
    { kind: 'words', at: { x: 4 + CHECK_MM + 3, y: y + 1 }, text: `${CHECK_MM} mm`, sizeMm: TEXT_MM, face: 'text', colour: INK, align: 'left' },
  ]
  return { left: 0, top: 0, widthMm: sheet.widthMm, heightMm: sheet.heightMm + foot, layers: [{ name: 'felt', items: [...items, ...check] }] }
}
