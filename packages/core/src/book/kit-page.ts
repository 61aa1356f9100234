/** What is in the bag, to be ticked off; and the course with its dates and pages. */
import { type KitTool, toolsFor } from '../kit/index.ts'
import { needleIn, stitchIn, threadIn } from '../language/index.ts'
import { homeMinutesOf } from '../plan/index.ts'
import type { Hoop } from '../sampler/index.ts'
import { formatLength, type LengthUnit, listInWords } from '../units/index.ts'
import { beside, besideOrUnder, type Block, figure, framed, gap, heading, hint, swatch, table, text, tick, title } from '../pages/index.ts'
import type { Making } from './types.ts'
import { datesOf, dayInWords } from './words-of.ts'

export function inYourKit(making: Making, widthMm: number): readonly Block[] {
  const { said, set, form } = making
  const isLarge = form === 'large'
  const left = isLarge ? widthMm : widthMm * 0.6
  const right = isLarge ? widthMm : widthMm - left - 6
  const threads = threadTable(making, left)
  const rest = [
    heading(set, said.kit.else, right),
    ...bag(making, right),
    gap(2),
    framed(text(set, said.kit.missing, right - 11, { size: set.type.small }), right),
  ]
  return [
    title(set, said.kit.title, widthMm),
    hint(set, said.kit.once, widthMm),
    gap(2),
    ...(isLarge ? [...threads, gap(3), ...rest] : besideOrUnder(threads, rest, left + 6, 225)),
  ]
}

/** `pageOf`: where a lesson begins; not known while the pages are counted. */
export function theLessons(making: Making, widthMm: number, pageOf: (lesson: string) => number | null): readonly Block[] {
  return [heading(making.set, making.said.kit.dates(making.lessons.length), widthMm), ...dates(making, widthMm, pageOf)]
}

function threadTable(making: Making, widthMm: number): readonly Block[] {
  const { said, set, kit, sampler } = making
  const language = sampler.brief.language ?? 'en'
  const [colour, inLessons, lengths] = said.kit.threadColumns
  const rows = kit.colours.map(({ thread, kind, kit: mine }) => {
    const name = text(set, said.kit.thread(thread.colour.name, threadIn(kind, language)), widthMm * 0.7 - 24, { size: set.type.small })
    const used = making.lessons.filter((one) => one.exercises.some((done) => done.threads.some((use) => use.thread.id === thread.id))).map((one) => one.number)
    const bundle = making.done.flatMap((done) => done.threads).find((use) => use.thread.id === thread.id)?.bundle
    const line = bundle ? figure(swatch({ bundle, kind, hex: thread.colour.hex }, 14, set.type.small.leadMm), 14, '') : gap(0.1)
    return [beside([0, tick(set, '', 7, set.type.small)], [7, line], [22, name]), used.join(', '), String(mine.cut.reduce((sum, one) => sum + one.count, 0))]
  })
  const made = table(
    set,
    [
      { title: colour, widthMm: widthMm * 0.7 },
      { title: inLessons, widthMm: widthMm * 0.17 },
      { title: lengths, widthMm: widthMm * 0.13 },
    ],
    rows,
  )
  return [heading(set, said.kit.threads, widthMm), made.head, ...made.rows]
}

function bag({ said, set, sampler, kit, done }: Making, widthMm: number): readonly Block[] {
  const language = sampler.brief.language ?? 'en'
  const tools = toolsFor(done, kit.stiletto)
  const named = (one: KitTool): string => said.tool(one.id, one.name)
  return [
    ...(sampler.workingHoop ? [tick(set, hoopInBook({ said, sampler }), widthMm)] : []),
    tick(set, said.kit.needles(listInWords(kit.needles.map(({ needle }) => needleIn(needle, language)))), widthMm),
    tick(set, said.kit.pattern, widthMm),
    ...tools.filter((one) => one.needed === 'always' && !one.shared).map((one) => tick(set, named(one), widthMm)),
    ...tools.filter((one) => one.needed === 'helps').map((one) => tick(set, `${said.kit.helps}: ${named(one).toLowerCase()}`, widthMm)),
  ]
}

/** Nothing where there is none. */
export function hoopInBook({ said, sampler: { workingHoop: hoop, units } }: Pick<Making, 'said' | 'sampler'>): string {
  return hoop ? said.kit.hoop(hoop.shape, hoopSize(hoop, units)) : ''
}

function hoopSize(hoop: Hoop, units: LengthUnit): string {
  const length = (mm: number): string => formatLength(mm, units, units === 'mm' ? 0 : 1)
  return hoop.shape === 'round' ? length(hoop.nominalMm) : `${length(hoop.insideMm[0])} \u00d7 ${length(hoop.insideMm[1])}`
}

function dates(making: Making, widthMm: number, pageOf: (lesson: string) => number | null): readonly Block[] {
  const { said, set, lessons, sampler, course } = making
  const language = sampler.brief.language ?? 'en'
  const hasDates = making.dates !== null
  const shares = hasDates ? [0.06, 0.23, 0.27, 0.26, 0.1, 0.08] : [0.06, 0.001, 0.36, 0.38, 0.11, 0.09]
  const rows = lessons.map(({ lesson, number, exercises }) => {
    const home = homeMinutesOf(lesson, course)
    const page = pageOf(lesson.id)
    return [
      `**${number}**`,
      hasDates
        ? datesOf(making, lesson.id)
            .map((on) => dayInWords(on, said))
            .join(', ')
        : '',
      lesson.title,
      listInWords([...new Set(exercises.map((one) => stitchIn(one.assigned.document, language).toLowerCase()))]),
      home >= 1 ? said.kit.minutes(Math.round(home)) : '',
      page === null ? '' : String(page),
    ]
  })
  const made = table(
    set,
    ['', ...said.kit.dateColumns].map((title, index) => ({ title: index === 1 && !hasDates ? '' : title, widthMm: (shares[index] ?? 0) * widthMm })),
    rows,
  )
  return [made.head, ...made.rows]
}
