/** The row found in the strip, and the strip laid along it: s runs with the row, t across it, both in millimetres. */
import type { Point } from '../geometry/index.ts'
import { WINDOW } from './card.ts'
import { type Channel, channelBetween, makeChannel } from './picture.ts'
import { mmToStrip, STRIP_PER_MM, stripToMm } from './rectify.ts'
import type { RowPlan } from './row-plan.ts'

export interface Ribbon {
  /** Of thread, and how light it is. Columns along the row, rows across it, the first above. */
  readonly share: Channel
  readonly light: Channel
  /** Of the first column and the first row, mm. */
  readonly fromMm: number
  readonly topMm: number
  /** From the first thread to the last, mm along the row. */
  readonly startMm: number
  readonly endMm: number
  /** Of the row's length, where there is thread, 0 to 1; and how far across the row it reaches there, mm. */
  readonly covered: number
  readonly tallMm: number
  /** How much more thread lies across it where there is much (the third quarter) than where there is little (the first); 1 where it is as wide everywhere. */
  readonly swell: number
  /** Of all thread in the window, what lies on the row. */
  readonly onRow: number
  readonly toCard: (along: number, across: number) => Point
}

export const RIBBON_PER_MM = STRIP_PER_MM
/** Beside the row's own width, mm. */
const ROOM_MM = 1.5
const MARGIN_MM = 1
/** Where a stitch ends, half is thread and half cloth. */
export const HALF = 0.5
const STEEPEST = 0.14

/** Null where no thread lies in a row. */
export function findRibbon(share: Channel, light: Channel, plan: RowPlan): Ribbon | null {
  const pixels = threadPixels(share)
  if (pixels.length < 60) return null
  const halfMm = plan.acrossMm / 2 + ROOM_MM * 0.6
  let line = steepest(pixels, halfMm)
  for (let turn = 0; turn < 3; turn += 1) line = refined(pixels, line, halfMm)
  const near = pixels.filter((at) => Math.abs(at.y - line.offset - line.slope * at.x) < halfMm)
  const stretch = Math.hypot(1, line.slope)
  const toCard = (along: number, across: number): Point => ({
    x: (along - line.slope * across) / stretch,
    y: line.offset + (line.slope * along + across) / stretch,
  })
  const reach = plan.acrossMm / 2 + ROOM_MM
  const [fromMm, toMm] = [(WINDOW.left + MARGIN_MM) * stretch, (WINDOW.right - MARGIN_MM) * stretch]
  const [widthPx, heightPx] = [Math.round((toMm - fromMm) * RIBBON_PER_MM), Math.round(2 * reach * RIBBON_PER_MM)]
  const made = { share: makeChannel(widthPx, heightPx), light: makeChannel(widthPx, heightPx) }
  for (let row = 0; row < heightPx; row += 1)
    for (let column = 0; column < widthPx; column += 1) {
      const at = mmToStrip(toCard(fromMm + (column + 0.5) / RIBBON_PER_MM, -reach + (row + 0.5) / RIBBON_PER_MM))
      const index = row * widthPx + column
      made.share.values[index] = channelBetween(share, at.x, at.y)
      made.light.values[index] = channelBetween(light, at.x, at.y)
    }
  const ends = endsOf(made.share, plan.acrossMm)
  if (!ends) return null
  const { covered, tallMm, swell } = reachOf(made.share, ends)
  const toMillimetres = (column: number): number => fromMm + (column + 0.5) / RIBBON_PER_MM
  return {
    ...made,
    ...{
      fromMm,
      topMm: -reach,
      covered,
      tallMm,
      swell,
      startMm: toMillimetres(ends[0]),
      endMm: toMillimetres(ends[1]),
      onRow: near.length / pixels.length,
      toCard,
    },
  }
}

function threadPixels(share: Channel): readonly Point[] {
  const margin = MARGIN_MM * STRIP_PER_MM
  const found: Point[] = []
  for (let y = Math.ceil(margin); y < share.heightPx - margin; y += 2)
    for (let x = Math.ceil(margin); x < share.widthPx - margin; x += 2) if ((share.values[y * share.widthPx + x] as number) > 0.5) found.push(stripToMm(x, y))
  return found
}

interface Line {
  readonly slope: number
  /** At the window's middle, mm. */
  readonly offset: number
}

/** The slope and offset on which most thread lies. */
function steepest(pixels: readonly Point[], halfMm: number): Line {
  const bin = 0.1
  const many = Math.ceil((WINDOW.bottom - WINDOW.top) / bin)
  let best = { slope: 0, offset: 0, met: -1 }
  for (let slope = -STEEPEST; slope <= STEEPEST + 1e-9; slope += 0.01) {
    const bins = new Float64Array(many)
    for (const { x, y } of pixels) {
      const at = Math.floor((y - slope * x - WINDOW.top) / bin)
      if (at >= 0 && at < many) bins[at] = (bins[at] ?? 0) + 1
    }
    const wide = Math.max(2, Math.round((2 * Math.min(halfMm, 0.5 + halfMm / 2)) / bin))
    let total = 0
    for (let at = 0; at < many; at += 1) {
      total += (bins[at] ?? 0) - (at >= wide ? (bins[at - wide] ?? 0) : 0)
      if (total > best.met) best = { slope, offset: (at - wide / 2 + 0.5) * bin + WINDOW.top, met: total }
    }
  }
  return best
}

function refined(pixels: readonly Point[], line: Line, halfMm: number): Line {
  let [many, sx, sy, sxx, sxy] = [0, 0, 0, 0, 0]
  for (const { x, y } of pixels) {
    if (Math.abs(y - line.offset - line.slope * x) > halfMm) continue
    many += 1
    sx += x
    sy += y
    sxx += x * x
    sxy += x * y
  }
  const below = many * sxx - sx * sx
  if (many < 20 || below < 1e-6) return line
  const slope = (many * sxy - sx * sy) / below
  return { slope, offset: (sy - slope * sx) / many }
}

type Reach = Pick<Ribbon, 'covered' | 'tallMm' | 'swell'>

/** Between its ends: how many columns have thread; from the first to the last of it in them, the ninth in ten; and how that swells. */
function reachOf({ widthPx, heightPx, values }: Channel, [from, to]: readonly [number, number]): Reach {
  const tall: number[] = []
  const across: number[] = []
  for (let column = from; column <= to; column += 1) {
    let [first, last, thread] = [heightPx, -1, 0]
    for (let row = 0; row < heightPx; row += 1) {
      const share = values[row * widthPx + column] as number
      // Added up, so that a picture that is not sharp has the same.
      if (share > CLOTH) thread += Math.min(1, share)
      if (share <= 0.6) continue
      first = Math.min(first, row)
      last = row
    }
    across.push(thread)
    if (last >= first) tall.push(last - first + 1)
  }
  return {
    covered: tall.length / Math.max(1, to - from + 1),
    tallMm: quantile(tall, 0.9) / RIBBON_PER_MM,
    swell: quantile(across, 0.75) / Math.max(1, quantile(across, 0.25)),
  }
}

/** Up to here it may be the weave. */
const CLOTH = 0.12

const quantile = (values: readonly number[], share: number): number => [...values].sort((a, b) => a - b)[Math.floor(share * values.length)] ?? 0

/** The first and the last three tenths of a millimetre that have thread, columns. */
function endsOf(share: Channel, acrossMm: number): readonly [number, number] | null {
  const { widthPx, heightPx, values } = share
  const middle = heightPx / 2
  const reach = (acrossMm / 2 + 1) * RIBBON_PER_MM
  const has = Array.from({ length: widthPx }, (_, column) => {
    let most = 0
    for (let row = Math.max(0, Math.floor(middle - reach)); row < Math.min(heightPx, middle + reach); row += 1)
      most = Math.max(most, values[row * widthPx + column] as number)
    return most > 0.5
  })
  const run = Math.round(0.3 * RIBBON_PER_MM)
  const first = has.findIndex((_, at) => at + run < widthPx && has.slice(at, at + run).every(Boolean))
  const backwards = [...has].reverse()
  const last = backwards.findIndex((_, at) => at + run < widthPx && backwards.slice(at, at + run).every(Boolean))
  return first < 0 || last < 0 ? null : [first, widthPx - 1 - last]
}
