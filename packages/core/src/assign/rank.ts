/**
 * Thread, strands and needle for one thread of a stitch, ranked over everything that there is: nothing that could be chosen is left
 * out. What is wanted is a width, as it is worked now unless it is said; what comes nearest to it, can be worked well in this
 * stitch on this cloth, and has a needle, stands first. The weights are judgement, the same for all.
 */
import type { ThreadRole } from '../notation/index.ts'
import { MAIN_ROLE } from '../notation/index.ts'
import {
  type Bundle,
  fitNeedles,
  kindOf,
  makeBundle,
  type Needle,
  NEEDLES,
  type NeedleVerdict,
  type ThreadKind,
  type ThreadOfKind,
} from '../materials/index.ts'
import type { Exercise, Level } from '../sampler/index.ts'
import { judgeStrands, TIE_SHARE } from './advise-strands.ts'
import type { Assigned, AssignedThread } from './assign.ts'
import { needleWork } from './choose-needle.ts'
import { discomfort } from './needle-cost.ts'

/** Why a choice costs what it costs; all of it 0 is as good as it can be. */
export interface ChoiceCosts {
  /** A tenth off in width 0.09, a quarter 0.5: 10 ln(width / wanted) squared. */
  readonly width: number
  /** The stitch's length beside what is usual in such a thread. */
  readonly length: number
  /** Too thick for the cloth, split in odd strands, a tie that hides what it ties, metal that is sewn through. */
  readonly worked: number
  /** Another twist or fibre than now, and one that slips from a beginner's needle. */
  readonly feel: number
  readonly needle: number
}

export interface RankedChoice<From extends ThreadOfKind = ThreadOfKind> {
  readonly from: From
  readonly kind: ThreadKind
  readonly strands: number
  readonly bundle: Bundle
  /** As it lies in this stitch: side by side in a fill, else as a line. mm */
  readonly widthMm: number
  readonly needle: Needle
  readonly verdict: Exclude<NeedleVerdict, 'no'>
  readonly costs: ChoiceCosts
  readonly cost: number
}

export interface RankQuestion<From extends ThreadOfKind> {
  readonly exercise: Pick<Exercise, 'parameters'>
  readonly assigned: Assigned
  readonly role: ThreadRole
  readonly level: Level
  /** Worked between the threads of a cloth that is counted. */
  readonly counted: boolean
  readonly threads: readonly From[]
  readonly needles?: readonly Needle[] | undefined
  /** As wide as this; as it is now where it is left out. mm */
  readonly widthMm?: number | undefined
}

const SLIPPERY = new Set(['viscose-floss', 'flat-silk', 'filament-silk'])

export function rankChoices<From extends ThreadOfKind>(question: RankQuestion<From>): readonly RankedChoice<From>[] {
  const { assigned, role, threads, needles = NEEDLES } = question
  const now = assigned.threads.find((one) => one.role === role) ?? assigned.main
  const found: RankedChoice<From>[] = []
  for (const from of threads) {
    const kind = kindOf(from)
    if (!kind) continue
    for (let strands = 1; strands <= kind.mostStrands; strands += 1) {
      const bundle = makeBundle(kind, strands)
      const costs = costsOf(question, now, kind, bundle)
      if (!costs) continue
      const fits = fitNeedles(needleWork({ ...assigned, role, kind, bundle, school: assigned.ways.needle, counted: question.counted }), needles)
      for (const fit of fits) {
        const needle = discomfort(fit)
        if (needle === null) continue
        const all = { ...costs, needle }
        found.push({
          ...{ from, kind, strands, bundle, widthMm: widthIn(assigned, role, bundle) },
          ...{ needle: fit.needle, verdict: fit.verdict as Exclude<NeedleVerdict, 'no'>, costs: all, cost: totalOf(all) },
        })
      }
    }
  }
  const order = new Map(threads.map((one, index) => [one, index]))
  return found.sort(
    (a, b) =>
      a.cost - b.cost ||
      (order.get(a.from) as number) - (order.get(b.from) as number) ||
      a.strands - b.strands ||
      a.needle.family.id.localeCompare(b.needle.family.id) ||
      a.needle.size - b.needle.size,
  )
}

export const totalOf = ({ width, length, worked, feel, needle }: ChoiceCosts): number => width + length + worked + feel + needle

/** What a bundle covers: in a fill its strands lie side by side. */
export function widthIn({ document }: Pick<Assigned, 'document'>, role: ThreadRole, bundle: Bundle): number {
  const passes = document.passes.filter((pass) => (pass.thread ?? MAIN_ROLE) === role)
  return passes.some((pass) => pass.lie === 'flat') ? bundle.flatWidthMm : bundle.lineWidthMm
}

function costsOf<From extends ThreadOfKind>(
  { exercise, assigned, role, level, widthMm }: RankQuestion<From>,
  now: AssignedThread,
  kind: ThreadKind,
  bundle: Bundle,
): Omit<ChoiceCosts, 'needle'> | null {
  const { document, cloth, main } = assigned
  const wanted = widthMm ?? widthIn(assigned, role, now.bundle)
  const off = Math.log(widthIn(assigned, role, bundle) / wanted)
  const judged = judgeStrands({ document, kind, cloth, given: role === MAIN_ROLE ? (exercise.parameters ?? {}) : {} }, bundle.strands)
  if (!judged.ok) return null
  const hides = role === 'tie' && bundle.lineWidthMm > TIE_SHARE * main.bundle.lineWidthMm ? 1 : 0
  const sewnMetal = kind.nature === 'metal' && now.kind.nature !== 'metal' ? 2 : 0
  const other = kind.id === now.kind.id ? 0 : kind.nature === now.kind.nature ? 0.1 : 0.2
  const slips = level === 'beginner' && SLIPPERY.has(kind.id) ? 0.3 : 0
  return {
    width: 10 * off * off,
    length: role === MAIN_ROLE ? judged.value.length : 0,
    worked: judged.value.worked + hides + sewnMetal,
    feel: other + slips,
  }
}
