/** What is marked over the picture of a row that was read. */
import type { ReadStitches } from './put-right.ts'
import type { RowKind } from './row-plan.ts'

/** Each stitch; of stitches side by side, of which no picture tells one from the next, the two edges between which they were measured. */
export function marksOf(kind: RowKind, stitches: ReadStitches): ReadStitches {
  const [first, last] = [stitches[0], stitches.at(-1)]
  if (kind !== 'side-by-side' || !first || !last) return stitches
  return [
    [first[0], last[0]],
    [first[1], last[1]],
  ]
}
