/** The commands: each takes checked JSON and gives JSON, SVG or PDF. */
import { assignMaterials, surroundingsOf } from '@lemmata/core/assign'
import { error, failure, hasErrors, type Problem, type Result, success } from '@lemmata/core/base'
import { type WorkedExercise, workSampler } from '@lemmata/core/exercise'
import { nameNeedle } from '@lemmata/core/materials'
import type { Sampler } from '@lemmata/core/sampler'
import { readSampler } from '@lemmata/contract'

export interface Answer {
  readonly output: unknown
  /** Part of the input could not be worked. */
  readonly wrong: boolean
}

export interface Command {
  readonly needsFile: boolean
  readonly run: (given: unknown, options: Readonly<Record<string, string>>) => Promise<Result<Answer>> | Result<Answer>
}

const underExercise = (index: number, problems: readonly Problem[]): Problem[] => problems.map((problem) => ({ ...problem, path: ['exercises', index, ...problem.path] }))

function work(given: unknown): Result<Answer> {
  const sampler = readSampler(given)
  if (!sampler.ok) return sampler
  const results = workSampler(sampler.value)
  const problems: Problem[] = []
  const exercises: Record<string, unknown> = {}
  for (const [index, exercise] of sampler.value.exercises.entries()) {
    const result = results.get(exercise.id)
    if (!result) continue
    problems.push(...underExercise(index, result.ok ? result.value.problems : result.problems))
    exercises[exercise.id] = result.ok ? describe(result.value) : { problems: result.problems }
  }
  return success({ output: { exercises }, wrong: hasErrors(problems) }, problems)
}

/** The worked exercise in the names of the command line. */
function describe(done: WorkedExercise): unknown {
  const { worked, thread, minutes, difficulty } = done
  const { count, pitchMm, lengthMm, legs } = worked.fitted
  return {
    fitted: { count, pitchMm, lengthMm, legs },
    holes: worked.holes.map(({ x, y, move }) => ({ x, y, move })),
    segments: worked.segments.map((segment) => ({
      side: segment.side,
      thread: segment.thread,
      kind: segment.kind,
      points: segment.points.map(({ x, y }) => [x, y]),
      over: segment.order,
      ...(segment.label === null ? {} : { label: segment.label }),
    })),
    marks: done.marks,
    counts: { stitches: count, holes: worked.holes.length, motions: worked.motions },
    threadMm: { front: thread.front, back: thread.back, through: thread.through, loops: thread.loops, wraps: thread.wraps, slack: thread.slack, tails: thread.tails, total: thread.total },
    needlefuls: thread.needlefuls,
    widthMm: done.widthMm,
    coverage: done.coverage,
    minutes: minutes.total,
    difficulty,
    deviationMm: done.deviationMm,
    thread: done.assigned.thread.value.id,
    strands: { value: done.assigned.strands.value, chosen: done.assigned.strands.chosen, reason: done.assigned.strands.reason },
    needle: { kind: done.assigned.needle.value.family.id, size: done.assigned.needle.value.size, chosen: done.assigned.needle.chosen, reason: done.assigned.needle.reason },
    problems: done.problems,
  }
}

function fit(given: unknown): Result<Answer> {
  const sampler = readSampler(asExercise(given))
  if (!sampler.ok) return sampler
  const exercises: Record<string, unknown> = {}
  const problems: Problem[] = []
  for (const [index, exercise] of sampler.value.exercises.entries()) {
    const assigned = assignMaterials(exercise, surroundingsOf(sampler.value))
    problems.push(...underExercise(index, assigned.ok ? assigned.value.problems : assigned.problems))
    if (!assigned.ok) continue
    const { bundle, needles, parameters, strands } = assigned.value
    const lengths = [...parameters.values()].filter((parameter) => parameter.kind === 'length')
    exercises[exercise.id] = {
      bundleMm: bundle.diameterMm,
      lineWidthMm: bundle.lineWidthMm,
      flatWidthMm: bundle.flatWidthMm,
      strands: { value: strands.value, chosen: strands.chosen, reason: strands.reason },
      stitchLengthMm: lengths[0] ? { min: lengths[0].min, usual: lengths[0].usual, max: lengths[0].max } : null,
      needles: needles.map(({ needle, verdict, reason }) => ({ kind: needle.family.id, size: needle.size, name: nameNeedle(needle), shaftMm: needle.shaftMm, verdict, reason })),
    }
  }
  const keys = Object.keys(exercises)
  return success({ output: isBare(given) && keys[0] !== undefined ? exercises[keys[0]] : { exercises }, wrong: hasErrors(problems) }, problems)
}

interface BareFit {
  readonly thread: { readonly kind: string; readonly weight?: string } | string
  readonly strands?: number
  readonly cloth?: unknown
}

function isBare(given: unknown): given is BareFit {
  return typeof given === 'object' && given !== null && 'thread' in given && !('exercises' in given) && !('exercise' in given)
}

/** `{thread, strands, cloth}` asks about a bundle alone: it is asked of the plainest line. */
function asExercise(given: unknown): unknown {
  if (!isBare(given)) return given
  const thread = typeof given.thread === 'string' ? { kind: given.thread } : given.thread
  const cloth = typeof given.cloth === 'string' ? { kind: given.cloth } : given.cloth
  return {
    cloth,
    threads: [{ id: 't1', colour: { name: 'Any', hex: '#4B6D8F' }, ...thread }],
    exercise: { stitch: 'back-stitch', guide: { kind: 'line', path: 'M 0 0 L 50 0' }, ...(given.strands === undefined ? {} : { strands: given.strands }) },
  }
}

export const COMMANDS: Readonly<Record<string, Command>> = {
  work: { needsFile: true, run: work },
  fit: { needsFile: true, run: fit },
}

export function withSampler(given: unknown, use: (sampler: Sampler) => Result<Answer>): Result<Answer> {
  const sampler = readSampler(given)
  return sampler.ok ? use(sampler.value) : failure(...(sampler.problems.length > 0 ? sampler.problems : [error('cli.nothing', [], 'There is nothing to work.')]))
}
