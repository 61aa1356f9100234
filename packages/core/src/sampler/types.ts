/**
 * The sampler document: what the teacher decided, and nothing that can be computed. Lengths are millimetres,
 * origin at the top left of the cloth, y down. The contract's schema checks these shapes at every border.
 */
import type { NeedleSchool } from '../materials/index.ts'
import type { Guide } from '../guide/index.ts'
import type { StitchDocument } from '../notation/index.ts'

export type Level = 'beginner' | 'improver' | 'experienced'
export type Handling = 'stab' | 'sew'

export interface WaysOfWorking {
  readonly threadStart: 'away-knot' | 'knot-behind' | 'caught-tail'
  readonly threadEnd: 'woven-under' | 'loop-knots'
  readonly needlefulMm: number
  readonly split: 'from-below' | 'from-above'
  readonly satin: 'wrapped' | 'turned'
  readonly satinOutline: 'before' | 'after' | 'none'
  readonly stemThread: 'right' | 'left'
  readonly fillThenOutline: boolean
  readonly needle: NeedleSchool
  readonly handling: Handling
}

/** A few choices overruled, the rest left as they are. */
export type OverruledWays = { readonly [Way in keyof WaysOfWorking]?: WaysOfWorking[Way] | undefined }

export interface Brief {
  readonly level: Level
  readonly learners: number
  readonly leftHanded: number
  readonly sparePercent: number
  readonly lessonMinutes: number
  /** Lessons that the teacher has in mind; left out: as few as the minutes need. */
  readonly lessons?: number | undefined
  readonly homeMinutesPerWeek: number
  readonly startDate?: string | undefined
  readonly everyDays?: number | undefined
  readonly skipDates?: readonly string[] | undefined
  readonly purpose?: string | undefined
  readonly waysOfWorking: WaysOfWorking
  readonly wishes?: WishWeights | undefined
  readonly hardFor?: HardFor | undefined
}

export interface Colour {
  readonly name: string
  readonly hex: string
}

export interface SamplerCloth {
  readonly kind: string
  readonly threadsPerCm?: number | null | undefined
  readonly thicknessMm?: number | undefined
  readonly colour: Colour
  readonly widthMm: number
  readonly heightMm: number
}

export interface Hoop {
  readonly shape: 'round'
  readonly nominalMm: number
  readonly insideMm: number
  readonly at: readonly [number, number]
}

export interface SamplerThread {
  readonly id: string
  readonly kind: string
  readonly weight?: string | undefined
  readonly colour: Colour
}

export type MarkStyle = 'every-hole' | 'every-nth' | 'guide-only' | 'ends-only' | 'none'
export type MarkLayer = 'trace' | 'look' | 'frame'

export interface NeedleChoice {
  readonly kind: string
  readonly size: number
}

/** Another stitch that the teacher allows, with its own thread and lengths. */
export interface Substitute {
  readonly stitch: string
  readonly parameters?: Readonly<Record<string, number>> | undefined
  readonly thread?: string | undefined
  readonly strands?: number | undefined
  readonly needle?: NeedleChoice | undefined
}

/** A sample that was tried: with what setting, how it came out, what was decided, how many of a class preferred it. */
export interface TrialNote {
  readonly id: string
  /** Year, month and day. */
  readonly on: string
  readonly setting: string
  readonly result: string
  readonly verdict: 'keep' | 'change' | 'drop'
  readonly votes?: number | undefined
}

/** How much each wish weighs when an order is sought: 1 is usual. */
export interface WishWeights {
  readonly evenness?: number | undefined
  readonly novelty?: number | undefined
  readonly return?: number | undefined
  readonly variety?: number | undefined
  readonly minutes?: number | undefined
}

/** What a class finds harder or easier than usual: a factor on those loads; 1 is usual. */
export interface HardFor {
  readonly loops?: number | undefined
  readonly knots?: number | undefined
  readonly surface?: number | undefined
  readonly edges?: number | undefined
  readonly placing?: number | undefined
  readonly laying?: number | undefined
  readonly counting?: number | undefined
  readonly sequence?: number | undefined
  readonly small?: number | undefined
  readonly unmarked?: number | undefined
}

/** An order that the teacher keeps beside the one in use. */
export interface KeptOrder {
  readonly id: string
  readonly name: string
  readonly exercises: readonly string[]
  readonly lessons: readonly (readonly string[])[]
}

/** What a teacher may leave to her learners in an exercise. */
export type FreeSetting = 'colour' | 'strands' | 'length' | 'marks'

/** What a learner has chosen for an exercise, of what it leaves free. */
export interface LearnerChoice {
  /** One of the stitches allowed instead. */
  readonly stitch?: string | undefined
  readonly thread?: string | undefined
  readonly strands?: number | undefined
  readonly parameters?: Readonly<Record<string, number>> | undefined
  readonly marks?: MarkStyle | undefined
}

/** The sampler as one learner works it. */
export interface LearnerVersion {
  readonly id: string
  readonly name: string
  readonly hand?: 'left' | 'right' | undefined
  /** Nothing is left open: clear orders throughout. */
  readonly settled?: boolean | undefined
  /** By the id of the exercise. */
  readonly choices: Readonly<Record<string, LearnerChoice>>
}

/** Where an exercise must stand in the course. */
export interface Pins {
  /** Not taught in this course; it keeps its place on the cloth. */
  readonly excluded?: boolean | undefined
  readonly lesson?: string | undefined
  readonly first?: boolean | undefined
  readonly last?: boolean | undefined
  readonly before?: readonly string[] | undefined
  readonly after?: readonly string[] | undefined
  readonly together?: readonly string[] | undefined
}

export interface Exercise {
  readonly id: string
  readonly name: string
  readonly stitch: string
  readonly guide: Guide
  readonly parameters?: Readonly<Record<string, number>> | undefined
  readonly variant?: string | undefined
  readonly marks?: MarkStyle | undefined
  readonly nth?: number | undefined
  readonly layer?: MarkLayer | undefined
  readonly thread?: string | undefined
  readonly strands?: number | undefined
  readonly needle?: NeedleChoice | undefined
  readonly secondThread?: string | undefined
  readonly secondStrands?: number | undefined
  readonly secondNeedle?: NeedleChoice | undefined
  readonly substitutes?: readonly Substitute[] | undefined
  readonly asShown?: { readonly strands?: number | undefined; readonly pitchMm?: number | undefined; readonly colour?: Colour | undefined } | undefined
  readonly pins?: Pins | undefined
  /** The part that learners do at home, 0 to 90. */
  readonly homePercent?: number | undefined
  /** What learners may choose for themselves; the rest is as the sheet says. */
  readonly free?: readonly FreeSetting[] | undefined
  readonly hold?: 'tight' | 'easy' | 'free' | undefined
  readonly toleranceMm?: number | undefined
  readonly waysOfWorking?: OverruledWays | undefined
  readonly after?: readonly string[] | undefined
  readonly note?: string | undefined
  readonly trials?: readonly TrialNote[] | undefined
}

export interface Lesson {
  readonly id: string
  readonly title: string
  readonly exercises: readonly string[]
}

export interface Sampler {
  readonly format: 'lemmata-sampler'
  readonly version: 1
  readonly name: string
  readonly units: 'mm' | 'in'
  readonly brief: Brief
  readonly cloth: SamplerCloth
  readonly workingHoop?: Hoop | undefined
  readonly displayHoop?: Hoop | undefined
  readonly threads: readonly SamplerThread[]
  readonly exercises: readonly Exercise[]
  readonly lessons: readonly Lesson[]
  readonly keptOrders?: readonly KeptOrder[] | undefined
  readonly learnerVersions?: readonly LearnerVersion[] | undefined
  readonly stitches: readonly StitchDocument[]
}
