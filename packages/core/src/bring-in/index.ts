/** Drawings from elsewhere, as guides. */
export { asSvg, boxOfBrought, MOST_OUTLINES, MOST_SVG_CHARACTERS, readSvg } from './read-svg.ts'
export type { Brought, BroughtGuide } from './read-svg.ts'
export { BRING_IN_SENTENCES } from './problems.ts'
export { MOST_CELLS, type Pixels, type Shares, sharesOf } from './shares.ts'
