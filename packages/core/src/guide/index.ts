/** What is drawn for an exercise: its geometry, its ruler, where it goes. */
export { guideServes, readGuide, widthsAt } from './read-guide.ts'
export type { GuideWidth, ReadGuide } from './read-guide.ts'
export { makeRuler, readRuler } from './ruler.ts'
export type { Ruler, RulerLeg, RulerRequest } from './ruler.ts'
export { boxOf, dragEnd, moveGuide } from './move-guide.ts'
export type { Box } from './move-guide.ts'
export { practiceFor, practiceGuide, practiceHalfHeight } from './practice.ts'
