/** What a learner's book is made from. */
import type { CourseOnDates } from '../calendar/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import type { Kit } from '../kit/index.ts'
import type { CourseItem } from '../order/index.ts'
import type { TaughtLesson } from '../plan/index.ts'
import type { Sampler } from '../sampler/index.ts'
import type { MeasureText, PageSize, PatternSize } from '../sheets/index.ts'
import type { Hand } from '../steps/index.ts'
import type { BookForm, BookInk, Setting } from '../pages/index.ts'
import type { BookWords } from './book-words.ts'

export interface BookOrder {
  readonly sampler: Sampler
  /** All that is worked, as whoever the book is for works it; in any order. */
  readonly done: readonly WorkedExercise[]
  readonly course: readonly CourseItem[]
  readonly kit: Kit
  /** The class's dates; none where it has none. */
  readonly dates: CourseOnDates | null
  /** Whose book it is; a line to write on where it is nobody's yet. */
  readonly owner: string | null
  readonly hand: Hand
  readonly page: PageSize
  /** Paper of the pattern, if it is to be larger. */
  readonly patternPage?: PatternSize | undefined
  /** Roomy, and compact by itself where that would be too many pages, unless it is said. */
  readonly form?: BookForm | undefined
  /** In colour unless it is said. */
  readonly ink?: BookInk | undefined
  /** Told in the foot; years, months and days. */
  readonly version: string | null
  readonly printed: string
  readonly measure: MeasureText
  /** What the check bar measured on the printer, mm. */
  readonly barMm?: number | null | undefined
}

export type BookLesson = TaughtLesson

/** One book being made: the order with what all its parts share. */
export interface Making extends BookOrder {
  readonly form: BookForm
  readonly ink: BookInk
  readonly said: BookWords
  readonly set: Setting
  readonly lessons: readonly BookLesson[]
  /** Letters by exercise, as on the pattern. */
  readonly letters: ReadonlyMap<string, string>
}
