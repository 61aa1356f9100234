/** A learner's stitch notebook, as a table that other programs open. Fetched when it is asked for. */
import { notebookCsv } from '@lemmata/contract'
import { workSampler } from '@lemmata/core/exercise'
import type { Language } from '@lemmata/core/language'
import { findClothKind } from '@lemmata/core/materials'
import { notebookOf, type PracticeEvent } from '@lemmata/core/practice'
import type { Sampler } from '@lemmata/core/sampler'

/** `sampler`: as she works it, with what she has chosen. */
export function notebookTable(sampler: Sampler, events: readonly PracticeEvent[], learner: string, language: Language): string {
  const rows = notebookOf(events, learner)
  const { done } = workSampler(sampler, new Set(rows.map((one) => one.exercise)))
  const { kind, colour } = sampler.cloth
  return notebookCsv(rows, {
    ...{ language, units: sampler.units, worked: new Map(done.map((one) => [one.exercise.id as string, one])) },
    cloth: `${findClothKind(kind)?.name ?? kind}, ${colour.name}`,
  })
}
