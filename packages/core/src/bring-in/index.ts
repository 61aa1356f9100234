/** Drawings from elsewhere, as guides. */
export { asSvg, MOST_OUTLINES, MOST_SVG_CHARACTERS, readSvg } from './read-svg.ts'
export type { Brought } from './read-svg.ts'
export { boxOfBrought, type BroughtGuide } from './brought.ts'
export { BRING_IN_SENTENCES } from './problems.ts'
export { MOST_CELLS, type Pixels, type Shares, sharesOf } from './shares.ts'
