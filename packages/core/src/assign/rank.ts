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
  /** Beside its neighbours: it would read as one with a row next to it, or break a run of rows from fine to bold. */
  readonly look: number
  readonly needle: number
}

/** How the rows next to it look, as they are worked now. */
export interface Neighbours {
  /** Of the same colour and texture, lying next to it on the cloth: nature of the thread, and how wide each lies. mm */
  readonly alike: readonly { readonly nature: ThreadKind['nature']; readonly widthMm: number }[]
  /** Where those worked before and after it run from fine to bold with it: between these. mm */
  readonly run: readonly [number, number] | null
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
  readonly neighbours?: Neighbours | undefined
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

export const totalOf = ({ width, length, worked, feel, look, needle }: ChoiceCosts): number => width + length + worked + feel + look + needle

/** What a bundle covers: in a fill its strands lie side by side. */
export function widthIn({ document }: Pick<Assigned, 'document'>, role: ThreadRole, bundle: Bundle): number {
  const passes = document.passes.filter((pass) => (pass.thread ?? MAIN_ROLE) === role)
  return passes.some((pass) => pass.lie === 'flat') ? bundle.flatWidthMm : bundle.lineWidthMm
}

function costsOf<From extends ThreadOfKind>(
  { exercise, assigned, role, level, widthMm, neighbours }: RankQuestion<From>,
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
    look: role === MAIN_ROLE ? lookCost(neighbours, kind, widthIn(assigned, role, bundle)) : 0,
  }
}

/** The eye tells two lines apart that differ by a fifth; 15 % is within what a thread varies. */
export const ALIKE_WIDTHS = 0.15

/** Each a quarter: less than a width that is off by so much that it is seen. Judgement. */
function lookCost(neighbours: Neighbours | undefined, { nature }: ThreadKind, widthMm: number): number {
  if (!neighbours) return 0
  const readsAlike = neighbours.alike.some(
    (one) => one.nature === nature && Math.max(one.widthMm, widthMm) <= Math.min(one.widthMm, widthMm) * (1 + ALIKE_WIDTHS),
  )
  const { run } = neighbours
  const breaks = run !== null && (widthMm < run[0] / (1 + ALIKE_WIDTHS) || widthMm > run[1] * (1 + ALIKE_WIDTHS))
  return (readsAlike ? 0.25 : 0) + (breaks ? 0.25 : 0)
}
