/** How far exercises reach on the cloth: their boxes, the clear area, where they meet. */
export { alikeNeighbours, type AlikeNeighbours } from './alike.ts'
export { neighboursOf } from './neighbours.ts'
export { boxesMeet, boxOfExercise, boxOfPiece } from './box.ts'
export { outsideBy, reachOutside } from './clear-area.ts'
export { type Crowded, crowdedBy } from './crowding.ts'
export { exercisesMeet, isOutlineOf, TOUCH_MM } from './meeting.ts'
