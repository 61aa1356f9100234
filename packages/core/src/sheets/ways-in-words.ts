/** The teacher's ways of working as the learner reads them on the sheet. */
import type { WorkedExercise } from '../exercise/index.ts'
import { listInWords } from '../units/index.ts'
import type { FreeSetting, WaysOfWorking } from '../sampler/index.ts'

const START: Readonly<Record<WaysOfWorking['threadStart'], string>> = {
  'away-knot': 'a knot on the front, a hand\u2019s breadth from the work, cut off at the end',
  'knot-behind': 'a knot behind',
  'caught-tail': 'a tail of 5 cm held behind and caught under the first stitches',
}
const END: Readonly<Record<WaysOfWorking['threadEnd'], string>> = {
  'woven-under': 'weave the tail under the stitches behind for two centimetres',
  'loop-knots': 'make two small loop knots into the stitches behind',
}
const EDGE: Readonly<Record<WaysOfWorking['satinOutline'], string | null>> = {
  before: 'Outline the shape first in small stitches, and cover them.',
  after: 'Outline the shape when it is filled.',
  none: null,
}

export function waysInWords({ assigned }: WorkedExercise): readonly string[] {
  const { ways, document } = assigned
  const edge = document.passes.some((pass) => pass.lie === 'flat') ? EDGE[ways.satinOutline] : null
  return [`Begin with ${START[ways.threadStart]}; to end, ${END[ways.threadEnd]}.`, ...(edge === null ? [] : [edge])]
}

const FREE: Readonly<Record<FreeSetting, string>> = {
  colour: 'the colour',
  strands: 'the number of strands',
  length: 'the length of the stitch',
  marks: 'how much is marked',
}

/** What a learner may choose; null where everything is as written. */
export function freeInWords(free: readonly FreeSetting[]): string | null {
  if (free.length === 0) return null
  const words = free.map((one) => FREE[one])
  return `Yours to choose: ${listInWords(words)}. Everything else is as written.`
}
