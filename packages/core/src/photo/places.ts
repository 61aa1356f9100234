/** Where along a row one stitch goes over into the next: the places whose signs are strongest, about as far apart as was planned. */

export interface Places {
  /** In order, px along the row, between pixels. */
  readonly at: readonly number[]
  /** By how much the best is better than the best with another number of them: little where the count is uncertain. */
  readonly margin: number
}

export interface Looking {
  /** How much speaks for a place, less what a place costs; px along the row. */
  readonly signal: Float32Array
  /** Of the row's first and last place. */
  readonly from: number
  readonly to: number
  readonly pitch: number
  /** How much unevenness speaks against it. */
  readonly evenness: number
  /** What speaks against one stitch from here to there. */
  readonly against?: (from: number, to: number) => number
  /** So many stitches, for she has counted them; null where it is to be found. */
  readonly counted: number | null
}

/** Of a number that cannot be another. */
export const SURE = 9
/** Between these shares of the pitch a stitch may be long. */
const SHORTEST = 0.4
const LONGEST = 1.8
/** Of steps about the pitch, as a share of it. */
const SPREAD = 0.24

/** Every number of places is followed, so that it is known how sure the number is. */
export function findPlaces({ signal, from, to, pitch, evenness, against, counted }: Looking): Places | null {
  const length = to - from
  const least = Math.max(1, Math.floor(length / (LONGEST * pitch)))
  const most = Math.ceil(length / (0.6 * pitch)) + 1
  const [near, far] = [Math.max(2, Math.round(SHORTEST * pitch)), Math.round(LONGEST * pitch)]
  if (length < near) return null
  const stepCost = Float32Array.from({ length: far + 1 }, (_, step) => (evenness / 2) * ((step / pitch - 1) / SPREAD) ** 2)
  // best[count][place]: of all ways to there with so many stitches.
  let before = new Float32Array(length + 1).fill(Number.NEGATIVE_INFINITY)
  before[0] = 0
  const came: Int16Array[] = []
  const sums: number[] = [Number.NEGATIVE_INFINITY]
  for (let count = 1; count <= most; count += 1) {
    const now = new Float32Array(length + 1).fill(Number.NEGATIVE_INFINITY)
    const way = new Int16Array(length + 1)
    for (let place = near; place <= length; place += 1) {
      let [best, by] = [Number.NEGATIVE_INFINITY, 0]
      for (let step = near; step <= far && step <= place; step += 1) {
        const was = before[place - step] as number
        if (was === Number.NEGATIVE_INFINITY) continue
        const value = was - (stepCost[step] as number) - (against ? against(from + place - step, from + place) : 0)
        if (value > best) [best, by] = [value, step]
      }
      now[place] = best + (place === length ? 0 : (signal[from + place] as number))
      way[place] = by
    }
    came.push(way)
    sums.push(now[length] as number)
    before = now
  }
  const counts = sums.map((sum, count) => ({ sum, count })).filter((one) => one.count >= least && Number.isFinite(one.sum))
  const [first, second] = counted === null ? [...counts].sort((a, b) => b.sum - a.sum) : counts.filter((one) => one.count === counted)
  if (!first) return null
  const at: number[] = [length]
  for (let count = first.count, place = length; count > 0; count -= 1) {
    place -= came[count - 1]?.[place] ?? 0
    at.push(place)
  }
  const places = at.reverse().map((place) => from + place)
  return {
    at: places.map((place, index) => (index === 0 || index === places.length - 1 ? place : between(signal, place))),
    margin: second ? first.sum - second.sum : SURE,
  }
}

/** The peak of a parabola through three. */
function between(signal: Float32Array, place: number): number {
  const [a, b, c] = [signal[place - 1] ?? 0, signal[place] ?? 0, signal[place + 1] ?? 0]
  const bend = a - 2 * b + c
  return bend >= 0 ? place : place + Math.min(0.5, Math.max(-0.5, (0.5 * (a - c)) / bend))
}

/** How much a pattern stands out: the mean sign at the places, less half-way between them. */
export function standsOut(signal: Float32Array, { at }: Places): number {
  const inner = at.slice(1, -1)
  if (inner.length < 2) return 0
  const value = (place: number): number => signal[Math.round(place)] ?? 0
  const on = inner.reduce((total, place) => total + value(place), 0) / inner.length
  const halves = at.slice(1).map((place, index) => (place + (at[index] ?? place)) / 2)
  return on - halves.reduce((total, place) => total + value(place), 0) / halves.length
}

/** What is finer and what is coarser taken away, px. */
export function bandPassed(values: Float32Array, finePx: number, coarsePx: number): Float32Array {
  const [fine, coarse] = [bell(values, finePx), bell(values, coarsePx)]
  return fine.map((one, at) => one - (coarse[at] as number))
}

function bell(values: Float32Array, spreadPx: number): Float32Array {
  const reach = Math.ceil(3 * spreadPx)
  const weights = Float32Array.from({ length: 2 * reach + 1 }, (_, at) => Math.exp(-((at - reach) ** 2) / (2 * spreadPx * spreadPx)))
  return values.map((_, at) => {
    let [total, weight] = [0, 0]
    for (let off = -reach; off <= reach; off += 1) {
      const value = values[at + off]
      if (value === undefined) continue
      const by = weights[off + reach] as number
      total += by * value
      weight += by
    }
    return total / weight
  })
}

/** Scaled so that the peak of this rank is 1, and no higher than a little above. */
export function scaledToRank(values: Float32Array, rank: number, from: number, to: number): Float32Array {
  const peaks: number[] = []
  for (let at = Math.max(1, Math.round(from)); at < Math.min(values.length - 1, to); at += 1) {
    const value = values[at] as number
    if (value > 0 && value >= (values[at - 1] as number) && value > (values[at + 1] as number)) peaks.push(value)
  }
  peaks.sort((a, b) => b - a)
  const one = peaks[Math.min(peaks.length - 1, Math.max(0, Math.round(rank)))] ?? 1
  return values.map((value) => Math.min(1.6, Math.max(-1.6, value / Math.max(1e-6, one))))
}
