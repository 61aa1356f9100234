/** A slip between two prints of a sampler: what changed, on which page of the book one has, and what one does about it. */
import { bind, type Book, type BookOrder, dayInWords, drawFoot, makingOf } from '../book/index.ts'
import { type Cell, gap, Pager, table, text, title } from '../pages/index.ts'
import { type Change, changesBetween, type PrintedSampler } from './changes.ts'
import { SLIP_WORDS, type SlipWords } from './words.ts'

export interface SlipOrder extends Omit<BookOrder, 'form' | 'patternPage' | 'barMm'> {
  readonly before: PrintedSampler
  /** Pages of the two books, from 1, by exercise. */
  readonly pagesBefore: ReadonlyMap<string, number>
  readonly pagesNow: ReadonlyMap<string, number>
  /** What the earlier print was called. */
  readonly versionBefore: string
}

const SHARES = [0.2, 0.27, 0.27, 0.26]

export function makeSlip(order: SlipOrder): Book {
  const making = makingOf({ ...order, form: 'roomy' }, 'roomy')
  const told = SLIP_WORDS[order.sampler.brief.language ?? 'en']
  const { set, said, version, printed, letters } = making
  const changes = changesBetween(order.before, { sampler: order.sampler, done: making.done })
  const pager = new Pager(making.page)
  pager.begin(`${told.title}: ${order.sampler.name}`)
  const width = pager.widthMm
  pager.put([
    title(set, `${told.title}: ${order.sampler.name}`, width),
    text(set, `**${told.count(changes.length)}**`, width),
    text(set, told.between(order.versionBefore, version), width, { size: set.type.small }),
    gap(3),
  ])
  if (changes.length > 0) {
    const made = table(
      set,
      told.columns.map((one, index) => ({ title: one, widthMm: (SHARES[index] ?? 0) * width })),
      changes.map((one) => rowOf(one, order, told, letters)),
    )
    pager.put([made.head, ...made.rows], made.head)
  }
  return bind({
    ...{
      making,
      pages: pager.pages,
      outline: [{ title: told.title, page: 1, level: 1 }],
      pageOf: new Map(),
      pattern: [],
      isCompacted: false,
      onTheWeb: said.onTheWeb,
    },
    foot: (page) => drawFoot(set, page, { number: '', middle: said.foot.printed(version, dayInWords(printed, said)), isBold: false, part: page.part }),
  })
}

function rowOf(change: Change, { pagesBefore, pagesNow }: SlipOrder, told: SlipWords, letters: ReadonlyMap<string, string>): readonly Cell[] {
  const { kind, exercise, name } = change
  const [was, is] = exercise === null ? [undefined, undefined] : [pagesBefore.get(exercise), pagesNow.get(exercise)]
  const where = [
    ...(was === undefined ? [] : [told.page(was)]),
    // Where it stands now matters where it gets a page anew.
    ...(is !== undefined && is !== was && (kind === 'new' || kind === 'stitch') ? [told.newPage(is)] : []),
  ]
  const called = exercise === null ? told.cloth : `${letters.get(exercise) ?? ''} ${name}`.trim()
  const [before, now] = kind === 'place' ? told.otherPlace : [change.before || told.nothing, change.now || told.nothing]
  return [`**${called}**${where.length > 0 ? `, ${where.join(', ')}` : ''}`, before, now, told.do[kind]]
}
