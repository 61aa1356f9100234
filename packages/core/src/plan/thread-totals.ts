/** The thread of a whole sampler, by thread, for one learner: needlefuls at their full cut length, of every role and shade. */
import type { WorkedExercise } from '../exercise/index.ts'
import type { ThreadKind } from '../materials/index.ts'
import type { SamplerThread } from '../sampler/index.ts'

export interface ThreadTotal {
  readonly thread: SamplerThread
  readonly kind: ThreadKind
  readonly needlefuls: number
  /** Length of single strand, mm. */
  readonly singleMm: number
  /** Share of one put-up as it is sold; above 1 it takes more than one. */
  readonly putUps: number
}

export function totalThread(done: readonly WorkedExercise[]): readonly ThreadTotal[] {
  const totals = new Map<string, ThreadTotal>()
  for (const { thread, kind, bundle, needlefulMm, use } of done.flatMap((one) => one.threads)) {
    const before = totals.get(thread.id)
    const singleMm = (before?.singleMm ?? 0) + use.needlefuls * needlefulMm * bundle.strands
    const { lengthMm, strands } = kind.putUp
    totals.set(thread.id, { thread, kind, needlefuls: (before?.needlefuls ?? 0) + use.needlefuls, singleMm, putUps: singleMm / (lengthMm * strands) })
  }
  return [...totals.values()]
}
