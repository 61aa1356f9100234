/** The words on cards and labels in a language. */
import type { Language } from '../language/index.ts'

export interface CardWords {
  readonly title: string
  readonly how: string
  readonly labels: string
  readonly labelsHow: string
  readonly lesson: (number: number) => string
  readonly look: string
}

export const CARD_WORDS: Readonly<Record<Language, CardWords>> = {
  en: {
    title: 'Exercise cards',
    how: 'One for each exercise, to lie beside the hoop. Print on card and cut along the lines.',
    labels: 'Row labels',
    labelsHow: 'For the finished sampler: cut them out and pin them beside each row, or behind it.',
    lesson: (number) => `Lesson ${number}`,
    look: 'Look at it',
  },
  de: {
    title: '\u00dcbungskarten',
    how: 'Eine f\u00fcr jede \u00dcbung, neben den Rahmen zu legen. Auf Karton drucken und an den Linien schneiden.',
    labels: 'Schildchen',
    labelsHow: 'F\u00fcr das fertige Mustertuch: ausschneiden und neben oder hinter jede Reihe stecken.',
    lesson: (number) => `Stunde ${number}`,
    look: 'Ansehen',
  },
}
