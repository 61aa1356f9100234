/** The words of a learner's page, in the language in which her course's steps and sheets come out; before it is known, in her device's. */
import type { Language } from '@lemmata/core/language'
import { createContext, useContext, useEffect, useState } from 'react'
import { ENGLISH, type LearnWords } from './english.ts'

export type { LearnWords } from './english.ts'

/** Others are sent for where somebody reads them: on a phone every file counts. */
const OTHERS: Readonly<Record<Exclude<Language, 'en'>, () => Promise<LearnWords>>> = { de: () => import('./german.ts').then((one) => one.GERMAN) }
const here = new Map<Language, LearnWords>([['en', ENGLISH]])

/** Whether the words of a language are here; where they cannot be had, English does. */
export function useWordsHere(language: Language): boolean {
  const [, setLoaded] = useState<Language>('en')
  useEffect(() => {
    if (language === 'en' || here.has(language)) return
    void OTHERS[language]()
      .catch(() => ENGLISH)
      .then((words) => {
        here.set(language, words)
        setLoaded(language)
      })
  }, [language])
  return here.has(language)
}

export const languageOfDevice = (): Language => (navigator.language.toLowerCase().startsWith('de') ? 'de' : 'en')

const Spoken = createContext<Language>('en')
export const SpokenIn = Spoken.Provider
export const useLanguage = (): Language => useContext(Spoken)
export const useWords = (): LearnWords => here.get(useLanguage()) ?? ENGLISH

/** What stands in a format, as the device knows it: no names of months need be loaded. */
const PARTS = {
  dddd: { weekday: 'long' },
  MMMM: { month: 'long' },
  MMM: { month: 'short' },
  'HH:mm': { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' },
  D: { day: 'numeric' },
} as const satisfies Readonly<Record<string, Intl.DateTimeFormatOptions>>
const LOCALES: Readonly<Record<Language, string>> = { en: 'en-GB', de: 'de' }

/** A day as 2027-01-14, or a moment with its time, written out as the device's own clock has it. */
export function dayIn(day: string, format: string, language: Language): string {
  const moment = new Date(day.length > 10 ? day : `${day}T12:00`)
  return format.replace(/dddd|MMMM|MMM|HH:mm|D/g, (part) => {
    const options: Intl.DateTimeFormatOptions = PARTS[part as keyof typeof PARTS]
    const found = new Intl.DateTimeFormat(LOCALES[language], options).format(moment)
    // A day of the month has a point of its own in some languages; the format has it already.
    return part === 'D' ? found.replace(/\.$/, '') : found
  })
}
