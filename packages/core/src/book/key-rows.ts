/** The lines of a key: what each thread of an exercise is, as it is worked. */
import { spokenSize, type UsedThread, type WorkedExercise } from '../exercise/index.ts'
import { needleIn, threadIn } from '../language/index.ts'
import { alikeInWords, SHEET_WORDS, type ThreadsAlike, threadsAlike, WALNUT } from '../sheets/index.ts'
import { beside, type Block, type Cell, type Column, figure, gap, stack, swatch, table, text } from '../pages/index.ts'
import type { Making } from './types.ts'

const SWATCH_MM = 15

/** Letter, piece, part, thread, strands, needle, size: shares of the width. */
const SHARES = [0.055, 0.17, 0.13, 0.275, 0.085, 0.145, 0.14]

export function keyTable(making: Making, exercises: readonly WorkedExercise[], widthMm: number): { readonly head: Block; readonly rows: readonly Block[] } {
  const { said, set } = making
  if (making.form === 'large') return largeKey(making, exercises, widthMm)
  const columns: readonly Column[] = ['', ...said.key.columns].map((title, index) => ({ title, widthMm: (SHARES[index] ?? 0) * widthMm }))
  const rows = exercises.flatMap((done) => threadsAlike(done).map((alike, index) => keyRow(making, done, alike, index === 0, columns)))
  return table(set, columns, rows)
}

/** With large type a table has no room: the same, one under another. */
function largeKey(making: Making, exercises: readonly WorkedExercise[], widthMm: number): { readonly head: Block; readonly rows: readonly Block[] } {
  const { set, letters, sampler } = making
  const sheet = SHEET_WORDS[sampler.brief.language ?? 'en']
  const rows = exercises.map((done) => {
    const colours = threadsAlike(done).flatMap((one) => one.all)
    const line = beside(
      ...colours
        .slice(0, 8)
        .map((used, index) => [index * (SWATCH_MM + 2), figure(swatch({ ...used, hex: used.thread.colour.hex }, SWATCH_MM, 5), SWATCH_MM, '')] as const),
    )
    return stack([
      text(set, `**${letters.get(done.exercise.id) ?? ''} ${done.exercise.name}**, ${sheet.size(spokenSize(done), sampler.units)}`, widthMm),
      line,
      ...alikeInWords(done, sheet).map((one) => text(set, one, widthMm)),
      gap(2.5),
    ])
  })
  return { head: gap(0.5), rows }
}

function keyRow(making: Making, done: WorkedExercise, { first, all, part }: ThreadsAlike, isFirst: boolean, columns: readonly Column[]): readonly Cell[] {
  const { set, letters, sampler } = making
  const { language } = done.assigned
  const sheet = SHEET_WORDS[sampler.brief.language ?? 'en']
  const size = set.type.small
  return [
    isFirst ? text(set, `**${letters.get(done.exercise.id) ?? ''}**`, 12, { size }) : '',
    isFirst ? `**${done.exercise.name}**` : '',
    part ?? '',
    threadCell(making, all, columns[3]?.widthMm ?? 0, threadIn(first.kind, language)),
    first.kind.putUp.strands > 1 ? sheet.ofStrands(first.strands.value, first.kind.putUp.strands) : String(first.strands.value),
    needleIn(first.needle.value, language),
    isFirst ? sheet.size(spokenSize(done), sampler.units) : '',
  ]
}

/** A line for each colour, and what they are under them. */
function threadCell({ set, said }: Making, all: readonly UsedThread[], widthMm: number, kind: string): Block {
  const size = set.type.small
  const nameWide = widthMm - SWATCH_MM - 3
  const isOne = all.length === 1
  const rows = all.map((used) => {
    const name = text(set, isOne ? said.kit.thread(used.thread.colour.name, kind) : used.thread.colour.name, nameWide, { size })
    return beside([0, figure(swatch({ ...used, hex: used.thread.colour.hex }, SWATCH_MM, size.leadMm), SWATCH_MM, '')], [SWATCH_MM + 1, name])
  })
  return stack(isOne ? rows : [...rows, text(set, said.kit.thread('', kind).replace(/^, /, ''), widthMm - 2, { size, colour: WALNUT })])
}
