/** What surrounds an exercise and is needed to work it; an edit to anything else does not touch it. */
import type { Brief, SamplerCloth, SamplerThread } from '../sampler/index.ts'
import type { StitchDocument } from '../notation/index.ts'
import { type Cloth, clothCare, findClothKind } from '../materials/index.ts'

export interface Surroundings {
  readonly brief: Pick<Brief, 'waysOfWorking' | 'level' | 'hardFor' | 'language'>
  readonly cloth: SamplerCloth
  readonly threads: readonly SamplerThread[]
  readonly stitches: readonly StitchDocument[]
}

export function surroundingsOf({ brief, cloth, threads, stitches }: Surroundings): Surroundings {
  const { level, waysOfWorking, hardFor, language } = brief
  return { brief: { level, waysOfWorking, hardFor, language }, cloth, threads, stitches }
}

/** The cloth's figures: the sampler's own, else those of its kind. */
export function readCloth(cloth: SamplerCloth): Cloth {
  const kind = findClothKind(cloth.kind)
  return {
    name: kind?.name.toLowerCase() ?? cloth.kind,
    threadsPerCm: cloth.threadsPerCm === undefined ? (kind?.threadsPerCm ?? null) : cloth.threadsPerCm,
    thicknessMm: cloth.thicknessMm ?? kind?.thicknessMm ?? 0.3,
    gives: clothCare(cloth.kind).gives,
  }
}
