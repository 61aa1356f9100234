/** Several processes on one machine that serve together, and the one that leads them. */
export { askLeader, isLed, thrownOf } from './ask-leader.ts'
export { lead } from './lead.ts'
