/** Points, measured paths, outlines and curves, all in millimetres with y down. */
export * from './point.ts'
export {
  carryAngle,
  carryDirection,
  carryPoint,
  inTurn,
  isMirrored,
  isSimilarity,
  mirrorIn,
  moveBy,
  scaleAbout,
  scaleOf,
  turnAbout,
  UNMOVED,
} from './matrix.ts'
export type { Matrix } from './matrix.ts'
export { boxAround, boxOf } from './box.ts'
export type { Box } from './box.ts'
export { rmsOffLine } from './best-line.ts'
export { crossesItself } from './crosses-itself.ts'
export { CellIndex } from './cell-index.ts'
export { measurePath, nearestPlace, placeAt, slicePath, startAtCorner, thinPath, tightestRadius } from './measured-path.ts'
export type { MeasuredPath, Nearest, Place } from './measured-path.ts'
export { CORNER_RAD, FLATTENING_MM, MAX_PATH_CHARACTERS, parsePath, parsePaths } from './svg-path.ts'
export { areaOf, extentAlong } from './shape.ts'
export type { Chord, Extent } from './shape.ts'
export { lengthOf, splineThrough } from './spline.ts'
export type { Point3 } from './spline.ts'
export { chordsOfRegion, insetRegion, isInRegion, packSpots, ringPath, scatterSpots, sequenceFrom, shrinkRegion, shrinkRings } from './region.ts'
export type { Region } from './region.ts'
export { GEOMETRY_SENTENCES } from './problems.ts'
export {
  addAnchor,
  closedOf,
  isSmooth,
  moveAnchor,
  moveCurve,
  partOfAnchors,
  readAnchors,
  removeAnchor,
  sharpAnchor,
  smoothAnchor,
  turnedAnchors,
  writeAnchors,
} from './anchors.ts'
export { crossingsOf } from './crossings.ts'
export type { Anchor, AnchoredPath } from './anchors.ts'
