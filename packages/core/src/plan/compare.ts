/** Two exercises compared part by part, and what would make one easier. */
import type { Surroundings } from '../assign/index.ts'
import { mainLength, strandsInWords } from '../assign/index.ts'
import { workExercise, type WorkedExercise, type WorkedPiece } from '../exercise/index.ts'
import type { Difficulty } from '../measure/index.ts'
import { MAIN_ROLE } from '../notation/index.ts'
import type { Exercise, LaidExercise, MarkStyle, Operation } from '../sampler/index.ts'
import type { Motion } from '../work/index.ts'
import { motionWord } from '../order/index.ts'
import { listInWords } from '../units/index.ts'

const SETTING_WORDS: Readonly<Record<string, string>> = {
  memory: 'the sequence',
  short: 'its short stitches',
  bend: 'the curve',
  corner: 'the corners',
  unmarked: 'holes without a mark',
  strands: 'its strands',
  minutes: 'its length',
}

/** The name of a part of a difficulty. */
export function partWord(id: string): string {
  return SETTING_WORDS[id] ?? motionWord(id as Motion)
}

export interface PartDifference {
  readonly id: string
  /** Points by which the first has more of this. */
  readonly points: number
}

/** Least to be worth saying, points. */
const WORTH_SAYING = 0.5

/** The parts in which two exercises differ, the largest first. They add up to the difference of the scores. */
export function partDifferences(one: Difficulty, other: Difficulty): readonly PartDifference[] {
  const points = new Map<string, number>()
  for (const part of one.parts) points.set(part.id, part.score)
  for (const part of other.parts) points.set(part.id, (points.get(part.id) ?? 0) - part.score)
  return [...points].map(([id, by]) => ({ id, points: by })).sort((a, b) => Math.abs(b.points) - Math.abs(a.points) || (a.id < b.id ? -1 : 1))
}

/** "Harder than Steady rain by catching the loop (7) and the curve (3); easier by the sequence (1)." */
export function comparisonInWords(one: Difficulty, other: Difficulty, otherName: string): string {
  const differences = partDifferences(one, other).filter((part) => Math.abs(part.points) >= WORTH_SAYING)
  const by = one.score - other.score
  const named = (parts: readonly PartDifference[]): string =>
    listInWords(parts.slice(0, 3).map((part) => `${partWord(part.id)} (${Math.round(Math.abs(part.points))})`))
  const more = differences.filter((part) => part.points > 0)
  const less = differences.filter((part) => part.points < 0)
  if (more.length === 0 && less.length === 0) return `As hard as ${otherName}, in the same things.`
  const [main, second] = by >= 0 ? [more, less] : [less, more]
  const [word, opposite] = by >= 0 ? ['Harder', 'easier'] : ['Easier', 'harder']
  const head = main.length > 0 ? `${word} than ${otherName} by ${named(main)}` : `As hard as ${otherName}`
  return second.length > 0 ? `${head}; ${opposite} by ${named(second)}.` : `${head}.`
}

/** What is changed of an exercise to make it easier. */
export interface EasingChange {
  readonly parameters?: Readonly<Record<string, number>>
  readonly marks?: MarkStyle
  readonly strands?: number
}

export interface Easing {
  readonly sentence: string
  readonly set: EasingChange
  /** The edits that make it so. */
  readonly operation: Operation
  /** Points that it takes off. */
  readonly points: number
}

const LONGER = 1.25

/** Changes of an exercise that make it easier, each worked and rated, the most helpful first. */
export function waysToEase(done: WorkedExercise, around: Surroundings): readonly Easing[] {
  const { exercise, assigned } = done
  const tries: { readonly words: string; readonly set: EasingChange }[] = []
  const main = mainLength(assigned.parameters)
  const id = [...assigned.parameters.values()].find((parameter) => parameter.kind === 'length')?.id
  if (main && id) {
    const longer = Math.round(10 * Math.min(main.max ?? Infinity, main.value * LONGER)) / 10
    if (longer > main.value * 1.05)
      tries.push({ words: `${main.name} ${longer} mm instead of ${Number(main.value.toFixed(2))}`, set: { parameters: { [id]: longer } } })
  }
  const marks = exercise.marks ?? assigned.document.marks ?? 'guide-only'
  if (marks !== 'every-hole' && done.pieces.some((piece) => piece.guide.kind !== 'shape'))
    tries.push({ words: 'a mark for every hole', set: { marks: 'every-hole' } })
  const { value: strands } = assigned.main.strands
  for (const other of [strands - 1, strands + 1])
    if (other >= 1 && other <= assigned.main.kind.mostStrands)
      tries.push({ words: `${strandsInWords(other)} instead of ${strandsInWords(strands)}`, set: { strands: other } })
  return tries
    .flatMap(({ words, set }) => {
      const result = workExercise(laidAgain(done, eased(exercise, set)), around)
      if (!result.ok || result.value.problems.some((problem) => problem.severity === 'error')) return []
      const points = done.difficulty.score - result.value.difficulty.score
      const most = partDifferences(done.difficulty, result.value.difficulty).find((part) => part.points > 0)
      if (points < WORTH_SAYING) return []
      const sentence = `With ${words}: ${Math.round(result.value.difficulty.score)} instead of ${Math.round(done.difficulty.score)}${most ? `, mostly ${partWord(most.id)}` : ''}.`
      return [{ sentence, set, operation: operationFor(exercise.id, set), points }]
    })
    .sort((a, b) => b.points - a.points)
}

/** The exercise as eased, on the same pieces. */
function eased(exercise: Exercise, { parameters, marks, strands }: EasingChange): Exercise {
  return {
    ...exercise,
    ...(parameters ? { parameters: { ...exercise.parameters, ...parameters } } : {}),
    ...(marks ? { marks } : {}),
    ...(strands === undefined ? {} : { materials: { ...exercise.materials, [MAIN_ROLE]: { ...exercise.materials?.[MAIN_ROLE], strands } } }),
  }
}

function laidAgain({ pieces: [first, ...rest], exercise: { pieces: changes } }: WorkedExercise, exercise: Exercise): LaidExercise {
  const piece = ({ id, drawn, layer }: WorkedPiece) => ({ id, guide: drawn, layer, change: changes?.[id] ?? {} })
  return { exercise, pieces: [piece(first), ...rest.map(piece)] }
}

function operationFor(id: string, { parameters, marks, strands }: EasingChange): Operation {
  if (parameters) return { kind: 'set-parameters', id, set: parameters }
  if (strands !== undefined) return { kind: 'assign', id, role: MAIN_ROLE, set: { strands } }
  return { kind: 'change-exercise', id, set: { marks } }
}
