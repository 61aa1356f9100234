/**
 * Thread used, in mm of the worked bundle (not times its strands), for each thread by itself.
 * length = (front + back + trips x v + wraps) x (1 + e), then tails for each needleful.
 * v = 0.8 (t + D) is one trip through the cloth worked in a hoop, 0.6 (t + D) sewn in hand, D that thread's own;
 * e = 5 % slack and uneven pull. Judgement without measurement, +-10 % on a line of stitches; a test on one's own
 * work (mark the thread 300 mm from the cloth, make 20 stitches) replaces it.
 */
import type { ThreadRole } from '../notation/index.ts'
import type { Handling } from '../sampler/index.ts'
import type { WorkedStitch } from '../work/index.ts'

export interface ThreadUse {
  readonly front: number
  readonly back: number
  readonly through: number
  readonly loops: number
  readonly wraps: number
  readonly slack: number
  readonly tails: number
  readonly total: number
  readonly needlefuls: number
}

export const SLACK = 0.05
/** A start of 5 cm and an end of 8 cm, which must reach through the eye and be woven in. */
export const TAILS_MM = 130
/** However short a needleful is cut, so much of it is stitched, mm. */
const LEAST_USABLE_MM = 50

/** Lengths as they lie and trips through the cloth, before slack and tails. */
export interface ThreadRun {
  readonly front: number
  readonly back: number
  readonly loops: number
  readonly wraps: number
  readonly trips: number
}

export interface ThreadUseSettings {
  readonly thicknessMm: number
  readonly diameterMm: number
  readonly handling: Handling
  readonly needlefulMm: number
}

/** What was worked with each thread, by role and, in an interlocking fill, by row. */
export function runsOf({
  segments,
  holes,
}: Pick<WorkedStitch, 'segments' | 'holes'>): readonly { readonly role: ThreadRole; readonly row: number | null; readonly run: ThreadRun }[] {
  const runs: { role: ThreadRole; row: number | null; run: Writable<ThreadRun> }[] = []
  // Neighbours are nearly always of one thread and row.
  let last: (typeof runs)[number] | undefined
  const runFor = (role: ThreadRole, row: number | null): Writable<ThreadRun> => {
    if (last?.role === role && last.row === row) return last.run
    last = runs.find((one) => one.role === role && one.row === row)
    if (!last) {
      last = { role, row, run: { front: 0, back: 0, loops: 0, wraps: 0, trips: 0 } }
      runs.push(last)
    }
    return last.run
  }
  for (const { thread, row, side, kind, lengthMm, wrapMm } of segments) {
    const run = runFor(thread, row)
    if (side === 'back') run.back += lengthMm
    else if (kind === 'loop') run.loops += lengthMm
    else {
      run.front += lengthMm
      run.wraps += wrapMm
    }
  }
  for (const { thread, row } of holes) runFor(thread, row).trips += 1
  return runs
}

type Writable<T> = { -readonly [Key in keyof T]: T[Key] }

export function addRuns(one: ThreadRun, other: ThreadRun): ThreadRun {
  return {
    front: one.front + other.front,
    back: one.back + other.back,
    loops: one.loops + other.loops,
    wraps: one.wraps + other.wraps,
    trips: one.trips + other.trips,
  }
}

/** One thread's use from all that is worked with it: it goes on from piece to piece until the needleful ends. */
export function measureThread({ front, back, loops, wraps, trips }: ThreadRun, settings: ThreadUseSettings): ThreadUse {
  const trip = (settings.handling === 'sew' ? 0.6 : 0.8) * (settings.thicknessMm + settings.diameterMm)
  const through = trips * trip
  const slack = SLACK * (front + back + loops + through + wraps)
  const stitched = front + back + loops + through + wraps + slack
  const usable = Math.max(LEAST_USABLE_MM, settings.needlefulMm - TAILS_MM)
  const needlefuls = Math.max(1, Math.ceil(stitched / usable - 1e-9))
  const tails = needlefuls * TAILS_MM
  return { front, back, through, loops, wraps, slack, tails, total: stitched + tails, needlefuls }
}

/** Several threads' uses together. */
export function sumUses(uses: readonly ThreadUse[]): ThreadUse {
  const sum = (of: (use: ThreadUse) => number): number => uses.reduce((total, use) => total + of(use), 0)
  return {
    front: sum((use) => use.front),
    back: sum((use) => use.back),
    through: sum((use) => use.through),
    loops: sum((use) => use.loops),
    wraps: sum((use) => use.wraps),
    slack: sum((use) => use.slack),
    tails: sum((use) => use.tails),
    total: sum((use) => use.total),
    needlefuls: sum((use) => use.needlefuls),
  }
}
