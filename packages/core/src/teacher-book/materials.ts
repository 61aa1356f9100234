/** What is bought, cut and counted out for the whole class. */
import { needleIn, threadIn } from '../language/index.ts'
import { toolsFor } from '../kit/index.ts'
import { besideOrUnder, type Block, type Cell, framed, gap, heading, hint, rule, table, text, tick, title } from '../pages/index.ts'
import { hoopInBook } from '../book/index.ts'
import type { TeacherMaking } from './types.ts'

export function materials(making: TeacherMaking, widthMm: number): readonly Block[] {
  const { set, told, kit } = making
  const half = (widthMm - 6) / 2
  return [
    title(set, told.materials.title, widthMm),
    hint(set, told.materials.kits(kit.learners, kit.spares), widthMm),
    gap(2),
    framed(text(set, told.materials.out, widthMm - 11, { size: set.type.small }), widthMm),
    ...threads(making, widthMm),
    rule(widthMm),
    ...besideOrUnder(needles(making, half), tools(making, half), half + 6, 150),
  ]
}

const box = (making: TeacherMaking): Block => tick(making.set, '', 6, making.set.type.small)

function threads(making: TeacherMaking, widthMm: number): readonly Block[] {
  const { set, said, told, kit, sampler } = making
  const language = sampler.brief.language ?? 'en'
  const rows = kit.colours.map(({ thread, kind, kit: mine, putUps }): readonly Cell[] => {
    const each = mine.cut.reduce((sum, one) => sum + one.count, 0)
    return [said.kit.thread(thread.colour.name, threadIn(kind, language)), String(each), String(each * kit.kits), String(putUps), box(making)]
  })
  return made(making, told.materials.threads, told.materials.threadColumns, [0.48, 0.13, 0.13, 0.13, 0.13], rows, widthMm, set.type.small.leadMm)
}

function needles(making: TeacherMaking, widthMm: number): readonly Block[] {
  const { told, kit, sampler } = making
  const language = sampler.brief.language ?? 'en'
  const rows = kit.needles.map(({ needle }): readonly Cell[] => [needleIn(needle, language), String(kit.kits), box(making), box(making)])
  return made(making, told.materials.needles, told.materials.needleColumns, [0.48, 0.16, 0.18, 0.18], rows, widthMm, 0)
}

function tools(making: TeacherMaking, widthMm: number): readonly Block[] {
  const { said, told, kit, done, sampler } = making
  const named = toolsFor(done, kit.stiletto)
    .filter((one) => one.needed === 'always')
    .map((one): readonly Cell[] => [said.tool(one.id, one.name), one.shared ? told.materials.forRoom : String(kit.kits), box(making)])
  const hoop: readonly (readonly Cell[])[] = sampler.workingHoop ? [[hoopInBook(making), String(kit.kits), box(making)]] : []
  return made(making, told.materials.tools, told.materials.toolColumns, [0.58, 0.24, 0.18], [...hoop, ...named], widthMm, 0)
}

function made(
  { set }: TeacherMaking,
  name: string,
  columns: readonly string[],
  shares: readonly number[],
  rows: readonly (readonly Cell[])[],
  widthMm: number,
  afterMm: number,
): readonly Block[] {
  const { head, rows: all } = table(
    set,
    columns.map((one, index) => ({ title: one, widthMm: (shares[index] ?? 0) * widthMm })),
    rows,
  )
  return [heading(set, name, widthMm), head, ...all, gap(afterMm)]
}
