/** What every kind of guide can do; one file a kind gives it, and one table holds them. */
import type { Result } from '../base/index.ts'
import type { Matrix, Point } from '../geometry/index.ts'
import type { Guide, GuideOf, GuideKind, GuidePart, GuideSize, Handle, PracticeKind, PracticeOf, ReadGuide } from './types.ts'

export interface GuideTools<Kind extends GuideKind> {
  /** With its article, for sentences: "a line". */
  readonly word: string
  /** Measured and checked; problems have paths from the guide. */
  readonly read: (guide: GuideOf<Kind>) => Result<ReadGuide>
  /** Carried by a similarity: moved, turned, scaled, mirrored. */
  readonly transform: (guide: GuideOf<Kind>, matrix: Matrix) => GuideOf<Kind>
  /** Carried so that stitches keep their length: a grid has other counts, not other cells. Left out: as it is carried. */
  readonly refit?: (guide: GuideOf<Kind>, matrix: Matrix) => GuideOf<Kind>
  readonly handles: (guide: GuideOf<Kind>) => readonly Handle[]
  /** One handle taken to a place; null for a handle that moves the whole guide. */
  readonly reshape: (guide: GuideOf<Kind>, handleId: string, to: Point) => GuideOf<Kind> | null
  readonly sizes: (guide: GuideOf<Kind>) => readonly GuideSize[]
  readonly withSize: (guide: GuideOf<Kind>, id: string, value: number) => GuideOf<Kind>
  /** Parts that can be worked by themselves; the guide of one, or a problem that says what is not there. */
  readonly parts: readonly GuidePart[]
  readonly part: (guide: GuideOf<Kind>, part: GuidePart) => Result<Guide>
  /** What a stitch that names no practice guide is practised on. */
  readonly practice: PracticeKind
}

export interface PracticeTools<Kind extends PracticeKind> {
  readonly usual: PracticeOf<Kind>
  /** Laid about (x, y), its sizes shrunk to `mostMm` where there is less room. */
  readonly lay: (wanted: PracticeOf<Kind>, middle: Point, mostMm: number) => Guide
  /** Room above and below its middle, mm. */
  readonly halfHeightMm: (wanted: PracticeOf<Kind>) => number
  /** As much of it as shows the stitch in a small picture, some 40 mm wide. */
  readonly shortened: (wanted: PracticeOf<Kind>) => PracticeOf<Kind>
}
