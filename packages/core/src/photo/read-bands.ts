/** Rows across a band: pairs that cross, and stitches side by side. */
import { sum } from '../base/index.ts'
import { endsPx, px } from './along.ts'
import { type Channel, channelBetween } from './picture.ts'
import { bandPassed, findPlaces, type Places, scaledToRank, standsOut } from './places.ts'
import type { RowReading } from './reading.ts'
import { HALF, type Ribbon, RIBBON_PER_MM } from './ribbon.ts'
import type { RowPlan } from './row-plan.ts'

/** The mean across a band of the row, from and to so many mm below its middle. */
function bandMean(channel: Channel, middle: number, fromMm: number, toMm: number): Float32Array {
  const [top, bottom] = [Math.round(middle + px(fromMm)), Math.round(middle + px(toMm))]
  return Float32Array.from({ length: channel.widthPx }, (_, x) => {
    let total = 0
    for (let y = top; y <= bottom; y += 1) total += Math.min(1.1, channelBetween(channel, x, y))
    return total / (bottom - top + 1)
  })
}

/** Three tracks: the crossings in the middle, and the corners above and below, one more than crossings. */
export function readCrossed(ribbon: Ribbon, plan: RowPlan, counted: number | null): RowReading | null {
  const { share } = ribbon
  const [from, to] = endsPx(ribbon)
  const pitch = px(plan.pitchMm)
  const expected = (to - from) / pitch
  const middle = middleRow(ribbon)
  const half = plan.acrossMm / 2
  const signed = (values: Float32Array, keen: number): Float32Array =>
    scaledToRank(bandPassed(values, px(0.14), 0.5 * pitch), 0.6 * expected, from, to).map((value) => keen * value - 0.7)
  const look = (signal: Float32Array): Places | null => findPlaces({ signal, from, to, pitch, evenness: 1.2, counted })
  const upper = signed(bandMean(share, middle, -half - 0.15, -0.62 * half), 2)
  const lower = signed(bandMean(share, middle, 0.62 * half, half + 0.15), 2)
  const centre = signed(
    bandMean(share, middle, -0.2 * half, 0.2 * half).map((value) => -value),
    2,
  )
  const [above, below, between] = [look(upper), look(lower), look(centre)]
  if (!above || !below || !between) return null
  const agree = above.at.length === below.at.length && between.at.length === above.at.length
  const both = above.at.map((place, index) => (place + (below.at[index] ?? place)) / 2)
  const columns = agree ? both : between.at
  const mm = (place: number): number => ribbon.fromMm + (place + 0.5) / RIBBON_PER_MM
  const lengthsMm = columns.slice(1).map((place, index) => (place - (columns[index] ?? 0)) / RIBBON_PER_MM)
  const inner = columns.slice(1, -1)
  const pitchMm = inner.length > 2 ? ((inner.at(-1) ?? 0) - (inner[0] ?? 0)) / (inner.length - 1) / RIBBON_PER_MM : sum(lengthsMm) / lengthsMm.length
  const shifts = agree ? above.at.slice(1, -1).map((place, index) => (place - (below.at[index + 1] ?? place)) / RIBBON_PER_MM) : []
  const tall = 2 * half * 0.81
  return {
    ...{ count: columns.length - 1, lengthsMm: lengthsMm.slice(1, -1), gapsMm: [], pitchMm, driftMm: null, widestGapMm: null },
    leanDeg: agree ? (Math.atan(sum(shifts) / Math.max(1, shifts.length) / tall) * 180) / Math.PI : null,
    stitches: columns
      .slice(1)
      .map((place, index) => [ribbon.toCard(mm(columns[index] ?? 0), middleMm(ribbon, middle)), ribbon.toCard(mm(place), middleMm(ribbon, middle))]),
    margin: agree ? Math.min(above.margin, below.margin, between.margin) : 0,
    pattern: Math.min(standsOut(upper, above), standsOut(lower, below)),
  }
}

const middleMm = ({ topMm }: Ribbon, row: number): number => topMm + (row + 0.5) / RIBBON_PER_MM

/** The row of the ribbon through the middle of the band. */
function middleRow({ share }: Ribbon): number {
  let [weight, total] = [0, 0]
  for (let y = 0; y < share.heightPx; y += 1)
    for (let x = 0; x < share.widthPx; x += 4) {
      const value = share.values[y * share.widthPx + x] as number
      if (value < 0.5) continue
      weight += 1
      total += y
    }
  return weight > 0 ? total / weight : share.heightPx / 2
}

/** How far stitches may lean from how they were planned, degrees. */
const LEANS = 30

export function readSideBySide(ribbon: Ribbon, plan: RowPlan, beyondMm: number, counted: number | null): RowReading | null {
  const { share, light } = ribbon
  const [from, to] = endsPx(ribbon)
  const pitch = px(plan.pitchMm)
  const middle = middleRow(ribbon)
  const inner = plan.acrossMm / 2 - 0.5
  let best: { readonly degrees: number; readonly spread: number; readonly profile: Float32Array } = { degrees: 0, spread: -1, profile: new Float32Array(0) }
  const tryLean = (degrees: number): void => {
    const profile = bandPassed(sheared(light, middle, inner, degrees), 1, 0.8 * pitch)
    let spread = 0
    for (let x = from + 20; x < to - 20; x += 1) spread += (profile[x] as number) ** 2
    if (spread > best.spread) best = { degrees, spread, profile }
  }
  for (let degrees = plan.leanDeg - LEANS; degrees <= plan.leanDeg + LEANS; degrees += 2) tryLean(degrees)
  const near = best.degrees
  for (let degrees = near - 1.5; degrees <= near + 1.5; degrees += 0.5) tryLean(degrees)
  const signal = scaledToRank(
    best.profile.map((value) => -value),
    0.6 * ((to - from) / pitch),
    from,
    to,
  ).map((value) => 1.6 * value - 0.5)
  const places = findPlaces({ signal, from, to, pitch, evenness: 1.6, counted })
  if (!places) return null
  const lean = (best.degrees * Math.PI) / 180
  const lengthsMm = edgesOf(ribbon, middle, lean, plan, [from, to]).map((one) => one - 2 * beyondMm)
  const cover = sheared(share, middle, inner, best.degrees)
  const bare = Array.from(cover.slice(from + 12, to - 12), (value) => value < 0.5)
  const mm = (place: number): number => ribbon.fromMm + (place + 0.5) / RIBBON_PER_MM
  const across = Math.tan(lean) * (plan.acrossMm / 2)
  const level = middleMm(ribbon, middle)
  return {
    ...{ count: places.at.length - 1, lengthsMm, gapsMm: [], pitchMm: (to - from) / RIBBON_PER_MM / (places.at.length - 1), driftMm: null },
    ...{ leanDeg: best.degrees, widestGapMm: longest(bare) / RIBBON_PER_MM },
    stitches: places.at.slice(1).map((place, index) => {
      const at = mm((place + (places.at[index] ?? place)) / 2)
      return [ribbon.toCard(at + across, level - plan.acrossMm / 2), ribbon.toCard(at - across, level + plan.acrossMm / 2)] as const
    }),
    margin: places.margin,
    pattern: standsOut(signal, places),
  }
}

/** Means along stitches that lean so; positive to the right above. */
function sheared(channel: Channel, middle: number, reachMm: number, degrees: number): Float32Array {
  const slope = Math.tan((degrees * Math.PI) / 180)
  const reach = Math.round(px(reachMm))
  return Float32Array.from({ length: channel.widthPx }, (_, x) => {
    let total = 0
    let many = 0
    for (let off = -reach; off <= reach; off += 2) {
      total += channelBetween(channel, x - off * slope, middle + off)
      many += 1
    }
    return total / many
  })
}

function longest(flags: readonly boolean[]): number {
  let [most, now] = [0, 0]
  for (const one of flags) {
    now = one ? now + 1 : 0
    most = Math.max(most, now)
  }
  return most
}

/** Of the columns of one stitch, what reaches farthest is the stitch, less the odd fibre; between two lies a notch. */
const REACHES = 0.8

/** From edge to edge along the stitches, at each of them, mm. */
function edgesOf({ share }: Ribbon, middle: number, lean: number, plan: RowPlan, [from, to]: readonly [number, number]): readonly number[] {
  const slope = Math.tan(lean)
  const reach = px(plan.acrossMm / 2 + 1.2)
  const step = Math.max(2, Math.round(px(plan.pitchMm)))
  const lengths: number[] = []
  let own: number[] = []
  for (let x = Math.round(from + px(0.8)); x < to - px(0.8); x += 1) {
    const profile: number[] = []
    for (let off = -reach; off <= reach; off += 0.5)
      profile.push(
        (channelBetween(share, x - 1 - off * slope, middle + off) +
          channelBetween(share, x - off * slope, middle + off) +
          channelBetween(share, x + 1 - off * slope, middle + off)) /
          3,
      )
    const length = extentOf(profile)
    if (length !== null) own.push((0.5 * length) / RIBBON_PER_MM / Math.cos(lean))
    if ((x - Math.round(from)) % step !== 0) continue
    own.sort((a, b) => a - b)
    if (own.length > step / 2) lengths.push(own[Math.floor(REACHES * own.length)] ?? 0)
    own = []
  }
  return lengths
}

/** Between the first and the last place that is thread, in steps of the profile; null where there is none or it has no end. */
function extentOf(profile: readonly number[]): number | null {
  const inner = profile.slice(Math.floor(0.35 * profile.length), Math.ceil(0.65 * profile.length)).sort((a, b) => a - b)
  const plateau = inner[Math.floor(inner.length / 2)] ?? 0
  if (plateau < 0.6) return null
  const level = HALF * plateau
  const top = profile.findIndex((value) => value >= level)
  const bottom = profile.length - 1 - [...profile].reverse().findIndex((value) => value >= level)
  if (top <= 0 || bottom >= profile.length - 1) return null
  const fine = (at: number, by: number): number =>
    at - (by * ((profile[at] as number) - level)) / Math.max(1e-6, (profile[at] as number) - (profile[at - by] as number))
  return fine(bottom, -1) - fine(top, 1)
}
