/** What a sheet is made from. */
import type { WorkedExercise } from '../exercise/index.ts'
import type { Sampler } from '../sampler/index.ts'
import type { Hand } from '../steps/index.ts'
import type { MeasureText } from './flow.ts'
import type { PageSize, PatternSize } from './furniture.ts'

export interface SheetOrder {
  readonly sampler: Sampler
  /** The exercises to print, worked, in their order. */
  readonly exercises: readonly WorkedExercise[]
  readonly title: string
  readonly page: PageSize
  /** Paper of the pattern, if it is to be larger. */
  readonly patternPage?: PatternSize | undefined
  readonly hand: Hand
  readonly measure: MeasureText
  /** What the check bar measured on the printer that prints it, mm; null or left out where it is right. */
  readonly barMm?: number | null | undefined
}
