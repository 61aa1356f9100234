/** What is ticked: each kit's threads of a colour, and each bag when it is packed. A tick of a plan that has changed means nothing. */
import type { ColourToCut, Kit } from '@lemmata/core/kit'

/** With what is cut, so that another number of lengths is another tick. */
const colourTick = ({ thread, lengths }: ColourToCut, kits: number, number: number): string =>
  `thread ${thread.id} ${lengths.map((one) => `${one.lengthMm}x${one.parted.lengths}`).join('+')} of ${kits} kit ${number}`

export const ticksOfColour = (colour: ColourToCut, kits: number): readonly string[] =>
  Array.from({ length: kits }, (_, index) => colourTick(colour, kits, index + 1))

export const threadTicks = ({ colours, kits }: Kit): readonly string[] => colours.flatMap((colour) => ticksOfColour(colour, kits))

export const bagTicks = ({ kits, threadsOnCard }: Kit): readonly string[] =>
  Array.from({ length: kits }, (_, index) => `bag ${index + 1} of ${kits} with ${threadsOnCard}`)

/** "Slate, kit 5"; "Bag 3". */
export function nameOfTick({ colours }: Kit, tick: string): string {
  const bag = /^bag (\d+)/.exec(tick)
  if (bag) return `Bag ${bag[1]}`
  const number = /kit (\d+)$/.exec(tick)?.[1] ?? ''
  const colour = colours.find((one) => tick.startsWith(`thread ${one.thread.id} `))
  return `${colour?.thread.colour.name ?? ''}, kit ${number}`
}
