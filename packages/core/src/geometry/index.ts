/** Points, measured paths, outlines and curves, all in millimetres with y down. */
export * from './point.ts'
export { measurePath, nearestPlace, placeAt, slicePath, startAtCorner, thinPath, tightestRadius } from './measured-path.ts'
export type { MeasuredPath, Nearest, Place } from './measured-path.ts'
export { CORNER_RAD, FLATTENING_MM, MAX_PATH_CHARACTERS, parsePath, parsePaths } from './svg-path.ts'
export { areaOf, chordsAt, extentAlong, isConvex } from './shape.ts'
export type { Chord, Extent } from './shape.ts'
export { lengthOf, splineThrough } from './spline.ts'
export type { Point3 } from './spline.ts'
