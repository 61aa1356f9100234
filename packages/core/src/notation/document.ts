/**
 * A stitch described once, as data: where the needle goes and what the thread does on the way.
 * Coordinates are the frame's: `s` mm forward along the guide, `t` mm to the left of the working direction;
 * `a` and `b` on a shape. There is no field for difficulty, minutes, thread, width, or the words of a step:
 * all of them are derived.
 */
export type Expression = number | string

export interface ParameterSpec {
  /** The value when the teacher gives none. */
  readonly usual: Expression
  readonly min?: Expression | undefined
  readonly max?: Expression | undefined
  /** As it is called on screen: "Stitch length". */
  readonly name?: string | undefined
  readonly kind?: 'length' | 'count' | 'share' | undefined
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

export type Round = 'inside' | 'cross' | 'left' | 'right'
export type When = 'first' | 'last' | 'not-first' | 'not-last' | 'even' | 'odd'

interface MoveCommon {
  /** Labels the thread that ends here. */
  readonly as?: string | undefined
  readonly when?: When | undefined
}

export interface UpMove extends MoveCommon {
  readonly up: PointForm
  /** How an open loop lies round this hole. */
  readonly round?: Round | undefined
  /** Through the thread of this label. */
  readonly split?: string | undefined
  /** The needle is left half out, to be drawn through by the next `down`. */
  readonly half?: boolean | undefined
}
export interface DownMove extends MoveCommon {
  readonly down: PointForm
  /** A loop is left on the front. */
  readonly loose?: boolean | undefined
  readonly split?: string | undefined
}
export interface ByMove extends MoveCommon {
  readonly by: PointForm
}
export interface WrapMove extends MoveCommon {
  readonly wrap: Expression
}

/** Slides past threads on the front without entering the cloth. A reference: `st`, `st~1`, `st[k+1]`, `loop[0]@.95`. */
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

export type Move = UpMove | DownMove | ByMove | WrapMove | UnderMove | OverMove

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
      }
    }
  | { readonly across: { readonly pitch: Expression } }
  | { readonly once: true }

export interface Pass {
  readonly name: string
  readonly thread?: 'main' | 'second' | undefined
  /** `flat` in a fill: strands spread side by side. */
  readonly lie?: 'round' | 'flat' | undefined
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
  /** The way of working that chooses it: `{"split": "from-above"}`. */
  readonly when?: Readonly<Record<string, string>> | undefined
}

export type PracticeGuide =
  | { readonly kind: 'line'; readonly lengthMm: number }
  | { readonly kind: 'shape'; readonly widthMm: number; readonly heightMm: number; readonly outline?: 'oval' | 'rectangle' | undefined }
  | { readonly kind: 'spots'; readonly count: number; readonly apartMm: number }
  | { readonly kind: 'band'; readonly lengthMm: number; readonly widthMm: number }
  | { readonly kind: 'ring'; readonly radiusMm: number }
  | { readonly kind: 'square'; readonly sideMm: number; readonly repeat: number }

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
  readonly parameters?: Readonly<Record<string, Expression | ParameterSpec>> | undefined
  /** At a corner: go through it, or finish on it and begin afresh. */
  readonly corner?: 'through' | 'restart' | undefined
  readonly passes: readonly Pass[]
  readonly variants?: Readonly<Record<string, Variant>> | undefined
  readonly practice?: PracticeGuide | undefined
  readonly marks?: 'every-hole' | 'every-nth' | 'guide-only' | 'ends-only' | 'none' | undefined
  readonly goodFor?: readonly string[] | undefined
  readonly tension?: 'loose' | 'easy' | 'firm' | undefined
  readonly look?: { readonly front?: string | undefined; readonly back?: string | undefined } | undefined
  readonly slips?: readonly { readonly see: string; readonly mend: string }[] | undefined
  readonly unpick?: string | undefined
  readonly cautions?: readonly string[] | undefined
}

export function isMoveLists(repeat: Pass['repeat']): repeat is readonly (readonly Move[])[] {
  return Array.isArray(repeat[0])
}

/** The repeat as a cycle of lists, whichever way it was written. */
export function cycleOf(pass: Pass): readonly (readonly Move[])[] {
  return isMoveLists(pass.repeat) ? pass.repeat : [pass.repeat]
}

export function parameterSpec(given: Expression | ParameterSpec): ParameterSpec {
  return typeof given === 'object' ? given : { usual: given }
}
