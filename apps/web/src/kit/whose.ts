import type { Kit, KitRange } from '@lemmata/core/kit'

/** For whom a bag is: learners first, of these the left-handed last; then what is to spare. */
export function whose({ learners, leftHanded }: Pick<Kit, 'learners' | 'leftHanded'>, index: number): string {
  if (index >= learners) return 'to spare'
  return index >= learners - leftHanded ? 'for a left hand: left-handed sheets' : 'for a right hand'
}

/** Of several bags together: each kind once, with how many where they differ. */
export function whoseAll(kit: Pick<Kit, 'learners' | 'leftHanded'>, [from, to]: KitRange): string {
  const counts = new Map<string, number>()
  for (let index = from; index < to; index += 1) counts.set(whose(kit, index), (counts.get(whose(kit, index)) ?? 0) + 1)
  return [...counts].map(([words, count]) => (counts.size === 1 ? words : `${count} ${words}`)).join(', ')
}
