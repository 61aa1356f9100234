/**
 * Thread used, in mm of the worked bundle (not times its strands).
 * length = (front + back + trips x v + wraps) x (1 + e), then tails for each needleful.
 * v = 0.8 (t + D) is one trip through the cloth worked in a hoop, 0.6 (t + D) sewn in hand; e = 5 % slack and
 * uneven pull. Judgement without measurement, +-10 % on a line of stitches; a test on one's own work
 * (mark the thread 300 mm from the cloth, make 20 stitches) replaces it.
 */
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

export interface ThreadUseSettings {
  readonly thicknessMm: number
  readonly diameterMm: number
  readonly handling: Handling
  readonly needlefulMm: number
}

export function measureThread(worked: WorkedStitch, settings: ThreadUseSettings): ThreadUse {
  let front = 0
  let back = 0
  let loops = 0
  for (const segment of worked.segments) {
    if (segment.side === 'back') back += segment.lengthMm
    else if (segment.kind === 'loop') loops += segment.lengthMm
    else front += segment.lengthMm
  }
  const trip = (settings.handling === 'sew' ? 0.6 : 0.8) * (settings.thicknessMm + settings.diameterMm)
  const through = worked.trips * trip
  const wraps = worked.wrapMm
  const slack = SLACK * (front + back + loops + through + wraps)
  const stitched = front + back + loops + through + wraps + slack
  const usable = Math.max(50, settings.needlefulMm - TAILS_MM)
  const needlefuls = Math.max(1, Math.ceil(stitched / usable - 1e-9))
  const tails = needlefuls * TAILS_MM
  return { front, back, through, loops, wraps, slack, tails, total: stitched + tails, needlefuls }
}
