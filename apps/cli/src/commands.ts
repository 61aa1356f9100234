/** The commands: each takes checked JSON and gives JSON, SVG or PDF. */
import { type AssignedThread, assignMaterials, surroundingsOf } from '@lemmata/core/assign'
import { hasErrors, type Problem, type Result, success } from '@lemmata/core/base'
import { drawSampler, writeSvg } from '@lemmata/core/drawing'
import { roleThreads, underExercise, type WorkedExercise, type WorkedPiece, workExercise, workSampler } from '@lemmata/core/exercise'
import { practiceFor, practiceGuide } from '@lemmata/core/guide'
import { nameNeedle } from '@lemmata/core/materials'
import type { ThreadUse } from '@lemmata/core/measure'
import type { StitchDocument } from '@lemmata/core/notation'
import {
  type BrokenRule,
  brokenRules,
  costOf,
  courseOf,
  courseSettings,
  describePlan,
  findOrder,
  motionsOf,
  planOf,
  restsOn,
  type RestsOn,
  restsOnBase,
  teachableStitch,
} from '@lemmata/core/order'
import { type Exercise, layAlone, layExercises, newSampler } from '@lemmata/core/sampler'
import { demonstrate, stepSentence } from '@lemmata/core/steps'
import { LIBRARY } from '@lemmata/core/stitches'
import { problemInWords, readSampler, readStitch } from '@lemmata/contract'
import type { Answer, Command } from './command.ts'
import { assign } from './assign-command.ts'
import { calendar } from './calendar-command.ts'
import { carries, importSvg, layout } from './drawing-commands.ts'
import { kit } from './kit-command.ts'
import { gallery } from './gallery.ts'
import { measure } from './measure-command.ts'
import { book, sheet } from './paper-commands.ts'

function work(given: unknown): Result<Answer> {
  const sampler = readSampler(given)
  if (!sampler.ok) return sampler
  const { results, problems } = workSampler(sampler.value)
  const exercises = Object.fromEntries(
    [...results].map(([id, result]) => [id, result.ok ? describe(result.value) : { problems: result.problems.map(withMessage) }]),
  )
  return success({ output: { exercises }, wrong: hasErrors(problems) }, problems)
}

const lengthsOf = ({ front, back, through, loops, wraps, slack, tails, total }: ThreadUse) => ({ front, back, through, loops, wraps, slack, tails, total })

/** The worked exercise in the names of the command line. */
function describe(done: WorkedExercise): unknown {
  const { pieces, minutes, difficulty } = done
  const [first] = pieces
  return {
    fitted: fittedOf(first),
    pieces: pieces.map((piece) => ({ id: piece.id, fitted: fittedOf(piece), coverage: piece.coverage, deviationMm: piece.deviationMm })),
    holes: pieces.flatMap((piece) => piece.worked.holes.map(({ x, y, move }) => ({ x, y, move, piece: piece.id }))),
    segments: pieces.flatMap((piece) =>
      piece.worked.segments.map((segment) => ({
        piece: piece.id,
        side: segment.side,
        thread: segment.thread,
        kind: segment.kind,
        points: segment.points.map(({ x, y }) => [x, y]),
        over: segment.order,
        ...(segment.label === null ? {} : { label: segment.label }),
        ...(segment.row === null ? {} : { row: segment.row }),
      })),
    ),
    marks: pieces.flatMap((piece) => piece.marks),
    counts: { stitches: done.stitches, holes: pieces.reduce((total, piece) => total + piece.worked.holes.length, 0), motions: done.motions },
    threads: done.threads.map((used) => ({
      role: used.role,
      thread: used.thread.id,
      strands: used.strands,
      widthMm: used.bundle.lineWidthMm,
      needle: needleOf(used.needle),
      needlefuls: used.use.needlefuls,
      threadMm: lengthsOf(used.use),
    })),
    threadMm: lengthsOf(done.thread),
    needlefuls: done.thread.needlefuls,
    widthMm: done.widthMm,
    coverage: done.coverage,
    minutes: minutes.total,
    difficulty,
    problems: done.problems.map(withMessage),
  }
}

function fittedOf({ worked: { fitted } }: WorkedPiece): unknown {
  const { count, pitchMm, lengthMm, legs } = fitted
  return { count, pitchMm, lengthMm, legs }
}

/** For who reads the file without our sentences. */
function withMessage(problem: Problem): unknown {
  return { ...problem, message: problemInWords(problem) }
}

function needleOf({ value, chosen, reason }: AssignedThread['needle']): unknown {
  return { kind: value.family.id, size: value.size, chosen, reason: problemInWords(reason) }
}

function fit(given: unknown): Result<Answer> {
  const sampler = readSampler(asExercise(given))
  if (!sampler.ok) return sampler
  const around = surroundingsOf(sampler.value)
  const exercises: Record<string, unknown> = {}
  const problems: Problem[] = []
  for (const [index, laid] of layExercises(sampler.value).entries()) {
    const exercise = sampler.value.exercises[index] as Exercise
    const assigned = laid.ok ? assignMaterials(exercise, laid.value.pieces[0].guide.kind, around) : laid
    problems.push(...underExercise(index, exercise, assigned.ok ? assigned.value.problems : assigned.problems))
    if (!assigned.ok) continue
    const { main, threads, parameters } = assigned.value
    const lengths = [...parameters.values()].filter((parameter) => parameter.kind === 'length')
    exercises[exercise.id] = {
      ...fitOfThread(main),
      stitchLengthMm: lengths[0] ? { min: lengths[0].min, usual: lengths[0].usual, max: lengths[0].max } : null,
      threads: threads.map((thread) => ({ role: thread.role, thread: thread.thread.value.id, ...fitOfThread(thread) })),
    }
  }
  const keys = Object.keys(exercises)
  return success({ output: isBare(given) && keys[0] !== undefined ? exercises[keys[0]] : { exercises }, wrong: hasErrors(problems) }, problems)
}

function fitOfThread({ bundle, strands, needles }: AssignedThread) {
  return {
    bundleMm: bundle.diameterMm,
    lineWidthMm: bundle.lineWidthMm,
    flatWidthMm: bundle.flatWidthMm,
    strands,
    needles: needles.map(({ needle, verdict, reason }) => ({
      kind: needle.family.id,
      size: needle.size,
      name: nameNeedle(needle),
      shaftMm: needle.shaftMm,
      verdict,
      reason: problemInWords(reason),
    })),
  }
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
  const { done, problems } = workSampler(sampler.value)
  return success(
    { output: writeSvg(drawSampler(sampler.value, done, { side: 'front', worked: true, marks: true, detail: 'edged' })), wrong: hasErrors(problems) },
    problems,
  )
}

/** The stitch on its own practice guide: what the library and the checks show of it. */
function tryOut(document: StitchDocument): Result<WorkedExercise> {
  const plain = newSampler('Try-out')
  const guide = practiceGuide(document.practice ?? practiceFor(document), 100, 100, 160)
  return workExercise(layAlone({ id: 'e1', name: document.name, stitch: document.id }, guide), { ...surroundingsOf(plain), stitches: [document] })
}

function stitches(): Result<Answer> {
  const worked = LIBRARY.map((document) => ({ document, done: tryOut(document) }))
  const course = worked.flatMap(({ done }) => (done.ok ? [teachableStitch(done.value)] : []))
  const rests = restsOn(course)
  const bases = restsOnBase(course)
  const output = worked.map(({ document, done }) => ({
    id: document.id,
    name: document.name,
    also: document.also ?? [],
    family: document.family ?? '',
    guide: document.guide,
    restsOn: [...new Set([...(rests.get(document.id) ?? []), ...(bases.has(document.id) ? [bases.get(document.id) as RestsOn] : [])].map((one) => one.on))],
    motions: done.ok ? motionsOf(done.value) : [],
    difficulty: done.ok ? done.value.stitchDifficulty.score : null,
    threads: done.ok ? done.value.assigned.threads.map((one) => one.role) : [],
  }))
  return success({ output, wrong: false })
}

function stitch(given: unknown): Result<Answer> {
  const read = readStitch(given)
  if (!read.ok) return read
  const done = tryOut(read.value)
  if (!done.ok) return done
  const { assigned, stitchDifficulty: difficulty } = done.value
  const shown = demonstrate({
    document: assigned.document,
    parameters: assigned.parameters,
    materials: assigned.materials,
    threads: roleThreads(assigned),
    hand: 'right',
  })
  if (!shown.ok) return shown
  const steps = shown.value.steps.map((step) => ({
    number: step.number,
    gesture: step.gesture,
    moment: step.moment,
    holes: step.holes,
    sentence: stepSentence(step, assigned),
  }))
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
  const { done, problems } = workSampler(sampler.value)
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
  gallery: { needsFile: false, run: gallery },
  work: { needsFile: true, run: work },
  fit: { needsFile: true, run: fit },
  order: { needsFile: true, run: order },
  svg: { needsFile: true, run: svg },
  sheet: { needsFile: true, run: sheet },
  book: { needsFile: true, run: book },
  carries: { needsFile: true, run: carries },
  calendar: { needsFile: true, run: calendar },
  kit: { needsFile: true, run: kit },
  assign: { needsFile: true, run: assign },
  measure: { needsFile: true, run: measure },
  layout: { needsFile: true, run: layout },
  import: { needsFile: true, isText: true, run: importSvg },
}
