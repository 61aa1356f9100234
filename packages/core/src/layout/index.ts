/** Where things go on the cloth: free places, new exercises and rows of them. */
export { type FreePlace, GAP_MM, middleOf, moveToFreePlace, placeFor, takenBoxes } from './free-place.ts'
export {
  bringIn,
  type DrawnAs,
  newExercise,
  newExerciseOn,
  newExerciseThere,
  newRows,
  newSketches,
  type NewIds,
  type RowOfRows,
  rowValues,
} from './new-exercise.ts'
export {
  alignHeld,
  boxOfDrawn,
  boxOfHeld,
  copyHeld,
  type Edge,
  guidesHeld,
  mirrorHeld,
  moveHeld,
  placeHeld,
  type ByFigures,
  scaleHeld,
  spaceHeld,
  turnHeld,
  usualCopies,
} from './arrange.ts'
export { makeMotif, motifOf, takeApart, withMotifs } from './motifs.ts'
export { bandBetween, putWithin, takeOut, type Within } from './within.ts'
export { againBeside, type Beside, cutShape, endLineOn, turnRound } from './lines.ts'
