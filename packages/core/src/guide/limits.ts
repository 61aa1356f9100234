/** What a guide must at least and may at most be, so that it can be worked and hostile input stays small. */

/** A guide of this length or less holds no stitch, mm. */
export const SHORTEST_MM = 0.5
/** A band narrower than this is a line, mm: no needle comes up on one rail and goes down on the other. */
export const NARROWEST_BAND_MM = 0.5
export const MOST_SPOTS = 2000
export const MOST_CELLS = 10_000
