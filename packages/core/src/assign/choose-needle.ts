/** The needle for one of a stitch's threads: given or the best that serves, with what is wrong with it. */
import { caution, error, failure, type Problem, type Result, success } from '../base/index.ts'
import {
  type Bundle,
  type Cloth,
  fitNeedles,
  measuredNeedle,
  type Needle,
  NEEDLES,
  type NeedleFit,
  nameNeedle,
  type NeedleSchool,
  type NeedleWork,
  nameThread,
  type ThreadKind,
} from '../materials/index.ts'
import {
  compileExpression,
  cycleOf,
  type Expression,
  ExpressionError,
  MAIN_ROLE,
  type MaterialValues,
  type Move,
  type ParameterValues,
  type Pass,
  type StitchDocument,
  type ThreadRole,
} from '../notation/index.ts'
import type { NeedleChoice } from '../sampler/index.ts'
import { type Choice, GIVEN } from './choice.ts'

export interface NeedleQuestion {
  readonly document: StitchDocument
  readonly role: ThreadRole
  readonly kind: ThreadKind
  readonly bundle: Bundle
  readonly cloth: Cloth
  readonly school: NeedleSchool
  readonly parameters: ParameterValues
  readonly materials: MaterialValues
  readonly given: NeedleChoice | undefined
  /** Worked between the threads of a cloth that is counted, where a blunt point finds its way. */
  readonly counted: boolean
}

export interface ChosenNeedle {
  readonly needle: Choice<Needle>
  readonly needles: readonly NeedleFit[]
  /** Paths from the exercise. */
  readonly problems: readonly Problem[]
}

/** What the stitch asks of a needle. */
export function needleWork(question: Omit<NeedleQuestion, 'given'>): NeedleWork {
  const { document, role, bundle, kind, cloth, school, counted } = question
  return {
    bundle,
    thread: kind,
    cloth,
    school,
    wraps: mostWraps(question),
    blunt: counted || staysOnTheSurface(document, role),
    plunges: isLaidWhole(document, role),
  }
}

export function chooseNeedle(question: NeedleQuestion): Result<ChosenNeedle> {
  const { role, bundle, kind, cloth, given } = question
  const path = ['materials', role, 'needle']
  const named = given && measuredNeedle(given.kind, given.size, given.shaftMm)
  const all = named && !NEEDLES.includes(named) ? [named, ...NEEDLES] : NEEDLES
  const needles = fitNeedles(needleWork(question), all)
  const best = needles[0] as NeedleFit
  if (given) {
    if (!named) return failure(error('assign.no-needle', path, { kind: given.kind, size: given.size }))
    const fit = needles.find((one) => one.needle === named)
    const problems =
      fit?.verdict === 'no'
        ? [caution('assign.needle', path, { reason: fit.reason, ...(best.verdict === 'no' ? {} : { better: nameNeedle(best.needle) }) })]
        : []
    return success({ needle: { value: named, chosen: false, reason: fit?.reason ?? GIVEN }, needles, problems })
  }
  const problems: Problem[] = []
  if (best.verdict === 'no')
    problems.push(
      caution('assign.no-needle-serves', path, {
        strands: bundle.strands,
        thread: nameThread(kind).toLowerCase(),
        cloth: cloth.name,
        reason: best.reason,
      }),
    )
  else if (best.verdict === 'with-care') problems.push(caution('assign.needle-care', path, { reason: best.reason }))
  return success({ needle: { value: best.needle, chosen: true, reason: best.reason }, needles, problems })
}

function passesOf(document: StitchDocument, role: ThreadRole): readonly Pass[] {
  return document.passes.filter((pass) => (pass.thread ?? MAIN_ROLE) === role)
}

/** Every move of a pass, and those made in small frames along a thread. */
function movesOf(pass: Pass): readonly Move[] {
  return [...(pass.start ?? []), ...cycleOf(pass).flat(), ...(pass.end ?? []), ...(pass.close ?? [])].flatMap((move) =>
    'each' in move ? [move, ...move.moves] : [move],
  )
}

/** It is laid from end to end and tied down by another: each of its passes goes down once, at the far end. */
function isLaidWhole(document: StitchDocument, role: ThreadRole): boolean {
  const passes = passesOf(document, role)
  const plunges = (pass: Pass): boolean => movesOf(pass).some((move) => 'down' in move && move.plunge === true)
  const holds = (pass: Pass): boolean => movesOf(pass).some((move) => 'hold' in move)
  return passes.some(plunges) && passes.every((pass) => plunges(pass) || holds(pass))
}

/** A pass of it slides under threads from beginning to end: a web is woven with the needle that laid its few spokes. */
function staysOnTheSurface(document: StitchDocument, role: ThreadRole): boolean {
  return passesOf(document, role).some((pass) => {
    const repeat = cycleOf(pass)
      .flat()
      .flatMap((move) => ('each' in move ? move.moves : [move]))
    return repeat.some((move) => 'under' in move || 'over' in move) && !repeat.some((move) => 'up' in move || 'down' in move)
  })
}

/** The most turns that any wrap of this thread asks for. */
function mostWraps({ document, role, parameters, materials }: Pick<NeedleQuestion, 'document' | 'role' | 'parameters' | 'materials'>): number {
  const lookup = (name: string): number => parameters.get(name)?.value ?? materials[name as keyof MaterialValues] ?? 0
  const turns = passesOf(document, role)
    .flatMap(movesOf)
    .map((move) => ('wrap' in move ? move.wrap : 'cast' in move ? move.cast : 'up' in move ? move.wraps : undefined))
  return Math.max(0, ...turns.map((one) => (one === undefined ? 0 : countOf(one, lookup))))
}

/** None where it cannot be worked out here: working the stitch says what is wrong with it, and where. */
function countOf(turns: Expression, lookup: (name: string) => number): number {
  try {
    const count = Math.round(compileExpression(turns)(lookup))
    return Number.isFinite(count) ? count : 0
  } catch (thrown) {
    if (!(thrown instanceof ExpressionError)) throw thrown
    return 0
  }
}
