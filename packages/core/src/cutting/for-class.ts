/** The cloth for a whole class: the piece, how many, and how they lie on the width that is bought. */
import type { Result } from '../base/index.ts'
import { clothCare } from '../materials/index.ts'
import type { Cutting, Sampler } from '../sampler/index.ts'
import { mostShrinkage, type PieceToCut, pieceToCut } from './piece.ts'
import { cuttingPlan, type CutPlan } from './plan.ts'

export interface CutForClass {
  readonly piece: PieceToCut
  /** One for each learner, those to spare, and the teacher's own. */
  readonly count: number
  readonly spares: number
  readonly boltMm: number
  readonly washed: NonNullable<Cutting['washed']>
  /** Of its length, so much is lost before it is cut: 0 to 1. */
  readonly shrinkage: number
  readonly plan: Result<CutPlan>
}

const USUAL_BOLT_MM = 1400

/** Of a share of the learners, so many whole ones to spare: of everything that a learner is given. */
export const sparesFor = ({ learners, sparePercent }: Pick<Sampler['brief'], 'learners' | 'sparePercent'>): number =>
  Math.ceil((learners * sparePercent) / 100 - 1e-9)

export function cutForClass(sampler: Pick<Sampler, 'cloth' | 'workingHoop' | 'brief'>): CutForClass {
  const { brief, cloth } = sampler
  const care = clothCare(cloth.kind)
  const piece = pieceToCut(sampler)
  const spares = sparesFor(brief)
  const count = brief.learners + spares + 1
  const boltMm = brief.cutting?.boltMm ?? USUAL_BOLT_MM
  const washed = care.shrinkPercent === null ? 'not' : (brief.cutting?.washed ?? 'before-cutting')
  const shrinkage = washed === 'before-cutting' ? mostShrinkage(cloth.kind) : 0
  const { widthMm, heightMm } = piece
  return { piece, count, spares, boltMm, washed, shrinkage, plan: cuttingPlan({ widthMm, heightMm, count, boltMm, shrinkage, mayTurn: !care.hasGrain }) }
}
