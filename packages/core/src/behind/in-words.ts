/** What goes on behind, in sentences. */
import type { ExerciseId, PieceId } from '../base/index.ts'
import { counted, formatLength, listInWords, type LengthUnit } from '../units/index.ts'
import { type ThreadBehind, totalsBehind } from './plan.ts'

/** One line a thread: "Rainwater: carried 3 times, 7.2 mm at most (8 mm do not show), begun anew 5 times." */
export function behindInWords(one: ThreadBehind, unit: LengthUnit): string {
  const { carries, begunAnew, longestMm, longHops } = totalsBehind([one])
  const hidden = `${formatLength(one.limitMm, unit, unit === 'mm' ? 0 : 2)} do not show`
  const parts = [
    carries > 0 ? `carried ${times(carries)}, ${formatLength(longestMm, unit, 1)} at most (${hidden})` : null,
    begunAnew > 0 ? `finished off and begun anew ${times(begunAnew)}${carries > 0 ? '' : ` (${hidden})`}` : null,
    longHops > 0
      ? `${counted(longHops, 'way', 'ways')} within the stitch too long: weave ${longHops === 1 ? 'it' : 'them'} through what lies behind, or cut`
      : null,
    one.needlefuls.length > 0 ? `a new needleful ${times(one.needlefuls.length)}` : null,
  ].filter((part) => part !== null)
  const role = one.role === 'main' ? '' : `, ${one.role}`
  return `${one.thread.colour.name}${role}: ${parts.length === 0 ? 'in one go' : parts.join('; ')}.`
}

const times = (count: number): string => (count === 1 ? 'once' : count === 2 ? 'twice' : `${count} times`)

/**
 * In which order the pieces of an exercise are worked, and which from their other end: "2, 1 and 3; 3 from its other end".
 * `pieces`: as they are numbered on the sheet. The left hand goes the same ways backwards. Null where they are simply worked
 * as they are numbered, and for what is one piece.
 */
export function pieceOrderInWords(one: ThreadBehind, exercise: ExerciseId, pieces: readonly PieceId[], hand: 'right' | 'left'): string | null {
  const runs = one.runs.filter((run) => run.exercise === exercise)
  const worked = hand === 'left' ? [...runs].reverse() : runs
  const order = worked.map((run) => pieces.indexOf(run.piece) + 1)
  const turned = worked.filter((run) => run.turned).map((run) => pieces.indexOf(run.piece) + 1)
  if (order.length < 2 || order.includes(0)) return null
  if (turned.length === 0 && order.every((number, index) => index === 0 || number > (order[index - 1] as number))) return null
  const ends = turned.length === 0 ? '' : `; ${listInWords(turned.map(String))} from ${turned.length === 1 ? 'its' : 'their'} other end`
  return `${listInWords(order.map(String))}${ends}`
}
