/** Problems and reasons in words: the tables of all rooms, told in the reader's unit. */
import { type Problem, type Sentences, tell, type Told } from '../base/index.ts'
import { ASSIGN_SENTENCES } from '../assign/index.ts'
import { BRING_IN_SENTENCES } from '../bring-in/index.ts'
import { CALENDAR_SENTENCES } from '../calendar/index.ts'
import { CLASSES_SENTENCES } from '../classes/index.ts'
import { CUTTING_SENTENCES } from '../cutting/index.ts'
import { EXERCISE_SENTENCES } from '../exercise/index.ts'
import { GEOMETRY_SENTENCES } from '../geometry/index.ts'
import { GUIDE_SENTENCES } from '../guide/index.ts'
import { MARKING_SENTENCES } from '../marking/index.ts'
import { MATERIALS_SENTENCES } from '../materials/index.ts'
import { MEND_SENTENCES } from '../mend/index.ts'
import { NOTATION_SENTENCES } from '../notation/index.ts'
import { REFIT_SENTENCES } from '../refit/index.ts'
import { SAMPLER_SENTENCES } from '../sampler/index.ts'
import { SHEETS_SENTENCES } from '../sheets/index.ts'
import { STORES_SENTENCES } from '../stores/index.ts'
import { formatLength, type LengthUnit } from '../units/index.ts'
import { where, WORK_SENTENCES } from '../work/index.ts'

export const CORE_SENTENCES: Sentences = {
  ...GEOMETRY_SENTENCES,
  ...MATERIALS_SENTENCES,
  ...GUIDE_SENTENCES,
  ...NOTATION_SENTENCES,
  ...SAMPLER_SENTENCES,
  ...CALENDAR_SENTENCES,
  ...CLASSES_SENTENCES,
  ...STORES_SENTENCES,
  ...ASSIGN_SENTENCES,
  ...WORK_SENTENCES,
  ...EXERCISE_SENTENCES,
  ...SHEETS_SENTENCES,
  ...MEND_SENTENCES,
  ...MARKING_SENTENCES,
  ...BRING_IN_SENTENCES,
  ...REFIT_SENTENCES,
  ...CUTTING_SENTENCES,
}

export interface Telling {
  /** Millimetres unless it is said. */
  readonly unit?: LengthUnit
  /** Sentences of what stands above core. */
  readonly more?: Sentences
}

/** A reason, or what is wrong without what it is about. */
export function toldInWords(told: Told, { unit = 'mm', more }: Telling = {}): string {
  return tell(told, more ? { ...CORE_SENTENCES, ...more } : CORE_SENTENCES, (mm) => lengthInWords(mm, unit))
}

/** A problem as a sentence, with what it is about before it. */
export function problemInWords(problem: Told & Pick<Problem, 'about'>, telling: Telling = {}): string {
  const sentence = toldInWords(problem, telling)
  const about = (problem.about ?? []).map((one) => (typeof one === 'string' ? one : 'path' in one ? where(one.path) : `repeat ${one.repeat}`))
  return about.length === 0 ? sentence : `${about.join(', ')}: ${sentence}`
}

/** At most two decimals, in inches three where two would say nothing; no sixteenths, which are for a ruler. */
function lengthInWords(mm: number, unit: LengthUnit): string {
  const decimals = unit === 'in' && Math.abs(mm) < TENTH_OF_AN_INCH_MM ? 3 : 2
  return formatLength(mm, unit, decimals)
    .replace(/ \(.*\)$/, '')
    .replace(/\.(\d*?)0+ /, (_, kept: string) => (kept === '' ? ' ' : `.${kept} `))
}

const TENTH_OF_AN_INCH_MM = 2.54
