/** Stitches in the families in which they hang on the wall. */
import type { StitchDocument } from '@lemmata/core/notation'

export interface Family {
  readonly name: string
  readonly documents: readonly StitchDocument[]
}

/** In the order in which the library has them; those without a family last. */
export function familiesOf(documents: readonly StitchDocument[]): readonly Family[] {
  const byName = new Map<string, StitchDocument[]>()
  for (const document of documents) {
    const name = document.family ?? 'others'
    byName.set(name, [...(byName.get(name) ?? []), document])
  }
  return [...byName].map(([name, list]) => ({ name, documents: list }))
}
