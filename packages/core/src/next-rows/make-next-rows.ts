/** Next rows of a class, two on a page: handed out at the end of a lesson. */
import { bind, type Book, type BookOrder, dayInWords, drawFoot, type Making, makingOf } from '../book/index.ts'
import { photoCard, photoCheckLine } from '../cards/index.ts'
import type { ClassDocument, Learner } from '../classes/index.ts'
import { spokenSize, type WorkedExercise, workForLearner } from '../exercise/index.ts'
import { stitchIn } from '../language/index.ts'
import { beside, type Block, figure, gap, hint, INDIGO, line, Pager, stack, text, title } from '../pages/index.ts'
import { CARD_MM, ROW_WORDS } from '../photo/index.ts'
import { type CourseLesson, type PracticeEvent, practiceOf } from '../practice/index.ts'
import { alikeInWords, SHEET_WORDS, WALNUT } from '../sheets/index.ts'
import { formatStitchLength } from '../units/index.ts'
import { drawRow, rowHeightMm } from './draw-row.ts'
import { type NextRow, nextRow } from './next-row.ts'
import { NEXT_ROWS_WORDS, type NextRowsWords } from './words.ts'

export interface NextRowsOrder extends Omit<BookOrder, 'form' | 'owner' | 'patternPage' | 'barMm' | 'hand'> {
  readonly group: ClassDocument
  /** What is told of its learners' work. */
  readonly events: readonly PracticeEvent[]
  /** Her alone. */
  readonly learner?: Learner | undefined
}

const LETTER_MM = 15

export function makeNextRows(order: NextRowsOrder): Book {
  const making = makingOf({ ...order, owner: null, hand: 'right', form: 'roomy' }, 'roomy')
  const told = NEXT_ROWS_WORDS[order.sampler.brief.language ?? 'en']
  const { set, said, version, printed } = making
  const rows = rowsOf(order)
  const pager = new Pager(making.page)
  const outline = [{ title: told.title, page: pager.begin(told.title), level: 1 as const }]
  const width = pager.widthMm
  pager.put([title(set, told.title, width), hint(set, told.how, width), photoCheckLine(making, width), gap(1)])
  pager.put(rows.flatMap((one) => (one.exercise ? [rowBlock(making, told, one, width)] : [])))
  const finished = rows.filter((one) => one.exercise === null).map((one) => one.learner.name)
  if (finished.length > 0) pager.put([text(set, told.finished(finished.join(', ')), width)])
  return bind({
    ...{ making, pages: pager.pages, outline, pageOf: new Map(), pattern: [], isCompacted: false, onTheWeb: said.onTheWeb },
    foot: (page) =>
      drawFoot(set, page, { number: String(page.number), middle: said.foot.printed(version, dayInWords(printed, said)), isBold: false, part: page.part }),
  })
}

function rowsOf({ sampler, group, events, learner, course, dates, printed }: NextRowsOrder): readonly NextRow[] {
  const lessons: readonly CourseLesson[] = sampler.lessons
    .filter((one) => one.exercises.length > 0)
    .map(({ id, exercises }) => ({ id, exercises, on: dates?.laid.lessons.find((one) => one.lesson === id)?.on[0] ?? null }))
  const planned = (exercise: string): number => course.find((one) => one.id === exercise)?.homeMinutes ?? 0
  return (learner ? [learner] : group.learners).map((one) => nextRow(sampler, one, practiceOf(events, one.id), lessons, printed, planned))
}

function rowBlock(making: Making, told: NextRowsWords, next: NextRow, widthMm: number): Block {
  const { set, sampler, letters } = making
  const { learner, exercise, row, isLarger, markEvery } = next
  const done = row?.done ?? asSheWorks(making, next)
  const sheet = SHEET_WORDS[sampler.brief.language ?? 'en']
  const wide = widthMm - LETTER_MM
  const small = { size: set.type.small }
  const stitch = done ? stitchIn(done.assigned.document, done.assigned.language) : ''
  const head = [
    text(set, learner.name, wide, { size: set.type.name, face: 'heading', tag: 'H2' }),
    text(set, [exercise?.name ?? '', stitch].filter((one) => one !== '').join(', '), wide, { ...small, colour: WALNUT }),
    ...(done ? [text(set, [...alikeInWords(done, sheet), sheet.size(spokenSize(done), sampler.units)].join('. '), wide, { ...small, colour: WALNUT })] : []),
    gap(1),
    text(set, `**${sentences(making, told, next).join(' ')}**`, wide),
  ]
  const letter = text(set, letters.get(exercise?.id ?? '') ?? '', LETTER_MM, { size: set.type.letter, face: 'heading', colour: INDIGO })
  const parts: Block[] = [beside([0, letter], [LETTER_MM, stack(head)]), gap(2)]
  if (row) {
    const drawn: Block = { heightMm: rowHeightMm(row), draw: () => drawRow(row, markEvery) }
    const { count, kind } = row.plan
    const isUpright = kind === 'side-by-side'
    const saying = [told.stitches(count, isUpright), told.marked(markEvery, isUpright), ...(isLarger ? [told.larger] : [])]
    const shown = [figure(drawn, wide, told.picture(exercise?.name ?? '')), hint(set, sentence(saying), wide), gap(2), photoCard(making, CARD_MM.width)]
    parts.push(beside([LETTER_MM, stack(shown)]))
  } else parts.push(beside([LETTER_MM, text(set, told.noRow, wide)]))
  const whole = stack([...parts, gap(4)])
  return stack([{ heightMm: 4, draw: () => [line(0, widthMm, 1, 0.25)] }, whole])
}

/** What is not worked in a row, with what she has chosen for it. */
function asSheWorks({ sampler, done }: Making, { learner, exercise }: NextRow): WorkedExercise | undefined {
  return workForLearner(
    sampler,
    learner,
    done.filter((one) => one.exercise.id === exercise?.id),
  ).exercises[0]
}

/** Why this row, and what to change in it. */
function sentences({ sampler }: Making, told: NextRowsWords, { next, advice }: NextRow): readonly string[] {
  const why: Readonly<Record<NextRow['next']['kind'], string | null>> = {
    help: told.help(next.kind === 'help' ? next.step : null),
    'catch-up': told.catchUp,
    practise: advice ? null : told.first,
    ready: told.ready,
    ahead: told.ahead,
    finished: null,
  }
  const said = why[next.kind]
  const length = (mm: number): string => formatStitchLength(mm, sampler.units)
  return [...(said === null ? [] : [said]), ...(advice ? [ROW_WORDS[sampler.brief.language ?? 'en'].advice(advice, length)] : [])]
}

/** Its parts with commas between; what is a sentence already stays one. */
function sentence(parts: readonly string[]): string {
  const [whole, rest] = [parts.filter((one) => !one.endsWith('.')), parts.filter((one) => one.endsWith('.'))]
  const joined = `${whole.join(', ')}.`
  return [`${joined.charAt(0).toUpperCase()}${joined.slice(1)}`, ...rest].join(' ')
}
