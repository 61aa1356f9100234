/**
 * What is drawn for stitching: geometry in millimetres on the cloth, origin at its top left, y down. Paths are
 * SVG path data. The contract's schema checks these shapes at every border.
 */
import type { MeasuredPath, Point, Region } from '../geometry/index.ts'

export type Pair = readonly [number, number]

export type Guide =
  | { readonly kind: 'line'; readonly path: string }
  | { readonly kind: 'band'; readonly path?: string | undefined; readonly widthMm?: number | undefined; readonly rails?: readonly string[] | undefined }
  | {
      readonly kind: 'shape'
      readonly path: string
      readonly directions?: readonly string[] | undefined
      readonly vein?: string | undefined
      readonly holes?: readonly string[] | undefined
    }
  /** `at`: the spot itself. */
  | { readonly kind: 'spot'; readonly at: Pair; readonly turnRad?: number | undefined }
  /** `at`: the spots themselves; each may be turned its own way (`turnsRad`), or all alike. */
  | { readonly kind: 'spots'; readonly at: readonly Pair[]; readonly turnRad?: number | undefined; readonly turnsRad?: readonly number[] | undefined }
  /** `at`: the centre. `turnRad`: where it begins, from the right-hand end of its level diameter. */
  | { readonly kind: 'ring'; readonly at: Pair; readonly radiusMm: number; readonly turnRad?: number | undefined }
  /** `at`: the middle of the first square; the others follow in the direction of `turnRad`. */
  | {
      readonly kind: 'square'
      readonly at: Pair
      readonly sideMm: number
      readonly turnRad?: number | undefined
      readonly repeat?: number | undefined
    }
  /** `at`: the top left corner, about which the grid is turned. */
  | {
      readonly kind: 'grid'
      readonly at: Pair
      readonly columns: number
      readonly rows: number
      readonly cellMm: number
      readonly turnRad?: number | undefined
    }
  /** `base`: where the detached work begins. */
  | { readonly kind: 'pins'; readonly base: Pair; readonly pins: readonly Pair[] }

export type GuideKind = Guide['kind']
export type GuideOf<Kind extends GuideKind> = Extract<Guide, { readonly kind: Kind }>

/** What of a guide an exercise may be worked on by itself. */
export const GUIDE_PARTS = ['outline', 'vein', 'left-rail', 'right-rail', 'centre-line'] as const
export type GuidePart = (typeof GUIDE_PARTS)[number]

/** How far a guide reaches to each side: even (half its width), up to two rails, or up to an outline. */
export type GuideWidth =
  | { readonly kind: 'even'; readonly halfMm: number }
  /** `points`: both rails as one ring. */
  | { readonly kind: 'rails'; readonly left: readonly Point[]; readonly right: readonly Point[]; readonly points: readonly Point[] }
  /** `region`: the outline, and the holes that stay free. */
  | { readonly kind: 'outline'; readonly region: Region }

/** A guide as it is worked: measured, checked, with what a placement needs. Several kinds are worked alike. */
export type ReadGuide =
  | { readonly kind: 'line'; readonly path: MeasuredPath; readonly width?: GuideWidth; readonly centre?: Point }
  | {
      readonly kind: 'shape'
      readonly outline: MeasuredPath
      /** The outline's points, then those of its holes. */
      readonly region: Region
      readonly directions: readonly MeasuredPath[]
      readonly vein?: MeasuredPath
      readonly areaMm2: number
    }
  /** `turns`: one for each spot, radians. Squares have a side. */
  | { readonly kind: 'spots'; readonly at: readonly Point[]; readonly turns: readonly number[]; readonly sideMm?: number }
  | {
      readonly kind: 'grid'
      readonly at: Point
      readonly columns: number
      readonly rows: number
      readonly cellMm: number
      readonly turnRad: number
    }
  | { readonly kind: 'pins'; readonly base: Point; readonly pins: readonly Point[] }

export type ReadKind = ReadGuide['kind']
export type ReadOf<Kind extends ReadKind> = Extract<ReadGuide, { readonly kind: Kind }>

/** The guide on which a newly chosen stitch is first worked, without a place yet. */
export type PracticeGuide =
  | { readonly kind: 'line'; readonly lengthMm: number }
  | { readonly kind: 'shape'; readonly widthMm: number; readonly heightMm: number; readonly outline?: 'oval' | 'rectangle' | undefined }
  | { readonly kind: 'spots'; readonly count: number; readonly apartMm: number }
  | { readonly kind: 'band'; readonly lengthMm: number; readonly widthMm: number }
  | { readonly kind: 'ring'; readonly radiusMm: number }
  | { readonly kind: 'square'; readonly sideMm: number; readonly repeat: number }
  | { readonly kind: 'grid'; readonly columns: number; readonly rows: number; readonly cellMm: number }
  | { readonly kind: 'pins'; readonly heightMm: number /** How many stand in a fan; one when left out. */; readonly pins?: number | undefined }

export type PracticeKind = PracticeGuide['kind']
export type PracticeOf<Kind extends PracticeKind> = Extract<PracticeGuide, { readonly kind: Kind }>

/** A place by which a guide is taken hold of. */
export interface Handle {
  readonly id: string
  /** As it is called: "its start". */
  readonly name: string
  readonly at: Point
  /** The handle that it belongs to: one end of a curve at a place. Shown when that one is in hand. */
  readonly of?: string | undefined
}

/** What a guide measures besides its places: a ring's radius, how many pins. */
export interface GuideSize {
  readonly id: string
  readonly name: string
  readonly kind: 'length' | 'count'
  /** mm, or how many. */
  readonly value: number
  readonly min: number
  readonly max: number
}
