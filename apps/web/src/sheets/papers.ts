/** What can be printed, and how it is asked for. */
import type { BookForm, BookInk } from '@lemmata/core/book'
import type { Learner } from '@lemmata/core/classes'
import { CHECK_BAR_MM, type PageSize, type PatternSize } from '@lemmata/core/sheets'

export type Paper = 'sheet' | 'learner' | 'teacher' | 'cards' | 'slip'

export const PAPERS_BY_NAME: readonly { readonly value: Paper; readonly label: string }[] = [
  { value: 'sheet', label: 'Lesson sheet' },
  { value: 'learner', label: 'Learner’s book' },
  { value: 'teacher', label: 'Teacher’s book' },
  { value: 'cards', label: 'Cards and labels' },
  { value: 'slip', label: 'Correction slip' },
]

/** How all of them are printed, whatever it is. */
export interface PrintSettings {
  readonly ink: BookInk
  /** Of the pattern; null where it is as the rest. */
  readonly pattern: PatternSize | null
  readonly booklet: boolean
}

export const USUAL_PRINT: PrintSettings = { ink: 'colour', pattern: null, booklet: false }

export interface Wanted {
  readonly paper: Paper
  readonly page: PageSize
  readonly hand: 'right' | 'left'
  readonly form: BookForm | undefined
  readonly settings: PrintSettings
  readonly barMm: number
  readonly lesson: string | undefined
  readonly group: string | undefined
  readonly learner: Learner | undefined
  /** A version that is kept, which learners have in hand. */
  readonly since: string | undefined
}

/** The address that makes it; `as` a page of the web only where it is the learner's book. */
export function addressOf(sampler: string, wanted: Wanted, as: 'pdf' | 'html' = 'pdf'): string {
  const { paper, page, hand, form, settings, barMm, lesson, group, learner, since } = wanted
  const isSheet = paper === 'sheet'
  const asked = new URLSearchParams({
    ...{ page, hand },
    ...(barMm === CHECK_BAR_MM ? {} : { bar: String(barMm) }),
    ...(settings.pattern === null ? {} : { pattern: settings.pattern }),
    ...(isSheet || paper === 'learner' ? {} : { kind: paper }),
    ...(isSheet && lesson !== undefined ? { lesson } : {}),
    ...(paper === 'learner' && form !== undefined ? { form } : {}),
    ...(isSheet || settings.ink === 'colour' ? {} : { ink: settings.ink }),
    ...(paper === 'learner' && settings.booklet ? { booklet: 'yes' } : {}),
    // Of a class its learner, or her alone of it: a sheet of nobody's needs no class.
    ...(group === undefined || (isSheet && !learner) ? {} : { class: group }),
    ...(learner && group !== undefined ? { learner: learner.id } : {}),
    ...(paper === 'slip' && since !== undefined ? { since } : {}),
  })
  return `/api/samplers/${sampler}/${isSheet ? 'sheet.pdf' : `book.${as}`}?${asked.toString()}`
}

/** The next practice row of each of a class, or of one of it. */
export function nextRowsAddress(sampler: string, group: string, page: PageSize, learner?: string): string {
  const asked = new URLSearchParams({ kind: 'rows', page, class: group, ...(learner === undefined ? {} : { learner }) })
  return `/api/samplers/${sampler}/book.pdf?${asked.toString()}`
}
