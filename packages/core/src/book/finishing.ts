/** When the last stitch is in: marks off, pressed, mounted, labelled; and where each stitch of the book stands. */
import { stitchIn } from '../language/index.ts'
import { BEYOND_HOOP_MM, mayBleed, outerOf } from '../materials/index.ts'
import { markingInWords, SHEET_WORDS } from '../sheets/index.ts'
import { formatLength } from '../units/index.ts'
import { beside, type Block, bullet, framed, gap, heading, line, stack, table, text, tick, title } from '../pages/index.ts'
import type { Making } from './types.ts'

/** Felt for the back lies so much inside the hoop all round. mm */
const FELT_INSIDE = 3
/** The cloth is cut so far beyond the hoop that hangs: enough to gather behind. mm */
const TO_GATHER = BEYOND_HOOP_MM * 0.67

export function finishing(making: Making, widthMm: number): readonly Block[] {
  const { said, set, sampler } = making
  const hoop = sampler.displayHoop ?? sampler.workingHoop
  const mm = (value: number): string => formatLength(value, sampler.units, sampler.units === 'mm' ? 0 : 1)
  const steps = [...said.finishing.steps]
  if (hoop && hoop.shape === 'round') steps.push(said.finishing.hoop(mm(outerOf(hoop)[0] + 2 * TO_GATHER), mm(outerOf(hoop)[0] - 2 * FELT_INSIDE)))
  else steps.push(said.finishing.unframed)
  const isLarge = making.form === 'large'
  const half = isLarge ? widthMm : (widthMm - 6) / 2
  const way = [
    ...markingInWords(sampler).map((one) => text(set, one, half, { afterMm: 1.5 })),
    ...steps.map((one) => tick(set, one, half)),
    gap(2),
    framed(text(set, said.finishing.glue, half - 11), half),
  ]
  const forms = [heading(set, said.finishing.forms, half), ...said.finishing.formList.map((one) => bullet(set, one, half))]
  return [
    title(set, said.finishing.title, widthMm, 2),
    ...bleeding(making, widthMm),
    ...(isLarge ? [...way, ...forms] : [beside([0, stack(way)], [half + 6, stack(forms)])]),
    label(making, widthMm),
  ]
}

/** Before anything is made wet. */
function bleeding({ said, set, kit, sampler }: Making, widthMm: number): readonly Block[] {
  const names = [
    ...new Set(
      kit.colours
        .map((one) => one.thread)
        .filter((one) => mayBleed(one.colour.hex))
        .map((one) => one.colour.name),
    ),
  ]
  if (names.length === 0) return []
  const { list } = SHEET_WORDS[sampler.brief.language ?? 'en']
  return [framed(text(set, said.finishing.bleed(list(names)), widthMm - 11), widthMm), gap(1)]
}

function label({ said, set, form }: Making, widthMm: number): Block {
  // Two beside one another where room is dear.
  const columns = form === 'compact' ? 2 : 1
  const wide = form === 'compact' ? (widthMm - 6) / 2 : widthMm * 0.75
  const rows = said.finishing.labelLines.map((one): Block => {
    const name = text(set, one, 45, { size: set.type.small })
    return { heightMm: Math.max(10, name.heightMm + 2), draw: () => [...name.draw(), line(48, wide, 6, 0.25)] }
  })
  const lines = Array.from({ length: Math.ceil(rows.length / columns) }, (_, row) =>
    beside(...rows.slice(row * columns, (row + 1) * columns).map((one, index) => [index * (wide + 6), one] as const)),
  )
  return stack([heading(set, said.finishing.label, widthMm), gap(2), ...lines])
}

/** `pageOf`: an exercise's page. */
export function stitchIndex(making: Making, widthMm: number, pageOf: (exercise: string) => number | null): readonly Block[] {
  const { said, set, lessons, letters } = making
  const language = making.sampler.brief.language ?? 'en'
  const rows = lessons
    .flatMap(({ exercises }) => exercises)
    .map((done) => ({
      stitch: stitchIn(done.assigned.document, language),
      name: `**${letters.get(done.exercise.id) ?? ''}** ${done.exercise.name}`,
      page: pageOf(done.exercise.id),
    }))
    .sort((a, b) => a.stitch.localeCompare(b.stitch))
    .map(({ stitch, name, page }) => [stitch, name, page === null ? '' : String(page)])
  const [stitch, exercise, page] = said.index.columns
  const isLarge = making.form === 'large'
  const wide = isLarge ? widthMm : (widthMm - 6) / 2
  const made = table(
    set,
    [
      { title: stitch, widthMm: wide * 0.42 },
      { title: exercise, widthMm: wide * 0.44 },
      { title: page, widthMm: wide * 0.14 },
    ],
    rows,
  )
  const named = heading(set, said.index.title, widthMm)
  if (isLarge) return [named, made.head, ...made.rows]
  // In two columns, row by row, so that a long one goes over to the next page.
  const half = Math.ceil(made.rows.length / 2)
  const pairs = made.rows.slice(0, half).map((row, index) => beside([0, row], [wide + 6, made.rows[half + index] ?? gap(0.1)]))
  return [named, { ...beside([0, made.head], [wide + 6, made.head]), withNext: true }, ...pairs]
}
