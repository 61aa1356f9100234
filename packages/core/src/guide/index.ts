/** What is drawn for stitching: the kinds of guide, their geometry, their ruler. */
export type * from './types.ts'
export { GUIDE_PARTS } from './types.ts'
export type { PointEdit } from './path-points.ts'
export { innerOf } from './path-points.ts'
export { type InnerPath, innerPaths, withInner } from './inner-paths.ts'
export {
  editPoint,
  GUIDE_KINDS,
  guideServes,
  guideWord,
  handlesOf,
  lengthToDraw,
  moveGuide,
  moveHandle,
  partOfGuide,
  partsOf,
  practiceFor,
  practiceGuide,
  practiceHalfHeight,
  readGuide,
  refitGuide,
  shortenedPractice,
  sizesOf,
  transformGuide,
  withSize,
} from './kinds.ts'
export { gridPoint } from './kinds/grid.ts'
export { hundredths } from './hundredths.ts'
export { NARROWEST_BAND_MM } from './limits.ts'
export { middleOfRails, widthsAt } from './rails.ts'
export { makeRuler, readRuler } from './ruler.ts'
export type { Ruler, RulerLeg, RulerRequest } from './ruler.ts'
export { GUIDE_SENTENCES } from './problems.ts'
