/** Drawing on the cloth in the words of stitching: lines, waves, leaves, rings, by hand or by their figures. */
export { arc, circle, cornered, freehand, riseThrough, smoothThrough, spiral, wave, zigzag } from './ways.ts'
export { box, leaf, petal } from './outlines.ts'
export { evenCounts } from './even.ts'
export type { EvenCount } from './even.ts'
export { DRAW_TOOLS, MEASURE, measureBetween, usualFigures } from './tools.ts'
export type { DrawTool, Measured, Taking, ToolFigure } from './tools.ts'
