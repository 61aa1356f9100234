/** The class's kit: thread to the needleful, the cut list, needles, cloth, and what is bought. */
import { hasErrors, type Result, success } from '@lemmata/core/base'
import { workSampler } from '@lemmata/core/exercise'
import { againstStores, cutInWords, partInWords, planKit, putUpsInWords, toolsFor } from '@lemmata/core/kit'
import { nameNeedle } from '@lemmata/core/materials'
import { emptyStores } from '@lemmata/core/stores'
import { readSampler } from '@lemmata/contract'
import type { Answer } from './command.ts'
import { storesOf } from './stores-file.ts'

export function kit(given: unknown, { storesText }: Readonly<Record<string, string>> = {}): Result<Answer> {
  const sampler = readSampler(given)
  if (!sampler.ok) return sampler
  const house = storesText === undefined ? success(emptyStores()) : storesOf(storesText)
  if (!house.ok) return house
  const { done, problems } = workSampler(sampler.value)
  const plan = planKit(sampler.value, done)
  const tools = toolsFor(done, plan.stiletto)
  const { learners, spares, kits, leftHanded, threadsOnCard, cloth } = plan
  const against = againstStores(sampler.value, plan, tools, house.value)
  const output = {
    ...{ learners, spares, kits, leftHanded, threadsOnCard },
    threads: plan.colours.map((colour) => ({
      thread: colour.thread.id,
      perKit: { needlefuls: colour.kit.needlefuls, spare: colour.kit.spare, cut: colour.kit.cut },
      cut: colour.lengths.map(({ lengthMm, bundles, parted }, index) => ({
        lengthMm,
        bundles,
        ...parted,
        words: [cutInWords(parted.lengths), partInWords(colour, index)].filter((one) => one !== null).join('. '),
      })),
      putUps: colour.putUps,
      leftMm: colour.leftMm,
      words: putUpsInWords(colour),
    })),
    needles: plan.needles.map(({ needle, exercises }) => ({ kind: needle.family.id, size: needle.size, name: nameNeedle(needle), exercises, count: kits })),
    cloth: {
      pieces: cloth.count,
      widthMm: cloth.piece.widthMm,
      heightMm: cloth.piece.heightMm,
      toBuyMm: cloth.plan.ok ? cloth.plan.value.toBuyMm : null,
    },
    tools,
    shopping: against.lines,
    cost: { currency: house.value.currency, toBuy: against.cost, perKit: against.perKit, unpriced: against.unpriced },
  }
  return success({ output, wrong: hasErrors(problems) }, [
    ...house.problems,
    ...problems,
    ...cloth.piece.problems,
    ...(cloth.plan.ok ? [] : cloth.plan.problems),
  ])
}
