/** The words on next rows in a language. */
import type { Language } from '../language/index.ts'

export interface NextRowsWords {
  readonly title: string
  readonly how: string
  readonly help: (step: number | null) => string
  readonly catchUp: string
  readonly first: string
  readonly ready: string
  readonly ahead: string
  readonly larger: string
  readonly stitches: (count: number, isAbout: boolean) => string
  readonly marked: (every: number, isUpright: boolean) => string
  readonly noRow: string
  readonly finished: (names: string) => string
  readonly picture: (name: string) => string
}

export const NEXT_ROWS_WORDS: Readonly<Record<Language, NextRowsWords>> = {
  en: {
    title: 'Next rows',
    how: 'One for each learner, on spare cloth of the same kind, in the hoop. Copy the row onto the cloth at its true size, work it, lay the card round it and photograph it. A card that was cut out before serves as well.',
    help: (step) => (step === null ? 'Ask to be shown it once more, then work this row.' : `Ask to be shown step ${step} once more, then work this row.`),
    catchUp: 'The first to catch up with.',
    first: 'A first row: take your time, and photograph it.',
    ready: 'The first of the next lesson.',
    ahead: 'What you have begun already.',
    larger: 'This row is a quarter larger than the exercise.',
    stitches: (count, isAbout) => `${isAbout ? 'about ' : ''}${count} stitches`,
    marked: (every, isUpright) =>
      every === 0
        ? 'only the line is marked'
        : isUpright
          ? 'upright lines show the slant'
          : every === 1
            ? 'every stitch is marked'
            : every === 3
              ? 'every third stitch is marked'
              : `one stitch in ${every} is marked`,
    noRow: 'A photograph cannot measure this stitch: work it once more on spare cloth, a short row or three single ones, and hold it beside the last.',
    finished: (names) => `All of it is worked by ${names}.`,
    picture: (name) => `The row of ${name} at its true size`,
  },
  de: {
    title: 'Nächste Reihen',
    how: 'Eine für jede, auf einem Rest vom gleichen Stoff, im Rahmen. Die Reihe in wahrer Größe auf den Stoff übertragen, arbeiten, die Karte darum legen und fotografieren. Eine Karte, die schon ausgeschnitten ist, tut es auch.',
    help: (step) =>
      step === null ? 'Lass sie dir noch einmal zeigen, dann arbeite diese Reihe.' : `Lass dir Schritt ${step} noch einmal zeigen, dann arbeite diese Reihe.`,
    catchUp: 'Das erste zum Nachholen.',
    first: 'Eine erste Reihe: nimm dir Zeit, und fotografiere sie.',
    ready: 'Die erste der nächsten Stunde.',
    ahead: 'Was du schon begonnen hast.',
    larger: 'Diese Reihe ist ein Viertel größer als die Übung.',
    stitches: (count, isAbout) => `${isAbout ? 'etwa ' : ''}${count} Stiche`,
    marked: (every, isUpright) =>
      every === 0
        ? 'nur die Linie ist gezeichnet'
        : isUpright
          ? 'senkrechte Striche zeigen die Richtung'
          : every === 1
            ? 'jeder Stich ist markiert'
            : every === 3
              ? 'jeder dritte Stich ist markiert'
              : `einer von ${every} Stichen ist markiert`,
    noRow:
      'Dieser Stich lässt sich auf einem Foto nicht messen: arbeite ihn noch einmal auf einem Rest, eine kurze Reihe oder drei einzelne, und halte sie neben die letzten.',
    finished: (names) => `Fertig mit allem: ${names}.`,
    picture: (name) => `Die Reihe von ${name} in wahrer Größe`,
  },
}
