/** What learners mark with, and what to mind, as the sheet says it. */
import { tell } from '../base/index.ts'
import { adviseMarking, MARKING_SENTENCES } from '../marking/index.ts'
import type { Sampler } from '../sampler/index.ts'
import { formatLength } from '../units/index.ts'

/** Nothing where the teacher has chosen nothing. */
export function markingInWords(sampler: Sampler): readonly string[] {
  const chosen = sampler.brief.marking?.method
  // How much of the marks thread covers is the teacher's to judge; the sheet says how to handle what was chosen.
  const advice = adviseMarking(sampler, () => null).find(({ method }) => method.id === chosen)
  if (!advice) return []
  const mind = advice.reasons.map((reason) => tell(reason, MARKING_SENTENCES, (mm) => formatLength(mm, sampler.units)))
  return [[`To mark with: ${advice.method.name.toLowerCase()}.`, ...mind, 'Try it on a corner first, wait a day, rinse.'].join(' ')]
}
