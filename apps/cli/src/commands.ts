/** The commands: each takes checked JSON and gives JSON, SVG or PDF. */
import { assignMaterials, surroundingsOf } from '@lemmata/core/assign'
import { error, failure, hasErrors, type Problem, type Result, success } from '@lemmata/core/base'
import { drawSampler, writeSvg } from '@lemmata/core/drawing'
import { type WorkedExercise, workExercise, workSampler } from '@lemmata/core/exercise'
import { practiceFor, practiceGuide } from '@lemmata/core/guide'
import { nameNeedle } from '@lemmata/core/materials'
import type { StitchDocument } from '@lemmata/core/notation'
import { type BrokenRule, brokenRules, costOf, courseOf, courseSettings, describePlan, findOrder, motionsOf, planOf, restsOn } from '@lemmata/core/order'
import { newSampler, type Sampler } from '@lemmata/core/sampler'
import { demonstrate } from '@lemmata/core/steps'
import { LIBRARY } from '@lemmata/core/stitches'
import { problemsOf, readSampler, readStitch, sheetRequest } from '@lemmata/contract'

export interface Answer {
  readonly output: unknown
  /** Part of the input could not be worked. */
  readonly wrong: boolean
}

export interface Command {
  readonly needsFile: boolean
  readonly run: (given: unknown, options: Readonly<Record<string, string>>) => Promise<Result<Answer>> | Result<Answer>
}

const underExercise = (index: number, problems: readonly Problem[]): Problem[] =>
  problems.map((problem) => ({ ...problem, path: ['exercises', index, ...problem.path] }))

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
    threadMm: {
      front: thread.front,
      back: thread.back,
      through: thread.through,
      loops: thread.loops,
      wraps: thread.wraps,
      slack: thread.slack,
      tails: thread.tails,
      total: thread.total,
    },
    needlefuls: thread.needlefuls,
    widthMm: done.widthMm,
    coverage: done.coverage,
    minutes: minutes.total,
    difficulty,
    deviationMm: done.deviationMm,
    thread: done.assigned.thread.value.id,
    strands: { value: done.assigned.strands.value, chosen: done.assigned.strands.chosen, reason: done.assigned.strands.reason },
    needle: {
      kind: done.assigned.needle.value.family.id,
      size: done.assigned.needle.value.size,
      chosen: done.assigned.needle.chosen,
      reason: done.assigned.needle.reason,
    },
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
      needles: needles.map(({ needle, verdict, reason }) => ({
        kind: needle.family.id,
        size: needle.size,
        name: nameNeedle(needle),
        shaftMm: needle.shaftMm,
        verdict,
        reason,
      })),
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
    exercise: {
      stitch: LIBRARY.find((document) => document.guide.includes('line'))?.id,
      guide: { kind: 'line', path: 'M 0 0 L 50 0' },
      ...(given.strands === undefined ? {} : { strands: given.strands }),
    },
  }
}

function svg(given: unknown): Result<Answer> {
  const sampler = readSampler(given)
  if (!sampler.ok) return sampler
  const { done, problems } = workAll(sampler.value)
  return success(
    { output: writeSvg(drawSampler(sampler.value, done, { side: 'front', worked: true, marks: true, detail: 'edged' })), wrong: hasErrors(problems) },
    problems,
  )
}

async function sheet(given: unknown, options: Readonly<Record<string, string>>): Promise<Result<Answer>> {
  const sampler = readSampler(given)
  if (!sampler.ok) return sampler
  const wanted = sheetRequest.safeParse({ page: options.page, hand: options.hand, lesson: options.lesson, version: options.version })
  if (!wanted.success) return failure(...problemsOf(wanted.error))
  if (options.out === undefined) return failure(error('cli.no-out', [], 'Say where the PDF goes: --out sheet.pdf'))
  // Loaded when needed: the other commands start in half the time without it.
  const { printSampler } = await import('@lemmata/print')
  const printed = await printSampler({ sampler: sampler.value, ...wanted.data, made: new Date() })
  return printed.ok ? success({ output: printed.value, wrong: hasErrors(printed.problems) }, printed.problems) : printed
}

function workAll(sampler: Sampler): { done: WorkedExercise[]; problems: Problem[] } {
  const done: WorkedExercise[] = []
  const problems: Problem[] = []
  const results = workSampler(sampler)
  for (const [index, exercise] of sampler.exercises.entries()) {
    const result = results.get(exercise.id)
    if (!result) continue
    if (result.ok) done.push(result.value)
    problems.push(...underExercise(index, result.ok ? result.value.problems : result.problems))
  }
  return { done, problems }
}

/** The stitch on its own practice guide: what the library and the checks show of it. */
function tryOut(document: StitchDocument): Result<WorkedExercise> {
  const plain = newSampler('Try-out')
  const exercise = { id: 'e1', name: document.name, stitch: document.id, guide: practiceGuide(document.practice ?? practiceFor(document), 100, 100, 160) }
  return workExercise(exercise, { ...surroundingsOf(plain), stitches: [document] })
}

function stitches(): Result<Answer> {
  const worked = LIBRARY.map((document) => ({ document, done: tryOut(document) }))
  const course = worked.flatMap(({ document, done }) =>
    done.ok ? [{ id: document.id, name: document.name, difficulty: done.value.difficulty.score, motions: motionsOf(done.value) }] : [],
  )
  const rests = restsOn(course)
  const output = worked.map(({ document, done }) => ({
    id: document.id,
    name: document.name,
    also: document.also ?? [],
    family: document.family ?? '',
    guide: document.guide,
    restsOn: rests.get(document.id)?.map((one) => one.on) ?? [],
    motions: done.ok ? motionsOf(done.value) : [],
    difficulty: done.ok ? done.value.difficulty.score : null,
  }))
  return success({ output, wrong: false })
}

function stitch(given: unknown): Result<Answer> {
  const read = readStitch(given)
  if (!read.ok) return read
  const done = tryOut(read.value)
  if (!done.ok) return done
  const { assigned, difficulty } = done.value
  const shown = demonstrate({ document: assigned.document, parameters: assigned.parameters, materials: assigned.materials, hand: 'right' })
  if (!shown.ok) return shown
  const steps = shown.value.steps.map((step) => ({ number: step.number, move: step.move, hole: step.hole, sentence: step.sentence }))
  return success(
    {
      output: {
        id: read.value.id,
        name: read.value.name,
        steps,
        motions: motionsOf(done.value),
        difficulty,
        threadMm: done.value.thread,
        widthMm: done.value.widthMm,
      },
      wrong: false,
    },
    done.value.problems,
  )
}

function order(given: unknown): Result<Answer> {
  const sampler = readSampler(given)
  if (!sampler.ok) return sampler
  const { done, problems } = workAll(sampler.value)
  const course = courseOf(done)
  const settings = courseSettings(sampler.value)
  const found = findOrder(course, settings)
  const plan = planOf(sampler.value, course, settings)
  const yours = { lessons: plan.lessons, cost: costOf(plan, course, settings), broken: brokenRules(course, plan, settings).map(brokenInWords) }
  if (!found.found) return success({ output: { found: false, conflict: found.conflict.sentence, yours }, wrong: true }, problems)
  const { steps } = describePlan(course, found.plan, settings)
  return success(
    {
      output: {
        found: true,
        order: found.plan.lessons.flat(),
        lessons: found.plan.lessons,
        cost: found.cost,
        bound: found.bound,
        optimal: found.optimal,
        why: Object.fromEntries(steps.map((step) => [step.id, step.why])),
        yours,
      },
      wrong: hasErrors(problems),
    },
    problems,
  )
}

function brokenInWords({ exercise, sentence, repair }: BrokenRule): unknown {
  return { exercise, sentence, repair: repair.sentence }
}

export const COMMANDS: Readonly<Record<string, Command>> = {
  stitches: { needsFile: false, run: stitches },
  stitch: { needsFile: true, run: stitch },
  work: { needsFile: true, run: work },
  fit: { needsFile: true, run: fit },
  order: { needsFile: true, run: order },
  svg: { needsFile: true, run: svg },
  sheet: { needsFile: true, run: sheet },
}
