/** What can be found in a sampler, with every name it has. */
import { type Sampler, teachingOrder } from '@lemmata/core/sampler'
import { letterOf } from '@lemmata/core/sheets'
import { allStitches, findStitch } from '@lemmata/core/stitches'
import type { StageState } from './stage-states.ts'

export interface Entry {
  readonly value: string
  readonly label: string
  /** What is looked through: every name of it. */
  readonly words: string
}

/** Every word that was typed begins a word of the entry. */
export function matches(typed: string, words: string): boolean {
  const there = words.toLowerCase().split(/[\s,()]+/)
  return typed
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '')
    .every((word) => there.some((one) => one.startsWith(word)))
}

export function entriesOf(sampler: Sampler, stages: readonly StageState[]): { label: string; options: Entry[] }[] {
  const exercises = teachingOrder(sampler).map((exercise, index): Entry => {
    const stitch = findStitch(exercise.stitch, sampler.stitches)?.name ?? exercise.stitch
    const letter = letterOf(index)
    return { value: `exercise ${exercise.id}`, label: `${letter}  ${exercise.name}, ${stitch.toLowerCase()}`, words: `${letter} ${exercise.name} ${stitch}` }
  })
  const stitches = allStitches(sampler.stitches).map((one): Entry => {
    const also = (one.also ?? []).join(', ')
    return { value: `stitch ${one.id}`, label: also === '' ? one.name : `${one.name} (${also})`, words: `${one.name} ${also}` }
  })
  return [
    { label: 'Exercises', options: exercises },
    { label: 'Stages', options: stages.map((stage): Entry => ({ value: `stage ${stage.id}`, label: stage.name, words: stage.name })) },
    {
      label: 'Do',
      options: [
        { value: 'do undo', label: 'Undo', words: 'Undo' },
        { value: 'do redo', label: 'Redo', words: 'Redo' },
        { value: 'do shelf', label: 'Back to the shelf', words: 'Back to the shelf' },
      ],
    },
    { label: 'Stitches', options: stitches },
  ].filter((group) => group.options.length > 0)
}
