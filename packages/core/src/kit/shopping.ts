/** What is bought for the class, a line each: for the shop, and for a sheet of figures. */
import { nameNeedle, nameThread, needleKey } from '../materials/index.ts'
import type { Hoop, Sampler } from '../sampler/index.ts'
import { capitalised, counted, formatLength } from '../units/index.ts'
import type { Kit } from './plan-kit.ts'
import type { KitTool } from './tools.ts'

export interface ToBuy {
  readonly group: 'Thread' | 'Needles' | 'Cloth' | 'Hoops' | 'Marking' | 'Tools'
  /** The thread, needle or tool by its id; one of a group needs none. */
  readonly of: string
  readonly what: string
  readonly count: number
  /** "skein of 8 m", "m of 140 cm wide"; empty where they are counted. */
  readonly unit: string
  /** In one kit, in words. */
  readonly each: string
  readonly instead: string | null
}

export function shoppingList(sampler: Pick<Sampler, 'cloth' | 'workingHoop' | 'units'>, kit: Kit, tools: readonly KitTool[]): readonly ToBuy[] {
  const { kits, cloth } = kit
  const length = (mm: number): string => formatLength(mm, sampler.units, sampler.units === 'mm' ? 0 : 1)
  const hoop = sampler.workingHoop
  const row = (group: ToBuy['group'], of: string, what: string, count: number, unit: string, each: string, instead: string | null = null): ToBuy => ({
    group,
    of,
    what,
    count,
    unit,
    each,
    instead,
  })
  return [
    ...kit.colours.map(({ thread, kind, kit: one, putUps }) =>
      row(
        'Thread',
        thread.id,
        `${thread.colour.name}, ${nameThread(kind).toLowerCase()}`,
        putUps,
        `${kind.putUp.word} of ${kind.putUp.lengthMm / 1000} m`,
        counted(
          one.cut.reduce((sum, cut) => sum + cut.count, 0),
          'needleful',
        ),
      ),
    ),
    ...kit.needles.map(({ needle }) => row('Needles', needleKey(needle), nameNeedle(needle), kits, '', '1')),
    ...(cloth.plan.ok
      ? [
          row(
            'Cloth',
            '',
            `${capitalised(sampler.cloth.colour.name)} cloth`,
            Number((cloth.plan.value.toBuyMm / 1000).toFixed(1)),
            `m of ${length(cloth.boltMm)} wide`,
            `${length(cloth.piece.widthMm)} by ${length(cloth.piece.heightMm)}`,
          ),
        ]
      : []),
    ...(hoop ? [row('Hoops', '', hoopInWords(hoop, length), kits, '', '1', 'a size larger, screwed tight')] : []),
    ...(kit.marking
      ? [row('Marking', kit.marking.id, kit.marking.name, kit.marking.by === 'tracing' ? kits : 1, '', kit.marking.by === 'tracing' ? '1' : 'shared')]
      : []),
    ...tools.map((tool) => row('Tools', tool.id, tool.name, tool.shared ? 1 : kits, '', tool.shared ? 'shared' : '1', tool.instead)),
  ]
}

/** "Hoop, 203 mm", "Frame, 300 mm by 220 mm inside". */
export function hoopInWords(hoop: Hoop, length: (mm: number) => string): string {
  if (hoop.shape === 'round') return `Hoop, ${length(hoop.nominalMm)}`
  return `${hoop.shape === 'oval' ? 'Oval hoop' : 'Frame'}, ${length(hoop.insideMm[0])} by ${length(hoop.insideMm[1])} inside`
}
