/** Where the repeats of a pass lie: along, across or about a guide. */
import type { Expression } from './moves.ts'

/** Rows of a line stitch that fill a shape. */
export interface Rows {
  /** From row to row, mm. */
  readonly spacing: Expression
  readonly follow: 'outline' | 'direction'
}

/** Every chord of a shape cut into rows that lose stitches where the shape narrows. */
export interface Cuts {
  /** Where the first row ends, taken in turn by column, mm from the edge. */
  readonly first: readonly Expression[]
  readonly step: Expression
  /** How far a row reaches into the one before. */
  readonly bite?: Expression | undefined
  /** A rest shorter than this is joined to the stitch before it. */
  readonly min?: Expression | undefined
  /** Worked row by row, or each column to its end before the next. Row by row unless said. */
  readonly by?: 'row' | 'column' | undefined
}

export type Place =
  | {
      readonly along: {
        readonly step: readonly Expression[]
        /** How far the last repeat reaches beyond its advance; negative when it stops short of it. */
        readonly tail?: Expression | undefined
        /** On a closed guide: the length that `start` has already worked; the tail when left out. */
        readonly closedTail?: Expression | undefined
        /** The tail where a leg ends on a corner and the line begins again after it; the tail when left out. */
        readonly cornerTail?: Expression | undefined
        /** So many repeats instead of fitting: a pass that counts something else, `count(st)`. */
        readonly times?: Expression | undefined
        /** Worked from the far end back. */
        readonly order?: 'reverse' | undefined
        /** An odd number of repeats: the spokes of a woven wheel. */
        readonly odd?: boolean | undefined
        /** On a shape: along its vein (as a band whose rails are the outline), or along the outline itself. */
        readonly of?: 'vein' | 'outline' | undefined
        /** So far inside the outline, mm. */
        readonly inset?: Expression | undefined
        readonly rows?: Rows | undefined
        /** The whole again, so many times in all, `row` by `row`: lines of stem over one set of bars. */
        readonly again?: Expression | undefined
      }
    }
  | {
      readonly across: {
        readonly pitch: Expression
        readonly cuts?: Cuts | undefined
        /** Turned from the direction in which the shape is filled, degrees to the left. */
        readonly turn?: Expression | undefined
        /** So far inside the outline, mm. */
        readonly inset?: Expression | undefined
      }
    }
  | { readonly once: true }
  /** One frame for the whole line; `U` is its length. */
  | { readonly whole: true }
  /** So many frames, all at the beginning of the guide: weaving, whose places come from what it passes. */
  | { readonly times: Expression }
  /** Spots of even density within a shape, so far apart or a little more, mm, or packed shoulder to shoulder; each frame has a direction of its own. */
  | { readonly scatter: { readonly apart: Expression; readonly inset?: Expression | undefined; readonly packed?: boolean | undefined } }
  /** The cells of a grid, row by row. */
  | { readonly cells: { readonly order?: 'forward' | 'to-and-fro' | 'reverse' | undefined } }
  /**
   * One frame at the base, looking towards each pin; `height` is how far away the pin is. Several pins carry a piece
   * each; in a fan all stand under one weave, the middle one last, with `left` and `right` shares of the base.
   */
  | { readonly pins: true | 'fan' }
  /** Over and under the threads of a label, to and fro from the tips to the feet: `thread` is the number of the one met, `at` the share of it. */
  | { readonly weave: { readonly label: string; readonly tip: Expression; readonly beat: Expression } }
  /** Wherever threads of two labels cross. */
  | { readonly crossings: readonly [string, string] }
