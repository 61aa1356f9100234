import type { Kit } from '@lemmata/core/kit'

/** For whom a bag is: learners first, of these the left-handed last; then what is to spare. */
export function whose({ learners, leftHanded }: Pick<Kit, 'learners' | 'leftHanded'>, index: number): string {
  if (index >= learners) return 'to spare'
  return index >= learners - leftHanded ? 'for a left hand: left-handed sheets' : 'for a right hand'
}
