/** What a needle costs by not being the best: judgement, so that choices can be weighed against one another. */
import type { NeedleFit, NeedleVerdict } from '../materials/index.ts'

/** Before what its shaft is off. */
const VERDICT_COST: Readonly<Record<Exclude<NeedleVerdict, 'no'>, number>> = { best: 0, good: 0.12, 'with-care': 0.9 }

/** 0 for the best; null for one that does not serve. */
export function discomfort({ verdict, difference }: Pick<NeedleFit, 'verdict' | 'difference'>): number | null {
  if (verdict === 'no') return null
  return verdict === 'best' ? 0 : VERDICT_COST[verdict] + Math.abs(difference)
}
