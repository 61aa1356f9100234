/**
 * How wide a stitch reads on the cloth, measured from its drawn thread: the reach of the front pieces to
 * either side of a straight guide, and the thread's own width. mm.
 */
import { requireNumber } from '../base/index.ts'
import { coverOf } from './cover.ts'
import { type StitchWork, straightBand, type WorkedStitch } from '../work/index.ts'

/** A parted thread opens by a fifth of its width: half the lens that the needle makes. */
const PARTED = 0.2

export function measureWidth(work: StitchWork, worked: WorkedStitch): number {
  const { W, F } = work.materials
  const knots = worked.segments.filter((segment) => segment.kind === 'knot')
  if (knots.length > 0) return Math.max(...knots.map((knot) => knot.sizeMm))
  if (work.guide.kind === 'shape') return F
  if (work.guide.kind !== 'line') return W
  const band = straightBand(work, worked)
  const parted = worked.segments.some((segment) => segment.parted.length > 0)
  const width = band.left + band.right + W * (1 + (parted ? PARTED : 0))
  requireNumber(width, 'width')
  return width
}

/**
 * The share of the drawn guide that thread covers. A fill: as much of the shape as lies under thread. A line:
 * the length of thread in front over the length of the line, at most 1. Spots: 1.
 */
export function measureCoverage(work: StitchWork, worked: WorkedStitch): number {
  if (work.guide.kind === 'shape') return coverOf(work.guide.region, work.guide.areaMm2, worked.segments, work.materials)
  if (work.guide.kind !== 'line') return 1
  let inFront = 0
  for (const segment of worked.segments) if (segment.side === 'front') inFront += segment.lengthMm
  return Math.min(1, inFront / work.guide.path.length)
}

/** The share of a shape, 0 to 1, that lies further from all thread than one stitch from the next: no stitch has come there. */
export function measureBare({ guide, materials }: StitchWork, { segments, fitted }: WorkedStitch): number {
  if (guide.kind !== 'shape') return 0
  const { W, F } = materials
  const near = 2 * fitted.pitchMm
  return 1 - coverOf(guide.region, guide.areaMm2, segments, { W: W + near, F: F + near })
}
