/** The drawing fitted to another size, and rows to one length: places change, stitches keep theirs. */
export { type AnotherSize, type Refitted, takeTo } from './another-size.ts'
export { type Counted, type RefitChange, stitchesOf, whatChanges } from './what-changes.ts'
export { fitAll, lengthsForAll, meetEvery, type OneLength, type Row, type RowFit } from './one-length.ts'
export { giveLength, type HeldRow, hoopAround, rowsHeld } from './rows-held.ts'
export { type Facing, facingCounts, inBrick } from './facing.ts'
export { type KeptPitch, keepPitch } from './keep-pitch.ts'
export { REFIT_SENTENCES } from './problems.ts'
