/**
 * A stitch described once, as data: where the needle goes and what the thread does on the way.
 * Coordinates are the frame's: `s` mm forward along the guide, `t` mm to the left of the working direction;
 * `a` and `b` on a shape. There is no field for difficulty, minutes, thread, width, or the words of a step:
 * all of them are derived.
 */
import type { Id } from '../base/index.ts'
import type { PracticeGuide } from '../guide/index.ts'

export type Expression = number | string

export interface ParameterSpec {
  /** The value when the teacher gives none. */
  readonly usual: Expression
  readonly min?: Expression | undefined
  readonly max?: Expression | undefined
  /** As it is called on screen: "Stitch length". */
  readonly name?: string | undefined
  readonly kind?: 'length' | 'count' | 'share' | undefined
  /** A length that says how far apart stitches stand, where it is not the stitch's own length. */
  readonly measures?: 'apart' | undefined
}

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

/** Slides past threads on the front without entering the cloth. A reference: `st`, `st~1`, `st[k+1]`, `loop[0]@.95`, `st*` the nearest. */
interface PassMove extends MoveCommon {
  /** The side that the needle enters from; the side the thread comes from when left out. */
  readonly from?: 'left' | 'right' | 'near' | undefined
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

export type Move =
  | UpMove
  | DownMove
  | ByMove
  | WrapMove
  | CastMove
  | LayMove
  | RoundMove
  | HoldMove
  | PinMove
  | BeadMove
  | PadMove
  | CutMove
  | WithdrawMove
  | EachMove
  | UnderMove
  | OverMove

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

/** Which of a stitch's threads: `main` makes the line or the fill; the others are what the document calls them (tie, whipping, lacing, padding). */
export type ThreadRole = Id<'role'>

export const MAIN_ROLE: ThreadRole = 'main'

export interface Pass {
  readonly name: string
  /** The role of its thread; the main one when left out. */
  readonly thread?: ThreadRole | undefined
  /** `flat` in a fill: strands spread side by side. */
  readonly lie?: 'round' | 'flat' | undefined
  /** The same needleful goes on from the pass before. */
  readonly continues?: boolean | undefined
  readonly place: Place
  readonly start?: readonly Move[] | undefined
  /** A list of moves, or lists of moves taken in turn. */
  readonly repeat: readonly Move[] | readonly (readonly Move[])[]
  readonly end?: readonly Move[] | undefined
  /** Worked instead of the last repeat and the end when the guide is closed. */
  readonly close?: readonly Move[] | undefined
  /** Worked instead of `start` where a line begins again after a corner. */
  readonly afterCorner?: readonly Move[] | undefined
}

/** Another school of the same stitch: what it replaces. */
export interface Variant {
  readonly name: string
  readonly because?: string | undefined
  readonly parameters?: Readonly<Record<string, Expression | ParameterSpec>> | undefined
  readonly passes?: readonly Pass[] | undefined
  readonly rows?: Rows | undefined
  readonly practice?: PracticeGuide | undefined
  /** The kinds of guide that it is for, where these are fewer than the stitch's. */
  readonly guide?: readonly string[] | undefined
  /** What chooses it: a way of working (`{"split": "from-above"}`) or the kind of guide (`{"guide": "grid"}`). */
  readonly when?: Readonly<Record<string, string>> | undefined
}

/**
 * A usual mistake as a change of the moves, worked like the stitch itself: its picture, and whether it would
 * come undone, are derived.
 */
export interface Mistake {
  readonly name: string
  /** What to do about it. */
  readonly mend: string
  /** Where the change is made; in every repeat, or in the k-th of them (from 0) only. */
  readonly pass: number
  readonly block: 'start' | 'repeat' | 'end' | 'close'
  /** Which list, where the repeat is a cycle. */
  readonly list?: number | undefined
  readonly move: number
  /** Only in these repeats; in all when left out. */
  readonly only?: readonly number[] | undefined
  /** Takes the move away, puts others in its place, or moves its hole aside by `s` and `t`. */
  readonly change:
    | { readonly leaveOut: true }
    | { readonly instead: readonly Move[] }
    | { readonly aside: readonly [Expression, Expression] }
    | { readonly tight: true }
}

export interface StitchDocument {
  readonly format: 'lemmata-stitch'
  readonly version: 1
  readonly id: string
  readonly name: string
  readonly also?: readonly string[] | undefined
  readonly family?: string | undefined
  readonly guide: readonly string[]
  /** The stitch whose passes are worked first; their labels can be referred to. */
  readonly base?: string | undefined
  /** The base is a line stitch, worked in rows that fill a shape. */
  readonly rows?: Rows | undefined
  readonly parameters?: Readonly<Record<string, Expression | ParameterSpec>> | undefined
  /** At a corner: go through it, finish on it and begin afresh, or give its hole three spokes (which stand to the left). */
  readonly corner?: 'through' | 'restart' | 'fan' | undefined
  readonly passes: readonly Pass[]
  readonly mistakes?: readonly Mistake[] | undefined
  readonly variants?: Readonly<Record<string, Variant>> | undefined
  readonly practice?: PracticeGuide | undefined
  readonly marks?: 'every-hole' | 'every-nth' | 'guide-only' | 'ends-only' | 'none' | undefined
  readonly goodFor?: readonly string[] | undefined
  readonly tension?: 'loose' | 'easy' | 'firm' | undefined
  readonly look?: { readonly front?: string | undefined; readonly back?: string | undefined } | undefined
  readonly slips?: readonly { readonly see: string; readonly mend: string }[] | undefined
  readonly unpick?: string | undefined
  /** Stitches that are taken for this one, and how to tell them apart. */
  readonly lookAlikes?: readonly { readonly name: string; readonly tell: string }[] | undefined
  readonly cautions?: readonly string[] | undefined
}

export function isMoveLists(repeat: Pass['repeat']): repeat is readonly (readonly Move[])[] {
  return Array.isArray(repeat[0])
}

/** The repeat as a cycle of lists, whichever way it was written. */
export function cycleOf(pass: Pass): readonly (readonly Move[])[] {
  return isMoveLists(pass.repeat) ? pass.repeat : [pass.repeat]
}

/** The roles of a stitch's threads: the main one first, then as they come into use. */
export function rolesOf(document: Pick<StitchDocument, 'passes'>): readonly [ThreadRole, ...ThreadRole[]] {
  const used = [...new Set(document.passes.map((pass) => pass.thread ?? MAIN_ROLE))]
  const [first = MAIN_ROLE, ...rest] = used.includes(MAIN_ROLE) ? [MAIN_ROLE, ...used.filter((role) => role !== MAIN_ROLE)] : used
  return [first, ...rest]
}

export function parameterSpec(given: Expression | ParameterSpec): ParameterSpec {
  return typeof given === 'object' ? given : { usual: given }
}
