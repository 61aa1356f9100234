/** A stitch shown step by step, with its sentences. */
export { demonstrate } from './demonstrate.ts'
export { stepSentence } from './take-thread.ts'
export type { Demonstration, DemonstrationRequest, Hand, Step } from './demonstrate.ts'
