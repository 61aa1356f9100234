/** The pages for the hands: an exercise's key line, its pictures with their sentences, what to look at, slips and cures. */
import { surroundingsOf } from '../assign/index.ts'
import { drawStep, lookOf, moveItems, tagged, type DrawingItem } from '../drawing/index.ts'
import { roleThreads, spokenSize, type WorkedExercise, workSubstitutes } from '../exercise/index.ts'
import { cautionIn, stitchIn } from '../language/index.ts'
import { proseIn } from '../prose/index.ts'
import { TARGET_MM } from '../plan/index.ts'
import { freeInWords, INK, SHEET_WORDS, alikeInWords, stepLetter, WALNUT, words } from '../sheets/index.ts'
import { demonstrate, type Demonstration, type Step, stepSentence } from '../steps/index.ts'
import { formatLength, formatMinutes } from '../units/index.ts'
import {
  beside,
  type Block,
  exercisePicture,
  figure,
  framed,
  gap,
  heading,
  heightOf,
  hint,
  INDIGO,
  line,
  stack,
  STEP_GRIDS,
  type StepGrid,
  text,
} from '../pages/index.ts'
import type { Making } from './types.ts'

/** `pageMm`: as much as a page holds. `before`: where the same stitch was shown step by step in this lesson; its steps are not shown again. */
export function exercisePage(
  making: Making,
  done: WorkedExercise,
  widthMm: number,
  pageMm: number,
  before: { readonly letter: string; readonly page: number } | null,
): readonly Block[] {
  const { said, set } = making
  const head = [headOf(making, done, widthMm), ...cautions(making, done, widthMm), ...choices(making, done, widthMm)]
  if (before) return [...head, text(set, said.exercise.asBefore(before.letter, before.page), widthMm, { afterMm: 2 }), gap(4)]
  const shown = demonstrationOf(making, done)
  const foot = [...lookAndSlips(making, done, widthMm), gap(2)]
  const grid = STEP_GRIDS[making.form]
  const with_ = (heightMm: number): readonly Block[] => [...head, ...(shown ? steps(making, done, shown, widthMm, { ...grid, heightMm }) : []), ...foot]
  // Pictures a little lower where all then stands on one page: nothing is turned while a needle is in the cloth.
  const fitting = LOWER.map((less) => with_(grid.heightMm - less)).find((blocks) => heightOf(blocks) <= pageMm)
  return fitting ?? with_(grid.heightMm)
}

const LOWER: readonly number[] = [0, 2, 4, 6, 8]

const shownBefore = new WeakMap<WorkedExercise, Map<string, Demonstration | null>>()

/** Worked out once for each hand: a book is laid out before it is drawn, and perhaps twice. */
export function demonstrationOf({ hand }: Pick<Making, 'hand'>, done: WorkedExercise): Demonstration | null {
  const known = shownBefore.get(done) ?? new Map<string, Demonstration | null>()
  shownBefore.set(done, known)
  if (known.has(hand)) return known.get(hand) ?? null
  const { assigned } = done
  const { document, parameters, materials } = assigned
  const shown = demonstrate({ document, parameters, materials, threads: roleThreads(assigned), hand, like: done.pieces[0].guide })
  const found = shown.ok ? shown.value : null
  known.set(hand, found)
  return found
}

function headOf(making: Making, done: WorkedExercise, widthMm: number): Block {
  const { said, set, letters, sampler } = making
  const sheet = SHEET_WORDS[sampler.brief.language ?? 'en']
  const pictureWide = making.form === 'large' || making.ink === 'saving' ? 0 : 40
  const x = 15
  const wide = widthMm - x - pictureWide - 5
  const letter = text(set, letters.get(done.exercise.id) ?? '', x, { size: set.type.letter, face: 'heading', colour: INDIGO })
  const lines = [
    text(set, said.exercise.of(done.exercise.name, stitchIn(done.assigned.document, done.assigned.language)), wide, {
      size: set.type.name,
      face: 'heading',
      tag: 'H2',
    }),
    ...alikeInWords(done, sheet).map((one) => text(set, one, wide, { size: set.type.small, colour: WALNUT })),
    text(
      set,
      `${sheet.count(done)}, ${sheet.size(spokenSize(done), sampler.units)}. ${sheet.time(formatMinutes(done.minutes.total), sheet.tension[done.assigned.document.tension ?? 'easy'])}`,
      wide,
      {
        size: set.type.small,
        colour: WALNUT,
      },
    ),
  ]
  const told = stack(lines)
  const row = beside([0, letter], [x, told], ...(pictureWide > 0 ? [[widthMm - pictureWide, pictured()] as const] : []))
  return { heightMm: row.heightMm + 3.5, withNext: true, draw: () => [...row.draw(), line(0, widthMm, row.heightMm + 1, 0.35, INK)] }

  function pictured(): Block {
    const picture = exercisePicture(done, pictureWide, Math.min(22, Math.max(14, told.heightMm)))
    return figure(picture, pictureWide, said.alt.piece(done.exercise.name, stitchIn(done.assigned.document, done.assigned.language)))
  }
}

/** What may be worked instead, and what is hers to choose. */
function choices(making: Making, done: WorkedExercise, widthMm: number): readonly Block[] {
  const { set, sampler } = making
  const sheet = SHEET_WORDS[sampler.brief.language ?? 'en']
  const free = freeInWords(done.exercise.free ?? [], sheet)
  const instead = workSubstitutes(done, surroundingsOf(sampler)).flatMap(({ result }) => {
    if (!result.ok) return []
    const { assigned, minutes } = result.value
    const how = [...alikeInWords(result.value, sheet), sheet.size(spokenSize(result.value), sampler.units)].join(', ')
    return [sheet.instead(stitchIn(assigned.document, assigned.language), how, formatMinutes(minutes.total))]
  })
  const all = [...(free === null ? [] : [free]), ...instead]
  return all.length === 0 ? [] : [...all.map((one) => hint(set, one, widthMm)), gap(1.5)]
}

function steps(making: Making, done: WorkedExercise, demonstration: Demonstration, widthMm: number, grid: StepGrid): readonly Block[] {
  const wide = (widthMm - (grid.columns - 1) * grid.gapMm) / grid.columns
  const rows: Block[] = []
  for (let from = 0; from < demonstration.steps.length; from += grid.columns) {
    const row = demonstration.steps.slice(from, from + grid.columns)
    rows.push(beside(...row.map((one, index) => [index * (wide + grid.gapMm), stepBlock(making, done, demonstration, one, wide, grid)] as const)))
  }
  return rows
}

export function stepBlock(
  { set, said: { alt } }: Making,
  done: WorkedExercise,
  demonstration: Demonstration,
  step: Step,
  widthMm: number,
  grid: StepGrid,
): Block {
  const indent = set.type.step.sizeMm * 1.45
  const said = text(set, stepSentence(step, done.assigned), widthMm - indent, { size: set.type.step })
  const frameOf = { left: 0, top: 0, widthMm, heightMm: grid.heightMm }
  const letter = text(set, stepLetter(step.number), indent, {
    size: { ...set.type.step, sizeMm: set.type.step.sizeMm * 1.25 },
    face: 'heading',
    ...{ colour: INDIGO, tag: 'Lbl' },
  })
  const frame = [
    { x: 0, y: 0 },
    { x: widthMm, y: 0 },
    { x: widthMm, y: grid.heightMm },
    { x: 0, y: grid.heightMm },
  ]
  return {
    heightMm: grid.heightMm + 1.2 + said.heightMm + 3.2,
    draw: () => {
      const drawn = drawStep({
        ...{ demonstration, step, look: lookOf(done.assigned), widthMm, heightMm: grid.heightMm, detail: 'edged', cloth: '#FFFFFF', numberMm: grid.numberMm },
      })
      const scale: DrawingItem = words(
        `${drawn.scale.toFixed(1)} \u00d7`,
        { x: widthMm - 1.5, y: grid.heightMm - 1.5 },
        set.type.foot.sizeMm * 0.85,
        'text',
        WALNUT,
        'right',
      )
      const edge: DrawingItem = { kind: 'stroke', paths: [frame], widthMm: 0.2, colour: '#BDB3A3', closed: true }
      const picture = tagged('Figure', [...drawn.items, edge, scale], { alt: alt.step(holesIn(drawn.items)), frame: frameOf })
      return [
        tagged('LI', [
          ...moveItems(letter.draw(), { x: 0, y: grid.heightMm + 1.2 }),
          tagged('LBody', [picture, ...moveItems(said.draw(), { x: indent, y: grid.heightMm + 1.2 })]),
        ]),
      ]
    },
  }
}

/** The figures that stand at its holes. */
function holesIn(items: readonly DrawingItem[]): readonly string[] {
  return items.flatMap((one) => (one.kind === 'words' ? [one.text] : one.kind === 'clipped' ? holesIn(one.items) : []))
}

/** Before the first step: what it warns of stands on the same page. */
function cautions({ set, sampler }: Making, { assigned }: WorkedExercise, widthMm: number): readonly Block[] {
  const sheet = SHEET_WORDS[sampler.brief.language ?? 'en']
  const { document, language } = assigned
  return (document.cautions ?? []).map((one) => framed(text(set, sheet.takeCare(cautionIn(one, language)), widthMm - 11, { size: set.type.small }), widthMm, 3))
}

function lookAndSlips(making: Making, done: WorkedExercise, widthMm: number): readonly Block[] {
  const { said, set, sampler } = making
  const { document, language } = done.assigned
  const sheet = SHEET_WORDS[sampler.brief.language ?? 'en']
  const isLarge = making.form === 'large'
  const wide = isLarge ? widthMm : (widthMm - 6) / 2
  const told = (text: string | undefined): string | null => (text === undefined ? null : proseIn(text, language))
  const sides = [
    [sheet.front, told(document.look?.front)],
    [sheet.back, told(document.look?.back)],
  ].flatMap(([label, one]) => (one === null ? [] : [`**${label}:** ${one}`]))
  const target = TARGET_MM[done.exercise.hold ?? 'easy']
  const looks = [
    ...sides.map((one) => text(set, one, wide)),
    hint(set, said.exercise.goodEnough(formatLength(target, sampler.units, sampler.units === 'mm' ? 2 : 3)), wide),
  ]
  const slips = (document.slips ?? []).flatMap(({ see, mend }) => {
    const cure = told(mend)
    return cure === null ? [] : [text(set, `**${told(see) ?? see}:** ${cure}`, wide)]
  })
  const left = [heading(set, said.exercise.look, wide), ...looks]
  const right = slips.length > 0 ? [heading(set, said.exercise.slips, wide), ...slips] : []
  return [gap(1), ...(isLarge ? [stack(left), gap(2), ...(right.length > 0 ? [stack(right)] : [])] : [beside([0, stack(left)], [wide + 6, stack(right)])])]
}
