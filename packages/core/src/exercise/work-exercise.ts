/**
 * An exercise, worked and measured: everything that the screens, the sheets and the command line say about
 * it. It depends only on the exercise and its surroundings.
 */
import { assignMaterials, type Assigned, mainLength, type Surroundings } from '../assign/index.ts'
import { caution, error, failure, type Problem, type Result, success } from '../base/index.ts'
import { distance, type Point, tightestRadius } from '../geometry/index.ts'
import { guideServes, type GuideKind, guideWord, lengthToDraw, readGuide, type ReadGuide } from '../guide/index.ts'
import {
  classWeights,
  measureCoverage,
  measureMinutes,
  measureThread,
  measureWidth,
  type Difficulty,
  type Minutes,
  rateDifficulty,
  type ThreadUse,
} from '../measure/index.ts'
import { cycleOf, type Move } from '../notation/index.ts'
import type { Exercise } from '../sampler/index.ts'
import { followCurve, type StitchWork, type WorkedStitch, workStitch } from '../work/index.ts'
import { fittedShare } from './fitted-length.ts'
import { drawMarks, type Mark, markedShare } from './marks.ts'

export interface WorkedExercise {
  readonly exercise: Exercise
  readonly assigned: Assigned
  readonly guide: ReadGuide
  readonly work: StitchWork
  readonly worked: WorkedStitch
  readonly marks: readonly Mark[]
  readonly thread: ThreadUse
  readonly widthMm: number
  readonly coverage: number
  readonly minutes: Minutes
  readonly difficulty: Difficulty
  readonly toleranceMm: number
  readonly deviationMm: number
  readonly problems: readonly Problem[]
}

export function workExercise(exercise: Exercise, around: Surroundings): Result<WorkedExercise> {
  const assigned = assignMaterials(exercise, around)
  if (!assigned.ok) return assigned
  const guide = readGuide(exercise.guide)
  if (!guide.ok) return failure(...guide.problems.map((problem) => ({ ...problem, path: ['guide', ...problem.path] })))
  const { document, bundle, parameters, materials } = assigned.value
  if (!guideServes(document.guide, exercise.guide.kind)) {
    return failure(
      error(
        'exercise.guide',
        ['guide', 'kind'],
        `${document.name} is worked on ${listWords(document.guide)}, not on a ${exercise.guide.kind}. Give it another guide, or choose another stitch.`,
      ),
    )
  }
  const toleranceMm = exercise.toleranceMm ?? 0.3 * bundle.lineWidthMm
  if (!(toleranceMm > 0))
    return failure(
      error(
        'exercise.tolerance',
        ['toleranceMm'],
        `A tolerance of ${toleranceMm} mm cannot be kept. Give one above 0, for example ${(0.3 * bundle.lineWidthMm).toFixed(2)}.`,
      ),
    )
  const plain: StitchWork = { document, guide: guide.value, parameters, materials, leftHand: false }
  const followed = followCurve(plain, toleranceMm)
  if (!followed.ok) return followed
  const { worked, atLeast, deviationMm, tooTight } = followed.value
  const work: StitchWork = { ...plain, atLeast }
  const problems = [...assigned.value.problems, ...checkLengths(assigned.value, guide.value, worked), ...(guide.value.kind === 'line' ? checkLegs(worked) : [])]
  if (tooTight) problems.push(tooTightProblem(assigned.value, guide.value, deviationMm, toleranceMm))
  return success(measure({ exercise, around, assigned: assigned.value, guide: guide.value, work, worked, toleranceMm, deviationMm, problems }))
}

/** The same design worked by the left hand: same guide, same marks, from the other end. */
export function workLeftHand(done: WorkedExercise): Result<WorkedStitch> {
  return workStitch({ ...done.work, leftHand: true })
}

interface Halfway {
  readonly exercise: Exercise
  readonly around: Surroundings
  readonly assigned: Assigned
  readonly guide: ReadGuide
  readonly work: StitchWork
  readonly worked: WorkedStitch
  readonly toleranceMm: number
  readonly deviationMm: number
  readonly problems: readonly Problem[]
}

function measure(half: Halfway): WorkedExercise {
  const { exercise, around, assigned, guide, work, worked } = half
  const { document, ways, cloth, bundle, materials } = assigned
  const style = exercise.marks ?? document.marks ?? 'guide-only'
  const marks = drawMarks(guide, worked, style, exercise.nth ?? 3, materials.e)
  const thread = measureThread(worked, {
    thicknessMm: cloth.thicknessMm,
    diameterMm: bundle.diameterMm,
    handling: ways.handling,
    needlefulMm: ways.needlefulMm,
  })
  const drawnMm = lengthToDraw(guide)
  const minutes = measureMinutes(worked.motions, thread.needlefuls, drawnMm, around.brief.level)
  const length = mainLength(assigned.parameters)
  const difficulty = rateDifficulty(
    {
      motions: worked.motions,
      repeats: worked.repeats,
      moves: Math.max(...document.passes.map((pass) => countMoves(cycleOf(pass).flat()))),
      special: document.passes.reduce((total, pass) => total + (pass.start ? 1 : 0) + (pass.end ? 1 : 0), 0),
      lengthOverMin: length && length.min !== null && length.min > 0 ? (length.value * fittedShare(worked.fitted)) / length.min : null,
      bend: bendOf(guide, worked),
      corners: guide.kind === 'line' ? guide.path.corners.length : 0,
      unmarked: guide.kind === 'shape' ? 0 : 1 - markedShare(worked, marks, materials.e),
      strands: bundle.strands,
      minutes: minutes.total,
    },
    classWeights(around.brief.hardFor),
  )
  return {
    exercise,
    assigned,
    guide,
    work,
    worked,
    marks,
    thread,
    widthMm: measureWidth(work, worked),
    coverage: measureCoverage(work, worked),
    minutes,
    difficulty,
    toleranceMm: half.toleranceMm,
    deviationMm: half.deviationMm,
    problems: half.problems,
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

/** Moves to remember; those over a laid thread count as well. */
function countMoves(moves: readonly Move[]): number {
  return moves.reduce((total, move) => total + ('each' in move ? move.moves.length : 1), 0)
}

/** A length the teacher gave is obeyed; outside its window it is a caution with figures. */
function checkLengths(assigned: Assigned, guide: ReadGuide, worked: WorkedStitch): Problem[] {
  const problems: Problem[] = []
  const asked = worked.fitted.askedMm
  const stretches = worked.fitted.legs.map((leg) => (asked > 0 ? leg.pitchMm / asked : 1))
  // The rows of a filling are fitted each for itself: their mean says what the eye sees.
  const mean = fittedShare(worked.fitted)
  const [least, most] = guide.kind === 'line' ? [Math.min(...stretches), Math.max(...stretches)] : [mean, mean]
  for (const parameter of assigned.parameters.values()) {
    const isLength = parameter.kind === 'length' && worked.fitted.legs.length > 0
    const low = parameter.value * (isLength ? least : 1)
    const high = parameter.value * (isLength ? most : 1)
    const show = (value: number): string => (parameter.kind === 'length' ? `${value.toFixed(2)} mm` : String(Number(value.toFixed(2))))
    // A hundredth: fitting moves a length by less than anyone can see.
    if (parameter.max !== null && high > parameter.max * 1.01) {
      problems.push(
        caution(
          'exercise.long',
          ['parameters', parameter.id],
          `${parameter.name} comes to ${show(high)}; over ${show(parameter.max)} a stitch of this weight sags or snags. Usual: ${show(parameter.usual)}.`,
        ),
      )
    } else if (parameter.min !== null && low < parameter.min * 0.99) {
      problems.push(
        caution(
          'exercise.short',
          ['parameters', parameter.id],
          `${parameter.name} comes to ${show(low)}; under ${show(parameter.min)} a stitch of this weight closes up. Usual: ${show(parameter.usual)}.`,
        ),
      )
    }
  }
  return problems
}

/** Legs between corners whose fitted stitches differ enough to be seen. */
function checkLegs(worked: WorkedStitch): Problem[] {
  const problems: Problem[] = []
  const { legs, askedMm } = worked.fitted
  const pitches = legs.map((leg) => leg.pitchMm)
  const [least, most] = [Math.min(...pitches), Math.max(...pitches)]
  if (legs.length > 1 && most > least * 1.04) {
    problems.push(
      caution(
        'exercise.legs-differ',
        ['guide'],
        `So that a hole lands on every corner, stitches are from ${least.toFixed(2)} to ${most.toFixed(2)} mm apart. Moving a corner by a few millimetres would even them.`,
      ),
    )
  }
  if (most > askedMm * 1.5 || least < askedMm * 0.67) {
    problems.push(
      caution(
        'exercise.stretched',
        ['guide'],
        `Asked for ${askedMm.toFixed(2)} mm from stitch to stitch, fitted ${(most > askedMm * 1.5 ? most : least).toFixed(2)} mm: the guide is too short for a whole number near what was asked.`,
      ),
    )
  }
  return problems
}

function tooTightProblem(assigned: Assigned, guide: ReadGuide, deviationMm: number, toleranceMm: number): Problem {
  const radius = guide.kind === 'line' ? tightestRadius(guide.path, 1) : 0
  const where = Number.isFinite(radius) ? ` where it bends to a radius of ${radius.toFixed(1)} mm` : ''
  return caution(
    'exercise.tight-curve',
    ['guide'],
    `Even at its shortest good length ${assigned.document.name.toLowerCase()} leaves the line by ${deviationMm.toFixed(2)} mm${where}; ${toleranceMm.toFixed(2)} mm is allowed. Take fewer strands, ease the curve, or choose a stitch that bends.`,
  )
}

function listWords(kinds: readonly string[]): string {
  return kinds.map((kind) => guideWord(kind as GuideKind)).join(' or ')
}
