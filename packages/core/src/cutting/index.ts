/** The cloth before the first stitch: how large it is cut, how a class's pieces lie on a width, what is done and when. */
export { type CutForClass, cutForClass, sparesFor } from './for-class.ts'
export { type FeltPatch, feltPatches, type FeltSheet, feltSheet } from './felt.ts'
export { type PiecePart, type PieceToCut, pieceToCut } from './piece.ts'
export { cuttingPlan, type CutPlan, type CutRequest, SELVEDGE_MM } from './plan.ts'
export { hoopingChecks, preparationOf, type PrepStep } from './preparation.ts'
export { CUTTING_SENTENCES } from './problems.ts'
