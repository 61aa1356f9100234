/** How large each learner's piece of cloth is cut, and why. mm */
import { caution, mm, type Problem } from '../base/index.ts'
import { BEYOND_HOOP_MM, clothCare, outerOf } from '../materials/index.ts'
import type { Sampler } from '../sampler/index.ts'

export interface PieceToCut {
  readonly widthMm: number
  readonly heightMm: number
  /** What is added to the cloth that is drawn on, mm of its width and height. */
  readonly parts: readonly PiecePart[]
  /** What the cloth as it is drawn is too small for. */
  readonly problems: readonly Problem[]
}

export interface PiecePart {
  readonly what: 'drawn' | 'edges' | 'shrinkage'
  readonly widthMm: number
  readonly heightMm: number
}

/** Of each measure, where cut edges fray: overcast, and lost. */
const FRAYED_MM = 10
/** So much less than the rule is no reason to say anything. */
const NEARLY_MM = 10
/** A tape's marks. */
const ROUND_TO_MM = 5

export function pieceToCut({ cloth, workingHoop, brief }: Pick<Sampler, 'cloth' | 'workingHoop' | 'brief'>): PieceToCut {
  const care = clothCare(cloth.kind)
  const edges = care.frays ? FRAYED_MM : 0
  const shrink = brief.cutting?.washed === 'after-cutting' ? mostShrinkage(cloth.kind) : 0
  const [wide, high] = [cloth.widthMm + edges, cloth.heightMm + edges]
  // What is left after it shrank is what was wanted.
  const [widthMm, heightMm] = [wide / (1 - shrink), high / (1 - shrink)].map(roundedUp) as [number, number]
  // By the side that has least beyond the hoop.
  const outer = workingHoop ? outerOf(workingHoop) : [0, 0]
  const [most, least] = [
    [cloth.widthMm, (outer[0] ?? 0) + 2 * BEYOND_HOOP_MM],
    [cloth.heightMm, (outer[1] ?? 0) + 2 * BEYOND_HOOP_MM],
  ].reduce((a, b) => ((b[0] as number) - (b[1] as number) < (a[0] as number) - (a[1] as number) ? b : a)) as [number, number]
  return {
    widthMm,
    heightMm,
    parts: [
      { what: 'drawn', widthMm: cloth.widthMm, heightMm: cloth.heightMm },
      ...(edges > 0 ? [{ what: 'edges' as const, widthMm: edges, heightMm: edges }] : []),
      ...(shrink > 0 ? [{ what: 'shrinkage' as const, widthMm: widthMm - wide, heightMm: heightMm - high }] : []),
    ],
    problems:
      workingHoop && most < least - NEARLY_MM ? [caution('cutting.small', ['cloth'], { mm: mm(most), wanted: mm(least), beyond: mm(BEYOND_HOOP_MM) })] : [],
  }
}

/** As a share of the length; 0 for what is not washed. */
export function mostShrinkage(kindId: string): number {
  return (clothCare(kindId).shrinkPercent?.[1] ?? 0) / 100
}

function roundedUp(value: number): number {
  return Math.ceil(value / ROUND_TO_MM - 1e-9) * ROUND_TO_MM
}
