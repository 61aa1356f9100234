/** What can be found in a sampler, with every name it has. */
import { DRAW_TOOLS, MEASURE } from '@lemmata/core/draw'
import { type Sampler, teachingOrder } from '@lemmata/core/sampler'
import { letterOf } from '@lemmata/core/sheets'
import { allStitches, findStitch } from '@lemmata/core/stitches'
import type { StageState } from './stage-states.ts'

export interface Entry {
  readonly value: string
  readonly label: string
  /** What kind of thing it is, in a word. */
  readonly what: string
  /** What is looked through: every name of it. */
  readonly words: string
}

/** Every word that was typed begins a word of the entry. */
export function matches(typed: string, words: string): boolean {
  const there = words.toLowerCase().split(/[\s,()]+/)
  return typed
    .toLowerCase()
    .split(/[\s,()]+/)
    .filter((word) => word !== '')
    .every((word) => there.some((one) => one.startsWith(word)))
}

/** Exercises first, then stages, commands and what can be drawn, then every stitch. */
export function entriesOf(sampler: Sampler, stages: readonly StageState[]): readonly Entry[] {
  const exercises = teachingOrder(sampler).map((exercise, index): Entry => {
    const stitch = findStitch(exercise.stitch, sampler.stitches)?.name ?? exercise.stitch
    const letter = letterOf(index)
    return {
      value: `exercise ${exercise.id}`,
      label: `${letter}  ${exercise.name}, ${stitch.toLowerCase()}`,
      what: 'exercise',
      words: `${letter} ${exercise.name} ${stitch}`,
    }
  })
  const stitches = allStitches(sampler.stitches).map((one): Entry => {
    const also = (one.also ?? []).join(', ')
    return { value: `stitch ${one.id}`, label: also === '' ? one.name : `${one.name} (${also})`, what: 'stitch', words: `${one.name} ${also}` }
  })
  const act = (value: string, label: string): Entry => ({ value: `do ${value}`, label, what: 'do', words: label })
  return [
    ...exercises,
    ...stages.map((stage): Entry => ({ value: `stage ${stage.id}`, label: stage.name, what: 'stage', words: stage.name })),
    act('undo', 'Undo'),
    act('redo', 'Redo'),
    act('teach', 'Teach, on the whole screen'),
    act('kit', 'Kit and cut list'),
    act('stores', 'Stores'),
    act('shelf', 'Back to the shelf'),
    ...[...DRAW_TOOLS, MEASURE].map(
      (tool): Entry => ({
        value: `draw ${tool.id}`,
        label: tool === MEASURE ? 'Measure' : `Draw: ${tool.name.toLowerCase()}`,
        what: 'on the cloth',
        words: `draw ${tool.name}`,
      }),
    ),
    ...stitches,
  ]
}
