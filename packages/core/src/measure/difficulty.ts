/**
 * How hard a stitch is, from what the hands have to do, and how hard an exercise in it, from that and its setting:
 * size, curve, marks, strands, minutes. Every part is a load that can only add, so the score rises with each where
 * all else is held; the parts add up to the score.
 *
 * A composite costs its base in full and its own pass besides. Passes of one stitch that no other is built of (out and
 * back, padding and cover) are done by the same hands one after the other: of each motion the hardest pass counts.
 *
 * raw = motor + memory + setting; score = 100 (1 - exp(-raw / 45)): absolute, so that a new stitch in the library
 * changes no other score. The weights are judgement; they are gathered in one table for a class to tune.
 */
import { clamp } from '../base/index.ts'
import type { Motion, MotionCounts } from '../work/index.ts'

export interface DifficultyWeights {
  readonly motions: Readonly<Record<Motion, number>>
  readonly memoryPerMove: number
  readonly memorySpecial: number
  readonly short: number
  readonly bend: number
  readonly corner: number
  readonly unmarked: number
  readonly strands: number
  readonly fatiguePerHour: number
}

export const USUAL_WEIGHTS: DifficultyWeights = {
  motions: {
    up: 1.6, // from behind, at an exact place, with no edge to feel
    down: 0.4,
    'shared-hole': 2,
    'turn-back': 1.1,
    split: 5,
    'leave-loop': 1.5,
    'catch-loop': 3,
    'cross-loop': 7,
    'keep-side': 2,
    wrap: 10, // the second hand and an even tension; grows with the logarithm of the count
    'pass-under': 4.5, // on the surface, without piercing
    'pass-over': 2,
    edge: 12, // landing on a line without a gap, on both sides of a shape
    width: 1.8, // the same distance from the line every time
    alternate: 1.2,
    wind: 2, // taking the thread up in the second hand
    cast: 13, // as wraps, each of which must turn the same way
    stand: 6, // a needle that stands in the cloth and is threaded there
    weave: 18, // over and under in turn, with nothing fixed
    eight: 3, // half-turns of opposite hand
    angle: 3, // a direction that changes with every stitch
    interlock: 14, // rows that must not show where they meet
    count: 2.5, // cloth threads or cells
    lay: 2, // a second thread on the surface
    tie: 1.5, // square over it, hugging
    plunge: 1.5,
    pin: 2,
    'round-pin': 4,
    bead: 3,
    pad: 8, // what lies over padding must follow it
    withdraw: 10, // cannot be undone
    cut: 14, // cannot be undone
  },
  memoryPerMove: 0.6,
  memorySpecial: 1,
  short: 10,
  bend: 9,
  corner: 1.2,
  unmarked: 2,
  strands: 1.5,
  fatiguePerHour: 4,
}

const SCALE = 45

/** Motions that are learned however seldom they come in a piece. */
const ONCE: readonly Motion[] = ['lay', 'plunge', 'pin', 'round-pin', 'pad', 'withdraw', 'cut']

export interface DifficultyPart {
  /** A motion's id, `memory`, or one of the settings `short`, `bend`, `corner`, `unmarked`, `strands`, `minutes`. */
  readonly id: string
  readonly group: 'motion' | 'memory' | 'setting'
  readonly score: number
}

export interface Difficulty {
  readonly score: number
  /** Largest first; they add up to the score. */
  readonly parts: readonly DifficultyPart[]
}

/** What one pass of a stitch asks of the hands. */
export interface PassLoads {
  readonly repeats: number
  readonly motions: MotionCounts
  /** Different moves in one repeat. */
  readonly moves: number
}

export interface StitchLoads {
  readonly passes: readonly PassLoads[]
  /** Built on another stitch, whose passes come first: the passes add up. */
  readonly composite: boolean
  /** Starts, ends and corners that differ from the repeat. */
  readonly special: number
}

/** What an exercise adds to its stitch. */
export interface SettingLoads {
  /** Stitch length over its shortest good one; 1.3 and above is comfortable. */
  readonly lengthOverMin: number | null
  /** Advance over the tightest radius. */
  readonly bend: number
  readonly corners: number
  /** Share of holes that have no mark on the cloth, 0 to 1. */
  readonly unmarked: number
  readonly strands: number
  readonly minutes: number
}

interface Raw {
  readonly id: string
  readonly group: DifficultyPart['group']
  readonly value: number
}

/** The stitch alone: the same for every row that is worked in it. */
export function rateStitch(loads: StitchLoads, weights: DifficultyWeights = USUAL_WEIGHTS): Difficulty {
  return scored(stitchParts(loads, weights))
}

export function rateDifficulty(stitch: StitchLoads, setting: SettingLoads, weights: DifficultyWeights = USUAL_WEIGHTS): Difficulty {
  return scored([...stitchParts(stitch, weights), ...settingParts(setting, weights)])
}

function stitchParts({ passes, composite, special }: StitchLoads, weights: DifficultyWeights): readonly Raw[] {
  const worked = passes.filter((pass) => pass.repeats > 0)
  const together = (values: readonly number[]): number => (composite ? values.reduce((total, one) => total + one, 0) : Math.max(0, ...values))
  const motions = new Set(worked.flatMap((pass) => Object.keys(pass.motions) as Motion[]))
  const moves = together(worked.map((pass) => pass.moves))
  return [
    ...[...motions].map(
      (motion): Raw => ({ id: motion, group: 'motion', value: weights.motions[motion] * together(worked.map((pass) => motionLoad(motion, pass))) }),
    ),
    { id: 'memory', group: 'memory', value: weights.memoryPerMove * moves + weights.memorySpecial * special },
  ]
}

/** One of a motion in a repeat weighs its weight; more of the same in one stitch weigh less and less. */
function motionLoad(motion: Motion, { motions, repeats }: PassLoads): number {
  const count = motions[motion] ?? 0
  if (count === 0) return 0
  // What is done once for the whole piece is still to be done.
  return Math.log2(1 + (ONCE.includes(motion) ? Math.max(1, count / repeats) : count / repeats))
}

function settingParts({ lengthOverMin, bend, corners, unmarked, strands, minutes }: SettingLoads, weights: DifficultyWeights): readonly Raw[] {
  const part = (id: string, value: number): Raw => ({ id, group: 'setting', value })
  return [
    part('short', lengthOverMin === null ? 0 : weights.short * clamp(Math.log(1.3 / Math.max(0.2, lengthOverMin)), 0, 2)),
    part('bend', weights.bend * clamp(bend, 0, 2)),
    part('corner', weights.corner * Math.log2(1 + corners)),
    part('unmarked', weights.unmarked * clamp(unmarked, 0, 1)),
    part('strands', weights.strands * (strands === 1 || strands >= 5 ? 1 : 0)),
    part('minutes', weights.fatiguePerHour * clamp(minutes / 60, 0, 3)),
  ]
}

function scored(all: readonly Raw[]): Difficulty {
  const raw = all.filter((part) => part.value > 1e-9)
  const total = raw.reduce((sum, part) => sum + part.value, 0)
  const score = 100 * (1 - Math.exp(-total / SCALE))
  const parts = raw
    .map(({ id, group, value }) => ({ id, group, score: total > 0 ? (score * value) / total : 0 }))
    .sort((a, b) => b.score - a.score || a.id.localeCompare(b.id))
  return { score, parts }
}
