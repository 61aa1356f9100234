/** A lesson for whoever teaches it: left what happens when and what to prepare, right what goes wrong, what was asked, who has gone. */
import { lessonOrders, type RunningOrder, type Turn } from '../calendar/index.ts'
import { datesOf, dayInWords, hoursOf, whereItLies } from '../book/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import { needleIn, stitchIn, threadIn } from '../language/index.ts'
import { proseIn } from '../prose/index.ts'
import { needleKey } from '../materials/index.ts'
import { homeMinutesOf, lessonStory, TARGET_MM } from '../plan/index.ts'
import { beside, besideOrUnder, type Block, type Cell, gap, heading, hint, INDIGO, line, rule, stack, table, text, tick } from '../pages/index.ts'
import { INK, WALNUT } from '../sheets/index.ts'
import { formatLength } from '../units/index.ts'
import type { BookLesson, TeacherMaking } from './types.ts'

/** What happens when. `board`: the page of its board drawing. */
export function leftPage(making: TeacherMaking, lesson: BookLesson, widthMm: number, board: string | null): readonly Block[] {
  const { set, told } = making
  const left = widthMm * 0.62
  const right = widthMm - left - 6
  const side = [heading(set, told.plan.where, right), whereItLies(making, lesson, right), gap(3), ...prepare(making, lesson, right, board)]
  const half = (widthMm - 6) / 2
  return [
    head(making, lesson, widthMm),
    ...besideOrUnder(running(making, lesson, left), side, left + 6, 200),
    rule(widthMm),
    beside([0, stack(say(making, lesson, half))], [half + 6, stack(enough(making, lesson, half))]),
    rule(widthMm),
    beside([0, stack(leftOver(making, lesson, half))], [half + 6, stack(votes(making, lesson, half))]),
  ]
}

/** What goes wrong, what was asked and is asked, and who has gone with all needles in. */
export function rightPage(
  making: TeacherMaking,
  lesson: BookLesson,
  widthMm: number,
): { readonly blocks: readonly Block[]; readonly checkOut: ReturnType<typeof table> } {
  const { set, told } = making
  const half = (widthMm - 6) / 2
  const asked = { heightMm: 40, draw: () => [8, 17, 26, 35].map((y) => line(0, half, y, 0.25)) }
  return {
    blocks: [
      ...wrong(making, lesson, widthMm),
      rule(widthMm),
      beside([0, stack(kept(making, lesson, half))], [half + 6, stack([heading(set, told.plan.asked, half), asked])]),
      rule(widthMm),
      heading(set, told.plan.out, widthMm),
    ],
    checkOut: checkOut(making, widthMm),
  }
}

function head(making: TeacherMaking, lesson: BookLesson, widthMm: number): Block {
  const { set, said, told, dates, learnersPage } = making
  const pages = [...new Set(lesson.exercises.flatMap((one) => learnersPage.get(one.exercise.id) ?? []))]
  const on = datesOf(making, lesson.lesson.id)[0]
  const when = [
    ...(on === undefined ? [] : [`**${dayInWords(on, said)}**`]),
    ...(dates && on !== undefined ? [said.opener.hours(...hoursOf(dates.calendar.begins, dates.room))] : []),
    ...(pages.length > 0 ? [told.plan.pages(pages)] : []),
  ]
  const dateWide = widthMm * 0.3
  const number = text(set, String(lesson.number), 20, { size: set.type.number, face: 'heading', colour: INDIGO })
  const name = text(set, lesson.lesson.title, widthMm - 26 - dateWide, { size: set.type.title, face: 'heading', tag: 'H1' })
  const date = stack(when.map((one) => text(set, one, dateWide, { size: set.type.small, colour: WALNUT })))
  const row = beside([0, number], [20, name], [widthMm - dateWide, date])
  return { heightMm: row.heightMm + 4, draw: () => [...row.draw(), line(0, widthMm, row.heightMm + 1, 0.5, INK)] }
}

function running(making: TeacherMaking, lesson: BookLesson, widthMm: number): readonly Block[] {
  const { set, told, said, lessons, course, dates, sampler } = making
  const on = datesOf(making, lesson.lesson.id)
  const orders = lessonOrders(lessons, course, lesson.lesson.id, dates?.room ?? sampler.brief.lessonMinutes, dates?.laid ?? null)
  return [
    heading(set, told.plan.running, widthMm),
    ...orders.flatMap((order, index) => [
      ...(orders.length > 1 ? [text(set, `**${dayInWords(on[index] ?? '', said)}**`, widthMm, { size: set.type.small })] : []),
      ...minuteByMinute(making, lesson, order, widthMm),
    ]),
  ]
}

function minuteByMinute(making: TeacherMaking, lesson: BookLesson, order: RunningOrder, widthMm: number): readonly Block[] {
  const { set, told, dates } = making
  const begins = dates?.calendar.begins ?? null
  const rows = order.turns.map((turn): readonly Cell[] => [
    begins === null ? String(turn.at) : hoursOf(begins, turn.at)[1],
    String(turn.minutes),
    turnInWords(making, lesson, turn),
  ])
  const made = table(
    set,
    told.plan.runningColumns.map((title, index) => ({ title, widthMm: [0.13, 0.1, 0.77].map((share) => share * widthMm)[index] ?? 0 })),
    rows,
  )
  const dropped = order.turns.filter((one) => one.kind === 'look' || one.kind === 'spare').reduce((sum, one) => sum + one.minutes, 0)
  return [
    made.head,
    ...made.rows,
    ...(order.over > 0 ? [text(set, `**${told.plan.over(order.over)}**`, widthMm, { size: set.type.small })] : []),
    ...(dropped > 0 && order.over === 0 ? [hint(set, told.plan.late(dropped), widthMm)] : []),
  ]
}

function turnInWords(making: TeacherMaking, lesson: BookLesson, { kind, exercise, goesOn }: Turn): string {
  const { told, said, course, lessons, letters } = making
  const { known, fresh } = lessonStory(lessons, course, lesson.lesson.id)
  const [first] = known
  const one = lesson.exercises.find((done) => done.exercise.id === exercise)
  const motions = fresh.find(({ done }) => done.exercise.id === exercise)?.motions ?? []
  const stitch = one ? stitchIn(one.assigned.document, one.assigned.language) : ''
  const name = one ? `${letters.get(one.exercise.id) ?? ''} ${one.exercise.name}` : ''
  switch (kind) {
    case 'recap':
      return first ? told.plan.recap(stitchIn(first.done.assigned.document, first.done.assigned.language), said.motions(first.motions)) : ''
    case 'show':
      return one && isShownBefore(lessons, lesson, one) ? told.plan.showAgain(stitch) : told.plan.show(stitch, said.motions(motions))
    case 'work':
      return goesOn ? told.plan.goesOn(name) : told.plan.work(name, Math.round(course.find(({ id }) => id === exercise)?.homeMinutes ?? 0))
    case 'break':
      return told.plan.pause
    case 'close':
      return told.plan.close(Math.round(homeMinutesOf(lesson.lesson, course)))
    default:
      return told.plan[kind]
  }
}

/** The same stitch, in an earlier lesson or further up in this one. */
function isShownBefore(lessons: readonly BookLesson[], { number }: BookLesson, { exercise, assigned }: WorkedExercise): boolean {
  const taught = lessons.filter((one) => one.number <= number).flatMap((one) => one.exercises)
  return taught
    .slice(
      0,
      taught.findIndex((one) => one.exercise.id === exercise.id),
    )
    .some((one) => one.assigned.document.id === assigned.document.id)
}

function prepare(making: TeacherMaking, lesson: BookLesson, widthMm: number, board: string | null): readonly Block[] {
  const { set, told, kit, learners, lessons, course, sampler } = making
  const language = sampler.brief.language ?? 'en'
  const { fresh } = lessonStory(lessons, course, lesson.lesson.id)
  const first = fresh.find((one) => one.motions.length > 0)?.done ?? lesson.exercises[0]
  const uses = lesson.exercises.flatMap((one) => one.threads)
  // How much of each is cut stands with the kit, and nowhere else.
  const kinds = new Map<string, Set<string>>()
  for (const use of uses) {
    const kind = threadIn(use.kind, language)
    kinds.set(kind, (kinds.get(kind) ?? new Set()).add(use.thread.colour.name))
  }
  const needles = new Map(uses.map((use) => [needleKey(use.needle.value), use.needle.value]))
  const left = learners.filter((one) => one.hand === 'left').map((one) => one.name)
  const all = [
    ...(first ? [told.plan.frame(stitchIn(first.assigned.document, language))] : []),
    ...[...kinds].map(([kind, colours]) => told.plan.threads(kind, [...colours])),
    told.plan.needlesOut(
      [...needles.values()].map((one) => needleIn(one, language)),
      kit.kits,
    ),
    ...(board === null ? [] : [told.plan.board(board)]),
    ...(left.length > 0 ? [told.plan.leftHanded(left)] : []),
  ]
  return [heading(set, told.plan.prepare, widthMm), ...all.map((one) => tick(set, one, widthMm, set.type.small))]
}

function say(making: TeacherMaking, lesson: BookLesson, widthMm: number): readonly Block[] {
  const { set, told, said, lessons, course } = making
  const { known, fresh } = lessonStory(lessons, course, lesson.lesson.id)
  const motions = [...new Set(fresh.flatMap((one) => one.motions))]
  const rests = known.slice(0, 2).map(({ done, motions: of }) => told.plan.sayKnown(said.motions(of), stitchIn(done.assigned.document, done.assigned.language)))
  const all = [...rests, motions.length > 0 ? told.plan.sayNew(said.motions(motions)) : told.plan.sayNothingNew]
  return [heading(set, told.plan.say, widthMm), ...all.map((one) => text(set, one, widthMm, { size: set.type.small, afterMm: 1 }))]
}

function enough(making: TeacherMaking, lesson: BookLesson, widthMm: number): readonly Block[] {
  const { set, told, letters, sampler } = making
  const all = lesson.exercises.map((done) => {
    const mm = formatLength(TARGET_MM[done.exercise.hold ?? 'easy'], sampler.units, sampler.units === 'mm' ? 2 : 3)
    return told.plan.within(`${letters.get(done.exercise.id) ?? ''} ${done.exercise.name}`, mm)
  })
  return [heading(set, told.plan.enough, widthMm), ...all.map((one) => text(set, one, widthMm, { size: set.type.small, afterMm: 0.8 }))]
}

function leftOver(making: TeacherMaking, lesson: BookLesson, widthMm: number): readonly Block[] {
  const { set, told, notes, lessons } = making
  const before = lessons.find((one) => one.number === lesson.number - 1)?.lesson.id
  const unanswered = notes.flatMap((one) => (one.kind === 'question' && one.lesson === before && one.answer.trim() === '' ? [one.asked] : []))
  const changes = notes.flatMap((one) => (one.kind === 'record' && one.lesson === lesson.lesson.id && one.change !== '' ? [told.plan.change(one.change)] : []))
  const open = [...changes, ...unanswered]
  return [
    heading(set, told.plan.leftOver, widthMm),
    ...(open.length > 0 ? open.map((one) => tick(set, one, widthMm, set.type.small)) : [hint(set, told.plan.nothingLeft, widthMm)]),
  ]
}

function votes(making: TeacherMaking, lesson: BookLesson, widthMm: number): readonly Block[] {
  const { set, told, notes } = making
  const held = notes.flatMap((one) => (one.kind === 'vote' && one.lesson === lesson.lesson.id ? [one] : []))
  const lines = held.map((one) =>
    text(set, `**${one.about}**: ${told.plan.votes(one.ways.map((way) => [way.name, way.votes] as const))}`, widthMm, { size: set.type.small }),
  )
  const empty: Block = { heightMm: 12, draw: () => [line(0, widthMm * 0.45, 9, 0.25), line(widthMm * 0.55, widthMm, 9, 0.25)] }
  return [heading(set, told.plan.vote, widthMm), ...lines, empty, hint(set, told.plan.liked, widthMm)]
}

function wrong(making: TeacherMaking, lesson: BookLesson, widthMm: number): readonly Block[] {
  const { set, told } = making
  const seen = new Set<string>()
  const rows = lesson.exercises.flatMap(({ assigned }) => {
    const { document, language } = assigned
    if (seen.has(document.id)) return []
    seen.add(document.id)
    return (document.slips ?? []).map((slip, index): readonly Cell[] => [
      index === 0 ? `**${stitchIn(document, language)}**` : '',
      proseIn(slip.see, language) ?? slip.see,
      proseIn(slip.mend, language) ?? slip.mend,
    ])
  })
  const made = table(
    set,
    told.plan.wrongColumns.map((title, index) => ({ title, widthMm: [0.2, 0.3, 0.5].map((share) => share * widthMm)[index] ?? 0 })),
    rows,
  )
  return [heading(set, told.plan.wrong, widthMm), made.head, ...made.rows]
}

function kept(making: TeacherMaking, lesson: BookLesson, widthMm: number): readonly Block[] {
  const { set, told, notes } = making
  const answered = notes.flatMap((one) => (one.kind === 'question' && one.lesson === lesson.lesson.id && one.answer.trim() !== '' ? [one] : []))
  return [
    heading(set, told.plan.kept, widthMm),
    ...answered.map((one) => text(set, `**${one.asked}** ${one.answer}`, widthMm, { size: set.type.small, afterMm: 1.2 })),
  ]
}

/** Lines to write names on where none are kept. */
const EMPTY_ROWS = 10

function checkOut({ set, told, learners }: TeacherMaking, widthMm: number): ReturnType<typeof table> {
  const shares = [0.34, 0.16, 0.16, 0.16, 0.18]
  const box = (): Block => tick(set, '', 6, set.type.small)
  const write = (): Block => ({ heightMm: 6, draw: () => [line(0, widthMm * 0.1, 4.6, 0.25)] })
  const names =
    learners.length > 0
      ? learners.map((one) => (one.hand === 'left' ? `${one.name} (${told.glance.hands.left})` : one.name))
      : Array.from({ length: EMPTY_ROWS }, () => '')
  return table(
    set,
    told.plan.outColumns.map((title, index) => ({ title, widthMm: (shares[index] ?? 0) * widthMm })),
    names.map((name): readonly Cell[] => [name, box(), box(), write(), box()]),
  )
}
