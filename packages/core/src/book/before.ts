/** Before one begins: cautions first, then cloth, marking, hoop, thread, and the words of the book. */
import { adviseMarking } from '../marking/index.ts'
import { threadIn } from '../language/index.ts'
import { clothCare, findClothKind } from '../materials/index.ts'
import { markingInWords } from '../sheets/index.ts'
import { formatLength } from '../units/index.ts'
import { beside, type Block, bullet, framed, gap, heading, hint, rule, stack, text, tick, title } from '../pages/index.ts'
import type { Making } from './types.ts'

export function beforeYouBegin(making: Making, widthMm: number): readonly Block[] {
  const { said, set } = making
  const { before } = said
  const wide = (widthMm - 6) / 2
  const pairs = (one: readonly Block[], other: readonly Block[]): Block => beside([0, stack(one)], [wide + 6, stack(other)])
  const isLarge = making.form === 'large'
  const two = (one: readonly Block[], other: readonly Block[]): readonly Block[] => (isLarge ? [stack(one), gap(3), stack(other)] : [pairs(one, other)])
  const w = isLarge ? widthMm : wide
  return [
    title(set, before.title, widthMm),
    hint(set, before.once, widthMm),
    gap(2),
    cautions(making, widthMm, isLarge),
    ...two(cloth(making, w), marking(making, w)),
    rule(widthMm),
    ...two(hoop(making, w), cutting(making, w)),
    rule(widthMm),
    ...two(threading(making, w), [...beginning(making, w)]),
    rule(widthMm),
    ...two(handling(making, w), [heading(set, before.unpick, w), text(set, before.unpickHow, w)]),
    rule(widthMm),
    heading(set, before.terms, widthMm),
    ...before.termList.map(([word, means]) => beside([0, text(set, `**${word}**`, 30)], [32, text(set, means, widthMm - 32)])),
  ]
}

function cautions({ said, set }: Making, widthMm: number, isLarge: boolean): Block {
  const inner = widthMm - 11
  const half = isLarge ? inner : (inner - 5) / 2
  const all = said.before.cautions.map((one) => bullet(set, one, half, set.type.small))
  const split = Math.ceil(all.length / 2)
  const body = isLarge ? stack(all) : beside([0, stack(all.slice(0, split))], [half + 5, stack(all.slice(split))])
  return framed(stack([heading(set, said.before.care, inner), body]), widthMm)
}

function cloth({ said, set, sampler }: Making, widthMm: number): readonly Block[] {
  const { before } = said
  const care = clothCare(sampler.cloth.kind)
  const mm = (value: number): string => formatLength(value, sampler.units, sampler.units === 'mm' ? 0 : 1)
  const name = findClothKind(sampler.cloth.kind)?.name ?? sampler.cloth.kind
  const { washed } = sampler.brief.cutting ?? {}
  const washes = care.shrinkPercent !== null && washed !== 'not'
  return [
    heading(set, before.cloth, widthMm),
    text(set, before.cut(`${name}, ${sampler.cloth.colour.name.toLowerCase()}`, `${mm(sampler.cloth.widthMm)} \u00d7 ${mm(sampler.cloth.heightMm)}`), widthMm, {
      afterMm: 1,
    }),
    tick(set, washes ? before.wash(`${care.shrinkPercent?.[0]} to ${care.shrinkPercent?.[1]}`) : before.noWash, widthMm),
    ...(care.frays ? [tick(set, before.edge, widthMm)] : []),
    ...(care.hasGrain ? [tick(set, before.grain, widthMm)] : []),
  ]
}

function marking({ said, set, sampler }: Making, widthMm: number): readonly Block[] {
  const chosen = adviseMarking(sampler, () => null).some(({ method }) => method.id === sampler.brief.marking?.method)
  return [
    heading(set, said.before.marking, widthMm),
    ...(chosen ? markingInWords(sampler).map((one) => text(set, one, widthMm, { afterMm: 1 })) : []),
    ...said.before.trace.map((one) => tick(set, one, widthMm)),
  ]
}

function hoop({ said, set, sampler }: Making, widthMm: number): readonly Block[] {
  const isRing = sampler.workingHoop?.shape !== 'frame'
  const steps = isRing ? said.before.hoopSteps : [said.before.frame]
  return [heading(set, said.before.hoop, widthMm), ...steps.map((one) => tick(set, one, widthMm))]
}

function cutting({ said, set, sampler, kit }: Making, widthMm: number): readonly Block[] {
  const { before } = said
  const whole = [...new Set(kit.colours.filter((one) => one.kind.putUp.strands === 1).map((one) => threadIn(one.kind, sampler.brief.language ?? 'en')))]
  const parted = kit.colours.some((one) => one.kind.putUp.strands > 1)
  const length = formatLength(sampler.brief.waysOfWorking.needlefulMm, sampler.units, sampler.units === 'mm' ? 0 : 1)
  return [
    heading(set, before.cutting, widthMm),
    text(set, before.needleful(length), widthMm, { afterMm: 1 }),
    ...(parted ? [text(set, before.parting, widthMm, { afterMm: 1 })] : []),
    ...(whole.length > 0 ? [text(set, before.neverParted.replace('{threads}', whole.join(', ')), widthMm)] : []),
  ]
}

const threading = ({ said, set }: Making, widthMm: number): readonly Block[] => [
  heading(set, said.before.threading, widthMm),
  ...said.before.threadSteps.map((one) => tick(set, one, widthMm)),
]

function beginning({ said, set, sampler }: Making, widthMm: number): readonly Block[] {
  const { before } = said
  const { threadStart, threadEnd } = sampler.brief.waysOfWorking
  return [
    heading(set, before.begin, widthMm),
    text(set, before.beginBy[threadStart], widthMm, { afterMm: 2 }),
    heading(set, before.end, widthMm),
    text(set, before.endBy[threadEnd], widthMm),
  ]
}

function handling({ said, set, sampler }: Making, widthMm: number): readonly Block[] {
  const [title, how] = said.before.handling[sampler.brief.waysOfWorking.handling]
  return [heading(set, title, widthMm), text(set, how, widthMm)]
}
