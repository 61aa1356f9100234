/**
 * Thread, strands and needle for an exercise: what the teacher gave, else what suits, each with its reason.
 * Works from the stitch's own windows, so a stitch that the library has never seen is served like any other.
 */
import { caution, error, failure, type Problem, type Result, success } from '../base/index.ts'
import {
  type Bundle,
  type Cloth,
  clothPitch,
  findNeedle,
  findThreadKind,
  fitNeedles,
  makeBundle,
  nameNeedle,
  nameThread,
  type Needle,
  type NeedleFit,
  type ThreadKind,
} from '../materials/index.ts'
import {
  applyBase,
  applyVariant,
  chooseVariant,
  cycleOf,
  compileExpression,
  type Expression,
  ExpressionError,
  type MaterialValues,
  type ParameterValues,
  resolveParameters,
  type StitchDocument,
} from '../notation/index.ts'
import { type Exercise, type SamplerThread, waysFor, type WaysOfWorking } from '../sampler/index.ts'
import { findStitch } from '../stitches/index.ts'
import { readCloth, type Surroundings } from './context.ts'

export interface Choice<T> {
  readonly value: T
  /** Chosen by the core, not given by the teacher. */
  readonly chosen: boolean
  readonly reason: string
}

export interface Assigned {
  /** With its base's passes before its own. */
  readonly document: StitchDocument
  /** The stitch that a composite or a filling of rows is built on. */
  readonly base: string | null
  readonly variant: string | null
  readonly ways: WaysOfWorking
  readonly cloth: Cloth
  readonly thread: Choice<SamplerThread>
  readonly kind: ThreadKind
  readonly strands: Choice<number>
  /** What the core would choose, whether or not it was overruled. */
  readonly advisedStrands: Choice<number>
  readonly bundle: Bundle
  /** The thread of a second pass: whipping, lacing, ties. */
  readonly second: { readonly thread: SamplerThread; readonly kind: ThreadKind; readonly bundle: Bundle }
  readonly needle: Choice<Needle>
  readonly needles: readonly NeedleFit[]
  readonly parameters: ParameterValues
  readonly materials: MaterialValues
  readonly problems: readonly Problem[]
}

const NUMBER_WORDS = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight']

export function strandsInWords(count: number): string {
  return `${NUMBER_WORDS[count] ?? String(count)} ${count === 1 ? 'strand' : 'strands'}`
}

export function assignMaterials(exercise: Exercise, around: Surroundings): Result<Assigned> {
  const found = findStitch(exercise.stitch, around.stitches)
  if (!found)
    return failure(
      error('assign.no-stitch', ['stitch'], `There is no stitch called "${exercise.stitch}". Choose one of the library, or add its document to the sampler.`),
    )
  const ways = waysFor(around.brief, exercise.waysOfWorking)
  const variant = chooseVariant(found, exercise.variant, { ...ways, guide: exercise.guide.kind === 'spot' ? 'spots' : exercise.guide.kind })
  if (exercise.variant !== undefined && variant === null)
    return failure(
      error(
        'assign.no-variant',
        ['variant'],
        `${found.name} has no variant "${exercise.variant}". It has ${Object.keys(found.variants ?? {}).join(', ') || 'none'}.`,
      ),
    )
  const document = applyBase(applyVariant(found, variant), (id) => findStitch(id, around.stitches), { ...ways })
  if (!document)
    return failure(
      error('assign.no-base', ['stitch'], `${found.name} rests on the stitch "${found.base}", which is not to be found. Add its document to the sampler.`),
    )
  const thread = chooseThread(exercise, around)
  if (!thread)
    return failure(
      error(
        'assign.no-thread',
        ['thread'],
        exercise.thread === undefined
          ? 'This sampler has no thread yet. Add one in Brief.'
          : `There is no thread "${exercise.thread}" in this sampler. Choose one of its threads, or add it in Brief.`,
      ),
    )
  const kind = findThreadKind(thread.value.kind, thread.value.weight)
  if (!kind)
    return failure(
      error(
        'assign.no-thread-kind',
        ['thread'],
        `"${thread.value.kind}${thread.value.weight ? ` ${thread.value.weight}` : ''}" is not a kind of thread that is known here. Choose one from the list in Brief.`,
      ),
    )
  const cloth = readCloth(around.cloth)
  const given = exercise.parameters ?? {}
  const advised = adviseStrands({ document, kind, cloth, given })
  if (!advised.ok) return advised
  const strands = exercise.strands === undefined ? advised.value : { value: exercise.strands, chosen: false, reason: 'Given by you.' }
  if (!Number.isInteger(strands.value) || strands.value < 1 || strands.value > kind.mostStrands) {
    return failure(
      error(
        'assign.strands',
        ['strands'],
        `${nameThread(kind)} can be worked with 1 to ${kind.mostStrands} ${kind.mostStrands === 1 ? 'strand' : 'strands'}; ${strands.value} was asked for.`,
      ),
    )
  }
  const bundle = makeBundle(kind, strands.value)
  const second = chooseSecond(exercise, around, thread.value, kind, strands.value)
  return chooseNeedle({
    second,
    exercise,
    document,
    base: found.base ?? null,
    variant,
    ways,
    cloth,
    thread,
    kind,
    strands,
    advised: advised.value,
    bundle,
    given,
  })
}

interface Halfway {
  readonly second: Assigned['second']
  readonly exercise: Exercise
  readonly document: StitchDocument
  readonly base: string | null
  readonly variant: string | null
  readonly ways: WaysOfWorking
  readonly cloth: Cloth
  readonly thread: Choice<SamplerThread>
  readonly kind: ThreadKind
  readonly strands: Choice<number>
  readonly advised: Choice<number>
  readonly bundle: Bundle
  readonly given: Readonly<Record<string, number>>
}

function chooseNeedle(half: Halfway): Result<Assigned> {
  const { exercise, document, ways, cloth, kind, bundle, given } = half
  const before = resolveParameters(document, materialValues(bundle, cloth, 0.6), given)
  if (!before.ok) return failure(...before.problems.map((problem) => ({ ...problem, path: problem.path })))
  const work = { bundle, thread: kind, cloth, school: ways.needle, wraps: mostWraps(document, before.value, materialValues(bundle, cloth, 0.6)), blunt: false }
  const needles = fitNeedles(work)
  const best = needles[0] as NeedleFit
  const problems: Problem[] = []
  let needle: Choice<Needle>
  if (exercise.needle) {
    const named = findNeedle(exercise.needle.kind, exercise.needle.size)
    if (!named)
      return failure(
        error(
          'assign.no-needle',
          ['needle'],
          `There is no ${exercise.needle.kind} needle of size ${exercise.needle.size}. Choose one from the list in Thread.`,
        ),
      )
    const fit = needles.find((one) => one.needle === named)
    needle = { value: named, chosen: false, reason: fit?.reason ?? '' }
    if (fit?.verdict === 'no')
      problems.push(caution('assign.needle', ['needle'], `${fit.reason} ${best.verdict === 'no' ? '' : `${nameNeedle(best.needle)} would serve.`}`.trim()))
  } else {
    needle = { value: best.needle, chosen: true, reason: best.reason }
    if (best.verdict === 'no') {
      problems.push(
        caution(
          'assign.needle',
          ['needle'],
          `No needle serves ${strandsInWords(bundle.strands)} of ${nameThread(kind).toLowerCase()} on ${cloth.name}: ${best.reason} Take fewer strands, a more open cloth, or open the hole with a stiletto first.`,
        ),
      )
    } else if (best.verdict === 'with-care') problems.push(caution('assign.needle-care', ['needle'], best.reason))
  }
  const materials = materialValues(bundle, cloth, needle.value.shaftMm)
  const parameters = resolveParameters(document, materials, given)
  if (!parameters.ok) return parameters
  return success({
    document,
    base: half.base,
    variant: half.variant,
    ways,
    cloth,
    thread: half.thread,
    kind,
    strands: half.strands,
    advisedStrands: half.advised,
    bundle,
    second: half.second,
    needle,
    needles,
    parameters: parameters.value,
    materials,
    problems,
  })
}

export function materialValues(bundle: Bundle, cloth: Cloth, shaftMm: number): MaterialValues {
  const p = clothPitch(cloth)
  const W = bundle.lineWidthMm
  // "Right beside": the next gap of the weave, or half the thread's width where that is more.
  return { D: bundle.diameterMm, W, F: bundle.flatWidthMm, t: cloth.thicknessMm, ds: shaftMm, p, e: Math.max(p, W / 2) }
}

function chooseThread(exercise: Exercise, around: Surroundings): Choice<SamplerThread> | null {
  if (exercise.thread !== undefined) {
    const given = around.threads.find((thread) => thread.id === exercise.thread)
    return given ? { value: given, chosen: false, reason: 'Given by you.' } : null
  }
  const first = around.threads[0]
  return first ? { value: first, chosen: true, reason: 'The first thread of this sampler.' } : null
}

/** The given second thread, else another of the same kind in a colour of its own, else the same thread again. */
function chooseSecond(exercise: Exercise, around: Surroundings, first: SamplerThread, firstKind: ThreadKind, firstStrands: number): Assigned['second'] {
  const given = around.threads.find((one) => one.id === exercise.secondThread)
  const other = around.threads.find((one) => one.id !== first.id && one.kind === first.kind && one.weight === first.weight)
  const thread = given ?? other ?? first
  const kind = findThreadKind(thread.kind, thread.weight) ?? firstKind
  return { thread, kind, bundle: makeBundle(kind, Math.min(kind.mostStrands, exercise.secondStrands ?? firstStrands)) }
}

/** The most turns that any wrap of the stitch asks for. */
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

function mostWraps(document: StitchDocument, parameters: ParameterValues, materials: MaterialValues): number {
  let most = 0
  const lookup = (name: string): number => parameters.get(name)?.value ?? materials[name as keyof MaterialValues] ?? 0
  for (const move of document.passes.flatMap((pass) => [...(pass.start ?? []), ...cycleOf(pass).flat(), ...(pass.end ?? [])])) {
    const turns = 'wrap' in move ? move.wrap : 'cast' in move ? move.cast : 'up' in move ? move.wraps : undefined
    if (turns !== undefined) most = Math.max(most, countOf(turns, lookup))
  }
  return most
}

interface StrandQuestion {
  readonly document: StitchDocument
  readonly kind: ThreadKind
  readonly cloth: Cloth
  readonly given: Readonly<Record<string, number>>
}

/**
 * How many strands suit: those whose usual stitch is nearest the length that was asked for, leaning to two,
 * even where threads are split, never more than the cloth passes. The lean is judgement: 0.05 for each
 * strand squared away from two weighs as much as a length 22 % off.
 */
export function adviseStrands(question: StrandQuestion): Result<Choice<number>> {
  const { document, kind, cloth, given } = question
  if (kind.mostStrands === 1) return success({ value: 1, chosen: true, reason: `${nameThread(kind)} is one thread and is never divided.` })
  const splits = document.passes.some((pass) => [...cycleOf(pass).flat()].some((move) => 'split' in move && move.split !== undefined))
  let best: { strands: number; penalty: number; reason: string } | null = null
  for (let strands = 1; strands <= kind.mostStrands; strands += 1) {
    const bundle = makeBundle(kind, strands)
    const parameters = resolveParameters(document, materialValues(bundle, cloth, 0.27 + 0.88 * bundle.diameterMm), given)
    if (!parameters.ok) return parameters
    const main = mainLength(parameters.value)
    const off = main && main.given && main.usual > 0 && main.value > 0 ? Math.log(main.value / main.usual) : 0
    const outside = main && main.given && ((main.min !== null && main.value < main.min) || (main.max !== null && main.value > main.max)) ? 0.5 : 0
    const tooThick = 0.27 + 0.88 * bundle.diameterMm > 1.25 * (0.45 + 0.9 * clothPitch(cloth)) ? 3 : 0
    const odd = splits && strands % 2 === 1 ? 0.25 : 0
    const penalty = off * off + outside + tooThick + odd + 0.05 * (strands - 2) ** 2
    if (best === null || penalty < best.penalty - 1e-9) best = { strands, penalty, reason: reasonFor(strands, bundle, main, document) }
  }
  const chosen = best as { strands: number; reason: string }
  return success({ value: chosen.strands, chosen: true, reason: chosen.reason })
}

interface MainLength {
  readonly name: string
  readonly value: number
  readonly given: boolean
  readonly usual: number
  readonly min: number | null
  readonly max: number | null
}

/** The first parameter that is a length: the stitch's own. */
export function mainLength(parameters: ParameterValues): MainLength | null {
  for (const parameter of parameters.values()) if (parameter.kind === 'length') return parameter
  return null
}

function reasonFor(strands: number, bundle: Bundle, main: MainLength | null, document: StitchDocument): string {
  const words = strandsInWords(strands)
  const start = words.charAt(0).toUpperCase() + words.slice(1)
  const verb = strands === 1 ? 'lies' : 'lie'
  if (document.passes.some((pass) => pass.lie === 'flat'))
    return `${start} ${verb} ${bundle.flatWidthMm.toFixed(2)} mm wide side by side, so stitches ${(0.9 * bundle.flatWidthMm).toFixed(2)} mm apart leave no cloth.`
  if (!main) return `${start} ${verb} ${bundle.lineWidthMm.toFixed(2)} mm wide; a usual weight for this stitch.`
  const ratio = main.value / bundle.lineWidthMm
  const reads = ratio < 3 ? 'reads as a dot' : ratio > 14 ? 'reads as a fine thread' : 'reads as a line'
  return `${start} ${verb} ${bundle.lineWidthMm.toFixed(2)} mm wide; a ${main.value.toFixed(1)} mm stitch is ${ratio.toFixed(1)} times that: ${reads}.`
}
