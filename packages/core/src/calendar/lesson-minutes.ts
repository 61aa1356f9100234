/** What a lesson takes: showing, working, a break, and what is left for home; against what it has. The same minutes as the order counts. */
import { caution, type LessonId, type Problem } from '../base/index.ts'
import { minuteUnits, MINUTES_STEP, type CourseItem } from '../order/index.ts'
import { runningOrders } from './running-order.ts'

export interface LessonMinutes {
  readonly lesson: LessonId
  readonly showing: number
  readonly working: number
  /** To stand up and open the hands; none where there is no room for it. */
  readonly breaks: number
  readonly home: number
  /** Minutes that it has, on all its dates. */
  readonly room: number
  /** In fives, as teachers plan: showing and working more than it has. 0 where it fits. */
  readonly over: number
  /** The longest to work, of which most can be done at home. */
  readonly longest: string | null
}

/** `roomEach`: minutes of one date. `dates`: that it is held on. */
export function lessonMinutes(
  lesson: { readonly id: LessonId; readonly exercises: readonly string[] },
  course: readonly CourseItem[],
  roomEach: number,
  dates = 1,
): LessonMinutes {
  const room = roomEach * dates
  const items = lesson.exercises.flatMap((id) => course.find((one) => one.id === id) ?? [])
  const sum = (of: (one: CourseItem) => number): number => items.reduce((total, one) => total + of(one), 0)
  const showing = sum((one) => one.showMinutes)
  const working = sum((one) => one.minutes - one.showMinutes)
  const breaks = runningOrders(items, roomEach, false, dates)
    .flatMap(({ turns }) => turns.filter((one) => one.kind === 'break'))
    .reduce((total, one) => total + one.minutes, 0)
  const longest = [...items].sort((a, b) => b.minutes - b.showMinutes - (a.minutes - a.showMinutes))[0]
  return {
    lesson: lesson.id,
    showing,
    working,
    breaks,
    home: sum((one) => one.homeMinutes),
    room,
    over: Math.max(0, minuteUnits(items, { lessonMinutes: room }) * MINUTES_STEP - room),
    longest: longest?.id ?? null,
  }
}

/** Part of an exercise's working that is to be done at home so that the lesson fits, in tenths of it; null where all of it would not suffice. */
export function homeToFit(minutes: LessonMinutes, course: readonly CourseItem[], homePercentNow: number): number | null {
  const item = course.find((one) => one.id === minutes.longest)
  if (!item || minutes.over === 0) return null
  const inClass = item.minutes - item.showMinutes
  const whole = homePercentNow >= 100 ? 0 : inClass / (1 - homePercentNow / 100)
  const tooMuch = minutes.showing + minutes.working - minutes.room
  if (whole <= 0 || tooMuch > inClass) return null
  return Math.min(100, Math.ceil((homePercentNow + (Math.max(tooMuch, MINUTES_STEP) / whole) * 100) / 10) * 10)
}

/** One sentence for each lesson that has not room enough, or more home work than the week has. */
export function minutesProblems(all: readonly LessonMinutes[], homeRoom: number): readonly Problem[] {
  return all.flatMap(({ lesson, over, room, home }, index): Problem[] => [
    ...(over > 0 ? [caution('calendar.too-full', ['lessons', lesson], { number: index + 1, takes: room + over, room, over })] : []),
    ...(home > homeRoom + 2.5 ? [caution('calendar.home-too-full', ['lessons', lesson], { number: index + 1, takes: Math.round(home), room: homeRoom })] : []),
  ])
}
