/** The words on cards and labels in a language. */
import type { Language } from '../language/index.ts'

export interface CardWords {
  readonly title: string
  readonly how: string
  readonly labels: string
  readonly labelsHow: string
  readonly lesson: (number: number) => string
  readonly look: string
  readonly photo: string
  readonly photoHow: readonly string[]
  readonly photoLine: (mm: number) => string
}

export const CARD_WORDS: Readonly<Record<Language, CardWords>> = {
  en: {
    title: 'Exercise cards',
    how: 'One for each exercise, to lie beside the hoop. Print on card and cut along the lines.',
    labels: 'Row labels',
    labelsHow: 'For the finished sampler: cut them out and pin them beside each row, or behind it.',
    lesson: (number) => `Lesson ${number}`,
    look: 'Look at it',
    photo: 'Cards for photographs',
    photoHow: [
      'A practice row is measured by the card that lies round it. Print at 100 % on plain white paper, cut along the broken lines, the window too.',
      'Lay it on the cloth so that it touches everywhere, not on the rim of a hoop, and the row alone in the window. By a window, without flash, hold the phone flat above it until the card fills the picture.',
    ],
    photoLine: (mm) => `This line is ${mm} mm long. If yours is not, measure nothing by these cards: print again without \u201cfit to page\u201d.`,
  },
  de: {
    title: '\u00dcbungskarten',
    how: 'Eine f\u00fcr jede \u00dcbung, neben den Rahmen zu legen. Auf Karton drucken und an den Linien schneiden.',
    labels: 'Schildchen',
    labelsHow: 'F\u00fcr das fertige Mustertuch: ausschneiden und neben oder hinter jede Reihe stecken.',
    lesson: (number) => `Stunde ${number}`,
    look: 'Ansehen',
    photo: 'Karten f\u00fcr Fotos',
    photoHow: [
      'Eine \u00dcbungsreihe wird an der Karte gemessen, die um sie liegt. Mit 100 % auf wei\u00dfes Papier drucken, an den gestrichelten Linien schneiden, auch das Fenster.',
      'Auf den Stoff legen, so dass sie \u00fcberall aufliegt, nicht auf den Rand eines Rahmens, und nur die eine Reihe im Fenster. Am Fenster, ohne Blitz, das Telefon flach dar\u00fcber halten, bis die Karte das Bild f\u00fcllt.',
    ],
    photoLine: (mm) =>
      `Diese Linie ist ${mm} mm lang. Ist es deine nicht, miss nichts mit diesen Karten: drucke noch einmal ohne \u201ean Seite anpassen\u201c.`,
  },
}
