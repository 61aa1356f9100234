/**
 * Where each point of the card lies in the photograph: a homography, a figure for how the lens bends lines and two for a bowed card, fitted
 * to the middles of all targets and dots (Gauss and Newton, weights after Huber, so that a covered dot does not pull the rest).
 */
import { Matrix, solve } from 'ml-matrix'
import type { Point } from '../geometry/index.ts'
import { DOT_MM, DOTS, TARGET_MM, TARGETS } from './card.ts'
import { greyBetween, greyOn, type Picture } from './picture.ts'

/** Of points, how many are found. */
export interface CardFit {
  /** From millimetres of the card to pixels of the picture. */
  readonly toPicture: (at: Point) => Point
  readonly points: number
  /** What is left between fitted and found middles, mm. */
  readonly rmsMm: number
  /** In the direction in which there are fewest, at the card's middle. */
  readonly pixelsPerMm: number
  /** Between the camera's line and the card's, degrees. */
  readonly tiltDeg: number
  /** From a fifth to four fifths of the way from ink to paper, at the dots' edges: how blurred the picture is. mm */
  readonly edgeMm: number
}

interface CardPoint {
  readonly mm: Point
  /** Looked at so far about it, and how far its dark reaches. */
  readonly lookMm: number
  readonly darkMm: number
}

/** Of a target, its spot alone: the ring is too large for a lens that bends. */
const POINTS: readonly CardPoint[] = [
  ...TARGETS.map((mm) => ({ mm, lookMm: 0.93 * TARGET_MM.white, darkMm: TARGET_MM.inner })),
  ...DOTS.map((mm) => ({ mm, lookMm: 1.5 * DOT_MM, darkMm: DOT_MM })),
]
/** Farther from where it is expected, a point is another spot; mm. */
const LOST_MM = 0.6
/** Beyond this a point pulls no harder, px. */
const KNEE_PX = 1
const PASSES = 3

/**
 * h11 to h32 of a homography whose last is 1; the bending of the lens: r' = r (1 + bend r r), r in halves of the picture's diagonal; and how
 * far a card that is bowed from left to right seems to lie elsewhere at its ends, mm across and down.
 */
type Lens = readonly number[]
/** From the middle of the card, where a bow is reckoned from, mm. */
const BOWED_AT_MM = 50

/** `corners`: near the targets, clockwise from the first. Null where they can be no card. */
export function fitCard(picture: Picture, corners: readonly Point[]): CardFit | null {
  const halfPx = Math.hypot(picture.widthPx, picture.heightPx) / 2
  const middle = { x: (picture.widthPx - 1) / 2, y: (picture.heightPx - 1) / 2 }
  const toPixels = (lens: Lens, at: Point): Point => {
    const bow = (at.x / BOWED_AT_MM) ** 2
    const flat = project(lens, { x: at.x + (lens[9] ?? 0) * bow, y: at.y + (lens[10] ?? 0) * bow })
    const bend = 1 + (lens[8] ?? 0) * (flat.x * flat.x + flat.y * flat.y)
    return { x: middle.x + flat.x * bend * halfPx, y: middle.y + flat.y * bend * halfPx }
  }
  const flatOf = (at: Point): Point => ({ x: (at.x - middle.x) / halfPx, y: (at.y - middle.y) / halfPx })
  let lens = homographyOf(TARGETS, corners.map(flatOf))
  if (!lens) return null
  let found: readonly Found[] = []
  for (let pass = 0; pass < PASSES; pass += 1) {
    const now = lens
    const perMm = scaleAt((at) => toPixels(now, at), { x: 0, y: 0 }).least
    if (!(perMm > 2) || perMm > 200) return null
    found = POINTS.flatMap((point) => {
      const at = middleOf(picture, point, (mm) => toPixels(now, mm))
      return at ? [{ mm: point.mm, at }] : []
    })
    if (found.length < 12) return null
    lens = refined(now, found, (some, at) => toPixels(some, at))
  }
  const fitted = lens
  const toPicture = (at: Point): Point => toPixels(fitted, at)
  const { least, most } = scaleAt(toPicture, { x: 0, y: 0 })
  const left = found.map(({ mm, at }) => distancePx(toPicture(mm), at)).filter((one) => one < LOST_MM * least)
  return {
    toPicture,
    points: left.length,
    rmsMm: Math.sqrt(left.reduce((total, one) => total + one * one, 0) / Math.max(1, left.length)) / least,
    pixelsPerMm: least,
    tiltDeg: (Math.acos(Math.min(1, least / most)) * 180) / Math.PI,
    edgeMm: edgeOf(picture, toPicture),
  }
}

interface Found {
  readonly mm: Point
  readonly at: Point
}

const distancePx = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y)

function project(lens: Lens, { x, y }: Point): Point {
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0] = lens
  const w = g * x + h * y + 1
  return { x: (a * x + b * y + c) / w, y: (d * x + e * y + f) / w }
}

/** Through four points exactly. */
function homographyOf(from: readonly Point[], to: readonly Point[]): Lens | null {
  const rows: number[][] = []
  const right: number[][] = []
  for (const [index, { x, y }] of from.entries()) {
    const at = to[index]
    if (!at) return null
    rows.push([x, y, 1, 0, 0, 0, -x * at.x, -y * at.x], [0, 0, 0, x, y, 1, -x * at.y, -y * at.y])
    right.push([at.x], [at.y])
  }
  const solved = solve(new Matrix(rows), new Matrix(right), true).to1DArray()
  return solved.every(Number.isFinite) ? [...solved, 0, 0, 0] : null
}

function refined(lens: Lens, found: readonly Found[], toPixels: (lens: Lens, at: Point) => Point): Lens {
  let now = lens
  for (let turn = 0; turn < 6; turn += 1) {
    const rows: number[][] = []
    const right: number[][] = []
    for (const { mm, at } of found) {
      const fitted = toPixels(now, mm)
      const left = { x: at.x - fitted.x, y: at.y - fitted.y }
      const weight = Math.sqrt(Math.min(1, KNEE_PX / Math.max(1e-9, Math.hypot(left.x, left.y))))
      const [alongX, alongY]: [number[], number[]] = [[], []]
      for (const index of now.keys()) {
        const step = Math.max(1e-7, Math.abs(now[index] ?? 0) * 1e-5)
        const moved = toPixels(
          now.map((one, at) => (at === index ? one + step : one)),
          mm,
        )
        alongX.push((weight * (moved.x - fitted.x)) / step)
        alongY.push((weight * (moved.y - fitted.y)) / step)
      }
      rows.push(alongX, alongY)
      right.push([weight * left.x], [weight * left.y])
    }
    const by = solve(new Matrix(rows), new Matrix(right), true).to1DArray()
    if (!by.every(Number.isFinite)) return now
    now = now.map((one, index) => one + (by[index] ?? 0))
  }
  return now
}

/** The middle of what is dark about where it is expected, weighed by how dark; null where too little is. */
function middleOf(picture: Picture, { mm, lookMm, darkMm }: CardPoint, toPixels: (mm: Point) => Point): Point | null {
  const expected = toPixels(mm)
  const { least } = scaleAt(toPixels, mm)
  const reach = lookMm * least
  if (expected.x < reach || expected.y < reach || expected.x > picture.widthPx - reach || expected.y > picture.heightPx - reach) return null
  let at = expected
  for (let turn = 0; turn < 3; turn += 1) {
    const greys: number[] = []
    const each = (visit: (x: number, y: number) => void): void => {
      for (let y = Math.ceil(at.y - reach); y <= at.y + reach; y += 1)
        for (let x = Math.ceil(at.x - reach); x <= at.x + reach; x += 1) if ((x - at.x) ** 2 + (y - at.y) ** 2 <= reach * reach) visit(x, y)
    }
    each((x, y) => greys.push(greyOn(picture, x, y)))
    const sorted = Float32Array.from(greys).sort()
    const [ink, paper] = [sorted[Math.floor(0.06 * sorted.length)] ?? 0, sorted[Math.floor(0.85 * sorted.length)] ?? 0]
    if (paper - ink < 12) return null
    let [sum, sumX, sumY, index] = [0, 0, 0, 0]
    each((x, y) => {
      const dark = Math.min(1, Math.max(0, (paper - (greys[index] ?? 0)) / (paper - ink)))
      index += 1
      if (dark < 0.12) return
      sum += dark
      sumX += dark * x
      sumY += dark * y
    })
    // As much dark as its spot has, about.
    const area = Math.PI * (darkMm * least) ** 2
    if (sum < 0.35 * area || sum > 2.4 * area) return null
    at = { x: sumX / sum, y: sumY / sum }
  }
  return distancePx(at, expected) < LOST_MM * 1.5 * least ? at : null
}

/** Pixels a millimetre, in the two directions in which they are fewest and most. */
export function scaleAt(toPixels: (mm: Point) => Point, { x, y }: Point): { readonly least: number; readonly most: number } {
  const [left, right, up, down] = [toPixels({ x: x - 1, y }), toPixels({ x: x + 1, y }), toPixels({ x, y: y - 1 }), toPixels({ x, y: y + 1 })]
  const [a, c] = [(right.x - left.x) / 2, (right.y - left.y) / 2]
  const [b, d] = [(down.x - up.x) / 2, (down.y - up.y) / 2]
  // Singular values of a two by two, in closed form.
  const [both, apart] = [Math.hypot(a + d, c - b), Math.hypot(a - d, c + b)]
  return { least: Math.abs(both - apart) / 2, most: (both + apart) / 2 }
}

const ROUND = 24
const STEP_MM = 0.02

function edgeOf(picture: Picture, toPicture: (mm: Point) => Point): number {
  const rises = DOTS.flatMap((dot) => {
    const profile: number[] = []
    for (let away = 0.1; away <= 1.75; away += STEP_MM) {
      let total = 0
      for (let turn = 0; turn < ROUND; turn += 1) {
        const angle = (2 * Math.PI * turn) / ROUND
        total += greyBetween(picture, toPicture({ x: dot.x + away * Math.cos(angle), y: dot.y + away * Math.sin(angle) }))
      }
      profile.push(total / ROUND)
    }
    const [ink, paper] = [Math.min(...profile), Math.max(...profile)]
    if (paper - ink < 12) return []
    const where = (share: number): number => profile.findIndex((grey) => grey > ink + share * (paper - ink))
    return [(where(0.8) - where(0.2)) * STEP_MM]
  }).sort((a, b) => a - b)
  return rises[Math.floor(rises.length / 2)] ?? Number.POSITIVE_INFINITY
}
