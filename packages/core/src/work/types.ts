/** What working a stitch on a guide gives: pieces of thread with a side, a path and an order, and what was counted. */
import type { Point, Point3 } from '../geometry/index.ts'
import type { Under } from './front-way.ts'
import type { ThreadRole } from '../notation/index.ts'
import type { MotionCounts } from './motions.ts'

export type { Motion, MotionCounts } from './motions.ts'

export type Side = 'front' | 'back'
/** How a piece of thread came to lie as it does; each kind has one geometry rule. */
export type SegmentKind = 'straight' | 'loop' | 'kept' | 'knot' | 'coil' | 'bead'

/** How the turns of a knot or coil were wound. */
export type Wound = 'wrap' | 'eight' | 'cast' | 'cast-both'

/** Loops turned on the needle, from one side or from both in turn. */
export const isCast = (wound: Wound): boolean => wound === 'cast' || wound === 'cast-both'

/** Which move made a piece: the names and counts of the stitch document. */
export interface MoveRef {
  readonly pass: number
  readonly block: 'start' | 'repeat' | 'end' | 'close' | 'afterCorner'
  /** Which list of a cycle, 0 where there is one. */
  readonly list: number
  readonly repeat: number
  readonly move: number
  /** Which move of an `each`. */
  readonly inner: number | null
}

export interface Segment {
  readonly side: Side
  readonly thread: ThreadRole
  readonly kind: SegmentKind
  readonly lie: 'round' | 'flat'
  /** One curve: the picture (drop z), the order and the length all come from it. mm. */
  points: readonly Point3[]
  lengthMm: number
  /** A later move has drawn it in: how it lay before, and what had been made by then. */
  asLaid?: AsLaid | undefined
  /** Later lies over earlier. */
  order: number
  /** In which order the pieces came to be; `order` says how they lie. */
  readonly sequence: number
  readonly made: MoveRef
  /** The row of an interlocking fill that it belongs to; null elsewhere. */
  readonly row: number | null
  readonly label: string | null
  /** Indexes into `holes`: where it comes out of and goes into the cloth. */
  readonly from: number
  readonly to: number
  /** A loop: the hole whose thread holds it, by coming up inside it. */
  readonly heldBy: number | null
  /** Where a later stitch has parted this thread. */
  readonly parted: Point[]
  /** It comes out through another thread: its end does not show. */
  readonly pierces: boolean
  /** Turns wound on the needle, for knots and coils. */
  readonly turns: number
  readonly wound: Wound
  /** Knot, bead: its diameter. Coil: its length. mm; 0 otherwise. */
  readonly sizeMm: number
  /** Thread wound round the needle for it, mm; 0 where nothing was wound. */
  readonly wrapMm: number
}

export interface AsLaid {
  readonly points: readonly Point3[]
  readonly holes: number
  readonly surfaceMoves: number
}

export interface Hole extends Point {
  readonly move: 'up' | 'down'
  readonly thread: ThreadRole
  readonly row: number | null
  readonly made: MoveRef
  /** The first hole at this very place (its own index when it is new). */
  readonly same: number
}

export interface LegFit {
  readonly lengthMm: number
  /** Stitches in this leg; part stitches where a corner falls inside a repeat. */
  readonly count: number
  readonly pitchMm: number
}

export interface Fitted {
  readonly count: number
  /** The advance from one stitch to the next, the mean where legs differ. */
  readonly pitchMm: number
  readonly lengthMm: number
  readonly legs: readonly LegFit[]
  /** What the parameters asked for. */
  readonly askedMm: number
}

/** What is done on the surface, between one hole and the next. */
export type SurfaceKind = 'under' | 'over' | 'lay' | 'lead' | 'round' | 'pin' | 'bead' | 'pad' | 'cut' | 'withdraw'

/** The needle slides past threads on the front, or something else is done on the surface. */
export interface SurfaceMove {
  readonly kind: SurfaceKind
  readonly at: Point
  readonly thread: ThreadRole
  /** Pieces of thread up to this sequence lie when it is done. */
  sequence: number
  /** The side it comes from, of the direction of working, as worked. */
  readonly from: 'left' | 'right'
  /** Toward where the needle comes from, square to what it passes; null where nothing is passed. */
  readonly side: Point | null
  readonly hitch: boolean
  readonly labels: readonly string[]
  readonly made: MoveRef
  /** The last hole before it. */
  readonly afterHole: number
  readonly inHand: InHand
}

/** The thread in front as it is when such a move is made: the beginning of a way that grows as the work goes on. */
export interface InHand {
  readonly way: readonly Point3[]
  /** So many of its points have been reached. */
  readonly points: number
  readonly unders: readonly Under[]
  readonly count: number
}

/**
 * Something of the ground that is not thread: felt laid under, a gap cut, threads drawn out, those that stand in a drawn strip
 * bundled (from one side of the bundle to the other). Outlines in mm.
 */
export interface Patch {
  readonly kind: 'felt' | 'gap' | 'drawn' | 'bundle'
  readonly outline: readonly Point[]
  /** Thread made up to this sequence lies below it. */
  readonly sequence: number
  /** What had been made before it. */
  readonly holes: number
  readonly surfaceMoves: number
}

/** Something that would not hold, noted while a mistake was worked. */
export interface Fault {
  readonly kind: 'loop-lost' | 'pulled-through' | 'not-split'
  readonly at: Point
  readonly repeat: number
}

export interface WorkedStitch {
  readonly faults: readonly Fault[]
  readonly patches: readonly Patch[]
  readonly segments: readonly Segment[]
  readonly holes: readonly Hole[]
  readonly surfaceMoves: readonly SurfaceMove[]
  /** A pass over another's stitches that has lost its place lies so far from them, beyond an advance. mm; 0 where none has. */
  readonly driftMm: number
  readonly fitted: Fitted
  /** Of all passes together. */
  readonly motions: MotionCounts
  /** What each pass of the document asked of the hands, in the document's order. */
  readonly efforts: readonly PassEffort[]
  readonly repeats: number
}

export interface PassEffort {
  readonly repeats: number
  readonly motions: MotionCounts
}
