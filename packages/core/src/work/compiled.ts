/** A stitch document after every expression has been read once and every label checked. */
import type { Problem } from '../base/index.ts'
import type { Compiled, MoveKind, Pass, PassSide, Round, StitchDocument, ThreadRole, When } from '../notation/index.ts'
import type { MoveRef } from './types.ts'

export type CompiledPoint =
  | { readonly kind: 'frame'; readonly s: Compiled; readonly t: Compiled }
  | { readonly kind: 'named'; readonly name: string; readonly shift: number }
  | { readonly kind: 'last' }
  | { readonly kind: 'cross'; readonly threads: readonly [CompiledReference, CompiledReference] }
  | { readonly kind: 'edge'; readonly side: 'left' | 'right'; readonly lean: Compiled }
  | {
      readonly kind: 'between'
      readonly from: CompiledPoint
      readonly to: CompiledPoint
      readonly at: Compiled | null
      readonly mm: Compiled | null
      readonly by: readonly [Compiled, Compiled] | null
    }

export interface CompiledReference {
  readonly label: string
  readonly index: Compiled | null
  readonly back: number
  /** The one that lies nearest to where the needle is. */
  readonly nearest: boolean
  readonly at: Compiled | null
}

export interface CompiledCommon {
  /** Its place in the list of the document. */
  readonly index: number
  /** Its place among the moves of an `each`. */
  readonly inner: number | null
  readonly as: string | null
  readonly when: When | null
  readonly only: readonly number[] | null
  readonly except: readonly number[] | null
  readonly given: Compiled | null
}

export interface CompiledUp extends CompiledCommon {
  readonly kind: 'up'
  readonly point: CompiledPoint
  readonly round: Round | null
  readonly split: CompiledReference | null
  readonly half: boolean
  readonly wraps: Compiled | null
  readonly and: CompiledPoint | null
}

export interface CompiledDown extends CompiledCommon {
  readonly kind: 'down'
  readonly point: CompiledPoint
  readonly loose: boolean
  readonly wraps: Compiled | null
  readonly split: CompiledReference | null
  readonly plunge: boolean
}

export interface CompiledSlide<Past extends 'under' | 'over'> extends CompiledCommon {
  readonly kind: Past
  readonly references: readonly CompiledReference[]
  readonly from: PassSide
  readonly at: Compiled | null
  readonly hitch: boolean
  readonly bight: Compiled | null
}

export interface CompiledEach extends CompiledCommon {
  readonly kind: 'each'
  readonly along: CompiledReference | { readonly from: CompiledPoint; readonly to: CompiledPoint }
  readonly every: Compiled
  readonly offset: Compiled | null
  readonly from: CompiledPoint | null
  readonly back: boolean
  readonly moves: readonly CompiledMove[]
}

/** Every kind of move, read; complete for the compiler. */
export interface CompiledByKind extends Record<MoveKind, CompiledCommon> {
  readonly up: CompiledUp
  readonly down: CompiledDown
  readonly by: CompiledCommon & { readonly kind: 'by'; readonly point: CompiledPoint }
  readonly wrap: CompiledCommon & { readonly kind: 'wrap'; readonly turns: Compiled; readonly eight: boolean }
  readonly cast: CompiledCommon & { readonly kind: 'cast'; readonly turns: Compiled; readonly free: Compiled | null; readonly both: boolean }
  readonly lay: CompiledCommon & { readonly kind: 'lay'; readonly from: Compiled; readonly to: Compiled; readonly aside: Compiled | null }
  readonly hold: CompiledCommon & { readonly kind: 'hold' }
  readonly take: CompiledCommon & { readonly kind: 'take'; readonly role: ThreadRole }
  readonly drawn: CompiledCommon & {
    readonly kind: 'drawn'
    readonly references: readonly CompiledReference[]
    readonly by: readonly [Compiled, Compiled]
    readonly at: Compiled | null
  }
  readonly pin: CompiledCommon & { readonly kind: 'pin'; readonly point: CompiledPoint }
  readonly bead: CompiledCommon & { readonly kind: 'bead'; readonly size: Compiled }
  readonly pad: CompiledCommon & { readonly kind: 'pad'; readonly height: Compiled; readonly felt: Compiled | null }
  readonly cut: CompiledCommon & { readonly kind: 'cut'; readonly point: CompiledPoint; readonly size: Compiled }
  readonly withdraw: CompiledCommon & { readonly kind: 'withdraw'; readonly from: Compiled; readonly to: Compiled }
  readonly bundle: CompiledCommon & { readonly kind: 'bundle'; readonly from: Compiled; readonly to: Compiled; readonly at: Compiled }
  readonly each: CompiledEach
  readonly under: CompiledSlide<'under'>
  readonly over: CompiledSlide<'over'>
  readonly round: CompiledCommon & { readonly kind: 'round'; readonly post: CompiledPoint; readonly to: CompiledPoint }
}

export type CompiledMove = CompiledByKind[MoveKind]

export type BlockName = MoveRef['block']

export interface CompiledRows {
  readonly spacing: Compiled
  readonly follow: 'outline' | 'direction'
}

export type CompiledPlace =
  | {
      readonly kind: 'along'
      readonly steps: readonly Compiled[]
      readonly tail: Compiled | null
      readonly closedTail: Compiled | null
      readonly cornerTail: Compiled | null
      readonly times: Compiled | null
      readonly reverse: boolean
      readonly odd: boolean
      readonly of: 'vein' | 'outline'
      readonly inset: Compiled | null
      readonly rows: CompiledRows | null
      readonly again: Compiled | null
    }
  | {
      readonly kind: 'across'
      readonly pitch: Compiled
      readonly turn: Compiled | null
      readonly inset: Compiled | null
      readonly cuts: {
        readonly first: readonly Compiled[]
        readonly step: Compiled
        readonly bite: Compiled | null
        readonly min: Compiled | null
        readonly by: 'row' | 'column'
      } | null
    }
  | { readonly kind: 'once' }
  | { readonly kind: 'whole' }
  | { readonly kind: 'times'; readonly times: Compiled }
  | { readonly kind: 'scatter'; readonly apart: Compiled; readonly inset: Compiled | null; readonly packed: boolean }
  | { readonly kind: 'cells'; readonly order: 'forward' | 'to-and-fro' | 'reverse' }
  | { readonly kind: 'pins' /** All of them under one weave. */; readonly fan: boolean }
  | { readonly kind: 'weave'; readonly label: string; readonly tip: Compiled; readonly beat: Compiled }
  | { readonly kind: 'crossings'; readonly labels: readonly [string, string] }

export interface CompiledPass {
  readonly pass: Pass
  readonly place: CompiledPlace
  readonly start: readonly CompiledMove[]
  readonly afterCorner: readonly CompiledMove[] | null
  readonly cycle: readonly (readonly CompiledMove[])[]
  readonly end: readonly CompiledMove[]
  readonly close: readonly CompiledMove[] | null
}

export interface CompiledStitch {
  readonly document: StitchDocument
  readonly passes: readonly CompiledPass[]
  /** Labels that a move looks for by place. */
  readonly seekable: ReadonlySet<string>
  readonly problems: readonly Problem[]
}
