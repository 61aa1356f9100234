/** What learners mark with, and what to mind, as the sheet says it. */
import { tell } from '../base/index.ts'
import { adviseMarking, GERMAN_MARKING, GERMAN_METHODS, MARKING_SENTENCES } from '../marking/index.ts'
import type { Sampler } from '../sampler/index.ts'
import { formatLength } from '../units/index.ts'

/** Nothing where the teacher has chosen nothing. */
export function markingInWords(sampler: Sampler): readonly string[] {
  const chosen = sampler.brief.marking?.method
  // How much of the marks thread covers is the teacher's to judge; the sheet says how to handle what was chosen.
  const advice = adviseMarking(sampler, () => null).find(({ method }) => method.id === chosen)
  if (!advice) return []
  const { id, name } = advice.method
  const isGerman = sampler.brief.language === 'de'
  const mind = advice.reasons.map((reason) => tell(reason, isGerman ? GERMAN_MARKING : MARKING_SENTENCES, (mm) => formatLength(mm, sampler.units)))
  const [use, test] = isGerman
    ? [`Anzeichnen mit: ${GERMAN_METHODS[id] ?? name}.`, 'Erst an einer Ecke probieren, einen Tag warten, ausspülen.']
    : [`To mark with: ${name.toLowerCase()}.`, 'Try it on a corner first, wait a day, rinse.']
  return [[use, ...mind, test].join(' ')]
}
