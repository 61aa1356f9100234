/** The words of a book by language. */
import type { Language } from '../language/index.ts'
import type { BookWords } from './book-words.ts'
import { ENGLISH } from './english.ts'
import { GERMAN } from './german.ts'

export const BOOK_WORDS: Readonly<Record<Language, BookWords>> = { en: ENGLISH, de: GERMAN }
