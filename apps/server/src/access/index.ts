/** Who is asking, and who may do what. */
export { type LearnerPrincipal, ownPractice, type Principal, principalOf, reach, type Records } from './principal.ts'
