/**
 * The moves of a needle and its thread, one shape a kind. Coordinates are the frame's: `s` mm forward along the guide, `t` mm
 * to the left of the working direction; `a` and `b` on a shape. What each does stands in the room that works them.
 */
export type Expression = number | string

export type PointForm =
  | readonly [Expression, Expression]
  | string
  | {
      readonly from: PointForm
      readonly to: PointForm
      readonly at?: Expression | undefined
      readonly mm?: Expression | undefined
      readonly by?: readonly [Expression, Expression] | undefined
    }
  /** Where two threads cross, nearest to the frame. */
  | { readonly cross: readonly [string, string] }
  /** Where a line from the frame's origin, leaning back from the way of working by so many degrees, meets the edge. */
  | { readonly edge: 'left' | 'right'; readonly lean: Expression }

export type Round = 'inside' | 'cross' | 'left' | 'right'
export type When = 'first' | 'last' | 'not-first' | 'not-last' | 'even' | 'odd' | 'first-row' | 'later-row'

interface MoveCommon {
  /** Labels the thread that ends here. */
  readonly as?: string | undefined
  readonly when?: When | undefined
  /** Only in these repeats, counted from 0. */
  readonly only?: readonly number[] | undefined
  /** Not in these repeats. */
  readonly except?: readonly number[] | undefined
  /** Made only where this is more than nothing: `rows-1-row` in every row but the last. */
  readonly if?: Expression | undefined
}

export interface UpMove extends MoveCommon {
  readonly up: PointForm
  /** How an open loop lies round this hole. */
  readonly round?: Round | undefined
  /** Through the thread of this label. */
  readonly split?: string | undefined
  /** The needle is left half out, to be drawn through by the next `down`. */
  readonly half?: boolean | undefined
  /** A second place that holds the same loop open: the far corner of a link worked between two rails. */
  readonly and?: PointForm | undefined
  /** Turns of the thread round the needle's tip before it is drawn through: a knot at this hole. */
  readonly wraps?: Expression | undefined
}
export interface DownMove extends MoveCommon {
  readonly down: PointForm
  /** A loop is left on the front. */
  readonly loose?: boolean | undefined
  readonly split?: string | undefined
  /** Turns of the thread round the needle before it goes in: a small link between the last hole and this one. */
  readonly wraps?: Expression | undefined
  /** The end of a laid thread, taken to the back. */
  readonly plunge?: boolean | undefined
}
export interface ByMove extends MoveCommon {
  readonly by: PointForm
}
export interface WrapMove extends MoveCommon {
  readonly wrap: Expression
  /** A figure of eight: half-turns of opposite hand. */
  readonly turn?: 'eight' | undefined
}
/** Half-hitches cast on the needle. */
export interface CastMove extends MoveCommon {
  readonly cast: Expression
  /** The coil stands free of the cloth, so many mm tall. */
  readonly free?: Expression | undefined
  /** From one side and the other in turn, with two threads. */
  readonly sides?: 'both' | undefined
}
/** The thread follows the guide on the surface between two nominal places. */
export interface LayMove extends MoveCommon {
  readonly lay: readonly [Expression, Expression]
  /** To the left of the guide, mm. */
  readonly aside?: Expression | undefined
}
/** Round a post that is not the cloth: a pin. */
export interface RoundMove extends MoveCommon {
  readonly round: PointForm
  /** Where the thread goes next. */
  readonly to: PointForm
}
/** The pass ends with its thread still in hand, in front; the next pass `continues`. */
export interface HoldMove extends MoveCommon {
  readonly hold: true
}
/** The thread in hand waits where it is, in its own needle; the one of this role is taken up, where it was left. */
export interface TakeMove extends MoveCommon {
  readonly take: string
}
/** Threads that lie already are drawn out of their way by the one in hand. */
export interface DrawnMove extends MoveCommon {
  readonly drawn: readonly string[]
  /** As far along the guide and to its left, mm. */
  readonly by: readonly [Expression, Expression]
  /** Where they are drawn, as a share of their length; in the middle when left out. */
  readonly at?: Expression | undefined
}
export interface PinMove extends MoveCommon {
  readonly pin: PointForm
}
export interface BeadMove extends MoveCommon {
  /** Its width, mm. */
  readonly bead: Expression
}
/** Padding lifts what is worked over it. */
export interface PadMove extends MoveCommon {
  /** Height, mm. */
  readonly pad: Expression
  /** A patch of felt, so much inside the outline, mm; stitches as padding have none. */
  readonly felt?: Expression | undefined
}
/** The cloth is cut or pierced: a gap of this size round a point. */
export interface CutMove extends MoveCommon {
  readonly cut: PointForm
  readonly size: Expression
}
/** Threads of the ground drawn out of a strip between two heights of the guide. */
export interface WithdrawMove extends MoveCommon {
  readonly withdraw: readonly [Expression, Expression]
}
/** Threads of the ground that stand in a withdrawn strip, from `s` to `s`, are drawn together at one height. */
export interface BundleMove extends MoveCommon {
  readonly bundle: readonly [Expression, Expression]
  readonly at: Expression
}
/** Small frames along a thread, or along the way between two points: `s` along it, `t` to its left. */
export interface EachMove extends MoveCommon {
  readonly each: {
    readonly along: string | { readonly from: PointForm; readonly to: PointForm }
    readonly every: Expression
    readonly offset?: Expression | undefined
    /** The end to measure from; the thread's own beginning when left out. */
    readonly from?: PointForm | undefined
    /** Worked from the far end back. */
    readonly back?: boolean | undefined
  }
  readonly moves: readonly Move[]
}

/** Of the way of working; `near`: the side the thread comes from. */
export type PassSide = 'left' | 'right' | 'ahead' | 'behind' | 'near'

/** Slides past threads on the front without entering the cloth. A reference: `st`, `st~1`, `st[k+1]`, `loop[0]@.95`, `st*` the nearest. */
interface PassMove extends MoveCommon {
  /** The side that the needle enters from; the side the thread comes from when left out. */
  readonly from?: PassSide | undefined
  /** Where along the first thread, 0 to 1 in its own direction. */
  readonly at?: Expression | undefined
  /** The thread lies under the needle: a hitch. */
  readonly round?: 'inside' | undefined
  /** How far the bight between two passes from one side stands out, mm. */
  readonly bight?: Expression | undefined
}
export interface UnderMove extends PassMove {
  readonly under: readonly string[]
}
export interface OverMove extends PassMove {
  readonly over: readonly string[]
}

/** Every kind of move by its first word. Tables of what is done with moves are keyed by it, so that none can be forgotten. */
export interface MoveByKind {
  readonly up: UpMove
  readonly down: DownMove
  readonly by: ByMove
  readonly wrap: WrapMove
  readonly cast: CastMove
  readonly lay: LayMove
  readonly hold: HoldMove
  readonly take: TakeMove
  readonly drawn: DrawnMove
  readonly pin: PinMove
  readonly bead: BeadMove
  readonly pad: PadMove
  readonly cut: CutMove
  readonly withdraw: WithdrawMove
  readonly bundle: BundleMove
  readonly each: EachMove
  readonly under: UnderMove
  readonly over: OverMove
  readonly round: RoundMove
}

export type MoveKind = keyof MoveByKind
export type Move = MoveByKind[MoveKind]

/** In the order in which their words are looked for: "round" is also a word of `up`, `under` and `over`, and "by" one of `drawn`. */
export const MOVE_KINDS: readonly MoveKind[] = [
  'up',
  'down',
  'drawn',
  'by',
  'wrap',
  'cast',
  'lay',
  'hold',
  'take',
  'pin',
  'bead',
  'pad',
  'cut',
  'withdraw',
  'bundle',
  'each',
  'under',
  'over',
  'round',
]

/** The first word that names the move; null for what is no move. */
export function kindOfMove(move: object): MoveKind | null {
  return MOVE_KINDS.find((kind) => kind in move) ?? null
}
