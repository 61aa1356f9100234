/**
 * The sampler document: what the teacher decided, and nothing that can be computed, and nobody's name. Lengths
 * are millimetres, origin at the top left of the cloth, y down. The contract's schema checks these shapes at
 * every border.
 */
import type { Language } from '../language/index.ts'
import type { ExerciseId, GroupId, GuideId, LessonId, PieceId, StitchId, ThreadId } from '../base/index.ts'
import type { Guide, GuidePart, Pair } from '../guide/index.ts'
import type { NeedleSchool, ThreadFigures } from '../materials/index.ts'
import type { StitchDocument, ThreadRole } from '../notation/index.ts'

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
  readonly marking?: Marking | undefined
  readonly cutting?: Cutting | undefined
  /** Of steps, names and sheets; English where it is not said. */
  readonly language?: Language | undefined
  /** What classes unpicked and lost, where kits are cut by it. */
  readonly unpicked?: LearnedUnpicking | undefined
}

export interface LearnedUnpicking {
  /** Added to what is worked, 0 to 2 of it. */
  readonly share: number
  readonly learners: number
  /** Year, month and day on which it was taken over. */
  readonly on: string
}

/** How the cloth for the class is bought, washed and cut. */
export interface Cutting {
  /** From selvedge to selvedge. */
  readonly boltMm?: number | undefined
  /** Before it is cut unless it is said. */
  readonly washed?: 'before-cutting' | 'after-cutting' | 'not' | undefined
}

/** How the cloth is marked, and what was found when it was tried. */
export interface Marking {
  /** Id of a way of marking. */
  readonly method?: string | undefined
  /** May the finished piece be wetted, and ironed? Yes where it is not said. */
  readonly washable?: boolean | undefined
  readonly ironed?: boolean | undefined
  /** May it get colder than ten degrees of frost, as in the post in winter? */
  readonly cold?: boolean | undefined
  readonly tests?: readonly MarkTest[] | undefined
}

export interface MarkTest {
  readonly id: string
  /** Year, month and day. */
  readonly on: string
  readonly method: string
  readonly result: 'gone' | 'faint' | 'stays' | 'came-back'
  readonly note?: string | undefined
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

/** An oval one, and a frame of four bars, by what is free inside, across and down. */
export type Hoop =
  | { readonly shape: 'round'; readonly nominalMm: number; readonly insideMm: number; readonly at: Pair }
  | { readonly shape: 'oval' | 'frame'; readonly insideMm: Pair; readonly at: Pair }

/** The hoop in which the finished piece hangs. */
export type DisplayHoop =
  | { readonly shape: 'round'; readonly insideMm: number; readonly at: Pair; readonly nominalMm?: number | undefined }
  | { readonly shape: 'oval' | 'frame'; readonly insideMm: Pair; readonly at: Pair }

export interface SamplerThread {
  readonly id: ThreadId
  readonly kind: string
  readonly weight?: string | undefined
  readonly colour: Colour
  /** Where this thread is not as its kind usually is. */
  readonly figures?: ThreadFigures | undefined
}

export type MarkStyle = 'every-hole' | 'every-nth' | 'guide-only' | 'ends-only' | 'in-order' | 'none'
export type MarkLayer = 'trace' | 'look' | 'frame'

export interface NeedleChoice {
  readonly kind: string
  readonly size: number
  /** Measured, where it is not what its kind usually has in this size. mm */
  readonly shaftMm?: number | undefined
}

/** One of a stitch's threads: what is left out is chosen, and said to be chosen. */
export interface Material {
  readonly thread?: ThreadId | undefined
  readonly strands?: number | undefined
  readonly needle?: NeedleChoice | undefined
  /** Threads by row of an interlocking fill, from its first row on; the last serves all later rows. */
  readonly shades?: readonly ThreadId[] | undefined
}

export type Materials = Readonly<Partial<Record<ThreadRole, Material>>>

/** Another stitch that the teacher allows, with its own thread and lengths. */
export interface Substitute {
  readonly stitch: StitchId
  readonly parameters?: Readonly<Record<string, number>> | undefined
  readonly materials?: Materials | undefined
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

/** Holds for the stitch that was worked; of another it says nothing. */
export interface LearnedTimes {
  readonly stitch: StitchId
  /** So many times as long as the moves come to, 0.2 to 5. */
  readonly times: number
  readonly learners: number
  /** Year, month and day on which it was taken over. */
  readonly on: string
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
  readonly lessons: readonly (readonly ExerciseId[])[]
}

/** What a teacher may leave to her learners in an exercise. */
export type FreeSetting = 'colour' | 'strands' | 'length' | 'marks'

/** Where an exercise must stand in the course. */
export interface Pins {
  /** Not taught in this course; it keeps its place on the cloth. */
  readonly excluded?: boolean | undefined
  readonly lesson?: LessonId | undefined
  readonly first?: boolean | undefined
  readonly last?: boolean | undefined
  readonly before?: readonly ExerciseId[] | undefined
  readonly after?: readonly ExerciseId[] | undefined
  readonly together?: readonly ExerciseId[] | undefined
}

/** A guide that an exercise is worked on, or a part of it. */
export interface WorkedOn {
  readonly guide: GuideId
  readonly part?: GuidePart | undefined
}

/** What one piece has otherwise than the exercise. */
export interface PieceChange {
  readonly materials?: Materials | undefined
  readonly parameters?: Readonly<Record<string, number>> | undefined
  /** How long it is beside the first, as a share: 0.5 is half as long. Of lines, bands and what stands on pins. */
  readonly lengthShare?: number | undefined
}

export interface Exercise {
  readonly id: ExerciseId
  readonly name: string
  readonly stitch: StitchId
  /** Each guide once; a guide's copies are pieces of the exercise too. */
  readonly on: readonly WorkedOn[]
  readonly parameters?: Readonly<Record<string, number>> | undefined
  readonly variant?: string | undefined
  readonly marks?: MarkStyle | undefined
  readonly nth?: number | undefined
  readonly materials?: Materials | undefined
  readonly pieces?: Readonly<Record<PieceId, PieceChange>> | undefined
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
  /** Exercises that lie under it and are worked before it. */
  readonly over?: readonly ExerciseId[] | undefined
  readonly note?: string | undefined
  readonly trials?: readonly TrialNote[] | undefined
  /** Codes of cautions that the teacher has read and leaves as they are. */
  readonly setAside?: readonly string[] | undefined
  /** What classes took of it against what is reckoned: from then on it is reckoned so. */
  readonly learned?: LearnedTimes | undefined
}

export interface Lesson {
  readonly id: LessonId
  readonly title: string
  readonly exercises: readonly ExerciseId[]
}

/** Live copies: change the first, and all follow. The first copy is the guide itself. */
export type Copies =
  /** Turned about a centre: evenly round, or over a span with both ends taken. `upright`: moved without being turned. */
  | { readonly kind: 'round'; readonly centre: Pair; readonly count: number; readonly spanRad?: number | undefined; readonly upright?: boolean | undefined }
  /** Evenly along a path from its beginning to its end, turned as the path turns. */
  | { readonly kind: 'along'; readonly path: string; readonly count: number; readonly upright?: boolean | undefined }
  /** In columns and rows; in a brick every second row stands half a step aside. */
  | { readonly kind: 'rows'; readonly columns: number; readonly rows: number; readonly stepMm: Pair; readonly brick?: boolean | undefined }
  /** Itself and its mirror image in a line. */
  | { readonly kind: 'mirror'; readonly line: readonly [Pair, Pair] }

/** A guide on the cloth, with or without a stitch. */
export interface DrawnGuide {
  readonly id: GuideId
  readonly name?: string | undefined
  /** `trace` (unless said): goes on the cloth; `look`: printed for the eye; `frame`: neither. */
  readonly layer?: MarkLayer | undefined
  /** Only sketched: neither traced nor worked. */
  readonly draft?: boolean | undefined
  readonly guide: Guide
  readonly copies?: Copies | undefined
}

/** Guides that are moved and copied together. A guide belongs to one group at most. */
export interface GuideGroup {
  readonly id: GroupId
  readonly name?: string | undefined
  readonly members: readonly GuideId[]
  readonly copies?: Copies | undefined
}

/** All the guides on the cloth. */
/** A picture that one draws over: kept on the server by its id, laid at scale about its middle, mm. */
export interface Underlay {
  readonly picture: string
  readonly at: Pair
  readonly widthMm: number
  /** Its height as a share of its width. */
  readonly heightShare: number
  readonly turnRad?: number | undefined
  /** How strongly it is seen; 40 where nothing is said. */
  readonly opacityPercent?: number | undefined
}

export interface GuideDrawing {
  readonly guides: readonly DrawnGuide[]
  readonly groups: readonly GuideGroup[]
  readonly underlay?: Underlay | undefined
}

export interface Sampler {
  readonly format: 'lemmata-sampler'
  readonly version: 2
  readonly name: string
  readonly units: 'mm' | 'in'
  readonly brief: Brief
  readonly cloth: SamplerCloth
  readonly workingHoop?: Hoop | undefined
  readonly displayHoop?: DisplayHoop | undefined
  readonly threads: readonly SamplerThread[]
  readonly drawing: GuideDrawing
  /** Their place in this list says nothing; the lessons are the order of teaching. */
  readonly exercises: readonly Exercise[]
  readonly lessons: readonly Lesson[]
  readonly keptOrders: readonly KeptOrder[]
  readonly stitches: readonly StitchDocument[]
}
