/** What goes on behind, in sentences. */
import type { ExerciseId, PieceId } from '../base/index.ts'
import { type Language, roleIn } from '../language/index.ts'
import { counted, formatLength, listInWords, type LengthUnit } from '../units/index.ts'
import { type ThreadBehind, totalsBehind } from './plan.ts'

interface BehindWords {
  readonly doNotShow: (length: string) => string
  readonly carried: (count: number, longest: string, hidden: string) => string
  /** `hidden`: where it was not said before. */
  readonly begunAnew: (count: number, hidden: string | null) => string
  readonly longWays: (count: number) => string
  readonly newNeedlefuls: (count: number) => string
  readonly inOneGo: string
  readonly list: (words: readonly string[]) => string
  readonly otherEnd: (numbers: string, count: number) => string
  readonly inOrder: (letter: string, order: string) => string
}

const times = (count: number): string => (count === 1 ? 'once' : count === 2 ? 'twice' : `${count} times`)
const mal = (count: number): string => (count === 1 ? 'einmal' : `${count}-mal`)

const WORDS: Readonly<Record<Language, BehindWords>> = {
  en: {
    doNotShow: (length) => `${length} do not show`,
    carried: (count, longest, hidden) => `carried ${times(count)}, ${longest} at most (${hidden})`,
    begunAnew: (count, hidden) => `finished off and begun anew ${times(count)}${hidden === null ? '' : ` (${hidden})`}`,
    longWays: (count) => `${counted(count, 'way', 'ways')} within the stitch too long: weave ${count === 1 ? 'it' : 'them'} through what lies behind, or cut`,
    newNeedlefuls: (count) => `a new needleful ${times(count)}`,
    inOneGo: 'in one go',
    list: listInWords,
    otherEnd: (numbers, count) => `; ${numbers} from ${count === 1 ? 'its' : 'their'} other end`,
    inOrder: (letter, order) => `Of ${letter} work the pieces in the order ${order}.`,
  },
  de: {
    doNotShow: (length) => `bis ${length} sieht man nichts`,
    carried: (count, longest, hidden) => `${mal(count)} hinten weitergeführt, höchstens ${longest} (${hidden})`,
    begunAnew: (count, hidden) => `${mal(count)} vernäht und neu begonnen${hidden === null ? '' : ` (${hidden})`}`,
    longWays: (count) => `${count === 1 ? 'ein Weg' : `${count} Wege`} im Stich zu lang: hinten unter den Stichen durchziehen oder abschneiden`,
    newNeedlefuls: (count) => `${mal(count)} ein neuer Faden`,
    inOneGo: 'in einem Zug',
    list: (words) => (words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} und ${words.at(-1) as string}`),
    otherEnd: (numbers) => `; ${numbers} vom anderen Ende her`,
    inOrder: (letter, order) => `Bei ${letter} die Stücke in der Reihenfolge ${order} sticken.`,
  },
}

/** One line a thread: "Rainwater: carried 3 times, 7.2 mm at most (8 mm do not show), begun anew 5 times." */
export function behindInWords(one: ThreadBehind, unit: LengthUnit, language: Language = 'en'): string {
  const say = WORDS[language]
  const { carries, begunAnew, longestMm, longHops } = totalsBehind([one])
  const hidden = say.doNotShow(formatLength(one.limitMm, unit, unit === 'mm' ? 0 : 2))
  const parts = [
    carries > 0 ? say.carried(carries, formatLength(longestMm, unit, 1), hidden) : null,
    begunAnew > 0 ? say.begunAnew(begunAnew, carries > 0 ? null : hidden) : null,
    longHops > 0 ? say.longWays(longHops) : null,
    one.needlefuls.length > 0 ? say.newNeedlefuls(one.needlefuls.length) : null,
  ].filter((part) => part !== null)
  const role = one.role === 'main' ? '' : `, ${roleIn(one.role, one.role, language)}`
  return `${one.thread.colour.name}${role}: ${parts.length === 0 ? say.inOneGo : parts.join('; ')}.`
}

/**
 * In which order the pieces of an exercise are worked, and which from their other end: "2, 1 and 3; 3 from its other end".
 * `pieces`: as they are numbered on the sheet. The left hand goes the same ways backwards. Null where they are simply worked
 * as they are numbered, and for what is one piece.
 */
export function pieceOrderInWords(
  one: ThreadBehind,
  exercise: ExerciseId,
  pieces: readonly PieceId[],
  hand: 'right' | 'left',
  language: Language = 'en',
): string | null {
  const say = WORDS[language]
  const runs = one.runs.filter((run) => run.exercise === exercise)
  const worked = hand === 'left' ? [...runs].reverse() : runs
  const order = worked.map((run) => pieces.indexOf(run.piece) + 1)
  const turned = worked.filter((run) => run.turned).map((run) => pieces.indexOf(run.piece) + 1)
  if (order.length < 2 || order.includes(0)) return null
  if (turned.length === 0 && order.every((number, index) => index === 0 || number > (order[index - 1] as number))) return null
  const ends = turned.length === 0 ? '' : say.otherEnd(say.list(turned.map(String)), turned.length)
  return `${say.list(order.map(String))}${ends}`
}

/** `letter`: by which the sheet calls the exercise. */
export const inOrderInWords = (letter: string, order: string, language: Language): string => WORDS[language].inOrder(letter, order)
