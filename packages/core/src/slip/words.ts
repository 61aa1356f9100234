/** The words of a correction slip in a language. */
import type { Language } from '../language/index.ts'
import { countWord } from '../units/index.ts'
import type { ChangeKind } from './changes.ts'

export interface SlipWords {
  readonly title: string
  readonly count: (changes: number) => string
  /** What the earlier print was called, and the version of this one where it has one. */
  readonly between: (before: string, now: string | null) => string
  readonly columns: readonly [string, string, string, string]
  readonly page: (page: number) => string
  readonly newPage: (page: number) => string
  readonly cloth: string
  readonly otherPlace: readonly [string, string]
  readonly nothing: string
  readonly do: Readonly<Record<ChangeKind, string>>
}

export const SLIP_WORDS: Readonly<Record<Language, SlipWords>> = {
  en: {
    title: 'Correction slip',
    count: (changes) =>
      changes === 0
        ? 'Nothing changed: keep your pages.'
        : `${changes === 1 ? 'One thing' : `${capital(countWord(changes))} things`} changed. Nothing else did: keep your pages.`,
    between: (before, now) => `Since ${before}${now === null ? '' : `; this is version ${now}`}.`,
    columns: ['Page', 'It said', 'It says now', 'What you do'],
    page: (page) => `page ${page}`,
    newPage: (page) => `now page ${page}`,
    cloth: 'The cloth',
    otherPlace: ['its marks as you traced them', 'other marks, on the new pattern'],
    nothing: '\u2013',
    do: {
      new: 'Put its new page into your book, and trace its marks.',
      gone: 'Cross it out. What is worked may stay.',
      name: 'Write in the new name.',
      stitch: 'Take its new page. What is worked may stay.',
      thread: 'Take this from now on. What is worked stays.',
      size: 'Mark it so from now on. What is worked stays.',
      place: 'Trace it anew where it is not worked yet.',
      lesson: 'Do it in that lesson.',
      homework: 'So much of it is done at home.',
      cloth: 'Cut it so where it is not cut yet.',
    },
  },
  de: {
    title: 'Korrekturzettel',
    count: (changes) =>
      changes === 0
        ? 'Nichts ist anders: behalte deine Seiten.'
        : `${changes} ${changes === 1 ? 'Sache ist' : 'Sachen sind'} anders. Sonst nichts: behalte deine Seiten.`,
    between: (before, now) => `Seit ${before}${now === null ? '' : `; dies ist Version ${now}`}.`,
    columns: ['Seite', 'Es hie\u00df', 'Jetzt hei\u00dft es', 'Was du tust'],
    page: (page) => `Seite ${page}`,
    newPage: (page) => `jetzt Seite ${page}`,
    cloth: 'Der Stoff',
    otherPlace: ['die Zeichen, wie du sie \u00fcbertragen hast', 'andere Zeichen, auf der neuen Vorlage'],
    nothing: '\u2013',
    do: {
      new: 'Lege die neue Seite in dein Heft und \u00fcbertrage die Zeichen.',
      gone: 'Streiche es. Was gestickt ist, darf bleiben.',
      name: 'Schreibe den neuen Namen hin.',
      stitch: 'Nimm die neue Seite. Was gestickt ist, darf bleiben.',
      thread: 'Nimm von jetzt an dies. Was gestickt ist, bleibt.',
      size: 'Zeichne es von jetzt an so. Was gestickt ist, bleibt.',
      place: '\u00dcbertrage es neu, wo es noch nicht gestickt ist.',
      lesson: 'Arbeite es in dieser Stunde.',
      homework: 'So viel davon geschieht zu Hause.',
      cloth: 'Schneide ihn so, wenn er noch nicht geschnitten ist.',
    },
  },
}

const capital = (word: string): string => `${word.slice(0, 1).toUpperCase()}${word.slice(1)}`
