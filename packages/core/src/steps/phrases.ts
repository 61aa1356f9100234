/**
 * What a step says, as data: a list of phrases with what they tell of. The text is made last, from a table of a language, so that
 * a test can play the phrases and another language is another table.
 */
import type { Wound } from '../work/index.ts'
import type { Hand } from './hand.ts'

/** As the picture lies: up is away from the learner. */
export type Direction = 'up' | 'down' | 'left' | 'right' | 'up-left' | 'up-right' | 'down-left' | 'down-right'
export type Side = 'up' | 'down' | 'left' | 'right'

/** Where a hole lies, by something that can be seen. */
export type Where =
  | { readonly at: 'line' | 'middle-line' | 'centre' | 'rim' | 'vein' | 'past-vein' | 'inside' | 'outside' | 'stitch-end' | 'base' }
  | { readonly at: 'beside-line' | 'rail' | 'inside-rail'; readonly side: Side }
  | { readonly at: 'edge' | 'corner'; readonly side: Direction }
  | { readonly at: 'straight'; readonly side: Side; readonly hole: number }
  /** Along the line: a whole stitch, or a little. */
  | { readonly at: 'further' | 'back'; readonly whole: boolean }
  | { readonly at: 'half-back' }

/** A hole as it is spoken of; without a number where none is drawn. */
export interface SaidHole {
  readonly number: number | null
  /** It was made before. */
  readonly again: boolean
  readonly where: readonly Where[]
}

/** What a label is called: its own word where the language has it, else what lies there. */
export type Noun = string

export type Phrase =
  | { readonly key: 'up'; readonly hole: SaidHole; readonly begins: boolean; readonly split: boolean; readonly inLoop: boolean }
  | { readonly key: 'down'; readonly hole: SaidHole; readonly how: 'plain' | 'over-loop' | 'plunge' | 'split' | 'loose'; readonly last: boolean }
  | {
      readonly key: 'straight'
      readonly from: SaidHole
      readonly to: SaidHole
      readonly split: boolean
      readonly tie: 'square' | 'slanting' | null
      readonly over: Noun
      /** Which way it lies, where nothing else says it. */
      readonly toward: Direction | null
    }
  | { readonly key: 'sew'; readonly in: SaidHole; readonly out: SaidHole; readonly split: boolean }
  | { readonly key: 'points'; readonly direction: Direction }
  | { readonly key: 'keep'; readonly side: Side | 'outer' | 'inner'; readonly hand: Hand }
  | { readonly key: 'loop-held'; readonly side: Side; readonly hand: Hand }
  | { readonly key: 'wound-before' | 'loop-under' | 'loop-crossed' | 'loop-knots' | 'wound-at-point' | 'draw-loop-open' | 'draw-bow' | 'pin-out' }
  | { readonly key: 'draw-loop'; readonly direction: Side }
  | { readonly key: 'draw-flat' | 'draw-knot' | 'draw-easy' }
  | { readonly key: 'half-out'; readonly in: SaidHole; readonly out: SaidHole }
  | { readonly key: 'pass'; readonly side: Direction; readonly under: Noun; readonly count: number; readonly again: boolean; readonly over: boolean }
  | { readonly key: 'hitch' }
  | { readonly key: 'draw-pass'; readonly hitch: boolean; readonly drawsIn: boolean; readonly direction: Side }
  | { readonly key: 'weave'; readonly ways: readonly ('over' | 'under')[]; readonly first: boolean; readonly round: boolean }
  | { readonly key: 'wind-first'; readonly hand: Hand; readonly how: Wound; readonly half: boolean }
  | { readonly key: 'wind-all'; readonly how: Wound; readonly turns: number; readonly half: boolean }
  | { readonly key: 'wind-in'; readonly hole: SaidHole; readonly beside: boolean; readonly how: Wound }
  | { readonly key: 'wind-through'; readonly hand: Hand; readonly half: boolean; readonly hole: SaidHole; readonly how: Wound }
  | { readonly key: 'lay' | 'lead' | 'round' | 'pin' | 'bead' | 'pad' | 'cut' | 'withdraw' | 'hold' }
  | {
      readonly key: 'same'
      readonly times: number
      readonly kept: Side | 'outer' | 'inner' | null
      readonly loop: boolean
      /** Each lies against the last. */
      readonly touching: boolean
      readonly row: boolean
      readonly pieces: 'apart' | 'sharing' | null
    }
  | { readonly key: 'new-row'; readonly row: number }
  | { readonly key: 'length'; readonly long: boolean }
  /** The thread is laid to a side of those before it. */
  | { readonly key: 'laid-beside'; readonly side: Side }
  | { readonly key: 'ends' }
  /** A further pass begins. */
  | { readonly key: 'pass-begins'; readonly name: string }

/** The words of a language: complete for the compiler, so that no phrase can be forgotten. */
export type PhraseTable = { readonly [Key in Phrase['key']]: (phrase: Extract<Phrase, { readonly key: Key }>) => string }

export function inWords(phrases: readonly Phrase[], table: PhraseTable): string {
  return phrases.map((phrase) => (table[phrase.key] as (one: Phrase) => string)(phrase)).join(' ')
}
