/** A stitch shown step by step, with its sentences. */
export { demonstrate } from './demonstrate.ts'
export { momentAt, secondsOf } from './moment.ts'
export { stepSentence } from './take-thread.ts'
export { lyingAt } from './as-laid.ts'
export type { Demonstration, DemonstrationRequest, Step } from './demonstrate.ts'
export type { Hand } from './hand.ts'
export type { Needle, Pose } from './pose.ts'
