/** The teacher's ways of working as the learner reads them on the sheet. */
import type { WorkedExercise } from '../exercise/index.ts'
import type { FreeSetting } from '../sampler/index.ts'
import type { SheetWords } from './sheet-words.ts'

export function waysInWords({ assigned }: WorkedExercise, said: SheetWords): readonly string[] {
  const { ways, document } = assigned
  const edge = document.passes.some((pass) => pass.lie === 'flat') ? said.edge[ways.satinOutline] : null
  return [said.beginAndEnd(said.start[ways.threadStart], said.end[ways.threadEnd]), ...(edge === null ? [] : [edge])]
}

/** What a learner may choose; null where everything is as written. */
export function freeInWords(free: readonly FreeSetting[], said: SheetWords): string | null {
  return free.length === 0 ? null : said.yours(free.map((one) => said.free[one]))
}
