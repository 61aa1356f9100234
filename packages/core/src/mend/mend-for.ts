/** One edit that puts a problem right, where one is known: offered beside its sentence. */
import { strandsInWords } from '../assign/index.ts'
import type { Problem } from '../base/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import { nameNeedle } from '../materials/index.ts'
import { MAIN_ROLE } from '../notation/index.ts'
import type { Exercise, Material, Operation, Sampler } from '../sampler/index.ts'
import { capitalised, formatLength } from '../units/index.ts'
import { evenLegs, largerCurve } from './ease-guide.ts'
import { moveAway } from './crowded.ts'
import { moveInside } from './outside.ts'

export interface Mend {
  /** On the button. */
  readonly words: string
  readonly operation: Operation
}

interface Case {
  readonly problem: Problem
  readonly exercise: Exercise
  /** Null where it cannot be worked. */
  readonly done: WorkedExercise | null
  readonly sampler: Sampler
  /** All that is worked. */
  readonly among: readonly WorkedExercise[]
}

/** By the code of the problem. */
const MENDS: Readonly<Record<string, (given: Case) => Mend | null>> = {
  'cloth.outside': ({ done, sampler }) => {
    const operation = done && moveInside(done, sampler)
    return operation && { words: 'Move it inside', operation }
  },
  'cloth.crowded': ({ done, sampler, among }) => {
    const away = done && moveAway(done, among, sampler)
    return away && { words: `Move it ${formatLength(away.byMm, sampler.units, sampler.units === 'mm' ? 1 : 3)} away`, operation: away.operation }
  },
  'exercise.long': usualLength,
  'exercise.short': usualLength,
  'exercise.wide-apart': usualLength,
  'exercise.close': usualLength,
  'exercise.out-of-range': usualLength,
  'exercise.tight-curve': ({ exercise, done, sampler }) => {
    const strands = done?.assigned.main.strands.value ?? 1
    if (strands > 1) return { words: `Take ${strandsInWords(strands - 1)}`, operation: assigns(exercise, MAIN_ROLE, { strands: strands - 1 }) }
    const larger = largerCurve(exercise, done, sampler)
    return larger && { words: `Ease the curve: draw it ${larger.percent} % larger`, operation: larger.operation }
  },
  'exercise.legs-differ': ({ exercise, done, sampler }) => {
    const operation = evenLegs(exercise, done, sampler)
    return operation && { words: 'Move the corners', operation }
  },
  'exercise.tolerance': ({ exercise }) => ({
    words: 'Take the usual tolerance',
    operation: { kind: 'change-exercise', id: exercise.id, set: {}, clear: ['toleranceMm'] },
  }),
  'assign.needle': ({ problem, exercise, done }) => {
    const role = roleOf(problem)
    const best = done?.assigned.threads.find((one) => one.role === role)?.needles[0]
    if (!exercise.materials?.[role]?.needle || !best || best.verdict === 'no') return null
    return { words: `Take ${nameNeedle(best.needle).toLowerCase()}`, operation: chooseAgain(exercise, role, 'needle') }
  },
  'assign.no-needle': ({ problem, exercise }) => ({ words: 'Choose the needle again', operation: chooseAgain(exercise, roleOf(problem), 'needle') }),
  'assign.strands': ({ problem, exercise }) => ({ words: 'Choose the strands again', operation: chooseAgain(exercise, roleOf(problem), 'strands') }),
  'assign.no-variant': ({ exercise }) => ({
    words: 'Take the usual way',
    operation: { kind: 'change-exercise', id: exercise.id, set: {}, clear: ['variant'] },
  }),
  'assign.no-role': ({ problem, exercise }) => {
    const role = roleOf(problem)
    const fields = Object.keys(exercise.materials?.[role] ?? {}) as (keyof Material)[]
    return { words: 'Forget it', operation: { kind: 'assign', id: exercise.id, role, set: {}, clear: fields } }
  },
}

export function mendFor(problem: Problem, exercise: Exercise, done: WorkedExercise | null, sampler: Sampler, among: readonly WorkedExercise[]): Mend | null {
  return MENDS[problem.code]?.({ problem, exercise, done, sampler, among }) ?? null
}

/** A length that was given becomes the usual one again. */
function usualLength({ problem, exercise, done, sampler: { units } }: Case): Mend | null {
  const id = String(problem.path[1])
  const parameter = done?.assigned.parameters.get(id)
  if (!parameter?.given) return null
  const usual = parameter.kind === 'length' ? formatLength(parameter.usual, units, units === 'mm' ? 2 : 3) : String(Number(parameter.usual.toFixed(2)))
  return { words: capitalised(`take the usual ${usual}`), operation: { kind: 'set-parameters', id: exercise.id, set: {}, clear: [id] } }
}

function assigns(exercise: Exercise, role: string, set: Material): Operation {
  return { kind: 'assign', id: exercise.id, role, set }
}

function chooseAgain(exercise: Exercise, role: string, field: keyof Material): Operation {
  return { kind: 'assign', id: exercise.id, role, set: {}, clear: [field] }
}

/** Paths of materials are `materials/<role>/...`. */
function roleOf({ path }: Problem): string {
  return path[0] === 'materials' ? String(path[1]) : MAIN_ROLE
}
