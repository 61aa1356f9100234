/**
 * A stitch described once, as data: where the needle goes and what the thread does on the way. There is no field for difficulty, minutes, thread, width, or the words of a step:
 * all of them are derived.
 */
import type { Id } from '../base/index.ts'
import type { NamesOf } from '../language/index.ts'
import type { PracticeGuide } from '../guide/index.ts'
import type { Expression, Move } from './moves.ts'
import type { Place, Rows } from './place.ts'

export interface ParameterSpec {
  /** The value when the teacher gives none. */
  readonly usual: Expression
  readonly min?: Expression | undefined
  readonly max?: Expression | undefined
  /** As it is called on screen: "Stitch length". */
  readonly name?: string | undefined
  readonly kind?: 'length' | 'count' | 'share' | undefined
  /** A length that says how far apart stitches stand, where it is not the stitch's own length. */
  readonly measures?: 'apart' | 'between' | undefined
}

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
  /** On a shape, what would reach beyond it goes as far as its edge. */
  readonly within?: boolean | undefined
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
  /** Which move of an `each`. */
  readonly inner?: number | undefined
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
  /** In other languages. */
  readonly names?: NamesOf | undefined
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
  readonly marks?: 'every-hole' | 'every-nth' | 'guide-only' | 'ends-only' | 'in-order' | 'none' | undefined
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
  const used = [...new Set(document.passes.flatMap((pass) => [pass.thread ?? MAIN_ROLE, ...taken(pass)]))]
  const [first = MAIN_ROLE, ...rest] = used.includes(MAIN_ROLE) ? [MAIN_ROLE, ...used.filter((role) => role !== MAIN_ROLE)] : used
  return [first, ...rest]
}

function taken(pass: Pass): readonly ThreadRole[] {
  return [pass.start, pass.afterCorner, ...cycleOf(pass), pass.end, pass.close].flatMap((moves) =>
    (moves ?? []).flatMap((move) => ('take' in move ? [move.take as ThreadRole] : [])),
  )
}

export function parameterSpec(given: Expression | ParameterSpec): ParameterSpec {
  return typeof given === 'object' ? given : { usual: given }
}
