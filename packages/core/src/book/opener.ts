/** The page for the evening: what one knows already, what is new, where it lies, the key, what to tick, what comes next. */
import { type DrawingItem, tagged } from '../drawing/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import { needleIn, stitchIn, threadIn } from '../language/index.ts'
import { homeMinutesOf, lessonStory } from '../plan/index.ts'
import { SHEET_WORDS, WALNUT } from '../sheets/index.ts'
import {
  beside,
  besideOrUnder,
  type Block,
  type Cell,
  exercisePicture,
  figure,
  gap,
  heading,
  hint,
  INDIGO,
  line,
  rule,
  stack,
  table,
  text,
  thumbnail,
  tick,
} from '../pages/index.ts'
import { keyTable } from './key-rows.ts'
import type { BookLesson, Making } from './types.ts'
import { datesOf, dayInWords, hoursOf, minutesHere } from './words-of.ts'

export function opener(making: Making, lesson: BookLesson, widthMm: number): readonly Block[] {
  const { set, said, form } = making
  const isLarge = form === 'large'
  const left = isLarge ? widthMm : widthMm * 0.62
  const right = isLarge ? widthMm : widthMm - left - 6
  const key = keyTable(making, lesson.exercises, widthMm)
  const story = [...known(making, lesson, left), ...fresh(making, lesson, left)]
  const place = [heading(set, said.opener.where, right), whereItLies(making, lesson, right)]
  const lower = isLarge ? widthMm : (widthMm - 6) / 2
  const ticks = tickList(making, lesson, lower)
  const home = homeAndNext(making, lesson, isLarge ? widthMm : widthMm - lower - 6)
  return [
    head(making, lesson, widthMm),
    ...(isLarge ? [...story, ...place] : [beside([0, stack(story)], [left + 6, stack(place)])]),
    rule(widthMm),
    heading(set, said.opener.needle, widthMm),
    key.head,
    ...key.rows,
    rule(widthMm),
    ...(isLarge ? [...ticks, gap(3), ...home] : besideOrUnder(ticks, home, lower + 6, 150)),
  ]
}

function head(making: Making, { lesson, number }: BookLesson, widthMm: number): Block {
  const { set, said, dates, course } = making
  const here = minutesHere(making, lesson)
  const home = homeMinutesOf(lesson, course)
  const [on, second] = datesOf(making, lesson.id)
  const when = [
    ...(on === undefined ? [] : [`**${dayInWords(on, said)}**${second === undefined ? '' : ` ${said.opener.twice(dayInWords(second, said))}`}`]),
    ...(dates && on !== undefined ? [said.opener.hours(...hoursOf(dates.calendar.begins, dates.room))] : []),
    said.opener.minutes(Math.round(here), Math.round(home)),
  ]
  const dateWide = widthMm * 0.3
  const titleX = 20
  const title = text(set, lesson.title, widthMm - titleX - dateWide - 6, { size: set.type.title, face: 'heading', tag: 'H1' })
  const figure = text(set, String(number), titleX, { size: set.type.number, face: 'heading', colour: INDIGO })
  const date = stack(
    when.map((one, index) => text(set, one, dateWide, { size: index === 0 ? set.type.text : set.type.small, colour: index === 0 ? '#1F2A37' : WALNUT })),
  )
  const row = beside([0, figure], [titleX, title], [widthMm - dateWide, date])
  return { heightMm: row.heightMm + 4, draw: () => [...row.draw(), line(0, widthMm, row.heightMm + 1, 0.5, '#1F2A37')] }
}

/** At most so many are told of: who has more to remember has nothing to begin with. */
const MOST_KNOWN = 2

function known(making: Making, { lesson }: BookLesson, widthMm: number): readonly Block[] {
  const { set, said, course, lessons, letters } = making
  const shown = lessonStory(lessons, course, lesson.id).known.slice(0, MOST_KNOWN)
  const [first] = shown
  if (!first) return []
  const picture = 34
  const rows = shown.map(({ lesson: number, done, motions }): Block => {
    const stitch = stitchIn(done.assigned.document, done.assigned.language)
    const told = said.opener.knownOf(stitch, letters.get(done.exercise.id) ?? '', number, said.motions(motions))
    if (making.ink === 'saving') return text(set, told, widthMm, { afterMm: 1.5 })
    const shown = figure(exercisePicture(done, picture, 12), picture, said.alt.piece(done.exercise.name, stitch))
    return beside([0, shown], [picture + 4, text(set, told, widthMm - picture - 4, { afterMm: 1.5 })])
  })
  const warm = text(set, said.opener.warmUp(stitchIn(first.done.assigned.document, first.done.assigned.language)), widthMm, { afterMm: 3 })
  return [heading(set, said.opener.known, widthMm), ...rows, warm]
}

function fresh(making: Making, { lesson }: BookLesson, widthMm: number): readonly Block[] {
  const { set, said, lessons, course, letters } = making
  const lines = lessonStory(lessons, course, lesson.id).fresh.map(({ done, motions, isFirstOfAll }) => {
    const stitch = stitchIn(done.assigned.document, done.assigned.language)
    const told = motions.length > 0 ? said.motions(motions) : isFirstOfAll ? said.opener.firstOfAll : said.opener.nothingNew
    return text(set, said.opener.freshOf(done.exercise.name, letters.get(done.exercise.id) ?? '', stitch, told), widthMm, { afterMm: 0.8 })
  })
  return [heading(set, said.opener.fresh, widthMm), ...lines]
}

export function whereItLies({ done, said, letters }: Making, { exercises }: BookLesson, widthMm: number): Block {
  const whole = thumbnail(done, new Set(exercises.map((one) => one.exercise.id)), widthMm, 62)
  return figure(whole, widthMm, said.alt.whole(exercises.map((one) => `${letters.get(one.exercise.id) ?? ''} ${one.exercise.name}`)))
}

function tickList({ set, said, letters }: Making, { exercises }: BookLesson, widthMm: number): readonly Block[] {
  const [piece, usual, yours] = said.opener.tickColumns
  const rows = exercises.flatMap((done) =>
    piecesToTick(done).map(({ named, minutes, where }): readonly Cell[] => {
      const letter = letters.get(done.exercise.id) ?? ''
      const name = `**${letter}** ${named > 1 ? said.opener.pieces(done.exercise.name, named) : done.exercise.name}`
      const told = where === 'class' ? said.opener.inClass(name) : where === 'home' ? said.opener.atHomePart(name) : name
      return [
        tick(set, told, widthMm * 0.58, set.type.small),
        `${Math.max(1, Math.round(minutes))} ${said.opener.minuteWord}`,
        yoursToWrite(said.opener.minuteWord, set.type.small.sizeMm),
      ]
    }),
  )
  const made = table(
    set,
    [
      { title: piece, widthMm: widthMm * 0.62 },
      { title: usual, widthMm: widthMm * 0.18 },
      { title: yours, widthMm: widthMm * 0.2 },
    ],
    rows,
  )
  return [heading(set, said.opener.tick, widthMm), made.head, ...made.rows]

  function yoursToWrite(word: string, sizeMm: number): Block {
    const unit: DrawingItem = { kind: 'words', text: word, at: { x: 10, y: 4.2 }, sizeMm, face: 'text', colour: WALNUT }
    return { heightMm: 6, draw: () => [tagged('Entry', [line(0, 9, 4.4, 0.25), unit])] }
  }
}

interface ToTick {
  readonly named: number
  readonly minutes: number
  readonly where: 'class' | 'home' | 'either'
}

/** An exercise that is done half at home is ticked twice. */
function piecesToTick({ exercise, pieces, minutes }: WorkedExercise): readonly ToTick[] {
  const home = (exercise.homePercent ?? 0) / 100
  const named = pieces.length
  if (home <= 0) return [{ named, minutes: minutes.total, where: 'either' }]
  if (home >= 1) return [{ named, minutes: minutes.total, where: 'home' }]
  return [
    { named, minutes: minutes.total * (1 - home), where: 'class' },
    { named, minutes: minutes.total * home, where: 'home' },
  ]
}

function homeAndNext(making: Making, { lesson, number, exercises }: BookLesson, widthMm: number): readonly Block[] {
  const { set, said, course, lessons, dates } = making
  const home = homeMinutesOf(lesson, course)
  const marked = exercises.some((one) => (one.exercise.marks ?? one.assigned.document.marks) === 'every-hole')
  const last = datesOf(making, lesson.id).at(-1)
  const next = lessons.find((one) => one.number === number + 1)
  const nextOn = next ? datesOf(making, next.lesson.id)[0] : undefined
  const between =
    dates && last !== undefined ? dates.laid.days.filter((one) => one.kind !== 'lesson' && one.on > last && (nextOn === undefined || one.on < nextOn)) : []
  return [
    ...(home >= 1 ? [heading(set, said.opener.home(Math.round(home)), widthMm), text(set, said.opener.homeHow, widthMm, { afterMm: 1 })] : []),
    ...(marked ? [hint(set, said.opener.ifWell, widthMm), gap(2)] : []),
    ...between.flatMap((one): readonly Block[] => [
      text(set, `**${one.kind === 'off' ? said.opener.noClass(dayInWords(one.on, said), one.why) : said.opener.catchUp(dayInWords(one.on, said))}**`, widthMm, {
        afterMm: 2,
      }),
    ]),
    ...(next
      ? [
          heading(set, said.opener.next(nextOn === undefined ? null : dayInWords(nextOn, said), next.lesson.title), widthMm),
          text(set, bring(making, next), widthMm),
        ]
      : [heading(set, said.opener.afterThis, widthMm)]),
  ]
}

/** Threads and needles that have not lain on the table yet. */
function bring({ said, lessons, course, sampler }: Making, next: BookLesson): string {
  const { newThreads, newNeedles } = lessonStory(lessons, course, next.lesson.id)
  const language = sampler.brief.language ?? 'en'
  const { list } = SHEET_WORDS[language]
  const threads = newThreads.map(({ kind, threads: all }) => said.opener.inColours(threadIn(kind, language), list(all.map((one) => one.colour.name))))
  const needles = newNeedles.length === 0 ? [] : [list(newNeedles.map((one) => needleIn(one, language)))]
  const things = [...threads, ...needles]
  return things.length === 0 ? said.opener.bringNothing : said.opener.bring(things.join('; '))
}
