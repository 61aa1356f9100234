/** A practice row of an exercise: its stitch, its thread and its measures on a straight guide that fits the card's window. */
import type { Surroundings } from '../assign/index.ts'
import type { Result } from '../base/index.ts'
import { workExercise, type WorkedExercise } from '../exercise/index.ts'
import type { Guide, GuideKind } from '../guide/index.ts'
import { type Exercise, layAlone } from '../sampler/index.ts'
import { LONGEST_ROW_MM } from './card.ts'

/** A little less than the longest, so that a row worked too long still lies in the window. */
export const ROW_MM = LONGEST_ROW_MM - 4
/** Across a filled row, mm. */
const FILLED_MM = 6

/** `kinds`: on which its stitch is worked, as its document names them; `acrossMm`: of its own band, where it has one. */
export function practiceRow(exercise: Exercise, kinds: readonly string[], acrossMm: number | null, around: Surroundings): Result<WorkedExercise> | null {
  const guide = straightGuide(kinds as readonly GuideKind[], acrossMm)
  return guide ? workExercise(layAlone(exercise, guide), around) : null
}

function straightGuide(kinds: readonly GuideKind[], acrossMm: number | null): Guide | null {
  if (kinds.includes('line')) return { kind: 'line', path: `M 0 0 L ${ROW_MM} 0` }
  if (kinds.includes('band')) return { kind: 'band', path: `M 0 0 L ${ROW_MM} 0`, widthMm: acrossMm ?? 3 }
  if (kinds.includes('shape')) {
    const half = (acrossMm ?? FILLED_MM) / 2
    return { kind: 'shape', path: `M 0 ${-half} L ${ROW_MM} ${-half} L ${ROW_MM} ${half} L 0 ${half} Z` }
  }
  return null
}
