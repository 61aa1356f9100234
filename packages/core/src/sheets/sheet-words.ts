/** The words of a sheet in a language. What is counted and measured is put in here, so that no sentence is glued together elsewhere. */
import type { SpokenSize, WorkedExercise } from '../exercise/index.ts'
import type { Language } from '../language/index.ts'
import type { FreeSetting, WaysOfWorking } from '../sampler/index.ts'
import { counted, formatLength, type LengthUnit, listInWords } from '../units/index.ts'
import { countInWords, sizeInWords } from './said.ts'

export interface SheetWords {
  readonly allLessons: string
  readonly forLearner: (name: string) => string
  readonly pattern: (title: string, mirrored: boolean) => string
  readonly corrected: (pattern: string, measured: string) => string
  readonly joinAt: (row: number, column: number) => string
  /** Letters of exercises that stand whole on no sheet. */
  readonly seam: (letters: readonly string[]) => string
  readonly grain: string
  readonly key: string
  /** Part, stitch, length, strands, thread, needle. */
  readonly columns: readonly [string, string, string, string, string, string]
  readonly behind: string
  readonly numbersOnPattern: string
  readonly beforeYouBegin: string
  readonly hand: Readonly<Record<'left' | 'right', string>>
  readonly inch: string
  readonly printTrue: string
  readonly elsePrintAgain: string
  readonly count: (done: WorkedExercise) => string
  readonly size: (size: SpokenSize, units: LengthUnit) => string
  readonly list: (names: readonly string[]) => string
  readonly used: (thread: { readonly strands: string; readonly thread: string; readonly colour: string; readonly needle: string }) => string
  /** So many of all that there are. */
  readonly ofStrands: (count: number, all: number) => string
  readonly needlefuls: (count: number, length: string) => string
  readonly time: (minutes: string, tension: string) => string
  readonly tension: Readonly<Record<'loose' | 'easy' | 'firm', string>>
  readonly instead: (stitch: string, how: string, minutes: string) => string
  readonly needle: (name: string) => string
  readonly takeCare: (text: string) => string
  readonly start: Readonly<Record<WaysOfWorking['threadStart'], string>>
  readonly end: Readonly<Record<WaysOfWorking['threadEnd'], string>>
  readonly beginAndEnd: (start: string, end: string) => string
  readonly edge: Readonly<Record<WaysOfWorking['satinOutline'], string | null>>
  readonly free: Readonly<Record<FreeSetting, string>>
  readonly yours: (settings: readonly string[]) => string
  readonly cautions: readonly string[]
  readonly front: string
  readonly back: string
}

const ENGLISH: SheetWords = {
  allLessons: 'All lessons',
  forLearner: (name) => `, for ${name}`,
  pattern: (title, mirrored) => `${title}: pattern, true size${mirrored ? ', mirrored to be ironed on' : ''}`,
  corrected: (pattern, measured) => `${pattern}, for a printer that prints 50 mm as ${measured}`,
  joinAt: (row, column) => `Row ${row}, column ${column}: lay the crosses over one another; 10 mm are on both sheets.`,
  seam: (letters) => `The seam runs through ${listInWords(letters)}.`,
  grain: 'grain',
  key: 'Key',
  columns: ['Part', 'Stitch', 'Length', 'Strands', 'Thread', 'Needle'],
  behind: 'Behind',
  numbersOnPattern: 'The numbers of the pieces stand on the pattern, where each begins.',
  beforeYouBegin: 'Before you begin',
  hand: { left: 'For the left hand', right: 'For the right hand' },
  inch: '1 inch',
  printTrue: 'Print at 100 % (actual size), then lay a ruler on the bar or the square.',
  elsePrintAgain: 'If neither is right, the marks are not either: print again without “fit to page”.',
  count: countInWords,
  size: sizeInWords,
  list: listInWords,
  used: ({ strands, thread, colour, needle }) => `${strands} of ${thread.toLowerCase()} in ${colour}, ${needle.toLowerCase()} needle`,
  ofStrands: (count, all) => `${count} of ${all}`,
  needlefuls: (count, length) => `${counted(count, 'needleful')} of ${length}.`,
  time: (minutes, tension) => `About ${minutes}. Tension: ${tension}.`,
  tension: { loose: 'loose', easy: 'easy', firm: 'firm' },
  instead: (stitch, how, minutes) => `Or ${stitch.toLowerCase()}: ${how}; about ${minutes}.`,
  needle: (name) => `${name.toLowerCase()} needle`,
  takeCare: (text) => `Take care: ${text}`,
  start: {
    'away-knot': 'a knot on the front, a hand\u2019s breadth from the work, cut off at the end',
    'knot-behind': 'a knot behind',
    'caught-tail': 'a tail of 5 cm held behind and caught under the first stitches',
  },
  end: {
    'woven-under': 'weave the tail under the stitches behind for two centimetres',
    'loop-knots': 'make two small loop knots into the stitches behind',
  },
  beginAndEnd: (start, end) => `Begin with ${start}; to end, ${end}.`,
  edge: { before: 'Outline the shape first in small stitches, and cover them.', after: 'Outline the shape when it is filled.', none: null },
  free: { colour: 'the colour', strands: 'the number of strands', length: 'the length of the stitch', marks: 'how much is marked' },
  yours: (settings) => `Yours to choose: ${listInWords(settings)}. Everything else is as written.`,
  // The usual cautions, where the work can hurt someone. Local rules and qualified practice come first.
  cautions: [
    'Needles and points: count needles out and in, park them in a cushion, keep scissors closed. Children work with an adult beside them.',
    'Good light from the side that does not hold the needle. Look up every 20 minutes; rest hands and neck every 30. Stop at tingling, pain or blurred sight.',
    'Damp thread ends with water, not in the mouth. Follow the rules of the place where you teach.',
  ],
  front: 'Front',
  back: 'Back',
}

const GERMAN: SheetWords = {
  allLessons: 'Alle Stunden',
  forLearner: (name) => `, für ${name}`,
  pattern: (title, mirrored) => `${title}: Vorlage in wahrer Größe${mirrored ? ', gespiegelt zum Aufbügeln' : ''}`,
  corrected: (pattern, measured) => `${pattern}, für einen Drucker, der 50 mm als ${measured} druckt`,
  joinAt: (row, column) => `Reihe ${row}, Spalte ${column}: Kreuze übereinanderlegen; 10 mm stehen auf beiden Blättern.`,
  seam: (letters) => `Die Naht geht durch ${letters.join(', ')}.`,
  grain: 'Fadenlauf',
  key: 'Legende',
  columns: ['Teil', 'Stich', 'Länge', 'Fäden', 'Garn', 'Nadel'],
  behind: 'Rückseite',
  numbersOnPattern: 'Die Nummern der Stücke stehen auf der Vorlage, wo jedes beginnt.',
  beforeYouBegin: 'Ehe es losgeht',
  hand: { left: 'Für die linke Hand', right: 'Für die rechte Hand' },
  inch: '1 Zoll',
  printTrue: 'Mit 100 % (tatsächliche Größe) drucken, dann ein Lineal an Balken oder Quadrat legen.',
  elsePrintAgain: 'Stimmt keines, so stimmen auch die Marken nicht: ohne „an Seite anpassen“ neu drucken.',
  count: ({ stitches, pieces }) => `${stitches} ${stitches === 1 ? 'Stich' : 'Stiche'}${pieces.length > 1 ? ` in ${pieces.length} Stücken` : ''}`,
  size: ({ lengthMm, apartMm, gapMm, acrossMm, squareMm, highMm }, units) => {
    const mm = (value: number): string => withComma(formatLength(value, units, units === 'mm' ? 2 : 3), units)
    const said = [
      lengthMm === null ? null : mm(lengthMm),
      squareMm === null ? null : `Quadrate von ${mm(squareMm)}`,
      acrossMm === null ? null : `${mm(acrossMm)} breit`,
      highMm === null ? null : `${mm(highMm)} hoch`,
      gapMm === null ? null : `Lücken von ${mm(gapMm)}`,
      apartMm === null ? null : `Abstand ${mm(apartMm)}`,
    ]
    return said.filter((one) => one !== null).join(', ')
  },
  list: (names) => (names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} und ${names.at(-1)}`),
  used: ({ strands, thread, colour, needle }) => `${thread} in ${colour}, ${strands}, ${needle}`,
  ofStrands: (count, all) => `${count} von ${all}`,
  needlefuls: (count, length) => `${count} ${count === 1 ? 'Nadelfaden' : 'Nadelfäden'} von ${length}.`,
  time: (minutes, tension) => `Etwa ${inGerman(minutes)}. Fadenspannung: ${tension}.`,
  tension: { loose: 'locker', easy: 'leicht', firm: 'fest' },
  instead: (stitch, how, minutes) => `Oder ${stitch}: ${how}; etwa ${inGerman(minutes)}.`,
  needle: (name) => name,
  takeCare: (text) => `Achtung: ${text}`,
  start: {
    'away-knot': 'mit einem Knoten auf der Vorderseite, eine Handbreit vom Stich entfernt, der zuletzt abgeschnitten wird',
    'knot-behind': 'mit einem Knoten auf der Rückseite',
    'caught-tail': 'mit einem Ende von 5 cm auf der Rückseite, das unter den ersten Stichen festgehalten wird',
  },
  end: {
    'woven-under': 'das Ende hinten zwei Zentimeter unter den Stichen durchziehen',
    'loop-knots': 'hinten zwei kleine Schlingknoten in die Stiche machen',
  },
  beginAndEnd: (start, end) => `Beginnen ${start}; zum Schluss ${end}.`,
  edge: { before: 'Die Form zuerst mit kleinen Stichen umranden und diese überdecken.', after: 'Die Form umranden, wenn sie gefüllt ist.', none: null },
  free: { colour: 'die Farbe', strands: 'die Zahl der Fäden', length: 'die Stichlänge', marks: 'wie viel vorgezeichnet wird' },
  yours: (settings) => `Frei zu wählen: ${settings.join(', ')}. Alles andere wie angegeben.`,
  cautions: [
    'Nadeln und Spitzen: Nadeln vorher und nachher zählen, ins Kissen stecken, Scheren geschlossen halten. Kinder arbeiten mit einem Erwachsenen an ihrer Seite.',
    'Gutes Licht von der Seite, die nicht die Nadel führt. Alle 20 Minuten aufblicken; alle 30 Hände und Nacken ausruhen. Bei Kribbeln, Schmerz oder verschwommener Sicht aufhören.',
    'Fadenenden mit Wasser anfeuchten, nicht im Mund. Die Regeln des Ortes beachten, an dem unterrichtet wird.',
  ],
  front: 'Vorn',
  back: 'Hinten',
}

/** "1 Std 05 Min": without their full stops, for one ends the sentence. */
const inGerman = (minutes: string): string => minutes.replace('h', 'Std').replace('min', 'Min')

const withComma = (text: string, units: LengthUnit): string => (units === 'mm' ? text.replace('.', ',') : text)

export const SHEET_WORDS: Readonly<Record<Language, SheetWords>> = { en: ENGLISH, de: GERMAN }
