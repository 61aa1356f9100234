/**
 * Whether what was read may be told: measured; measured as a whole, where the number of stitches is uncertain; or refused, with the first
 * reason. The bounds were set on pictures of known rows and then left alone.
 */
import { sum } from '../base/index.ts'
import type { CardFit } from './fit-card.ts'
import { SURE } from './places.ts'
import type { RowReading } from './reading.ts'
import type { Strip } from './rectify.ts'
import type { Ribbon } from './ribbon.ts'
import type { RowKind, RowPlan } from './row-plan.ts'
import type { Told } from './tell-thread.ts'

/** What is wrong with the picture, not with her work. */
export type Refusal = 'no-card' | 'too-far' | 'blurred' | 'leaning' | 'not-flat' | 'dark' | 'glare' | 'alike' | 'no-row' | 'not-this-row'

export interface RowFigures {
  readonly count: number
  /** Of each stitch, mm: from hole to hole, or how far it goes on from the last. */
  readonly lengthsMm: readonly number[]
  /** Their mean and spread. Of stitches apart, the split into stitch and gap is about right only; how far apart they begin is sure. */
  readonly lengthMm: number
  readonly spreadMm: number
  readonly pitchMm: number
  readonly gapsMm: readonly number[]
  readonly gapMm: number | null
  readonly driftMm: number | null
  readonly leanDeg: number | null
  readonly widestGapMm: number | null
}

/** How good the picture is: told with the figures, so that two of them can be compared. */
export interface PictureQuality {
  readonly pixelsPerMm: number
  readonly tiltDeg: number
  readonly edgeMm: number
  readonly rmsMm: number
}

export type Verdict =
  | { readonly state: 'refused'; readonly why: Refusal; readonly quality: PictureQuality | null }
  /** A second colour lies under the row: one touch on the thread says which is which. */
  | { readonly state: 'touch'; readonly quality: PictureQuality }
  | { readonly state: 'measured' | 'whole'; readonly figures: RowFigures; readonly stitches: RowReading['stitches']; readonly quality: PictureQuality }

const CARD = { points: 22, pixelsPerMm: 9, edgeMm: 0.3, tiltDeg: 32, rmsMm: 0.06, white: 0.07, clipped: 0.02 }
const COLOUR = { apart: 7, told: 3.6 }
const ROW = { onRow: 0.78, shortest: 0.8, longest: 1.2, fewest: 0.75, most: 1.3, longestPiece: 2.5 }
/** Of a row with gaps: how far its covered share may be from the plan's. Of others, how much of their length must have thread. */
const APART = 0.22
const COVERED = 0.85
/** In widths of the thread, across the row: one thread with its twist and shadow; two beside one another; a loop. */
const LINE = { most: 2.1, surely: 1.6 }
const TWO = { least: 1.25, most: 3.1, surely: 1.85 }
/** One thread is as wide all along; two that lie beside one another half of their way swell and narrow: 60 rows of stem by 1.17 and more, nine in ten of 60 of back stitch by 1.16 and less. */
const STEADY = 1.165
const OPEN = 2.6
/**
 * How much places must stand out, and by how much their number must be better than another. Of stitches side by side no picture tells it: they
 * are counted only as she counted them.
 */
const PATTERN: Readonly<Record<RowKind, number>> = { apart: 0, 'end-to-end': 0.9, 'beside-the-last': 1.8, looped: 2.4, crossed: 2, 'side-by-side': 1.7 }
const MARGIN: Readonly<Record<RowKind, number>> = { apart: 0.5, 'end-to-end': 1, 'beside-the-last': 3.2, looped: 0.8, crossed: 0.5, 'side-by-side': SURE }

export const qualityOf = ({ pixelsPerMm, tiltDeg, edgeMm, rmsMm }: CardFit): PictureQuality => ({ pixelsPerMm, tiltDeg, edgeMm, rmsMm })

export function judgeCard(fit: CardFit | null): Refusal | null {
  if (!fit || fit.points < CARD.points) return 'no-card'
  if (fit.tiltDeg > CARD.tiltDeg) return 'leaning'
  if (fit.pixelsPerMm < CARD.pixelsPerMm) return 'too-far'
  if (fit.edgeMm > CARD.edgeMm) return 'blurred'
  return fit.rmsMm > CARD.rmsMm ? 'not-flat' : null
}

export function judgeLight({ white, clipped }: Strip): Refusal | null {
  if (white < CARD.white) return 'dark'
  return clipped > CARD.clipped ? 'glare' : null
}

export function judgeRow(plan: RowPlan, told: Told, ribbon: Ribbon | null, reading: RowReading | null, quality: PictureQuality): Verdict {
  const refused = (why: Refusal): Verdict => ({ state: 'refused', why, quality })
  if (told.colourApart < COLOUR.apart || told.told < COLOUR.told) return refused('alike')
  if (!ribbon || ribbon.onRow < ROW.onRow) return refused('no-row')
  if (!reading || !isThisRow(ribbon, reading, plan)) return refused('not-this-row')
  const isCounted = reading.margin >= MARGIN[plan.kind]
  // Where single stitches do not tell it, the row as a whole has to: a line of back stitch and one of stem are much alike.
  if (!isCounted && !isSurelyLike(ribbon, plan)) return refused('not-this-row')
  return { state: isCounted ? 'measured' : 'whole', figures: figuresOf(reading), stitches: reading.stitches, quality }
}

function isThisRow(ribbon: Ribbon, reading: RowReading, plan: RowPlan): boolean {
  const [long, many] = [(ribbon.endMm - ribbon.startMm) / plan.lengthMm, reading.count / plan.count]
  if (long < ROW.shortest || long > ROW.longest || many < ROW.fewest || many > ROW.most) return false
  if (Math.max(...reading.lengthsMm) > ROW.longestPiece * plan.stitchMm || reading.pattern < PATTERN[plan.kind]) return false
  return liesLike(ribbon, reading, plan)
}

/** Cloth between its stitches or none, and as wide as it was planned: another stitch seldom has both. */
function liesLike({ covered, tallMm, startMm, endMm }: Ribbon, { lengthsMm }: RowReading, { kind, stitchMm, pitchMm, acrossMm, threadMm }: RowPlan): boolean {
  const threads = tallMm / threadMm
  switch (kind) {
    case 'apart':
      return Math.abs(sum(lengthsMm) / (endMm - startMm) - stitchMm / pitchMm) < APART && threads < LINE.most
    case 'end-to-end':
      return covered > COVERED && threads < LINE.most
    case 'beside-the-last':
      return covered > COVERED && threads > TWO.least && threads < TWO.most
    case 'looped':
      return covered > COVERED && threads > OPEN
    default:
      return covered > COVERED && tallMm > 0.7 * acrossMm && tallMm < 1.3 * acrossMm + 2 * threadMm
  }
}

function isSurelyLike({ tallMm, swell }: Ribbon, { kind, threadMm }: RowPlan): boolean {
  if (kind === 'end-to-end') return tallMm < LINE.surely * threadMm && swell < STEADY
  return kind !== 'beside-the-last' || (tallMm > TWO.surely * threadMm && swell > STEADY)
}

/** Mean and root of the mean square about it, mm. */
export function meanAndSpread(lengthsMm: readonly number[]): Pick<RowFigures, 'lengthMm' | 'spreadMm'> {
  const many = Math.max(1, lengthsMm.length)
  const lengthMm = sum(lengthsMm) / many
  return { lengthMm, spreadMm: Math.sqrt(sum(lengthsMm.map((one) => (one - lengthMm) ** 2)) / many) }
}

function figuresOf({ count, lengthsMm, gapsMm, pitchMm, driftMm, leanDeg, widestGapMm }: RowReading): RowFigures {
  const gapMm = gapsMm.length > 0 ? sum(gapsMm) / gapsMm.length : null
  return { ...{ count, lengthsMm, pitchMm, gapsMm, gapMm, driftMm, leanDeg, widestGapMm }, ...meanAndSpread(lengthsMm) }
}
