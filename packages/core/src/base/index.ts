/** Results, problems, guards and small arithmetic. */
export { caution, error, failure, hasErrors, ProblemError, success } from './problem.ts'
export type { Problem, ProblemPath, Result } from './problem.ts'
export { requireNumber, requirePositive, unreachable } from './require.ts'
export { clamp, nearestCount, roundTo, sum } from './number.ts'
