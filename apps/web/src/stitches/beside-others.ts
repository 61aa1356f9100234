/** Two windows that keep a stitch of one name. */
import type { StitchDocument } from '@lemmata/core/notation'

/** One that another window has changed since this one looked is not written over. */
export function besideOthers(stitch: StitchDocument, seen: readonly StitchDocument[], there: readonly StitchDocument[]): StitchDocument {
  const find = (list: readonly StitchDocument[]): string => JSON.stringify(list.find((one) => one.id === stitch.id) ?? null)
  if (find(there) === find(seen) || find(there) === JSON.stringify(stitch)) return stitch
  const taken = new Set(there.map((one) => one.id))
  let count = 2
  while (taken.has(`${stitch.id}-${count}`)) count += 1
  return { ...stitch, id: `${stitch.id}-${count}`, name: `${stitch.name} ${count}` }
}
