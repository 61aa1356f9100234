/** The words of a learner's book in a language: every sentence whole, figures and names put in. */
import type { Hoop, WaysOfWorking } from '../sampler/index.ts'
import type { Motion } from '../work/index.ts'

export interface BookWords {
  readonly weekdays: readonly [string, string, string, string, string, string, string]
  readonly months: readonly string[]
  /** "Thursday 19 November" from its parts. */
  readonly day: (weekday: string, day: number, month: string) => string
  readonly cover: {
    readonly kind: (lessons: number) => string
    readonly owner: string
    readonly hands: readonly [string, string]
    readonly drawnFor: Readonly<Record<'left' | 'right', string>>
    readonly dates: string
    readonly noClass: (days: string) => string
  }
  readonly foot: {
    readonly hand: Readonly<Record<'left' | 'right', string>>
    readonly printed: (version: string | null, day: string) => string
    readonly book: (pages: number) => string
  }
  readonly onTheWeb: string
  readonly lesson: (number: number) => string
  readonly before: {
    readonly title: string
    readonly once: string
    readonly care: string
    readonly cautions: readonly string[]
    readonly cloth: string
    readonly cut: (cloth: string, size: string) => string
    readonly wash: (percent: string) => string
    readonly noWash: string
    readonly edge: string
    readonly grain: string
    readonly marking: string
    readonly trace: readonly string[]
    readonly hoop: string
    readonly hoopSteps: readonly string[]
    readonly frame: string
    readonly cutting: string
    readonly needleful: (length: string) => string
    readonly parting: string
    readonly neverParted: string
    readonly threading: string
    readonly threadSteps: readonly string[]
    readonly begin: string
    readonly beginBy: Readonly<Record<WaysOfWorking['threadStart'], string>>
    readonly end: string
    readonly endBy: Readonly<Record<WaysOfWorking['threadEnd'], string>>
    readonly unpick: string
    readonly unpickHow: string
    readonly handling: Readonly<Record<WaysOfWorking['handling'], readonly [string, string]>>
    readonly terms: string
    readonly termList: readonly (readonly [string, string])[]
  }
  readonly key: {
    readonly title: string
    readonly once: string
    readonly columns: readonly [string, string, string, string, string, string]
    readonly means: readonly (readonly [string, string])[]
    readonly pictures: string
    readonly inPictures: readonly string[]
    readonly pale: string
    readonly paleHow: string
    readonly minutes: string
    readonly minutesHow: string
  }
  readonly kit: {
    readonly title: string
    readonly once: string
    readonly threads: string
    readonly thread: (colour: string, kind: string) => string
    readonly threadColumns: readonly [string, string, string]
    readonly else: string
    readonly hoop: (shape: Hoop['shape'], size: string) => string
    readonly needles: (names: string) => string
    readonly pattern: string
    readonly helps: string
    readonly missing: string
    readonly dates: (lessons: number) => string
    readonly dateColumns: readonly [string, string, string, string, string]
    readonly minutes: (minutes: number) => string
  }
  readonly opener: {
    readonly hours: (from: string, to: string) => string
    readonly minutes: (here: number, home: number) => string
    readonly twice: (day: string) => string
    readonly known: string
    readonly knownOf: (stitch: string, letter: string, lesson: number, motions: string) => string
    readonly warmUp: (stitch: string) => string
    readonly fresh: string
    readonly freshOf: (name: string, letter: string, stitch: string, motions: string) => string
    readonly nothingNew: string
    /** Of the very first exercise, where nothing is new but the needle. */
    readonly firstOfAll: string
    readonly where: string
    readonly needle: string
    readonly tick: string
    readonly tickColumns: readonly [string, string, string]
    readonly inClass: (name: string) => string
    readonly atHomePart: (name: string) => string
    readonly pieces: (name: string, count: number) => string
    readonly minuteWord: string
    readonly home: (minutes: number) => string
    readonly homeHow: string
    readonly ifWell: string
    readonly noClass: (day: string, why: string) => string
    readonly catchUp: (day: string) => string
    readonly next: (day: string | null, title: string) => string
    readonly inColours: (kind: string, colours: string) => string
    readonly bring: (things: string) => string
    readonly bringNothing: string
    readonly afterThis: string
  }
  readonly exercise: {
    readonly of: (name: string, stitch: string) => string
    readonly look: string
    readonly slips: string
    readonly asBefore: (letter: string, page: number) => string
    readonly lesson: (number: number, title: string) => string
    readonly goodEnough: (mm: string) => string
    readonly notes: string
  }
  readonly finishing: {
    readonly title: string
    /** Of the threads that may. */
    readonly bleed: (names: string) => string
    readonly steps: readonly string[]
    readonly hoop: (cut: string, felt: string) => string
    readonly unframed: string
    readonly glue: string
    /** Other ways to mount it. */
    readonly forms: string
    readonly formList: readonly string[]
    readonly label: string
    readonly labelLines: readonly string[]
  }
  readonly index: { readonly title: string; readonly columns: readonly [string, string, string] }
  /** What pictures show, for whoever does not see them. */
  readonly alt: {
    readonly finished: (name: string) => string
    readonly piece: (name: string, stitch: string) => string
    readonly whole: (inked: readonly string[]) => string
    readonly step: (holes: readonly string[]) => string
  }
  /** Several motions in one phrase. */
  readonly motions: (motions: readonly Motion[]) => string
  /** A tool by its name in English. */
  readonly tool: (id: string, name: string) => string
}
