/**
 * An exercise, worked and measured, with all its pieces: everything that the screens, the sheets and the command
 * line say about it. It depends only on the exercise, its guides and its surroundings.
 */
import { assignMaterials, type Assigned, mainLength, type Surroundings } from '../assign/index.ts'
import { error, failure, type Problem, type Result, success } from '../base/index.ts'
import { distance, type Point, tightestRadius } from '../geometry/index.ts'
import { type GuideKind, lengthToDraw, type ReadGuide } from '../guide/index.ts'
import {
  classWeights,
  type Difficulty,
  measureMinutes,
  timesMinutes,
  measureWidth,
  type Minutes,
  rateDifficulty,
  rateStitch,
  type SettingLoads,
  sumUses,
  type ThreadUse,
} from '../measure/index.ts'
import type { Exercise, LaidExercise, Material, Materials, Piece } from '../sampler/index.ts'
import type { MotionCounts, WorkedStitch } from '../work/index.ts'
import { MOST_SEGMENTS } from './budget.ts'
import { fittedShare } from './fitted-length.ts'
import { markedShare } from './marks.ts'
import { stitchLoads, sumMotions } from './stitch-loads.ts'
import { type UsedThread, usedThreads } from './used-threads.ts'
import { type WorkedPiece, workPiece } from './work-piece.ts'

export interface WorkedExercise {
  readonly exercise: Exercise
  /** What holds for the exercise; a piece may have it otherwise. */
  readonly assigned: Assigned
  readonly pieces: readonly [WorkedPiece, ...WorkedPiece[]]
  /** Stitches of all pieces. */
  readonly stitches: number
  /** Counted over all pieces. */
  readonly motions: MotionCounts
  /** Every thread by role and colour, with what it uses. */
  readonly threads: readonly UsedThread[]
  /** Of all of them together. */
  readonly thread: ThreadUse
  readonly widthMm: number
  /** Of the drawn guides together, 0 to 1. */
  readonly coverage: number
  readonly minutes: Minutes
  readonly difficulty: Difficulty
  /** Of the stitch alone, its size, curve, marks, strands and minutes left aside. */
  readonly stitchDifficulty: Difficulty
  readonly problems: readonly Problem[]
}

export function workExercise(laid: LaidExercise, around: Surroundings): Result<WorkedExercise> {
  const { exercise } = laid
  const [first] = laid.pieces
  const assign = assigner(exercise, around)
  const own = assign(first.guide.kind, {})
  if (!own.ok) return own
  const pieces: WorkedPiece[] = []
  const problems: Problem[] = [...own.value.problems]
  let segments = 0
  for (const piece of laid.pieces) {
    const assigned = assign(piece.guide.kind, piece.change)
    if (!assigned.ok) return failure(...assigned.problems.map((problem) => ofPiece(problem, piece)))
    const worked = workPiece(exercise, piece, assigned.value)
    if (!worked.ok) return worked
    segments += worked.value.worked.segments.length
    if (segments > MOST_SEGMENTS.exercise) return failure(error('exercise.too-much', [], { most: MOST_SEGMENTS.exercise }))
    pieces.push(worked.value)
    if (assigned.value !== own.value) problems.push(...assigned.value.problems.map((problem) => ofPiece(problem, piece)))
    problems.push(...worked.value.problems)
  }
  const [head, ...rest] = pieces as [WorkedPiece, ...WorkedPiece[]]
  return success(measure(exercise, own.value, [head, ...rest], around, saidOnce(problems)))
}

/** The same for every piece of one kind of guide that changes nothing. */
function assigner(exercise: Exercise, around: Surroundings) {
  const plain = new Map<GuideKind, Result<Assigned>>()
  return (kind: GuideKind, change: Piece['change']): Result<Assigned> => {
    if (change.materials || change.parameters) return assignMaterials(changed(exercise, change), kind, around)
    const known = plain.get(kind)
    if (known) return known
    const made = assignMaterials(exercise, kind, around)
    plain.set(kind, made)
    return made
  }
}

function changed(exercise: Exercise, { materials, parameters }: Piece['change']): Exercise {
  const roles = new Set([...Object.keys(exercise.materials ?? {}), ...Object.keys(materials ?? {})])
  const both = Object.fromEntries([...roles].map((role): [string, Material] => [role, { ...exercise.materials?.[role], ...materials?.[role] }])) as Materials
  return { ...exercise, ...(materials ? { materials: both } : {}), ...(parameters ? { parameters: { ...exercise.parameters, ...parameters } } : {}) }
}

function ofPiece(problem: Problem, piece: Piece): Problem {
  return piece.change.materials || piece.change.parameters ? { ...problem, path: ['pieces', piece.id, ...problem.path] } : problem
}

/** Copies share their faults: each is said once. */
function saidOnce(problems: readonly Problem[]): readonly Problem[] {
  const said = new Set<string>()
  return problems.filter(({ code, figures }) => {
    const key = `${code} ${JSON.stringify(figures)}`
    if (said.has(key)) return false
    said.add(key)
    return true
  })
}

function measure(exercise: Exercise, assigned: Assigned, pieces: WorkedExercise['pieces'], around: Surroundings, problems: readonly Problem[]): WorkedExercise {
  const motions = sumMotions(pieces.map((piece) => piece.worked.motions))
  const threads = usedThreads(pieces)
  const thread = sumUses(threads.map((one) => one.use))
  const drawnMm = sumOf(pieces, (piece) => lengthToDraw(piece.guide))
  const minutes = timesMinutes(measureMinutes(motions, thread.needlefuls, drawnMm, around.brief.level), learnedTimes(exercise))
  const weights = classWeights(around.brief.hardFor)
  const stitch = stitchLoads(assigned, pieces)
  const difficulty = rateDifficulty(stitch, settingLoads(assigned, pieces, minutes.total), weights)
  return {
    exercise,
    assigned,
    pieces,
    stitches: sumOf(pieces, (piece) => piece.worked.fitted.count),
    motions,
    threads,
    thread,
    widthMm: Math.max(...pieces.map((piece) => measureWidth(piece.work, piece.worked))),
    coverage: sumOf(pieces, (piece) => piece.coverage * sizeOf(piece.guide)) / sumOf(pieces, (piece) => sizeOf(piece.guide)),
    minutes,
    difficulty,
    stitchDifficulty: rateStitch(stitch, weights),
    problems,
  }
}

/** So many times as long as the moves come to, by what classes took; 1 where nothing was learned of this stitch. */
export function learnedTimes({ learned, stitch }: Pick<Exercise, 'learned' | 'stitch'>): number {
  return learned?.stitch === stitch ? learned.times : 1
}

/** What size, curve, marks, strands and minutes add: of the hardest piece. */
function settingLoads({ main, parameters, materials }: Assigned, pieces: WorkedExercise['pieces'], minutes: number): SettingLoads {
  const hardest = (of: (piece: WorkedPiece) => number): number => Math.max(...pieces.map(of))
  const length = mainLength(parameters)
  const shortest = Math.min(...pieces.map((piece) => fittedShare(piece.worked.fitted)))
  return {
    lengthOverMin: length && length.min !== null && length.min > 0 ? (length.value * shortest) / length.min : null,
    bend: hardest((piece) => bendOf(piece.guide, piece.worked)),
    corners: hardest((piece) => (piece.guide.kind === 'line' ? piece.guide.path.corners.length : 0)),
    unmarked: hardest((piece) => (piece.guide.kind === 'shape' ? 0 : 1 - markedShare(piece.worked, piece.marks, materials.e))),
    strands: main.bundle.strands,
    minutes,
  }
}

/** Spokes turn from one marked hole to the next about a middle that the eye has: no harder than a gentle curve. */
const SPOKES_BEND = 0.4

/** How far the line turns from one stitch to the next, radians at the tightest place. */
function bendOf(guide: ReadGuide, worked: WorkedStitch): number {
  if (guide.kind !== 'line') return 0
  const { pitchMm } = worked.fitted
  const bend = pitchMm / tightestRadius(guide.path, Math.max(1, pitchMm))
  return pointsInward(guide, worked) ? Math.min(SPOKES_BEND, bend) : bend
}

/** Stitches that run to the middle of a ring do not follow its curve: a third of their holes lie well inside. */
function pointsInward({ centre, path }: Extract<ReadGuide, { kind: 'line' }>, { holes }: WorkedStitch): boolean {
  if (!centre) return false
  const radius = distance(path.points[0] as Point, centre)
  return holes.filter((hole) => distance(hole, centre) < radius / 3).length * 3 >= holes.length
}

/** What a piece weighs among the others when their coverage is taken together: its area, or its length. */
function sizeOf(guide: ReadGuide): number {
  return guide.kind === 'shape' ? guide.areaMm2 : Math.max(1e-6, lengthToDraw(guide))
}

function sumOf(pieces: readonly WorkedPiece[], of: (piece: WorkedPiece) => number): number {
  return pieces.reduce((total, piece) => total + of(piece), 0)
}
