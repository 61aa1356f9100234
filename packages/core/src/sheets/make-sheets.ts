/**
 * The lesson sheet: the pattern at exactly 1:1 with its key, then each exercise with numbered diagrams, steps
 * in words, what to look at, and cautions. Pages are drawings in millimetres; a writer makes them PDF.
 */
import { cautionIn, type Language, needleIn, stitchIn, strandsIn } from '../language/index.ts'
import { proseIn } from '../prose/index.ts'
import { drawStep, lookOf, type Drawing, type DrawingItem, moveItems } from '../drawing/index.ts'
import { strandsInWords, surroundingsOf } from '../assign/index.ts'
import { roleThreads, spokenSize, type WorkedExercise, workSubstitutes } from '../exercise/index.ts'
import type { Learner } from '../classes/index.ts'
import type { Lesson } from '../sampler/index.ts'
import { demonstrate, stepSentence } from '../steps/index.ts'
import { formatLength, formatMinutes, type LengthUnit } from '../units/index.ts'
import { behindOnSheet } from './behind-on-sheet.ts'
import { writeBehind, writeCautions } from './for-all.ts'
import { Flow, WALNUT, words, wrapText } from './flow.ts'
import type { StitchDocument } from '../notation/index.ts'
import { SHEET_WORDS, type SheetWords } from './sheet-words.ts'
import { threadsInWords } from './threads-in-words.ts'
import { freeInWords, waysInWords } from './ways-in-words.ts'
import { makePattern } from './pattern.ts'
import { lettersOf, stepLetter } from './letters.ts'
import type { SheetOrder } from './types.ts'
import { writeKey } from './write-key.ts'
import { contentArea, PAGE_SIZES, pageFurniture } from './furniture.ts'

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
  const said = wordsOf(order)
  const paper = PAGE_SIZES[order.page]
  const flow = new Flow(contentArea(paper), order.measure)
  const key = lettersOf(order.sampler)
  const behind = behindOnSheet(order.sampler, order.exercises, key, order.hand)
  writeKey(flow, order, key, said)
  writeBehind(flow, behind, said)
  for (const done of order.exercises) writeExercise(flow, order, done, key.get(done.exercise.id) ?? '')
  writeCautions(flow, order.sampler, said)
  const bodies = flow.pages.filter((items) => items.length > 0)
  const pattern = makePattern(order, bodies.length)
  const sheets = bodies.map((items, index): Drawing => {
    const page = pattern.length + index + 1
    const heading = { sampler: order.sampler.name, part: order.title, page, pages: pattern.length + bodies.length, hand: order.hand }
    const furniture = pageFurniture(paper, heading, order.measure, said)
    return {
      left: 0,
      top: 0,
      ...paper,
      layers: [
        { name: 'sheet', items },
        { name: 'page', items: furniture },
      ],
    }
  })
  return [...pattern, ...sheets]
}

const wordsOf = ({ sampler }: Pick<SheetOrder, 'sampler'>): SheetWords => SHEET_WORDS[sampler.brief.language ?? 'en']

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
          words(stepLetter(step.number), { x: x + 1.2, y: 4.2 }, 3.6, 'heading', WALNUT),
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
