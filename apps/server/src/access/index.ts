/** Who is asking, and who may do what. */
export { MOST_OF_ACCOUNT } from './most.ts'
export { makeSureOfBytes, roomOf } from './room.ts'
export { type LearnerPrincipal, ownPractice, type Principal, principalOf, reach, type Records } from './principal.ts'
