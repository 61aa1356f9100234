/**
 * The pattern at true size. What is to be traced, what is only to be looked at (letters, numbers, the hoop) and what belongs to the
 * sheet lie in layers apart, so that each can be left away.
 */
import { drawMarkItems, type Drawing, type DrawingItem, type Layer, mirrorItems, moveItems, PRINTED_MARKS } from '../drawing/index.ts'
import { type Mark, marksForHand, type WorkedExercise } from '../exercise/index.ts'
import { boxOfExercise } from '../extent/index.ts'
import { type Box, distance, type Point } from '../geometry/index.ts'
import { findMarkMethod } from '../marking/index.ts'
import { hoopOutline } from '../materials/index.ts'
import type { Sampler } from '../sampler/index.ts'
import type { Hand } from '../steps/index.ts'
import { behindOnSheet } from './behind-on-sheet.ts'
import { type Area, INK, WALNUT, words } from './flow.ts'
import { CHECK_BAR_MM, pageFurniture, PAPERS } from './furniture.ts'
import { lettersOf } from './letters.ts'
import { pageMap } from './page-map.ts'
import { type PatternLabel, placeLabels } from './pattern-labels.ts'
import { correctedFor } from './printer-correction.ts'
import { SHEET_WORDS, type SheetWords } from './sheet-words.ts'
import { OVERLAP_MM, tileDesign, type Tile, type Tiling } from './tile-design.ts'
import type { SheetOrder } from './types.ts'

/** Room round the design for its letters and arrows. */
const MARGIN_MM = 9

/** `pagesAfter`: of the same numbering; the pattern alone has a numbering of its own. */
export function makePattern(order: SheetOrder, pagesAfter = 0): Drawing[] {
  const said = SHEET_WORDS[order.sampler.brief.language ?? 'en']
  const found = designOf(order)
  if (!found) return []
  const { items, tiling } = found
  const part = titleOf(order, said)
  return tiling.tiles.map((tile, index) => {
    const heading = { sampler: order.sampler.name, part, page: index + 1, pages: tiling.tiles.length + pagesAfter, hand: order.hand }
    const furniture: Layer = { name: 'page', items: pageFurniture(tiling.paper, heading, order.measure, said) }
    const page = { left: 0, top: 0, ...tiling.paper, layers: [...layersOf(items, tiling, tile, order, said), furniture] }
    return correctedFor(page, order.barMm ?? null)
  })
}

/** With what it was corrected for, so that it is not printed by another printer. */
function titleOf({ title, sampler, barMm }: SheetOrder, said: SheetWords): string {
  const name = said.pattern(title, isMirrored(sampler))
  return barMm === null || barMm === undefined || barMm === CHECK_BAR_MM ? name : said.corrected(name, barMm.toFixed(1))
}

/** The way of marking asks for the other way round. */
const isMirrored = ({ brief }: Sampler): boolean => findMarkMethod(brief.marking?.method ?? '')?.mirrored === true

interface Design {
  readonly items: { readonly trace: readonly DrawingItem[]; readonly look: readonly DrawingItem[] }
  readonly tiling: Tiling
}

function designOf(order: SheetOrder): Design | null {
  const { exercises, hand, sampler } = order
  const letters = lettersOf(sampler)
  const { numbered } = behindOnSheet(sampler, exercises, letters, hand)
  const boxes = exercises.flatMap((done) => {
    const box = boxOfExercise(done)
    return box ? [{ id: letters.get(done.exercise.id) ?? '', box }] : []
  })
  const [first] = boxes
  if (!first) return null
  const whole = grown(boxes.map((one) => one.box).reduce(around, first.box), MARGIN_MM)
  const middle = (whole.left + whole.right) / 2
  const mirrored = isMirrored(sampler)
  // What is ironed on comes out the other way round.
  const turned = (items: readonly DrawingItem[]): readonly DrawingItem[] => (mirrored ? mirrorItems(items, middle) : items)
  const parts = boxes.map(({ id, box }) => ({ id, box: mirrored ? { ...box, left: 2 * middle - box.right, right: 2 * middle - box.left } : box }))
  const marked = exercises.map((done) => ({ done, marks: marksForHand(done, hand) }))
  const labels = [
    ...marked.map(({ done, marks }) => letter(done, marks[0] ?? [], hand, letters.get(done.exercise.id) ?? '')),
    ...marked.flatMap(({ done, marks }) => (numbered.has(done.exercise.id) ? marks.flatMap((one, index) => pieceNumber(one, index + 1)) : [])),
  ]
  const traced = marked.flatMap(({ done, marks }) => done.pieces.flatMap((piece, index) => (piece.layer === 'frame' ? [] : [marks[index] ?? []])))
  const trace = traced.flatMap((one) => drawMarkItems(one, PRINTED_MARKS))
  const look = placeLabels(labels, traced.flat(), grown(whole, -1), order.measure)
  const items = { trace: turned(trace), look: turned([...hoopRing(sampler), ...look]) }
  return { items, tiling: tileDesign(parts, whole, PAPERS[order.patternPage ?? order.page]) }
}

const around = (one: Box, other: Box): Box => ({
  left: Math.min(one.left, other.left),
  right: Math.max(one.right, other.right),
  top: Math.min(one.top, other.top),
  bottom: Math.max(one.bottom, other.bottom),
})
const grown = ({ left, right, top, bottom }: Box, by: number): Box => ({ left: left - by, right: right + by, top: top - by, bottom: bottom + by })

/** A broken ring, to lay the hoop by; not to be traced. */
function hoopRing({ workingHoop }: Sampler): readonly DrawingItem[] {
  if (!workingHoop) return []
  return [{ kind: 'stroke', paths: [hoopOutline(workingHoop, 0)], widthMm: 0.25, colour: WALNUT, closed: true, dashMm: [2.4, 2.4] }]
}

function layersOf({ trace, look }: Design['items'], tiling: Tiling, { row, column, from }: Tile, { measure }: SheetOrder, said: SheetWords): Layer[] {
  const { area, rows, columns, cut } = tiling
  const by = { x: area.left - from.x, y: area.top - from.y }
  const clip = { left: area.left, top: area.top, right: area.left + area.widthMm, bottom: area.top + area.heightMm }
  const isAlone = rows * columns === 1
  const joins = isAlone ? '' : [said.joinAt(row + 1, column + 1), ...(cut.length > 0 ? [said.seam(cut)] : [])].join(' ')
  return [
    { name: 'trace', items: moveItems(trace, by), clip },
    { name: 'look', items: moveItems(look, by), clip },
    {
      name: 'frame',
      items: [
        ...corners(area),
        ...register(area, tiling, { row, column, from }),
        ...grain(area, said.grain),
        ...pageMap(tiling, { row, column }),
        ...(joins === '' ? [] : [words(fitting(joins), { x: area.left, y: area.top - 1 }, 3, 'text', WALNUT)]),
      ],
    },
  ]

  function fitting(text: string): string {
    let kept = text
    while (measure(kept, 3, 'text') > area.widthMm && kept.includes(' ')) kept = `${kept.slice(0, kept.lastIndexOf(' '))}\u2026`
    return kept
  }
}

/** The exercise's letter, before its start; before the nearest of what is drawn where no start is marked. */
function letter(done: WorkedExercise, marks: readonly Mark[], hand: Hand, text: string): PatternLabel {
  const look = { text, sizeMm: 4.4, face: 'text-bold', colour: INK } as const
  const start = marks.find((mark) => mark.kind === 'start')
  if (start) {
    const before = (by: number): Point => ({ x: start.at.x - start.towards.x * by, y: start.at.y - start.towards.y * by })
    return { ...look, of: before(4.2), rather: before(6.6) }
  }
  const box = boxOfExercise(done) ?? { left: 0, right: 0, top: 0, bottom: 0 }
  const side = { x: hand === 'left' ? box.right : box.left, y: (box.top + box.bottom) / 2 }
  const drawn = marks.flatMap((mark) => (mark.kind === 'line' ? mark.points : [mark.at]))
  const of = drawn.reduce((near, at) => (distance(at, side) < distance(near, side) ? at : near), drawn[0] ?? side)
  return { ...look, of, rather: { x: of.x + (hand === 'left' ? 3.5 : -3.5), y: of.y } }
}

/** The piece's number, beside its start; nothing where it is not marked. */
function pieceNumber(marks: readonly Mark[], number: number): PatternLabel[] {
  const start = marks.find((mark) => mark.kind === 'start')
  if (!start) return []
  const of = { x: start.at.x - start.towards.x * 1.6, y: start.at.y - start.towards.y * 1.6 }
  const rather = { x: of.x + start.towards.y * 2.4, y: of.y - start.towards.x * 2.4 }
  return [{ text: String(number), sizeMm: 2.6, face: 'text', colour: WALNUT, of, rather }]
}

const cross = ({ x, y }: { readonly x: number; readonly y: number }, reach: number): DrawingItem => ({
  kind: 'stroke',
  paths: [
    [
      { x: x - reach, y },
      { x: x + reach, y },
    ],
    [
      { x, y: y - reach },
      { x, y: y + reach },
    ],
  ],
  widthMm: 0.2,
  colour: INK,
})

/** A cross to lay along the threads of the cloth, so that the pattern stands straight on the grain. */
function grain(area: Area, word: string): DrawingItem[] {
  const at = { x: area.left + area.widthMm - 8, y: area.top + 8 }
  return [cross(at, 6), words(word, { x: at.x - 7, y: at.y - 1 }, 2.8, 'text', WALNUT, 'right')]
}

const cornersOf = ({ left, top, widthMm, heightMm }: Area) => [
  { x: left, y: top },
  { x: left + widthMm, y: top },
  { x: left, y: top + heightMm },
  { x: left + widthMm, y: top + heightMm },
]

const corners = (area: Area): DrawingItem[] => cornersOf(area).map((at) => cross(at, 2.5))

/** In the middle of what two sheets both show, crosses to lay over one another. */
function register(area: Area, { rows, columns }: Tiling, { row, column }: Tile): DrawingItem[] {
  const [right, bottom] = [area.left + area.widthMm, area.top + area.heightMm]
  const xs = [...(column > 0 ? [area.left + OVERLAP_MM / 2] : []), ...(column < columns - 1 ? [right - OVERLAP_MM / 2] : [])]
  const ys = [...(row > 0 ? [area.top + OVERLAP_MM / 2] : []), ...(row < rows - 1 ? [bottom - OVERLAP_MM / 2] : [])]
  const along = (from: number, to: number): readonly number[] => [from + 15, (from + to) / 2, to - 15]
  return [
    ...xs.flatMap((x) => along(area.top, bottom).map((y) => cross({ x, y }, 3))),
    ...ys.flatMap((y) => along(area.left, right).map((x) => cross({ x, y }, 3))),
  ]
}
