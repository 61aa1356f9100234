/** What a worked exercise uses, shows, takes and asks: thread, width, cover, minutes, difficulty. */
export { measureThread, SLACK, TAILS_MM } from './thread-use.ts'
export type { ThreadUse, ThreadUseSettings } from './thread-use.ts'
export { measureCoverage, measureWidth } from './line-width.ts'
export { measureMinutes, SECONDS, secondsOf } from './minutes.ts'
export type { Minutes } from './minutes.ts'
export { rateDifficulty, USUAL_WEIGHTS } from './difficulty.ts'
export type { Difficulty, DifficultyLoads, DifficultyPart, DifficultyWeights } from './difficulty.ts'
export { secondHandMotions, untwistEvery } from './handling.ts'
