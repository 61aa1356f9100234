/** Which stitches the wall shows. */
import type { Result } from '@lemmata/core/base'
import type { StitchDocument } from '@lemmata/core/notation'
import type { Motion } from '@lemmata/core/work'
import type { WallFacts } from './wall-picture.ts'

export interface WallFilter {
  readonly words: string
  readonly family: string | null
  readonly guide: string | null
  readonly motion: Motion | null
  readonly stage: number | null
  /** Only what needs no motion beyond these. */
  readonly taught: ReadonlySet<Motion> | null
}

export const NO_FILTER: WallFilter = { words: '', family: null, guide: null, motion: null, stage: null, taught: null }

/** Bands of difficulty as teachers speak of them; each reaches up to its figure. */
export const STAGES: readonly { readonly name: string; readonly upTo: number }[] = [
  { name: 'First lessons (to 20)', upTo: 20 },
  { name: 'Soon after (20 to 35)', upTo: 35 },
  { name: 'Later (35 to 55)', upTo: 55 },
  { name: 'Practised hands (over 55)', upTo: 100 },
]

export function isShown(document: StitchDocument, facts: Result<WallFacts> | undefined, filter: WallFilter): boolean {
  const words = filter.words.trim().toLowerCase()
  const names = [
    document.name,
    document.id,
    ...(document.also ?? []),
    document.family ?? '',
    ...(document.goodFor ?? []),
    ...(document.lookAlikes ?? []).map((one) => one.name),
  ]
  if (words !== '' && !names.some((name) => name.toLowerCase().includes(words))) return false
  if (filter.family !== null && document.family !== filter.family) return false
  if (filter.guide !== null && !document.guide.includes(filter.guide)) return false
  if (filter.motion === null && filter.stage === null && filter.taught === null) return true
  if (!facts?.ok) return false
  const { motions, score } = facts.value
  if (filter.motion !== null && !motions.includes(filter.motion)) return false
  const { taught } = filter
  if (taught && !motions.every((motion) => taught.has(motion))) return false
  if (filter.stage === null) return true
  return score <= (STAGES[filter.stage]?.upTo ?? 100) && score > (STAGES[filter.stage - 1]?.upTo ?? -1)
}
