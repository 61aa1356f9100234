/** The cloth for a whole class: the piece, how many, and how they lie on the width that is bought. */
import type { Result } from '../base/index.ts'
import { clothCare } from '../materials/index.ts'
import type { Cutting, Sampler } from '../sampler/index.ts'
import { mostShrinkage, type PieceToCut, pieceToCut } from './piece.ts'
import { cuttingPlan, type CutPlan } from './plan.ts'

export interface CutForClass {
  readonly piece: PieceToCut
  /** One for each learner and the teacher's own. */
  readonly count: number
  readonly boltMm: number
  readonly washed: NonNullable<Cutting['washed']>
  /** Of its length, so much is lost before it is cut: 0 to 1. */
  readonly shrinkage: number
  readonly plan: Result<CutPlan>
}

const USUAL_BOLT_MM = 1400

export function cutForClass(sampler: Pick<Sampler, 'cloth' | 'workingHoop' | 'brief'>): CutForClass {
  const { brief, cloth } = sampler
  const care = clothCare(cloth.kind)
  const piece = pieceToCut(sampler)
  const count = brief.learners + 1
  const boltMm = brief.cutting?.boltMm ?? USUAL_BOLT_MM
  const washed = care.shrinkPercent === null ? 'not' : (brief.cutting?.washed ?? 'before-cutting')
  const shrinkage = washed === 'before-cutting' ? mostShrinkage(cloth.kind) : 0
  const { widthMm, heightMm } = piece
  return { piece, count, boltMm, washed, shrinkage, plan: cuttingPlan({ widthMm, heightMm, count, boltMm, shrinkage, mayTurn: !care.hasGrain }) }
}
