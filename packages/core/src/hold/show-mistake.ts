/** A mistake worked like the stitch itself: its picture, what is seen, and whether it would hold. */
import type { Mistake } from '../notation/index.ts'
import { applyMistake } from '../notation/index.ts'
import { type Fault, type StitchWork, type WorkedStitch, workStitch } from '../work/index.ts'

export interface ShownMistake {
  readonly mistake: Mistake
  readonly worked: WorkedStitch
  readonly comesUndone: boolean
  readonly sentence: string
}

const FAULT_WORDS: Readonly<Record<Fault['kind'], string>> = {
  'loop-lost': 'nothing holds the loop, so it slips to the back: it comes undone',
  'pulled-through': 'the thread goes back the way it came, so it pulls through: it comes undone',
  'not-split': 'the needle misses the thread: it holds, but the line shows a gap',
}

/** Null where the mistake cannot be worked at all on these moves. */
export function showMistake(work: StitchWork, mistake: Mistake): ShownMistake | null {
  const result = workStitch({ ...work, document: applyMistake(work.document, mistake), forgiving: true, tight: 'tight' in mistake.change })
  if (!result.ok) return null
  const worked = result.value
  const comesUndone = worked.faults.some((fault) => fault.kind !== 'not-split')
  const fault = worked.faults[0]
  const where = mistake.only ? `Stitch ${(mistake.only[0] ?? 0) + 1}: ` : 'All along: '
  const seen = fault
    ? FAULT_WORDS[fault.kind]
    : 'tight' in mistake.change
      ? 'the loops close up: it holds, but the cloth puckers and the stitch is lost'
      : 'seen at once, but it holds'
  return { mistake, worked, comesUndone, sentence: `${where}${seen}.` }
}
