/**
 * The lesson sheet: the pattern at exactly 1:1 with its key, then each exercise with numbered diagrams, steps
 * in words, what to look at, and cautions. Pages are drawings in millimetres; a writer makes them PDF.
 */
import { cautionIn, type Language, needleIn, proseIn, stitchIn, strandsIn } from '../language/index.ts'
import { drawMarkItems, drawStep, lookOf, type Drawing, type DrawingItem, type Layer, mirrorItems, moveItems, PRINTED_MARKS } from '../drawing/index.ts'
import { boxOfExercise } from '../extent/index.ts'
import { strandsInWords, surroundingsOf } from '../assign/index.ts'
import { type Mark, marksForHand, roleThreads, spokenSize, type WorkedExercise, workSubstitutes } from '../exercise/index.ts'
import { findMarkMethod } from '../marking/index.ts'
import type { Learner } from '../classes/index.ts'
import { type Lesson, type Sampler, teachingOrder } from '../sampler/index.ts'
import { demonstrate, type Hand, stepSentence } from '../steps/index.ts'
import { formatLength, formatMinutes, type LengthUnit } from '../units/index.ts'
import { behindOnSheet } from './behind-on-sheet.ts'
import { writeBehind, writeCautions } from './for-all.ts'
import { type Area, Flow, INK, type MeasureText, WALNUT, words, wrapText } from './flow.ts'
import type { StitchDocument } from '../notation/index.ts'
import { SHEET_WORDS, type SheetWords } from './sheet-words.ts'
import { threadsInWords } from './threads-in-words.ts'
import { freeInWords, waysInWords } from './ways-in-words.ts'
import { correctedFor } from './printer-correction.ts'
import { writeKey } from './write-key.ts'
import { CHECK_BAR_MM, contentArea, PAGE_SIZES, pageFurniture, type PageSize } from './furniture.ts'

export interface SheetOrder {
  readonly sampler: Sampler
  /** The exercises to print, worked, in their order. */
  readonly exercises: readonly WorkedExercise[]
  readonly title: string
  readonly page: PageSize
  readonly hand: Hand
  readonly measure: MeasureText
  /** What the check bar measured on the printer that prints it, mm; null or left out where it is right. */
  readonly barMm?: number | null | undefined
}

export function letterOf(index: number): string {
  const letter = String.fromCharCode(65 + (index % 26))
  return index < 26 ? letter : `${letter}${Math.floor(index / 26) + 1}`
}

/** What the sheet says it is: the lesson, and whose. */
export function sheetTitle(
  lesson: Pick<Lesson, 'title'> | null | undefined,
  learner: Pick<Learner, 'name'> | null | undefined,
  language: Language = 'en',
): string {
  const said = SHEET_WORDS[language]
  return `${lesson?.title ?? said.allLessons}${learner ? said.forLearner(learner.name) : ''}`
}

export function makeSheets(order: SheetOrder): Drawing[] {
  const area = contentArea(order.page)
  const said = wordsOf(order)
  const flow = new Flow(area, order.measure)
  const key = new Map(teachingOrder(order.sampler).map((exercise, index) => [exercise.id, letterOf(index)]))
  const behind = behindOnSheet(order.sampler, order.exercises, key, order.hand)
  const pattern = patternTiles(order, area, key, behind.numbered)
  writeKey(flow, order, key, said)
  writeBehind(flow, behind, said)
  for (const done of order.exercises) writeExercise(flow, order, done, key.get(done.exercise.id) ?? '')
  writeCautions(flow, order.sampler, said)
  const { widthMm, heightMm } = PAGE_SIZES[order.page]
  const bodies: readonly (readonly Layer[])[] = [...pattern, ...flow.pages.filter((items) => items.length > 0).map((items) => [{ name: 'sheet', items }])]
  const pages = bodies.map(
    (layers, index): Drawing => ({
      left: 0,
      top: 0,
      widthMm,
      heightMm,
      layers: [
        ...layers,
        {
          name: 'page',
          items: pageFurniture(
            order.page,
            {
              sampler: order.sampler.name,
              part: index < pattern.length ? patternTitle(order, said) : order.title,
              page: index + 1,
              pages: bodies.length,
              hand: order.hand,
            },
            order.measure,
            said,
          ),
        },
      ],
    }),
  )
  return pages.map((page, index) => (index < pattern.length ? correctedFor(page, order.page, order.barMm ?? null) : page))
}

/** The pattern alone, on pages of its own numbering. */
export function makePattern(order: SheetOrder): Drawing[] {
  const said = wordsOf(order)
  const key = new Map(teachingOrder(order.sampler).map((exercise, index) => [exercise.id, letterOf(index)]))
  const { numbered } = behindOnSheet(order.sampler, order.exercises, key, order.hand)
  const tiles = patternTiles(order, contentArea(order.page), key, numbered)
  const part = patternTitle(order, said)
  return tiles.map((layers, index) => {
    const heading = { sampler: order.sampler.name, part, page: index + 1, pages: tiles.length, hand: order.hand }
    const page = {
      left: 0,
      top: 0,
      ...PAGE_SIZES[order.page],
      layers: [...layers, { name: 'page', items: pageFurniture(order.page, heading, order.measure, said) }],
    }
    return correctedFor(page, order.page, order.barMm ?? null)
  })
}

const wordsOf = ({ sampler }: Pick<SheetOrder, 'sampler'>): SheetWords => SHEET_WORDS[sampler.brief.language ?? 'en']

/** With what it was corrected for, so that it is not printed by another printer. */
function patternTitle({ title, sampler, barMm }: SheetOrder, said: SheetWords): string {
  const name = said.pattern(title, isMirrored(sampler))
  return barMm === null || barMm === undefined || barMm === CHECK_BAR_MM ? name : said.corrected(name, barMm.toFixed(1))
}

/** The way of marking asks for the other way round. */
const isMirrored = ({ brief }: Sampler): boolean => findMarkMethod(brief.marking?.method ?? '')?.mirrored === true

/** Room round the design for its letters and arrows. */
const PATTERN_MARGIN_MM = 9

/** The marks at 1:1, on as many pages as they need, with register crosses where they meet. */
function patternTiles(order: SheetOrder, area: Area, key: ReadonlyMap<string, string>, numbered: ReadonlySet<string>): Layer[][] {
  const said = wordsOf(order)
  const boxes = order.exercises.map(boxOfExercise).filter((box) => box !== null)
  if (boxes.length === 0) return []
  const left = Math.min(...boxes.map((box) => box.left)) - PATTERN_MARGIN_MM
  const top = Math.min(...boxes.map((box) => box.top)) - PATTERN_MARGIN_MM
  const right = Math.max(...boxes.map((box) => box.right)) + PATTERN_MARGIN_MM
  const bottom = Math.max(...boxes.map((box) => box.bottom)) + PATTERN_MARGIN_MM
  const columns = Math.max(1, Math.ceil((right - left) / area.widthMm - 1e-9))
  const rows = Math.max(1, Math.ceil((bottom - top) / area.heightMm - 1e-9))
  const drawn = order.exercises.flatMap((done) => {
    const marks = marksForHand(done, order.hand)
    return [
      ...done.pieces.flatMap((piece, index) => (piece.layer === 'frame' ? [] : drawMarkItems(marks[index] ?? [], PRINTED_MARKS))),
      letter(done, marks[0] ?? [], order.hand, key.get(done.exercise.id) ?? ''),
      ...(numbered.has(done.exercise.id) ? marks.flatMap((one, index) => pieceNumber(one, index + 1)) : []),
    ]
  })
  // What is ironed on comes out the other way round; the box lies evenly about its middle, so the pages are the same.
  const items = isMirrored(order.sampler) ? mirrorItems(drawn, (left + right) / 2) : drawn
  const tiles: Layer[][] = []
  for (let row = 0; row < rows; row += 1) {
    for (let column = 0; column < columns; column += 1) {
      const alone = columns === 1 && rows === 1
      const from = {
        x: columns === 1 ? (left + right) / 2 - area.widthMm / 2 : left + column * area.widthMm,
        y: alone ? top : top + row * area.heightMm,
      }
      const by = { x: area.left - from.x, y: area.top - from.y }
      tiles.push([
        {
          name: 'marks',
          items: moveItems(items, by),
          clip: { left: area.left, top: area.top, right: area.left + area.widthMm, bottom: area.top + area.heightMm },
        },
        {
          name: 'register',
          items: alone
            ? grain(area, said.grain)
            : [...register(area), words(said.joinAt(row + 1, column + 1), { x: area.left, y: area.top - 1 }, 3, 'text', WALNUT)],
        },
      ])
    }
  }
  return tiles
}

/** The exercise's letter, before its start. */
function letter(done: WorkedExercise, marks: readonly Mark[], hand: Hand, text: string): DrawingItem {
  const start = marks.find((mark) => mark.kind === 'start')
  if (start) return words(text, { x: start.at.x - start.towards.x * 6.4, y: start.at.y - start.towards.y * 6.4 + 1.5 }, 4.4, 'text-bold', INK, 'middle')
  const box = boxOfExercise(done)
  const x = hand === 'left' ? (box?.right ?? 0) + 3.5 : (box?.left ?? 0) - 3.5
  return words(text, { x, y: box ? (box.top + box.bottom) / 2 + 1.5 : 0 }, 4.4, 'text-bold', INK, 'middle')
}

/** A cross to lay along the threads of the cloth, so that the pattern stands straight on the grain. */
function grain(area: Area, word: string): DrawingItem[] {
  const at = { x: area.left + area.widthMm - 8, y: area.top + 8 }
  return [
    {
      kind: 'stroke',
      paths: [
        [
          { x: at.x - 6, y: at.y },
          { x: at.x + 6, y: at.y },
        ],
        [
          { x: at.x, y: at.y - 6 },
          { x: at.x, y: at.y + 6 },
        ],
      ],
      widthMm: 0.2,
      colour: WALNUT,
    },
    words(word, { x: at.x - 7, y: at.y - 1 }, 2.8, 'text', WALNUT, 'right'),
  ]
}

function register(area: Area): DrawingItem[] {
  const corners = [
    { x: area.left, y: area.top },
    { x: area.left + area.widthMm, y: area.top },
    { x: area.left, y: area.top + area.heightMm },
    { x: area.left + area.widthMm, y: area.top + area.heightMm },
  ]
  return corners.map((at) => ({
    kind: 'stroke',
    paths: [
      [
        { x: at.x - 3, y: at.y },
        { x: at.x + 3, y: at.y },
      ],
      [
        { x: at.x, y: at.y - 3 },
        { x: at.x, y: at.y + 3 },
      ],
    ],
    widthMm: 0.2,
    colour: INK,
  }))
}

/** The piece's number, beside its start; nothing where it is not marked. */
function pieceNumber(marks: readonly Mark[], number: number): DrawingItem[] {
  const start = marks.find((mark) => mark.kind === 'start')
  return start
    ? [words(String(number), { x: start.at.x + start.towards.y * 2.6, y: start.at.y - start.towards.x * 2.6 + 0.9 }, 2.6, 'text', WALNUT, 'middle')]
    : []
}

const needlefulsOf = ({ threads }: WorkedExercise, index: number, units: LengthUnit, said: SheetWords): string =>
  said.needlefuls(threads[index]?.use.needlefuls ?? 0, formatLength(threads[index]?.needlefulMm ?? 0, units, 0))

/** The exercise in a few sentences: stitches, threads, needles, time. */
function summary(done: WorkedExercise, units: LengthUnit, said: SheetWords): string {
  const { assigned, minutes } = done
  const { language } = assigned
  return [
    `${stitchIn(assigned.document, language)}. ${said.count(done)}, ${said.size(spokenSize(done), units)}.`,
    ...threadsInWords(done, said).map((one, index) => `${one}; ${needlefulsOf(done, index, units, said)}`),
    said.time(formatMinutes(minutes.total), said.tension[assigned.document.tension ?? 'easy']),
  ].join(' ')
}

/** What the teacher allows instead, with its own strands, needle and length. */
function writeSubstitutes(flow: Flow, order: SheetOrder, done: WorkedExercise): void {
  const said = wordsOf(order)
  for (const { result } of workSubstitutes(done, surroundingsOf(order.sampler))) {
    if (!result.ok) continue
    const { assigned } = result.value
    const { language } = assigned
    const { strands, needle } = assigned.main
    const how = [
      strandsIn(strands.value, strandsInWords(strands.value), language),
      said.needle(needleIn(needle.value, language)),
      said.size(spokenSize(result.value), order.sampler.units),
    ].join(', ')
    flow.text(said.instead(stitchIn(assigned.document, language), how, formatMinutes(result.value.minutes.total)), { sizeMm: 3.4, colour: WALNUT })
  }
}

/** Two rows of pictures: the beginning, or where there are several passes the beginning of each. */
const FRAME = { widthMm: 43, heightMm: 28, gapMm: 4.4, perRow: 4 }

function writeExercise(flow: Flow, order: SheetOrder, done: WorkedExercise, letterText: string): void {
  const { assigned, exercise } = done
  const { document } = assigned
  const units = order.sampler.units
  const said = wordsOf(order)
  if (flow.room < 70) flow.turn()
  flow.text(`${letterText}  ${exercise.name}`, { sizeMm: 5.4, face: 'heading' })
  flow.text(summary(done, units, said), { sizeMm: 3.4, colour: WALNUT })
  flow.space(2)
  writeSubstitutes(flow, order, done)
  const choices = freeInWords(exercise.free ?? [], said)
  if (choices) flow.text(choices, { sizeMm: 3.4, colour: WALNUT })
  for (const text of waysInWords(done, said)) flow.text(text, { sizeMm: 3.4, colour: WALNUT })
  flow.space(1.5)
  const shown = demonstrate({
    document,
    parameters: assigned.parameters,
    materials: assigned.materials,
    threads: roleThreads(assigned),
    hand: order.hand,
    like: done.pieces[0].guide,
  })
  if (shown.ok) {
    const look = lookOf(assigned)
    const { steps } = shown.value
    for (let from = 0; from < steps.length; from += FRAME.perRow) {
      const row = steps.slice(from, from + FRAME.perRow)
      const captions = row.map((step) => wrapText(stepSentence(step, assigned), FRAME.widthMm, 3, 'text', flow.measure))
      const height = FRAME.heightMm + 2 + Math.max(...captions.map((lines) => lines.length)) * 3.9 + 2.5
      const items = row.flatMap((step, index): DrawingItem[] => {
        const x = index * (FRAME.widthMm + FRAME.gapMm)
        const drawn = drawStep({
          demonstration: shown.value,
          step,
          look,
          widthMm: FRAME.widthMm,
          heightMm: FRAME.heightMm,
          detail: 'edged',
          cloth: '#F7F1E3',
          numberMm: 2.6,
        })
        return [
          ...moveItems(drawn.items, { x, y: 0 }),
          words(String(step.number), { x: x + 1.2, y: 4.2 }, 3.6, 'heading', WALNUT),
          words(`${drawn.scale.toFixed(1)}×`, { x: x + FRAME.widthMm - 1, y: FRAME.heightMm - 1 }, 2.3, 'text', WALNUT, 'right'),
          ...(captions[index] ?? []).map((line, number) => words(line, { x, y: FRAME.heightMm + 4 + number * 3.9 }, 3)),
        ]
      })
      flow.block(height, items)
    }
  }
  for (const line of proseOf(document, assigned.language, said)) flow.text(line, { indentMm: 4, marker: '·' })
  for (const text of document.cautions ?? []) flow.text(said.takeCare(cautionIn(text, assigned.language)), { indentMm: 4, marker: '!' })
  flow.space(6)
}

/** What to look at in front and behind, and what goes wrong. */
function proseOf({ look, slips }: Pick<StitchDocument, 'look' | 'slips'>, language: Language, said: SheetWords): readonly string[] {
  const labelled = (label: string, text: string | undefined): string[] => {
    const there = text === undefined ? null : proseIn(text, language)
    return there === null ? [] : [`${label}: ${there}`]
  }
  return [
    ...labelled(said.front, look?.front),
    ...labelled(said.back, look?.back),
    ...(slips ?? []).flatMap(({ see, mend }) => labelled(proseIn(see, language) ?? see, mend)),
  ]
}
