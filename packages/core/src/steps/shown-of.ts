/** For tests: a stitch of the library as it is shown, worked once. */
import { surroundingsOf } from '../assign/index.ts'
import { roleThreads } from '../exercise/index.ts'
import { practiceFor, practiceGuide } from '../guide/index.ts'
import { newSampler } from '../sampler/index.ts'
import { LIBRARY } from '../stitches/index.ts'
import { sentenceOf, workAlone } from '../testing/index.ts'
import { type Demonstration, demonstrate, type Hand } from './index.ts'

export const around = surroundingsOf(newSampler('Steps'))
const known = new Map<string, Demonstration>()

/** The stitch as its exercise would have it, with its own length, thread and needle. */
export function requestOf(id: string) {
  const document = LIBRARY.find((one) => one.id === id)
  if (!document) throw new Error(id)
  const worked = workAlone({ id: 'e', name: id, stitch: id, guide: practiceGuide(document.practice ?? practiceFor(document), 60, 60, 80) }, around)
  if (!worked.ok) throw new Error(`${id}: ${sentenceOf(worked.problems)}`)
  const { document: whole, parameters, materials } = worked.value.assigned
  return { document: whole, request: { parameters, materials, threads: roleThreads(worked.value.assigned) } }
}

export function shownOf(id: string, hand: Hand = 'right'): Demonstration {
  const before = known.get(`${id} ${hand}`)
  if (before) return before
  const { document, request } = requestOf(id)
  const shown = demonstrate({ document, ...request, hand })
  if (!shown.ok) throw new Error(`${id}: ${sentenceOf(shown.problems)}`)
  known.set(`${id} ${hand}`, shown.value)
  return shown.value
}
