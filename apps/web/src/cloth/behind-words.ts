/** What goes on behind, in sentences. */
import { type ThreadBehind, totalsBehind } from '@lemmata/core/behind'
import { counted, formatLength, type LengthUnit } from '@lemmata/core/units'

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
