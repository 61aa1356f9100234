/**
 * The teacher's book: the class and the course at a glance, what is bought and counted, a spread for each lesson, and drawings for the
 * board. It holds names and notes: every page says that it is private.
 */
import { bind, type Book, BOOK_WORDS, dayInWords, demonstrationOf, drawFoot, makingOf, stepBlock } from '../book/index.ts'
import { lessonStory } from '../plan/index.ts'
import { type Block, type BookPage, heightOf, hint, noteLines, Pager, type StepGrid, title, typeFor } from '../pages/index.ts'
import { courseOrder, glance } from './glance.ts'
import { materials } from './materials.ts'
import { leftPage, rightPage } from './plan.ts'
import type { BookLesson, TeacherMaking, TeacherOrder } from './types.ts'
import { TEACHER_WORDS } from './words.ts'

/** Two on a page, read from the last row once they are enlarged. mm */
const BOARD: StepGrid = { columns: 1, gapMm: 0, heightMm: 92, numberMm: 10 }
/** As many of its pictures as one shows before hands begin. */
const ON_BOARD = 4

export function makeTeacherBook(order: TeacherOrder): Book {
  const making = teacherMaking(order)
  // Once to learn on which pages the board drawings are.
  const { boards } = layOut(making, new Map())
  const { pager, outline } = layOut(making, boards)
  const { said, told, version, printed } = making
  return bind({
    ...{ making, pages: pager.pages, outline, pageOf: new Map(), pattern: [], isCompacted: false, onTheWeb: said.onTheWeb },
    foot: (page: BookPage) =>
      drawFoot(making.set, page, {
        number: `T${page.number}`,
        middle: `${told.isPrivate} \u00b7 ${said.foot.printed(version, dayInWords(printed, said))}`,
        isBold: false,
        part: page.part,
      }),
  })
}

function teacherMaking({ group, pageOf, ...order }: TeacherOrder): TeacherMaking {
  const making = makingOf({ ...order, owner: null, form: 'roomy' }, 'roomy')
  return {
    ...making,
    told: TEACHER_WORDS[order.sampler.brief.language ?? 'en'],
    said: BOOK_WORDS[order.sampler.brief.language ?? 'en'],
    learners: group?.learners ?? [],
    notes: Object.values(group?.notes ?? {}),
    groupName: group?.name ?? order.sampler.name,
    learnersPage: pageOf,
  }
}

interface LaidOut {
  readonly pager: Pager
  readonly outline: readonly Book['outline'][number][]
  /** Pages from 1 by lesson. */
  readonly boards: ReadonlyMap<string, number>
}

function layOut(making: TeacherMaking, boardsAt: ReadonlyMap<string, number>): LaidOut {
  const { told, said, lessons, set } = making
  const pager = new Pager(making.page)
  const outline: Book['outline'][number][] = []
  const boards = new Map<string, number>()
  const part = (name: string, on: 'next' | 'left' = 'next'): void => {
    outline.push({ title: name, page: pager.begin(`${told.book} \u00b7 ${name}`, on), level: 1 })
  }
  part(told.glance.title)
  const width = pager.widthMm
  pager.put(glance(making, width))
  pager.put(courseOrder(making, width))
  part(told.materials.title)
  pager.put(materials(making, width))
  for (const lesson of lessons) {
    part(said.exercise.lesson(lesson.number, lesson.lesson.title), 'left')
    const board = boardsAt.get(lesson.lesson.id)
    pager.put(leftPage(making, lesson, width, board === undefined ? null : `T${board}`))
    pager.begin(`${told.book} \u00b7 ${said.lesson(lesson.number)}`)
    const { blocks, checkOut } = rightPage(making, lesson, width)
    pager.put(blocks)
    pager.put([checkOut.head, ...checkOut.rows], checkOut.head)
    pager.put(noteLines(set, said.exercise.notes, width, pager.roomMm - 6))
  }
  for (const lesson of lessons) {
    const drawn = boardOf(making, lesson, width, pager.page.area.heightMm)
    if (drawn.length === 0) continue
    part(told.board.title(lesson.number))
    boards.set(lesson.lesson.id, pager.page.number)
    pager.put(drawn)
  }
  return { pager, outline, boards }
}

/** The first pictures of what is new in it; nothing where nothing is. */
function boardOf(making: TeacherMaking, lesson: BookLesson, widthMm: number, pageMm: number): readonly Block[] {
  const { told, lessons, course } = making
  const { fresh } = lessonStory(lessons, course, lesson.lesson.id)
  const first = fresh.find((one) => one.motions.length > 0)?.done ?? fresh[0]?.done
  const shown = first ? demonstrationOf(making, first) : null
  if (!first || !shown) return []
  const large = { ...making, set: { ...making.set, type: typeFor('large') } }
  const steps = shown.steps.slice(0, ON_BOARD)
  const head = [title(making.set, `${told.board.title(lesson.number)}: ${first.exercise.name}`, widthMm), hint(making.set, told.board.how, widthMm)]
  const pictures = (heightMm: number): readonly Block[] => steps.map((step) => stepBlock(large, first, shown, step, widthMm, { ...BOARD, heightMm }))
  // Two stand under one another, whatever they say.
  const fits = (heightMm: number): boolean => {
    const all = pictures(heightMm)
    return heightOf([...head, ...all.slice(0, 2)]) <= pageMm && heightOf(all.slice(2)) <= pageMm
  }
  const heightMm = [0, 8, 16, 24, 32].map((less) => BOARD.heightMm - less).find(fits) ?? BOARD.heightMm - 32
  return [...head, ...pictures(heightMm)]
}
