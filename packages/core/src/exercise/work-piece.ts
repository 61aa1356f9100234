/** One piece of an exercise, worked: a guide or one of its copies, with the stitch on it. */
import type { Assigned } from '../assign/index.ts'
import { caution, error, failure, mm, type PieceId, type Problem, type Result, success } from '../base/index.ts'
import { tightestRadius } from '../geometry/index.ts'
import { type Guide, guideServes, readGuide, type ReadGuide } from '../guide/index.ts'
import { measureBare, measureCoverage, measureOutside, type OutsideShape } from '../measure/index.ts'
import type { Exercise, MarkStyle, Piece } from '../sampler/index.ts'
import { followCurve, followsVein, type RoleThreads, type StitchWork, type WorkedStitch } from '../work/index.ts'
import { checkLegs, checkLengths, checkSpans } from './check-lengths.ts'
import type { Mark } from './mark.ts'
import { drawMarks } from './marks.ts'

export interface WorkedPiece {
  readonly id: PieceId
  readonly layer: Piece['layer']
  /** As drawn, and as it is worked. */
  readonly drawn: Guide
  readonly guide: ReadGuide
  readonly assigned: Assigned
  readonly work: StitchWork
  readonly worked: WorkedStitch
  readonly marks: readonly Mark[]
  readonly markStyle: MarkStyle
  /** Every so many holes are marked where some are. */
  readonly nth: number
  readonly coverage: number
  readonly toleranceMm: number
  readonly deviationMm: number
  /** Thread outside the shape that it fills. */
  readonly outside: OutsideShape
  readonly problems: readonly Problem[]
}

/** Problems have paths from the exercise. */
export function workPiece(exercise: Exercise, piece: Piece, assigned: Assigned): Result<WorkedPiece> {
  const read = readGuide(piece.guide)
  if (!read.ok) return failure(...read.problems.map((problem) => ({ ...problem, path: ['guide', ...problem.path] })))
  const { document, parameters, materials, main } = assigned
  const { kind } = piece.guide
  if (!guideServes(document.guide, kind)) return failure(error('exercise.guide', ['on'], { stitch: document.name, guides: document.guide, guide: kind }))
  const toleranceMm = exercise.toleranceMm ?? 0.3 * main.bundle.lineWidthMm
  if (!(toleranceMm > 0)) return failure(error('exercise.tolerance', ['toleranceMm'], { tolerance: mm(toleranceMm), usual: mm(0.3 * main.bundle.lineWidthMm) }))
  const guide = read.value
  const plain: StitchWork = { document, guide, parameters, materials, threads: roleThreads(assigned), leftHand: false }
  const followed = followCurve(plain, toleranceMm)
  if (!followed.ok) return followed
  const { worked, atLeast, deviationMm, tooTight } = followed.value
  const work: StitchWork = { ...plain, atLeast }
  const markStyle = exercise.marks ?? document.marks ?? 'guide-only'
  const nth = exercise.nth ?? 3
  const problems = [...checkLengths(assigned, guide, worked), ...checkSpans(assigned, worked), ...(guide.kind === 'line' ? checkLegs(worked) : [])]
  const outside = measureOutside(work, worked)
  if (outside.share > OUTSIDE_SAID) problems.push(outsideProblem(assigned, guide, outside))
  if (worked.driftMm > worked.fitted.pitchMm)
    problems.push(caution('exercise.drifts', ['on'], { stitch: document.name.toLowerCase(), off: mm(worked.driftMm) }))
  const bare = guide.kind === 'shape' && guide.region.length > 1 && followsVein(document) ? measureBare(work, worked) : 0
  if (bare > BARE_SAID) problems.push(caution('exercise.bare-behind-hole', ['on'], { stitch: document.name.toLowerCase(), percent: Math.round(bare * 100) }))
  if (tooTight) problems.push(tooTightProblem(assigned, guide, deviationMm, toleranceMm))
  return success({
    id: piece.id,
    layer: piece.layer,
    drawn: piece.guide,
    guide,
    assigned,
    work,
    worked,
    marks: drawMarks(guide, worked, { style: markStyle, nth, besideMm: materials.e, hand: 'right' }),
    markStyle,
    nth,
    coverage: measureCoverage(work, worked),
    toleranceMm,
    deviationMm,
    outside,
    problems,
  })
}

/** The widths of each of the stitch's threads, as the geometry of working needs them. mm. */
export function roleThreads({ threads }: Pick<Assigned, 'threads'>): RoleThreads {
  return Object.fromEntries(
    threads.map(({ role, bundle, needle }) => [role, { D: bundle.diameterMm, W: bundle.lineWidthMm, F: bundle.flatWidthMm, ds: needle.value.shaftMm }]),
  )
}

/** Less than a hundredth of the thread outside its shape is not seen. */
const OUTSIDE_SAID = 0.01
/** Less than so much of a shape left bare looks meant. */
const BARE_SAID = 0.03

function outsideProblem({ document }: Assigned, guide: ReadGuide, { share, mostMm, acrossHole }: OutsideShape): Problem {
  const figures = { stitch: document.name.toLowerCase(), percent: Math.max(1, Math.round(share * 100)), by: mm(mostMm) }
  if (acrossHole) return caution('exercise.across-hole', ['on'], figures)
  return caution('exercise.outside-shape', ['on'], { ...figures, vein: guide.kind === 'shape' && guide.vein ? 'drawn' : 'none' })
}

function tooTightProblem(assigned: Assigned, guide: ReadGuide, deviationMm: number, toleranceMm: number): Problem {
  const radius = guide.kind === 'line' ? tightestRadius(guide.path, 1) : 0
  const figures = { stitch: assigned.document.name.toLowerCase(), off: mm(deviationMm), allowed: mm(toleranceMm) }
  return caution('exercise.tight-curve', ['guide'], Number.isFinite(radius) ? { ...figures, radius: mm(radius) } : figures)
}
