/**
 * Frames: how the repeats of a stitch lie along, across or about a guide. Each placement rule makes them; many
 * stitches share a rule. A frame turns its own coordinates into points of the cloth.
 */
import { error, type Figures, type Problem, type ProblemPath } from '../base/index.ts'
import { distance, leftOf, type Place as PathPlace, type Point, step } from '../geometry/index.ts'
import { MoveError } from './thread-settings.ts'
import type { LegFit } from './types.ts'

export interface Frame {
  /** The place of (s, t): the local direction of working comes with it. */
  readonly at: (s: number, t: number) => PathPlace
  readonly named: (name: string) => Point | null
  /** 1, or -1 where left and right are exchanged for the left hand. */
  readonly mirror: 1 | -1
  /** Where a line from the origin, leaning back by so many radians, meets the edge; null where it misses. */
  readonly toEdge?: (side: 'left' | 'right', leanRad: number) => Point | null
  /** How far rails or an outline reach to both sides, so far along; absent where that is everywhere the same. */
  readonly reachAt?: (s: number) => Reach
  /** The sides are an outline, where the eye sees every slip. */
  readonly outlined?: boolean
  /** Values for expressions: span, col and the like. */
  readonly values: Readonly<Record<string, number>>
  /** The guide bends sharply at these nominal places; for a thread laid along it. */
  readonly corners?: readonly number[]
}

/** To the left, to the right, and half of both together, mm. */
export interface Reach {
  readonly wl: number
  readonly wr: number
  readonly w: number
}

/** One unbroken run of frames with its own start and end. */
export interface Run {
  readonly frames: readonly Frame[]
  /** The frame in which the end is worked: one advance beyond the last. */
  readonly endFrame: Frame
  readonly closed: boolean
  /** Begins again after a corner. */
  readonly afterCorner: boolean
}

/** Round a line that meets itself after a stitch or two the next hole is the first: what is wrong is the line, not the stitch. */
export function meetsItself(thrown: unknown, { endFrame, frames }: Run): MoveError | null {
  const isSameHole = thrown instanceof MoveError && /same-hole$/.test(thrown.told.code)
  const [first] = frames
  if (!isSameHole || !first || frames.length > 2) return null
  return distance(first.at(0, 0).at, endFrame.at(0, 0).at) < MEETS_MM ? new MoveError('place.closes-at-once', { stitches: frames.length }) : null
}

const MEETS_MM = 0.1

export interface Placed {
  readonly runs: readonly Run[]
  readonly legs: readonly LegFit[]
  readonly lengthMm: number
  readonly problems: readonly Problem[]
}

export const MOST_FRAMES = 60_000

/** One run of frames that stand each for itself. */
export function oneRun(frames: readonly Frame[], lengthMm: number, pitchMm: number): Placed {
  return {
    runs: [{ frames, endFrame: frames[frames.length - 1] as Frame, closed: false, afterCorner: false }],
    legs: [{ lengthMm, count: frames.length, pitchMm }],
    lengthMm,
    problems: [],
  }
}

/** A frame at a point that looks in a direction; the left hand's left is right. */
export function frameAt(
  origin: Point,
  direction: Point,
  mirror: 1 | -1,
  values: Readonly<Record<string, number>>,
  named: (name: string) => Point | null = () => null,
): Frame {
  return { mirror, values, named, at: (s, t) => ({ at: step(step(origin, direction, s), leftOf(direction), t * mirror), direction }) }
}

export function failed(path: ProblemPath, code: string, figures: Figures = {}): Placed {
  return { runs: [], legs: [], lengthMm: 0, problems: [error('work.placement', path, { reason: { code, figures } })] }
}
