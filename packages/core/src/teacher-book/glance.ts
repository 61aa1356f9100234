/** Who is in the class and what the course is, on one page: names with a box for each lesson, lessons with their dates and minutes. */
import { dayInWords, datesOf, minutesHere } from '../book/index.ts'
import { homeMinutesOf, lessonStory } from '../plan/index.ts'
import { type Block, type Cell, gap, heading, hint, rule, table, title, tick } from '../pages/index.ts'
import { lettersOf } from '../sheets/index.ts'
import type { TeacherMaking } from './types.ts'

/** Lines to write names on where none are kept. */
const EMPTY_ROWS = 14
const NAME = 0.3
const HAND = 0.1
const CHOSE = 0.16

export function glance(making: TeacherMaking, widthMm: number): readonly Block[] {
  const { set, told, learners, groupName } = making
  const made = present(making, widthMm)
  return [
    title(set, told.glance.title, widthMm),
    hint(set, [told.glance.of(groupName, learners.length), ...(learners.length === 0 ? [told.glance.noNames] : []), told.glance.present].join('. '), widthMm),
    gap(2),
    made.head,
    ...made.rows,
  ]
}

function present({ set, told, lessons, learners, sampler }: TeacherMaking, widthMm: number): ReturnType<typeof table> {
  const boxWide = ((1 - NAME - HAND - CHOSE) * widthMm) / Math.max(1, lessons.length)
  const [name, hand, chose] = told.glance.columns
  const letters = lettersOf(sampler)
  const boxes = (): readonly Cell[] => lessons.map(() => tick(set, '', 6, set.type.small))
  const rows: readonly (readonly Cell[])[] =
    learners.length === 0
      ? Array.from({ length: EMPTY_ROWS }, () => ['', '', '', ...boxes()])
      : learners.map((one) => {
          const chosen = Object.keys(one.choices).flatMap((id) => letters.get(id) ?? [])
          const how = [...(one.settled ? [told.glance.clearOrders] : []), ...(chosen.length > 0 ? [chosen.join(', ')] : [])].join('; ')
          return [one.name, told.glance.hands[one.hand ?? 'none'], how, ...boxes()]
        })
  return table(
    set,
    [
      { title: name, widthMm: NAME * widthMm },
      { title: hand, widthMm: HAND * widthMm },
      { title: chose, widthMm: CHOSE * widthMm },
      ...lessons.map(({ number }) => ({ title: String(number), widthMm: boxWide })),
    ],
    rows,
  )
}

const ORDER_SHARES = [0.06, 0.2, 0.22, 0.32, 0.1, 0.1]

export function courseOrder(making: TeacherMaking, widthMm: number): readonly Block[] {
  const { set, told, said, lessons, course, dates } = making
  const rows = lessons.map((lesson): readonly Cell[] => {
    const { fresh } = lessonStory(lessons, course, lesson.lesson.id)
    const motions = [...new Set(fresh.flatMap((one) => one.motions))]
    const minutes = dates?.minutes.find((one) => one.lesson === lesson.lesson.id)
    const here = minutesHere(making, lesson.lesson)
    const home = homeMinutesOf(lesson.lesson, course)
    const over = minutes && minutes.over > 0 ? ` (${told.glance.over(minutes.over)})` : ''
    const when = datesOf(making, lesson.lesson.id)
    return [
      `**${lesson.number}**`,
      when.map((on) => dayInWords(on, said)).join(', '),
      lesson.lesson.title,
      motions.length > 0 ? said.motions(motions) : said.opener.nothingNew,
      `${said.kit.minutes(Math.round(here))}${over}`,
      home >= 1 ? said.kit.minutes(Math.round(home)) : '',
    ]
  })
  const made = table(
    set,
    told.glance.orderColumns.map((one, index) => ({ title: one, widthMm: (ORDER_SHARES[index] ?? 0) * widthMm })),
    rows,
  )
  return [rule(widthMm), heading(set, told.glance.order, widthMm), made.head, ...made.rows]
}
