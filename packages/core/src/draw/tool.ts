/** What a drawing tool is, and what those that follow have in common. */
import { type Guide, type GuideKind, hundredths } from '../guide/index.ts'
import type { Point } from '../geometry/index.ts'

/** How places are given: from one to another by a drag; one after another by presses; as the hand goes. */
export type Taking = 'drag' | 'presses' | 'freehand'

export interface ToolFigure {
  readonly id: string
  readonly name: string
  readonly kind: 'length' | 'count' | 'share' | 'angle'
  readonly usual: number
  readonly min: number
  readonly max: number
}

export interface DrawTool {
  readonly id: string
  readonly name: string
  readonly kind: GuideKind
  readonly taking: Taking
  /** What to do, in one sentence. */
  readonly how: string
  /** What its places are. */
  readonly asks: string
  readonly figures: readonly ToolFigure[]
  /** At most so many places; null where as many as one likes. */
  readonly places: number | null
  readonly least: number
  /** What the words are that it draws; left out where it draws none. */
  readonly words?: string
  /** What a stitch must be good for, in the library's words, to be offered first; left out where that may be any. */
  readonly goodFor?: string
  /** Of what it draws: how long a stitch on it is best, mm; left out where it says nothing. */
  readonly stitchMm?: (figures: Readonly<Record<string, number>>) => number
  /** None while it is not yet anything. */
  readonly make: (places: readonly Point[], figures: Readonly<Record<string, number>>, words?: string) => readonly Guide[]
  /** What a hand drew in one go, smoothed; left out where the tool is not drawn so. */
  readonly byHand?: (stroke: readonly Point[], figures: Readonly<Record<string, number>>) => readonly Guide[]
  /** Figures in proportion to the places, for as long as nothing else is said. */
  readonly suggest?: (places: readonly Point[]) => Readonly<Record<string, number>>
  /** Figures that the places tell, where the hand has given more than the tool needs. */
  readonly read?: (places: readonly Point[]) => Readonly<Record<string, number>>
}

export const length = (id: string, name: string, usual: number, min = 0.5, max = 400): ToolFigure => ({ id, name, kind: 'length', usual, min, max })
export const count = (id: string, name: string, usual: number, min = 1, max = 200): ToolFigure => ({ id, name, kind: 'count', usual, min, max })
export const angle = (id: string, name: string, usual: number): ToolFigure => ({ id, name, kind: 'angle', usual, min: -360, max: 360 })
export const tenths = (value: number): number => Math.round(value * 10) / 10
export const line = (path: string | null): Guide | null => (path === null ? null : { kind: 'line', path })
export const ends = (places: readonly Point[]): readonly [Point, Point] | null => (places.length >= 2 ? [places[0] as Point, places[1] as Point] : null)
export const apart = (a: Point, b: Point): number => Math.hypot(b.x - a.x, b.y - a.y)
export const pairOf = ({ x, y }: Point): readonly [number, number] => [hundredths(x), hundredths(y)]

/** A figure that a drag tells: so many times as far as it went. */
export const timesDragged =
  (id: string, times: number, least: number) =>
  (places: readonly Point[]): Readonly<Record<string, number>> => {
    const both = ends(places)
    return both ? { [id]: Math.max(least, hundredths(times * apart(both[0], both[1]))) } : {}
  }

/** As the tools are written: one guide, several or none. */
export type Written = Omit<DrawTool, 'make' | 'byHand'> & {
  readonly make: (...given: Parameters<DrawTool['make']>) => Made
  readonly byHand?: (...given: Parameters<NonNullable<DrawTool['byHand']>>) => Made
}
type Made = Guide | readonly Guide[] | null

const asGuides = (made: Made): readonly Guide[] => (made === null ? [] : 'kind' in made ? [made] : made)

export const withGuides = ({ make, byHand, ...tool }: Written): DrawTool => ({
  ...tool,
  make: (...given) => asGuides(make(...given)),
  ...(byHand ? { byHand: (...given: Parameters<typeof byHand>) => asGuides(byHand(...given)) } : {}),
})
