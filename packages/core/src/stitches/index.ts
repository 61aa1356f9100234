/** The library of stitches. Everything about a stitch is in its document; nothing else in the product knows one by name. */
import type { StitchDocument } from '../notation/index.ts'
import { backStitch } from './library/back-stitch.ts'
import { bandsAndKnots } from './library/bands-and-knots.ts'
import { chainStitch } from './library/chain-stitch.ts'
import { chains } from './library/chains.ts'
import { compositeLines } from './library/composite-lines.ts'
import { counted } from './library/counted.ts'
import { edgeLoops } from './library/edge-loops.ts'
import { frenchKnot } from './library/french-knot.ts'
import { GERMAN_NAMES } from './library/german-names.ts'
import { laidWork } from './library/laid-work.ts'
import { loops } from './library/loops.ts'
import { moreBands } from './library/more-bands.ts'
import { moreFills } from './library/more-fills.ts'
import { moreKnots } from './library/more-knots.ts'
import { moreLines } from './library/more-lines.ts'
import { openwork } from './library/openwork.ts'
import { raisedBands } from './library/raised-bands.ts'
import { runningStitch } from './library/running-stitch.ts'
import { satinStitch } from './library/satin-stitch.ts'
import { smallFills } from './library/small-fills.ts'
import { splitStitch } from './library/split-stitch.ts'
import { stemStitch } from './library/stem-stitch.ts'
import { wovenWork } from './library/woven-work.ts'

const DOCUMENTS: readonly StitchDocument[] = [
  runningStitch,
  backStitch,
  stemStitch,
  splitStitch,
  chainStitch,
  frenchKnot,
  satinStitch,
  ...compositeLines,
  ...loops,
  ...bandsAndKnots,
  ...moreLines,
  ...moreBands,
  ...moreKnots,
  ...moreFills,
  ...laidWork,
  ...wovenWork,
  ...openwork,
  ...chains,
  ...edgeLoops,
  ...raisedBands,
  ...counted,
  ...smallFills,
]

export const LIBRARY: readonly StitchDocument[] = DOCUMENTS.map((document) => {
  const de = GERMAN_NAMES[document.id]
  return de === undefined ? document : { ...document, names: { de } }
})

/** A stitch of the sampler's own comes before one of the library with the same id. */
export function findStitch(id: string, own: readonly StitchDocument[] = []): StitchDocument | null {
  return own.find((stitch) => stitch.id === id) ?? LIBRARY.find((stitch) => stitch.id === id) ?? null
}

/** The teacher's own and the library's, her own first where both have an id. */
export function allStitches(own: readonly StitchDocument[] = []): readonly StitchDocument[] {
  const ids = new Set(own.map((stitch) => stitch.id))
  return [...own, ...LIBRARY.filter((stitch) => !ids.has(stitch.id))]
}
