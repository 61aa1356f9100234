/** Rows along a line: stitches apart, end to end, beside the last, and loops. */
import { sum } from '../base/index.ts'
import { distance, lerp, type Point, rmsOffLine } from '../geometry/index.ts'
import { alongMiddle, endsPx, px, runningMean } from './along.ts'
import { type Blob, blobsOf } from './blobs.ts'
import { type Channel, channelBetween } from './picture.ts'
import { bandPassed, findPlaces, type Places, scaledToRank, standsOut, SURE } from './places.ts'
import type { RowReading } from './reading.ts'
import { HALF, type Ribbon, RIBBON_PER_MM } from './ribbon.ts'
import type { RowPlan } from './row-plan.ts'

type Piece = Pick<Blob, 'pixels' | 'left' | 'right'>

/** Of thread, that cloth between two stitches may seem to have. */
const CLEAR = 0.25
/** Nearer than this is one stitch, split by a glint; shorter than this is a speck. mm */
const [JOINED_MM, SPECK_MM] = [0.3, 0.6]
/** No piece of thread at all, mm2. */
const MOTE_MM2 = 0.1

export function readApart(ribbon: Ribbon, beyondMm: number): RowReading | null {
  const { share, toCard, fromMm, topMm } = ribbon
  const floor = floorOf(ribbon)
  const stitches = joined(piecesOf(share, (floor + 1) / 2)).flatMap((piece) => {
    const ends = endsOf(piece, share, floor, px(beyondMm))
    return ends && Math.hypot(ends[1].x - ends[0].x, ends[1].y - ends[0].y) > px(SPECK_MM) ? [ends] : []
  })
  if (stitches.length < 2) return null
  const mm = (at: Point): Point => ({ x: fromMm + (at.x + 0.5) / RIBBON_PER_MM, y: topMm + (at.y + 0.5) / RIBBON_PER_MM })
  const ends = stitches.map(([a, b]) => [mm(a), mm(b)] as const)
  const lengthsMm = ends.map(([a, b]) => Math.hypot(b.x - a.x, b.y - a.y))
  const gapsMm = ends.slice(1).map(([a], index) => a.x - (ends[index]?.[1].x ?? 0))
  const starts = ends.map(([a]) => a.x)
  const pitchMm = ((starts.at(-1) ?? 0) - (starts[0] ?? 0)) / (starts.length - 1)
  return {
    ...{ count: ends.length, lengthsMm, gapsMm, pitchMm, leanDeg: null, widestGapMm: null },
    ...{ driftMm: rmsOffLine(ends.flat()), stitches: ends.map(([a, b]) => [toCard(a.x, a.y), toCard(b.x, b.y)]) },
    // Where the line shows between them, where a stitch ends is not sure; how far they are from one another is.
    ...{ margin: floor > CLEAR ? 0 : SURE, pattern: SURE },
  }
}

/**
 * What lies between stitches, 0 where it is cloth: a line drawn under the row may look like half a thread. Two levels along the row's
 * middle, as far apart as they can be (Otsu).
 */
function floorOf(ribbon: Ribbon): number {
  const [from, to] = endsPx(ribbon)
  const along = Array.from(alongMiddle(ribbon.share, middleOf(ribbon, px(1.2)), 0.1).slice(from, to)).sort((a, b) => a - b)
  let best = { apart: -1, low: 0 }
  const total = sum(along)
  let below = 0
  for (const [index, value] of along.entries()) {
    below += value
    const many = index + 1
    if (many < 0.08 * along.length || many > 0.92 * along.length) continue
    const [low, high] = [below / many, (total - below) / (along.length - many)]
    const apart = many * (along.length - many) * (high - low) ** 2
    if (apart > best.apart) best = { apart, low }
  }
  return best.low > 0.12 ? best.low : 0
}

function piecesOf({ widthPx, values }: Channel, level: number): readonly Piece[] {
  const open = Uint8Array.from(values, (value) => (value > level ? 1 : 0))
  return [...blobsOf(open, widthPx, MOTE_MM2 * RIBBON_PER_MM ** 2)].sort((a, b) => a.left - b.left)
}

function joined(pieces: readonly Piece[]): readonly Piece[] {
  const made: Piece[] = []
  for (const piece of pieces) {
    const last = made.at(-1)
    if (last && piece.left - last.right < px(JOINED_MM))
      made[made.length - 1] = { pixels: [...last.pixels, ...piece.pixels], left: last.left, right: Math.max(last.right, piece.right) }
    else made.push(piece)
  }
  return made
}

/** Along its own axis: where the profile of its middle falls below what is half thread. */
function endsOf({ pixels }: Piece, share: Channel, floor: number, beyondPx: number): readonly [Point, Point] | null {
  const { widthPx } = share
  let [x, y] = [0, 0]
  for (const at of pixels) {
    x += at % widthPx
    y += Math.floor(at / widthPx)
  }
  x /= pixels.length
  y /= pixels.length
  let [xx, xy, yy] = [0, 0, 0]
  for (const at of pixels) {
    const [dx, dy] = [(at % widthPx) - x, Math.floor(at / widthPx) - y]
    xx += dx * dx
    xy += dx * dy
    yy += dy * dy
  }
  const angle = Math.atan2(2 * xy, xx - yy) / 2
  const along = { x: Math.cos(angle), y: Math.sin(angle) }
  const reach = Math.ceil(2 * Math.sqrt(xx / pixels.length) + px(1))
  const profile: number[] = []
  for (let s = -reach; s <= reach; s += 0.5) {
    let total = 0
    for (const t of [-2.8, -1.4, 0, 1.4, 2.8]) total += channelBetween(share, x + s * along.x - t * along.y, y + s * along.y + t * along.x)
    profile.push(total / 5)
  }
  const inner = profile.slice(Math.floor(0.3 * profile.length), Math.ceil(0.7 * profile.length)).sort((a, b) => a - b)
  const level = floor + HALF * ((inner[Math.floor(inner.length / 2)] ?? 1) - floor)
  const crossing = (from: number, by: number): number | null => {
    for (let at = from; at >= 0 && at < profile.length; at += by) {
      const [value, before] = [profile[at] as number, profile[at - by] as number]
      if (value >= level) return before === undefined ? at : at - (by * (value - level)) / Math.max(1e-6, value - before)
    }
    return null
  }
  const [left, right] = [crossing(0, 1), crossing(profile.length - 1, -1)]
  if (left === null || right === null || right <= left) return null
  const place = (at: number): Point => ({ x: x + (at * 0.5 - reach) * along.x, y: y + (at * 0.5 - reach) * along.y })
  return [place(left + 2 * beyondPx), place(right - 2 * beyondPx)]
}

/** Where the thread lies at each place along the row, rows of the ribbon; smoothed over a third of a millimetre. */
function middleOf({ share }: Ribbon, withinPx: number): Float32Array {
  const { widthPx, heightPx, values } = share
  const found = new Float32Array(widthPx)
  let last = heightPx / 2 - 0.5
  for (let x = 0; x < widthPx; x += 1) {
    let [weights, total] = [0, 0]
    for (let y = Math.max(0, Math.floor(heightPx / 2 - withinPx)); y < Math.min(heightPx, heightPx / 2 + withinPx); y += 1) {
      const weight = Math.max(0, Math.min(1, values[y * widthPx + x] as number) - 0.25)
      weights += weight
      total += weight * y
    }
    if (weights > 0.5) last = total / weights
    found[x] = last
  }
  return runningMean(found, 0.16)
}

/** How straight a thread lies between two holes, mm, and what it costs not to be. */
const [STRAIGHT_MM, BENT, MOST_BENT] = [0.06, 1.5, 8]

export function readEndToEnd(ribbon: Ribbon, plan: RowPlan, counted: number | null): RowReading | null {
  const middle = middleOf(ribbon, px(1.1))
  const [from, to] = endsPx(ribbon)
  const expected = (to - from) / px(plan.pitchMm)
  const dark = alongMiddle(ribbon.light, middle, 0.16).map((value) => -value)
  const narrow = bandPassed(
    alongMiddle(ribbon.share, middle, 0.3).map((value) => -value),
    px(0.1),
    px(0.6),
  )
  const holes = scaledToRank(bandPassed(dark, px(0.1), px(0.6)), 0.6 * expected, from, to)
  const thin = scaledToRank(narrow, 0.6 * expected, from, to)
  const signal = holes.map((value, at) => 1.6 * Math.max(0, value) + 1.8 * Math.max(0, thin[at] ?? 0) - 2)
  const straight = straightness(middle)
  const places = findPlaces({
    signal,
    from,
    to,
    pitch: px(plan.pitchMm),
    evenness: 1,
    counted,
    against: (a, b) => Math.min(MOST_BENT, BENT * (straight(a, b) / px(STRAIGHT_MM)) ** 2),
  })
  return places ? lineReading(ribbon, places, middle, standsOut(signal, places)) : null
}

/** Mean square from the best straight line of any stretch, px: by sums from the beginning. */
function straightness(middle: Float32Array): (from: number, to: number) => number {
  const sums = [0, 1, 2].map(() => new Float64Array(middle.length + 1)) as [Float64Array, Float64Array, Float64Array]
  for (const [x, y] of middle.entries()) {
    sums[0][x + 1] = (sums[0][x] as number) + y
    sums[1][x + 1] = (sums[1][x] as number) + x * y
    sums[2][x + 1] = (sums[2][x] as number) + y * y
  }
  return (from, to) => {
    const many = to - from + 1
    const of = (sum: Float64Array): number => (sum[to + 1] as number) - (sum[from] as number)
    const meanX = (from + to) / 2
    const xx = (many * (many * many - 1)) / 12
    const xy = of(sums[1]) - meanX * of(sums[0])
    const yy = of(sums[2]) - of(sums[0]) ** 2 / many
    return Math.sqrt(Math.max(0, yy - (xy * xy) / Math.max(1e-9, xx)) / many)
  }
}

function lineReading(ribbon: Ribbon, places: Places, middle: Float32Array, pattern: number): RowReading {
  const holes = places.at.map(
    (at): Point => ({ x: ribbon.fromMm + (at + 0.5) / RIBBON_PER_MM, y: ribbon.topMm + ((middle[Math.round(at)] ?? 0) + 0.5) / RIBBON_PER_MM }),
  )
  const pairs = holes.slice(1).map((to, index) => [holes[index] as Point, to] as const)
  const lengthsMm = pairs.map(([a, b]) => Math.hypot(b.x - a.x, b.y - a.y))
  const pitchMm = ((holes.at(-1)?.x ?? 0) - (holes[0]?.x ?? 0)) / Math.max(1, pairs.length)
  return {
    ...{ count: pairs.length, lengthsMm, gapsMm: [], pitchMm, leanDeg: null, widestGapMm: null, driftMm: rmsOffLine(holes) },
    ...{ stitches: pairs.map(([a, b]) => [ribbon.toCard(a.x, a.y), ribbon.toCard(b.x, b.y)]), margin: places.margin, pattern },
  }
}

/** Of stitches begun beside the last: the dark between two, which lies aslant; what is measured is how far each goes on. */
export function readBesideTheLast(ribbon: Ribbon, plan: RowPlan, counted: number | null): RowReading | null {
  const middle = middleOf(ribbon, px(1.2))
  const [from, to] = endsPx(ribbon)
  const pitch = px(plan.pitchMm)
  const expected = (to - from) / pitch
  const angles = Array.from({ length: 29 }, (_, index) => ((index - 14) * 5 * Math.PI) / 180)
  const sheared = angles.map((angle) =>
    bandPassed(
      alongMiddle(ribbon.light, middle, 0.34, Math.tan(angle)).map((value) => -value),
      px(0.1),
      0.5 * pitch,
    ),
  )
  const power = sheared.map((values) => powerAt(values, pitch, from, to))
  const best = sheared[power.indexOf(Math.max(...power))] as Float32Array
  const signal = scaledToRank(best, 0.6 * expected, from, to)
  const places = findPlaces({ signal: signal.map((value) => 2.2 * value - 0.9), from, to, pitch, evenness: 2.6, counted })
  if (!places) return null
  return lineReading(ribbon, places, middle, standsOut(signal, places) * 2.2)
}

/** Of a wave near this length: the strongest of a few. */
function powerAt(values: Float32Array, pitch: number, from: number, to: number): number {
  let most = 0
  for (let share = 0.8; share <= 1.25; share += 0.05) {
    let [cos, sin] = [0, 0]
    for (let x = from; x <= to; x += 1) {
      const phase = (2 * Math.PI * x) / (pitch * share)
      cos += (values[x] ?? 0) * Math.cos(phase)
      sin += (values[x] ?? 0) * Math.sin(phase)
    }
    most = Math.max(most, Math.hypot(cos, sin))
  }
  return most
}

/** How far, in widths of the thread. */
const BEYOND = 0.9

/** Loops: thread closes in where each is held by the next, and lies apart between. */
export function readLooped(ribbon: Ribbon, plan: RowPlan, counted: number | null): RowReading | null {
  const middle = middleOf(ribbon, px(1.4))
  // The middle of the chain, without the sway of its single threads.
  const smooth = runningMean(middle, plan.pitchMm)
  const [from, to] = endsPx(ribbon)
  const pitch = px(plan.pitchMm)
  const joins = alongMiddle(ribbon.share, smooth, 0.14).map((value) => Math.min(1.1, value))
  const signal = scaledToRank(bandPassed(joins, px(0.14), 0.55 * pitch), 0.6 * ((to - from) / pitch), from, to).map((value) => 2 * value - 0.7)
  const places = findPlaces({ signal, from, to, pitch, evenness: 1.2, counted })
  if (!places) return null
  const whole = lineReading(ribbon, places, smooth, standsOut(signal, places))
  // The last loop ends where it is tied down: how long that stitch is says nothing of the loops. Where loops meet, thread is thickest a
  // little beyond the hole, at the tip of the one before; the first has none before it.
  const beyondMm = BEYOND * plan.threadMm
  const lengthsMm = whole.lengthsMm.slice(0, -1).map((one, index) => (index === 0 ? one - beyondMm : one))
  const stitches = whole.stitches.slice(0, -1).map(([a, b], index) => [index === 0 ? lerp(a, b, beyondMm / Math.max(beyondMm, distance(a, b))) : a, b] as const)
  return { ...whole, lengthsMm, pitchMm: sum(lengthsMm) / Math.max(1, lengthsMm.length), stitches }
}
