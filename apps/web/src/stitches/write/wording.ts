/** What a stitch's letters are called where it is written in sentences, and what they are worth in the thread at hand. */
import { parameterSpec, type StitchDocument } from '@lemmata/core/notation'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { MATERIAL_NAMES } from './sentence-words.ts'

export interface Wording {
  /** Every letter with its name. */
  readonly names: ReadonlyMap<string, string>
  /** The stitch's own lengths and counts. */
  readonly own: readonly string[]
  /** What each is worth, mm or times. */
  readonly worth: ReadonlyMap<string, number>
  /** How far a band reaches to either side, mm; null on other guides. */
  readonly reach: number | null
  /** Labels of threads. */
  readonly labels: readonly string[]
}

export function wordingOf(document: StitchDocument, done: WorkedExercise | null): Wording {
  const specs = Object.entries(document.parameters ?? {}).map(([id, given]) => [id, parameterSpec(given)] as const)
  const guide = done?.pieces[0].guide
  const moves = document.passes.flatMap((pass) => [...(pass.start ?? []), ...pass.repeat.flat(), ...(pass.end ?? [])])
  return {
    names: new Map([...MATERIAL_NAMES, ...specs.map(([id, spec]) => [id, spec.name === undefined ? id : lowerFirst(spec.name)] as const)]),
    own: specs.map(([id]) => id),
    worth: new Map([...(done?.pieces[0].assigned.parameters ?? [])].map(([id, one]) => [id, one.value])),
    reach: guide?.kind === 'line' && guide.width?.kind === 'even' ? guide.width.halfMm : null,
    labels: [...new Set(moves.flatMap((move) => move.as ?? []))],
  }
}

function lowerFirst(name: string): string {
  return name.charAt(0).toLowerCase() + name.slice(1)
}
