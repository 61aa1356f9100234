/**
 * Thread told from cloth: how much of each place is thread, 0 to 1, by the direction of colour that separates the two best and is blind to
 * shadow, to dark holes and to a line drawn under the row.
 */
import { inverse, Matrix, solve } from 'ml-matrix'
import { rgbOf, linearLight } from '../materials/index.ts'
import type { Point } from '../geometry/index.ts'
import { type Channel, makeChannel, smoothed } from './picture.ts'
import { labOf, linearOfLab, mmToStrip, STRIP_PER_MM, type Strip } from './rectify.ts'
import { bends, valueAt } from './surface.ts'

type Lab = readonly [number, number, number]

export interface Told {
  /** 0 cloth, 1 thread; a little beyond both. */
  readonly share: Channel
  /** The thread than the cloth. */
  readonly isDarker: boolean
  /** Of hardly any colour: white, grey, black. */
  readonly isPale: boolean
  /** How much of it cloth in shadow, with a little more than half its light, is taken for; 0 to 1. */
  readonly shadowAsThread: number
  /** Between cloth and thread: in CIELAB, and in spreads of both. */
  readonly colourApart: number
  readonly told: number
  /** A second colour lies on the cloth that is no shade of the first, and which is thread is not sure. */
  readonly isDoubtful: boolean
}

/** Takes the weave away, mm. */
const SMOOTH_MM = 0.1
/** The window's edge is bare cloth so far in; beside it the card throws a shadow. mm */
const [EDGE_MM, RING_MM] = [0.8, 2.2]
/** Every so many pixels, where a surface or a spread is looked for. */
const EVERY = 4
const SEEDS = { share: 0.0035, of: 0.55 }
/** Two colours, not two shades of one: so far apart in a* and b*. */
const TWO_COLOURS = 16
/** How much nearer to the thread's colour the one must lie than the other. */
const SURE = 1.5

export function tellThread(strip: Strip, threadHex: string, touched: Point | null): Told {
  const lab = strip.lab.map((channel) => smoothed(channel, SMOOTH_MM * STRIP_PER_MM)) as [Channel, Channel, Channel]
  const cloth = clothOf(lab)
  const seeds = seedsOf(lab, cloth)
  const { thread, other, isDoubtful } = chooseThread(seeds, cloth, labOfHex(threadHex), touched && mmToStrip(touched))
  const mu = meanOf(thread.map((one) => one.off))
  const within = spreadOf(
    thread.map((one) => one.off),
    mu,
  )
  const base = cloth.middle
  const shaded = shadeOf(base)
  const chroma = Math.hypot(base[1] + mu[1], base[2] + mu[2])
  const shadowWeight = chroma < 14 ? 0.02 : 0.5
  const S = Matrix.zeros(3, 3)
  const drawn = other.length > 0 ? meanOf(other.map((one) => one.off)) : null
  for (let row = 0; row < 3; row += 1)
    for (let column = 0; column < 3; column += 1) {
      const shadow = shadowWeight * (shaded[row] ?? 0) * (shaded[column] ?? 0)
      const line = drawn ? 0.5 * (drawn[row] ?? 0) * (drawn[column] ?? 0) : 0
      S.set(row, column, 0.6 * cloth.spread.get(row, column) + 0.4 * within.get(row, column) + shadow + line + (row === column ? 0.3 : 0))
    }
  const w = inverse(S)
    .mmul(Matrix.columnVector([...mu]))
    .to1DArray() as [number, number, number]
  const full = dot(w, mu)
  const muAb = mu[1] * mu[1] + mu[2] * mu[2]
  const scoreOf = (off: Lab): number => {
    const share = dot(w, off) / full
    // Greys are no coloured thread.
    return muAb > 400 ? Math.min(share, (mu[1] * off[1] + mu[2] * off[2]) / muAb + 0.2) : share
  }
  const share = makeChannel(lab[0].widthPx, lab[0].heightPx)
  const toShare = mixedShares(base, mu, scoreOf)
  eachOff(lab, cloth, 1, (off, at) => {
    share.values[at] = toShare(scoreOf(off))
  })
  return {
    share,
    isDarker: mu[0] < 0,
    isPale: chroma < 14,
    shadowAsThread: Math.min(1, Math.max(0, toShare(scoreOf(shaded)))),
    colourApart: Math.hypot(...mu),
    told: Math.sqrt(Math.max(0, full)),
    isDoubtful,
  }
}

const dot = (a: Lab, b: Lab): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]

interface ClothColour {
  /** Of each channel, a surface of the second degree over the strip. */
  readonly surfaces: readonly (readonly number[])[]
  readonly spread: Matrix
  /** In the strip's middle. */
  readonly middle: Lab
}

/** First from along the window's edge, then from all that is like it. */
function clothOf(lab: readonly [Channel, Channel, Channel]): ClothColour {
  const { widthPx, heightPx } = lab[0]
  const [from, to] = [EDGE_MM * STRIP_PER_MM, RING_MM * STRIP_PER_MM]
  const inRing = (x: number, y: number): boolean => {
    const away = Math.min(x, y, widthPx - 1 - x, heightPx - 1 - y)
    return away > from && away < to
  }
  let cloth = fitted(lab, inRing, null)
  for (let turn = 0; turn < 3; turn += 1) cloth = fitted(lab, (x, y) => Math.min(x, y, widthPx - 1 - x, heightPx - 1 - y) > from, cloth)
  return cloth
}

function fitted(lab: readonly [Channel, Channel, Channel], isMeant: (x: number, y: number) => boolean, before: ClothColour | null): ClothColour {
  const { widthPx, heightPx } = lab[0]
  const back = before ? inverse(before.spread) : null
  const normal = Matrix.zeros(6, 6)
  const right = [0, 1, 2].map(() => new Float64Array(6))
  const used: number[] = []
  for (let y = 0; y < heightPx; y += EVERY)
    for (let x = 0; x < widthPx; x += EVERY) {
      if (!isMeant(x, y)) continue
      const [u, v] = [(2 * x) / widthPx - 1, (2 * y) / heightPx - 1]
      const at = y * widthPx + x
      if (before && back) {
        const off = [0, 1, 2].map((one) => (lab[one as 0].values[at] as number) - valueAt(before.surfaces[one] ?? [], u, v)) as unknown as Lab
        if (away2(off, back) > 9) continue
      }
      used.push(at)
      const row = bends(u, v)
      for (let i = 0; i < 6; i += 1) {
        for (let j = 0; j < 6; j += 1) normal.set(i, j, normal.get(i, j) + (row[i] ?? 0) * (row[j] ?? 0))
        for (let channel = 0; channel < 3; channel += 1) {
          const sums = right[channel] as Float64Array
          sums[i] = (sums[i] ?? 0) + (row[i] ?? 0) * (lab[channel as 0].values[at] as number)
        }
      }
    }
  for (let i = 0; i < 6; i += 1) normal.set(i, i, normal.get(i, i) + 1e-6)
  const surfaces = right.map((one) => solve(normal, Matrix.columnVector([...one])).to1DArray())
  const offs = used.map((at) => {
    const [u, v] = [(2 * (at % widthPx)) / widthPx - 1, (2 * Math.floor(at / widthPx)) / heightPx - 1]
    return [0, 1, 2].map((one) => (lab[one as 0].values[at] as number) - valueAt(surfaces[one] ?? [], u, v)) as unknown as Lab
  })
  const spread = spreadOf(offs, [0, 0, 0])
  for (let i = 0; i < 3; i += 1) spread.set(i, i, spread.get(i, i) + 0.05)
  return { surfaces, spread, middle: surfaces.map((one) => valueAt(one, 0, 0)) as unknown as Lab }
}

function away2(off: Lab, back: Matrix): number {
  let total = 0
  for (let i = 0; i < 3; i += 1) for (let j = 0; j < 3; j += 1) total += (off[i] ?? 0) * back.get(i, j) * (off[j] ?? 0)
  return total
}

/** How each place differs from the cloth there. */
function eachOff(
  lab: readonly [Channel, Channel, Channel],
  { surfaces }: ClothColour,
  every: number,
  visit: (off: [number, number, number], at: number) => void,
): void {
  const { widthPx, heightPx } = lab[0]
  const [l, a, b] = lab.map((one) => one.values) as [Float32Array, Float32Array, Float32Array]
  const off: [number, number, number] = [0, 0, 0]
  const [sl = [], sa = [], sb = []] = surfaces
  for (let y = 0; y < heightPx; y += every)
    for (let x = 0; x < widthPx; x += every) {
      const [u, v] = [(2 * x) / widthPx - 1, (2 * y) / heightPx - 1]
      const at = y * widthPx + x
      off[0] = (l[at] as number) - valueAt(sl, u, v)
      off[1] = (a[at] as number) - valueAt(sa, u, v)
      off[2] = (b[at] as number) - valueAt(sb, u, v)
      visit(off, at)
    }
}

interface Seed {
  readonly off: Lab
  /** In the strip, px. */
  readonly at: Point
}

/** The places least like cloth. */
function seedsOf(lab: readonly [Channel, Channel, Channel], cloth: ClothColour): readonly Seed[] {
  const { widthPx, heightPx } = lab[0]
  const margin = 1.2 * STRIP_PER_MM
  const wide = cloth.spread.clone()
  for (let i = 0; i < 3; i += 1) wide.set(i, i, wide.get(i, i) + 1)
  const back = inverse(wide)
  const found: (Seed & { readonly away: number })[] = []
  eachOff(lab, cloth, 2, (off, at) => {
    const [x, y] = [at % widthPx, Math.floor(at / widthPx)]
    if (Math.min(x, y, widthPx - 1 - x, heightPx - 1 - y) < margin) return
    const away = Math.sqrt(away2(off, back))
    if (away > 2) found.push({ off: [off[0], off[1], off[2]], at: { x, y }, away })
  })
  const all = ((widthPx - 2 * margin) * (heightPx - 2 * margin)) / 4
  const strongest = found.map((one) => one.away).sort((a, b) => b - a)
  const level = (strongest[Math.min(strongest.length - 1, Math.floor(SEEDS.share * all))] ?? 0) * SEEDS.of
  return found.filter((one) => one.away > level)
}

interface Chosen {
  readonly thread: readonly Seed[]
  readonly other: readonly Seed[]
  readonly isDoubtful: boolean
}

function chooseThread(seeds: readonly Seed[], cloth: ClothColour, wanted: Lab, touched: Point | null): Chosen {
  const [one, two] = twoMeans(seeds)
  const [a, b] = [meanOf(one.map((seed) => seed.off)), meanOf(two.map((seed) => seed.off))]
  const apart = Math.hypot(a[1] - b[1], a[2] - b[2])
  const isTwo = Math.min(one.length, two.length) > 0.03 * seeds.length && apart > TWO_COLOURS && !isShadeOf(a, b)
  if (!isTwo) return { thread: seeds, other: [], isDoubtful: false }
  if (touched)
    return nearestTo(one, touched) <= nearestTo(two, touched) ? { thread: one, other: two, isDoubtful: false } : { thread: two, other: one, isDoubtful: false }
  const far = (off: Lab): number => {
    const [dl, da, db] = [0, 1, 2].map((index) => (cloth.middle[index] ?? 0) + (off[index] ?? 0) - (wanted[index] ?? 0)) as unknown as Lab
    // How light a thread is depends on how it lies.
    return Math.hypot(0.5 * dl, da, db)
  }
  const [near, other] = far(a) <= far(b) ? [one, two] : [two, one]
  const [least, most] = [Math.min(far(a), far(b)), Math.max(far(a), far(b))]
  return { thread: near, other, isDoubtful: most < SURE * least + 6 }
}

/** A finger is not exact: how far off the nearest places of a colour lie, px, an odd one left aside. */
function nearestTo(seeds: readonly Seed[], { x, y }: Point): number {
  const away = seeds.map(({ at }) => Math.hypot(at.x - x, at.y - y)).sort((a, b) => a - b)
  return away[Math.min(away.length - 1, NEAR)] ?? Number.POSITIVE_INFINITY
}
const NEAR = 8

/** What is half cloth and half thread, or thread in its own shade, lies on the way between them. */
function isShadeOf(a: Lab, b: Lab): boolean {
  const [less, more] = Math.hypot(...a) < Math.hypot(...b) ? [a, b] : [b, a]
  const chroma = (one: Lab): readonly [number, number] => [one[1], one[2]]
  const [lx, ly] = chroma(less)
  const [mx, my] = chroma(more)
  const share = (lx * mx + ly * my) / Math.max(1e-9, mx * mx + my * my)
  const beside = Math.abs(lx * my - ly * mx) / Math.max(1e-9, Math.hypot(mx, my))
  return share > 0.25 && beside < 0.3 * Math.hypot(mx, my)
}

function twoMeans(seeds: readonly Seed[]): readonly [readonly Seed[], readonly Seed[]] {
  const mean = meanOf(seeds.map((one) => one.off))
  let a = seeds.reduce<Lab>((far, one) => (chromaApart(one.off, mean) > chromaApart(far, mean) ? one.off : far), mean)
  let b = seeds.reduce<Lab>((far, one) => (chromaApart(one.off, a) > chromaApart(far, a) ? one.off : far), a)
  let [one, two]: [Seed[], Seed[]] = [[], []]
  for (let turn = 0; turn < 12; turn += 1) {
    one = seeds.filter((seed) => chromaApart(seed.off, a) <= chromaApart(seed.off, b))
    two = seeds.filter((seed) => chromaApart(seed.off, a) > chromaApart(seed.off, b))
    if (one.length === 0 || two.length === 0) break
    a = meanOf(one.map((seed) => seed.off))
    b = meanOf(two.map((seed) => seed.off))
  }
  return [one, two]
}

const chromaApart = (a: Lab, b: Lab): number => Math.hypot(a[1] - b[1], a[2] - b[2])

function meanOf(offs: readonly Lab[]): [number, number, number] {
  const total: [number, number, number] = [0, 0, 0]
  for (const off of offs) for (let i = 0; i < 3; i += 1) total[i as 0] += off[i] ?? 0
  const many = Math.max(1, offs.length)
  return [total[0] / many, total[1] / many, total[2] / many]
}

function spreadOf(offs: readonly Lab[], mean: Lab): Matrix {
  const spread = Matrix.zeros(3, 3)
  for (const off of offs)
    for (let i = 0; i < 3; i += 1)
      for (let j = 0; j < 3; j += 1) spread.set(i, j, spread.get(i, j) + ((off[i] ?? 0) - (mean[i] ?? 0)) * ((off[j] ?? 0) - (mean[j] ?? 0)))
  return spread.div(Math.max(1, offs.length))
}

/** From the cloth to the same cloth with a little more than half the light. */
function shadeOf(base: Lab): Lab {
  const [r, g, b] = linearOfLab(base)
  const lab = new Float32Array(3)
  labOf(0.55 * r, 0.55 * g, 0.55 * b, lab)
  return [(lab[0] ?? 0) - base[0], (lab[1] ?? 0) - base[1], (lab[2] ?? 0) - base[2]]
}

const MIXES = 24

/** From how far the colour is on its way to how much of it is thread: light mixes evenly, lightness does not. */
function mixedShares(cloth: Lab, mu: Lab, scoreOf: (off: Lab) => number): (score: number) => number {
  const [from, to] = [linearOfLab(cloth), linearOfLab([cloth[0] + mu[0], cloth[1] + mu[1], cloth[2] + mu[2]])]
  const lab = new Float32Array(3)
  const scores = Array.from({ length: MIXES + 1 }, (_, index) => {
    const by = index / MIXES
    labOf(from[0] + by * (to[0] - from[0]), from[1] + by * (to[1] - from[1]), from[2] + by * (to[2] - from[2]), lab)
    return scoreOf([(lab[0] ?? 0) - cloth[0], (lab[1] ?? 0) - cloth[1], (lab[2] ?? 0) - cloth[2]])
  })
  // Always more with more thread, also where the colour makes a bend.
  for (let index = 1; index < scores.length; index += 1) scores[index] = Math.max(scores[index] ?? 0, (scores[index - 1] ?? 0) + 1e-4)
  const table = Float32Array.from({ length: 161 }, (_, at) => {
    const score = (at - 40) / 80
    const next = scores.findIndex((one) => one >= score)
    if (next === 0) return Math.max(-0.4, score)
    if (next < 0) return Math.min(1.4, 1 + score - (scores.at(-1) ?? 1))
    const [low, high] = [scores[next - 1] ?? 0, scores[next] ?? 1]
    return (next - 1 + (score - low) / (high - low)) / MIXES
  })
  return (score) => {
    const at = Math.min(159.999, Math.max(0, 80 * score + 40))
    const below = Math.floor(at)
    return (table[below] as number) + ((table[below + 1] as number) - (table[below] as number)) * (at - below)
  }
}

function labOfHex(hex: string): Lab {
  const [r = 0, g = 0, b = 0] = rgbOf(hex).map(linearLight)
  const lab = new Float32Array(3)
  labOf(r, g, b, lab)
  return [lab[0] ?? 0, lab[1] ?? 0, lab[2] ?? 0]
}
