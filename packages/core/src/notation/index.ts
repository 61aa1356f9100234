/** Stitch documents: their shape, their arithmetic, their parameters and variants. */
export type * from './document.ts'
export { cycleOf, isMoveLists, MAIN_ROLE, parameterSpec, rolesOf } from './document.ts'
export { compileExpression, ExpressionError } from './expression.ts'
export type { Compiled, Lookup } from './expression.ts'
export { RESERVED_NAMES, resolveParameters } from './scope.ts'
export type { MaterialValues, ParameterValue, ParameterValues } from './scope.ts'
export { applyBase, applyVariant, chooseVariant } from './variant.ts'
export { applyMistake, usualMistakes } from './mistake.ts'
