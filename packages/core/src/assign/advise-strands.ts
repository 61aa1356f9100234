/**
 * How many strands suit. The main thread: those whose usual stitch is nearest the length that was asked for, leaning
 * to two (a laid thread to four, so that it is thicker than its tie), even where threads are split, never more than
 * the cloth passes. The others follow from it by their role.
 */
import { failure, type Figures, mm, type Result, success, type Told } from '../base/index.ts'
import { type Bundle, type Cloth, comfortableShaft, makeBundle, nameThread, type ThreadKind, wantedShaft } from '../materials/index.ts'
import { cycleOf, type ParameterValues, resolveParameters, rolesOf, type StitchDocument, type ThreadRole } from '../notation/index.ts'
import type { Choice } from './choice.ts'
import { materialValues } from './material-values.ts'

export interface StrandQuestion {
  readonly document: StitchDocument
  readonly kind: ThreadKind
  readonly cloth: Cloth
  readonly given: Readonly<Record<string, number>>
}

/** The lean is judgement: 0.05 for each strand squared away from it weighs as much as a length 22 % off. */
const LEAN = 0.05
const USUAL_STRANDS = 2
/** Hard-twisted thread, as sewing cotton, is worked as it comes from the reel. */
const SINGLE = 1
const LAID_STRANDS = 4
/** A shaft a quarter over what the cloth passes with ease is the most it passes with care. */
const WITH_CARE = 1.25

export function adviseStrands({ document, kind, cloth, given }: StrandQuestion): Result<Choice<number>> {
  if (kind.mostStrands === 1) return success({ value: 1, chosen: true, reason: neverDivided(kind) })
  const usual = isLaid(document) ? LAID_STRANDS : kind.nature === 'hard' || kind.nature === 'metal' ? SINGLE : USUAL_STRANDS
  let best: { strands: number; penalty: number; reason: Told } | null = null
  for (let strands = 1; strands <= kind.mostStrands; strands += 1) {
    const judged = judgeStrands({ document, kind, cloth, given }, strands)
    if (!judged.ok) return judged
    const { bundle, main, length, worked } = judged.value
    const penalty = length + worked + LEAN * (strands - usual) ** 2
    if (best === null || penalty < best.penalty - 1e-9) best = { strands, penalty, reason: reasonFor(strands, bundle, main, document) }
  }
  const chosen = best as { strands: number; reason: Told }
  return success({ value: chosen.strands, chosen: true, reason: chosen.reason })
}

export interface JudgedStrands {
  readonly bundle: Bundle
  readonly main: MainLength | null
  /** How far the length that was asked for is from the usual one in such a thread; outside its window half more. 0 where none was asked for. */
  readonly length: number
  /**
   * How badly the stitch is worked in it: too thick for the cloth 3, an odd number that is split a quarter; on a cloth that gives,
   * what passes it only with care a half, and a thread with no give of its own, or a stitch longer than 4 mm, a third each.
   */
  readonly worked: number
}

/** One bundle of a thread for the main thread of a stitch. The weights are judgement. */
export function judgeStrands({ document, kind, cloth, given }: StrandQuestion, strands: number): Result<JudgedStrands> {
  const bundle = makeBundle(kind, strands)
  const shaftMm = wantedShaft({ bundle, thread: kind, school: 'usual' })
  const parameters = resolveParameters(document, materialValues(bundle, cloth, shaftMm), given)
  if (!parameters.ok) return failure(...parameters.problems)
  const main = mainLength(parameters.value)
  const off = main && main.given && main.usual > 0 && main.value > 0 ? Math.log(main.value / main.usual) : 0
  const outside = main && main.given && ((main.min !== null && main.value < main.min) || (main.max !== null && main.value > main.max)) ? 0.5 : 0
  const tooThick = shaftMm > WITH_CARE * comfortableShaft(cloth) ? 3 : 0
  // A soft single thread parts anywhere.
  const odd = splitsThread(document) && strands % 2 === 1 && (strands > 1 || kind.mostStrands > 1 || kind.nature === 'hard') ? 0.25 : 0
  const held = cloth.gives ? holdsTheCloth(kind, shaftMm > comfortableShaft(cloth), main?.value ?? 0) : 0
  return success({ bundle, main, length: off * off + outside, worked: tooThick + odd + held })
}

/** A longer stitch lies slack, or pulls, as soon as the cloth is moved. mm */
const SHORT_STITCH = 4

/** A cloth that gives is drawn in by a heavy or an unyielding thread, and a long stitch does not go with it. Judgement. */
function holdsTheCloth({ nature }: ThreadKind, isThick: boolean, stitchMm: number): number {
  const unyielding = nature === 'hard' || nature === 'metal'
  return (isThick ? 0.5 : 0) + (unyielding ? 0.3 : 0) + (stitchMm > SHORT_STITCH ? 0.3 : 0)
}

/** A stitch of it comes up through thread. */
export function splitsThread(document: StitchDocument): boolean {
  return document.passes.some((pass) => [...cycleOf(pass).flat()].some((move) => 'split' in move && move.split !== undefined))
}

/** What so many strands of the main thread come to. */
export function whyStrands({ document, kind, cloth, given }: StrandQuestion, strands: number): Told {
  const bundle = makeBundle(kind, strands)
  const parameters = resolveParameters(document, materialValues(bundle, cloth, wantedShaft({ bundle, thread: kind, school: 'usual' })), given)
  return reasonFor(strands, bundle, parameters.ok ? mainLength(parameters.value) : null, document)
}

/** Another of the stitch's threads, beside the main one as it is worked. */
export function adviseStrandsBeside(role: ThreadRole, kind: ThreadKind, main: Bundle): Choice<number> {
  if (kind.mostStrands === 1) return { value: 1, chosen: true, reason: neverDivided(kind) }
  const choice = (value: number, code: string): Choice<number> => {
    const count = Math.max(1, Math.min(kind.mostStrands, value))
    return {
      value: count,
      chosen: true,
      reason: { code, figures: { strands: count, wide: mm(makeBundle(kind, count).lineWidthMm), main: mm(main.lineWidthMm) } },
    }
  }
  if (role === 'tie') {
    // Two strands hold as well as one and show more: they serve where the laid thread is broad enough to carry them.
    const two = kind.mostStrands >= 2 && makeBundle(kind, 2).lineWidthMm <= TIE_SHARE * main.lineWidthMm
    return choice(two ? 2 : 1, 'strands.tie')
  }
  if (role === 'padding') return choice(PADDING_STRANDS, 'strands.padding')
  return choice(main.strands, 'strands.beside')
}

/** A tie of more than half the laid thread's width hides it. */
export const TIE_SHARE = 0.5
const PADDING_STRANDS = 6

function neverDivided(kind: ThreadKind): Told {
  return { code: 'strands.never-divided', figures: { thread: nameThread(kind) } }
}

/** Another thread ties the main one down. */
export function isLaid(document: StitchDocument): boolean {
  return rolesOf(document).includes('tie')
}

export interface MainLength {
  readonly name: string
  readonly value: number
  readonly given: boolean
  /** A spacing says nothing of how a single stitch reads. */
  readonly measures: 'apart' | 'between' | null
  readonly usual: number
  readonly min: number | null
  readonly max: number | null
}

/** The first parameter that is a length: the stitch's own. */
export function mainLength(parameters: ParameterValues): MainLength | null {
  for (const parameter of parameters.values()) if (parameter.kind === 'length') return parameter
  return null
}

function reasonFor(strands: number, bundle: Bundle, main: MainLength | null, document: StitchDocument): Told {
  const say = (code: string, figures: Figures = {}): Told => ({ code: `strands.${code}`, figures: { strands, wide: mm(bundle.lineWidthMm), ...figures } })
  if (document.passes.some((pass) => pass.lie === 'flat')) return say('flat', { wide: mm(bundle.flatWidthMm), apart: mm(0.9 * bundle.flatWidthMm) })
  if (isLaid(document)) return say('laid')
  if (!main || main.measures === 'apart') return say('usual')
  const ratio = main.value / bundle.lineWidthMm
  return say(ratio < 3 ? 'dot' : ratio > 14 ? 'fine' : 'line', { length: mm(main.value), ratio: Number(ratio.toFixed(1)) })
}
