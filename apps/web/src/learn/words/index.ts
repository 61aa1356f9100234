/** The words of a learner's page, in the language in which her course's steps and sheets come out; before it is known, in her device's. */
import 'dayjs/locale/de'
import type { Language } from '@lemmata/core/language'
import dayjs from 'dayjs'
import { createContext, useContext } from 'react'
import { ENGLISH, type LearnWords } from './english.ts'
import { GERMAN } from './german.ts'

export type { LearnWords } from './english.ts'

export const LEARN_WORDS: Readonly<Record<Language, LearnWords>> = { en: ENGLISH, de: GERMAN }

export const languageOfDevice = (): Language => (navigator.language.toLowerCase().startsWith('de') ? 'de' : 'en')

const Spoken = createContext<Language>('en')
export const SpokenIn = Spoken.Provider
export const useLanguage = (): Language => useContext(Spoken)
export const useWords = (): LearnWords => LEARN_WORDS[useLanguage()]

/** A day as 2027-01-14, written out. */
export const dayIn = (day: string, format: string, language: Language): string => dayjs(day).locale(language).format(format)
