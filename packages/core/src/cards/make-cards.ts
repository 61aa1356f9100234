/**
 * Exercise cards, four on a page, and labels for the rows of the finished sampler. A card holds what one looks up with a needle in hand:
 * thread, strands, needle, size, how it looks when it is right, and what to do when it is not. All of a size, so that they are one deck.
 */
import { bind, type Book, type BookOrder, dayInWords, drawFoot, type Making, makingOf } from '../book/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import { spokenSize } from '../exercise/index.ts'
import { cautionIn, stitchIn } from '../language/index.ts'
import { proseIn } from '../prose/index.ts'
import { beside, type Block, exercisePicture, figure, gap, hint, INDIGO, Pager, stack, text, title } from '../pages/index.ts'
import { alikeInWords, SHEET_WORDS, WALNUT } from '../sheets/index.ts'
import { photoCard, photoCheckLine } from './photo-card.ts'
import { type CardWords, CARD_WORDS } from './words.ts'

export type CardOrder = Omit<BookOrder, 'form' | 'patternPage' | 'barMm'>

const GAP_MM = 4
const PAD_MM = 3.5
const PICTURE_MM = 20
const CARD_MM = 112
const LABEL_MM = 15
const LABELS_IN_ROW = 3
const PHOTO_CARDS = 2

export function makeCards(order: CardOrder): Book {
  const making = makingOf({ ...order, form: 'roomy' }, 'roomy')
  const told = CARD_WORDS[order.sampler.brief.language ?? 'en']
  const { set, said, lessons, version, printed } = making
  const pager = new Pager(making.page)
  const outline: Book['outline'][number][] = []
  const width = pager.widthMm
  const all = lessons.flatMap((lesson) => lesson.exercises.map((done) => ({ done, lesson: lesson.number })))
  outline.push({ title: told.title, page: pager.begin(told.title), level: 1 })
  pager.put([title(set, told.title, width), hint(set, told.how, width), gap(3)])
  const wide = (width - GAP_MM) / 2
  pager.put(inRows(all, 2, wide, ({ done, lesson }) => card(making, told, done, lesson, wide)))
  outline.push({ title: told.labels, page: pager.begin(told.labels), level: 1 })
  pager.put([title(set, told.labels, width), hint(set, told.labelsHow, width), gap(3)])
  const small = (width - (LABELS_IN_ROW - 1) * GAP_MM) / LABELS_IN_ROW
  pager.put(inRows(all, LABELS_IN_ROW, small, ({ done }) => label(making, done, small)))
  outline.push({ title: told.photo, page: pager.begin(told.photo), level: 1 })
  pager.put([title(set, told.photo, width), ...told.photoHow.map((one) => text(set, one, width, { afterMm: 1.5 })), gap(2), ...photoCards(making, width)])
  return bind({
    ...{ making, pages: pager.pages, outline, pageOf: new Map(), pattern: [], isCompacted: false, onTheWeb: said.onTheWeb },
    foot: (page) =>
      drawFoot(set, page, { number: String(page.number), middle: said.foot.printed(version, dayInWords(printed, said)), isBold: false, part: page.part }),
  })
}

/** As many as a page holds besides its words, and the line that says whether the printer kept their size. */
function photoCards(making: Making, widthMm: number): readonly Block[] {
  return [photoCheckLine(making, widthMm), ...Array.from({ length: PHOTO_CARDS }, () => stack([photoCard(making, widthMm), gap(6)]))]
}

function inRows<One>(all: readonly One[], count: number, widthMm: number, block: (one: One) => Block): readonly Block[] {
  return Array.from({ length: Math.ceil(all.length / count) }, (_, row) => {
    const cells = all.slice(row * count, (row + 1) * count).map((one, index) => [index * (widthMm + GAP_MM), block(one)] as const)
    return stack([beside(...cells), gap(GAP_MM)])
  })
}

function card(making: Making, told: CardWords, done: WorkedExercise, lesson: number, widthMm: number): Block {
  const { set, said, letters, sampler, ink } = making
  const { document, language } = done.assigned
  const sheet = SHEET_WORDS[sampler.brief.language ?? 'en']
  const wide = widthMm - 2 * PAD_MM
  const stitch = stitchIn(document, language)
  const small = { size: set.type.small }
  const front = document.look?.front === undefined ? null : proseIn(document.look.front, language)
  const head = beside(
    [0, text(set, letters.get(done.exercise.id) ?? '', 13, { size: set.type.letter, face: 'heading', colour: INDIGO })],
    [
      14,
      stack([
        text(set, done.exercise.name, wide - 14, { size: set.type.heading, face: 'heading', tag: 'H2' }),
        text(set, `${stitch}, ${told.lesson(lesson).toLowerCase()}`, wide - 14, { ...small, colour: WALNUT }),
      ]),
    ],
  )
  const picture = figure(exercisePicture(done, wide, PICTURE_MM), wide, said.alt.piece(done.exercise.name, stitch))
  const parts = [
    head,
    ...(ink === 'saving' ? [] : [gap(1), picture]),
    gap(1),
    ...alikeInWords(done, sheet).map((one) => text(set, one, wide, small)),
    text(set, `**${sheet.size(spokenSize(done), sampler.units)}**`, wide, small),
    ...(document.cautions ?? []).map((one) => text(set, `**${sheet.takeCare(cautionIn(one, language))}**`, wide, small)),
    ...(front === null ? [] : [text(set, `**${told.look}:** ${front}`, wide, small)]),
    ...(document.slips ?? []).flatMap(({ see, mend }) => [text(set, `**${proseIn(see, language) ?? see}:** ${proseIn(mend, language) ?? mend}`, wide, small)]),
  ]
  return cutOut(kept(parts, CARD_MM - 2 * PAD_MM), widthMm, CARD_MM)
}

/** What has room, in its order: the key first, the last slips give way. */
function kept(parts: readonly Block[], mostMm: number): Block {
  const some: Block[] = []
  let heightMm = 0
  for (const one of parts) {
    if (heightMm + one.heightMm > mostMm) break
    some.push(one)
    heightMm += one.heightMm
  }
  return stack(some)
}

function label({ set, letters }: Making, done: WorkedExercise, widthMm: number): Block {
  const stitch = stitchIn(done.assigned.document, done.assigned.language)
  const wide = widthMm - 2 * PAD_MM
  const name = text(set, `**${letters.get(done.exercise.id) ?? ''} ${done.exercise.name}**`, wide, { size: set.type.small })
  return cutOut(kept([name, text(set, stitch, wide, { size: set.type.foot, colour: WALNUT })], LABEL_MM * 2), widthMm, Math.max(LABEL_MM, name.heightMm + 10))
}

/** With a hairline round it, to cut along. */
function cutOut(inner: Block, widthMm: number, heightMm: number): Block {
  const edge = [
    { x: 0, y: 0 },
    { x: widthMm, y: 0 },
    { x: widthMm, y: heightMm },
    { x: 0, y: heightMm },
  ]
  const placed = beside([PAD_MM, stack([gap(PAD_MM), inner])])
  return { heightMm, draw: () => [{ kind: 'stroke', paths: [edge], widthMm: 0.2, colour: '#BDB3A3', closed: true }, ...placed.draw()] }
}
