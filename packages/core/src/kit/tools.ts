/** What a kit needs besides thread and needles: which of it one cannot do without, what serves instead, who brings it. */
import type { WorkedExercise } from '../exercise/index.ts'
import type { Motion } from '../work/index.ts'

export interface KitTool {
  readonly id: string
  readonly name: string
  readonly needed: 'always' | 'helps'
  /** Cheaper, or at hand anyway. */
  readonly instead: string | null
  /** One for the room does. */
  readonly shared: boolean
  /** Before it is used. */
  readonly caution: string | null
}

const tool = (
  id: string,
  name: string,
  needed: KitTool['needed'],
  instead: string | null,
  more: Partial<Pick<KitTool, 'shared' | 'caution'>> = {},
): KitTool => ({
  id,
  name,
  needed,
  instead,
  shared: false,
  caution: null,
  ...more,
})

const ALWAYS: readonly KitTool[] = [
  tool('scissors', 'Small pointed scissors', 'always', 'any small sharp pair that has never cut paper', {
    caution: 'Closed and point down on the table, handed over by the blades.',
  }),
  tool('needle-threader', 'Needle threader', 'helps', 'a slip of folded paper through the eye'),
  tool('thimble', 'Thimble', 'helps', 'a scrap of leather or a plaster on the middle finger'),
  tool('needle-book', 'Needle book, numbered', 'always', 'a square of felt with the sizes written beside them', {
    caution: 'Count needles and pins out and in again.',
  }),
  tool('thread-card', 'Card with a hole for each thread', 'always', 'stiff paper and a hole punch'),
]

const WHEN: readonly { readonly motions: readonly Motion[]; readonly tool: KitTool }[] = [
  {
    motions: ['pin', 'round-pin'],
    tool: tool('pins', 'Pins, long and thin', 'always', 'a second needle stood in the cloth', { caution: 'Its point goes back into the cloth.' }),
  },
  { motions: ['bead'], tool: tool('beads', 'Beads and a dish for them', 'always', 'a jar lid lined with felt') },
  {
    motions: ['cut', 'withdraw'],
    tool: tool('fine-scissors', 'Fine scissors for cutting cloth threads', 'always', null, {
      shared: true,
      caution: 'Cut cloth stays cut: slide the lower blade under, lift it, look, then cut.',
    }),
  },
  { motions: ['pad'], tool: tool('felt', 'Felt', 'always', 'layers of tightly woven wool') },
]

const STILETTO = tool('stiletto', 'Stiletto', 'always', 'a thick tapestry needle', {
  shared: true,
  caution: 'Hold the cloth flat, keep the hand out of the point\u2019s way.',
})

/** How strands are parted and a needle threaded without a tangle, a tear or a tail that slips out. */
export const PARTING: readonly string[] = [
  'Hold the length near one end and draw one strand straight up and out, then the next: one by one they tangle least. Let the rest bunch up and fall.',
  'Lay those that are wanted together again, ends level; draw them once between finger and thumb.',
  'Cut the end clean and on the slant. Pinch it flat and bring the eye to the thread, or use a threader. Leave 10 to 13 cm beyond the eye.',
  'Moisten it, or the eye, with water on a fingertip, not with the lips.',
]

/** Before a room works with needles. They are the usual ones; the rules of the place come first. */
export const CAUTIONS: readonly string[] = [
  'Needles and pins: counted out and in again, never in the mouth or in clothes; one that is missing is looked for with a magnet before anyone leaves.',
  'Scissors: closed and point down, handed over by the blades. A stiletto or an awl: cork on its point, cloth held flat, the other hand out of its way.',
  'Thread and lips: use water. Dyes, dust and wax do not belong in the mouth.',
  'Eyes and hands: good light from the side that does not sew; look up and stretch the fingers every twenty minutes.',
  'Iron and hot glue at finishing: on a firm table apart, one trained person at it, unplugged when it is left.',
]

/** In the order in which one would lay them out. `opens`: holes are opened before the needle. */
export function toolsFor(done: readonly WorkedExercise[], opens: boolean): readonly KitTool[] {
  const has = (motion: Motion): boolean => done.some((one) => (one.motions[motion] ?? 0) > 0)
  const rings = done.some((one) => one.assigned.document.guide.includes('ring') && has('cut'))
  return [...ALWAYS, ...WHEN.filter((one) => one.motions.some(has)).map((one) => one.tool), ...(opens || rings ? [STILETTO] : [])]
}
