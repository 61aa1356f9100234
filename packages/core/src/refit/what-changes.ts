/** What another size does to each exercise: its stitches before and after, and what is new to be said of it. */
import type { ExerciseId, Problem, Result } from '../base/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import type { Sampler } from '../sampler/index.ts'

export interface RefitChange {
  readonly id: ExerciseId
  readonly name: string
  /** Null where it cannot be worked. */
  readonly before: Counted | null
  readonly after: Counted | null
  /** Errors and cautions that it did not have before, the first of each kind. */
  readonly problems: readonly Problem[]
}

export interface Counted {
  readonly stitches: number
  /** Of the first piece: the advance from stitch to stitch as fitted, mm. */
  readonly pitchMm: number
}

export type Worked = ReadonlyMap<string, Result<WorkedExercise>>

/** In the order of the document. */
export function whatChanges(sampler: Pick<Sampler, 'exercises'>, before: Worked, after: Worked): readonly RefitChange[] {
  return sampler.exercises.map(({ id, name }) => {
    const [was, is] = [before.get(id), after.get(id)]
    const known = new Set(problemsOf(was).map((problem) => problem.code))
    return { id, name, before: counted(was), after: counted(is), problems: oncePerCode(problemsOf(is).filter((problem) => !known.has(problem.code))) }
  })
}

/** Stitches of all of them, before and after. */
export function stitchesOf(changes: readonly RefitChange[]): Counts {
  const all = (which: 'before' | 'after'): number => changes.reduce((sum, one) => sum + (one[which]?.stitches ?? 0), 0)
  return { before: all('before'), after: all('after') }
}

export interface Counts {
  readonly before: number
  readonly after: number
}

function counted(result: Result<WorkedExercise> | undefined): Counted | null {
  if (!result?.ok) return null
  const { stitches, pieces } = result.value
  return { stitches, pitchMm: pieces[0].worked.fitted.pitchMm }
}

function problemsOf(result: Result<WorkedExercise> | undefined): readonly Problem[] {
  return result?.ok ? result.value.problems : (result?.problems ?? [])
}

function oncePerCode(problems: readonly Problem[]): readonly Problem[] {
  return problems.filter((one, index) => problems.findIndex((other) => other.code === one.code) === index)
}
