/** The moves: how each kind is read from a document, and what the hand does. */
export { readMove, workMove } from './table.ts'
export type { Hand, MoveReader } from './rule.ts'
