/** The four corner targets in a photograph: a dark ring round a dark spot with the same middle. */
import type { Point } from '../geometry/index.ts'
import { type Blob, blobsOf } from './blobs.ts'
import { type Channel, channelBetween, greyReduced, type Picture } from './picture.ts'

/** As wide as a picture is looked at for them, px. */
const LOOKED_AT_PX = 1100
/** Darker than this share of what is round it: the light may fall unevenly. */
const DARK = 0.72
/** Of the ring's size: how far apart the two middles may lie, and how large the spot is. */
const APART = 0.12
const SPOT = { least: 0.26, most: 0.6 }
/** Fewer are noise; px of the reduced picture. */
const SPECK_PX = 5
/** Larger and smaller than this, no corner of a card that fills the picture; px of the reduced picture. */
const RING_PX = { least: 12, most: 160 }
/** Of the corners of one card, none is larger than another by more. */
const ALIKE = 2.2
/** More than this are not looked through, nor more sets of four. */
const MOST_FOUND = 12
const MOST_SETS = 8

interface Target {
  readonly at: Point
  readonly sizePx: number
}

/** Sets of four that may be the corners, each clockwise from the one with the light eye, likeliest first; px of the picture. */
export function findTargets(picture: Picture): readonly (readonly Point[])[] {
  const by = Math.max(1, Math.round(picture.widthPx / LOOKED_AT_PX))
  const grey = greyReduced(picture, by)
  const found = targetsAmong(blobsOf(darkOf(grey), grey.widthPx, SPECK_PX))
  const middle = [...found].sort((a, b) => a.sizePx - b.sizePx)[Math.floor(found.length / 2)]?.sizePx ?? 1
  const far = (one: Target): number => Math.abs(Math.log(one.sizePx / middle))
  const near = [...found].sort((a, b) => far(a) - far(b)).slice(0, MOST_FOUND)
  const unlike = (four: readonly Target[]): number => Math.max(...four.map((one) => one.sizePx)) / Math.min(...four.map((one) => one.sizePx))
  return foursOf(near)
    .filter((four) => unlike(four) < ALIKE)
    .map((four) => clockwise(four.map((one) => one.at)))
    .filter(isConvex)
    .sort((a, b) => areaOf(b) - areaOf(a))
    .slice(0, MOST_SETS)
    .map((four) => fromEye(four, grey).map(({ x, y }) => ({ x: (x + 0.5) * by - 0.5, y: (y + 0.5) * by - 0.5 })))
}

/** 1 where it is darker than the mean of a square about it. */
function darkOf({ widthPx: wide, heightPx: tall, values }: Channel): Uint8Array {
  const across = wide + 1
  const sums = new Float64Array(across * (tall + 1))
  for (let y = 0; y < tall; y += 1) {
    let row = 0
    for (let x = 0; x < wide; x += 1) {
      row += values[y * wide + x] as number
      sums[(y + 1) * across + x + 1] = (sums[y * across + x + 1] as number) + row
    }
  }
  const sum = (x: number, y: number): number => sums[y * across + x] as number
  const half = Math.round(wide / 18)
  const dark = new Uint8Array(wide * tall)
  for (let y = 0; y < tall; y += 1) {
    const [top, bottom] = [Math.max(0, y - half), Math.min(tall, y + half + 1)]
    for (let x = 0; x < wide; x += 1) {
      const [left, right] = [Math.max(0, x - half), Math.min(wide, x + half + 1)]
      const mean = (sum(right, bottom) - sum(right, top) - sum(left, bottom) + sum(left, top)) / ((bottom - top) * (right - left))
      if ((values[y * wide + x] as number) < DARK * mean) dark[y * wide + x] = 1
    }
  }
  return dark
}

const sizeOf = ({ left, right, top, bottom }: Blob): number => (right - left + bottom - top) / 2 + 1
const boxMiddle = ({ left, right, top, bottom }: Blob): Point => ({ x: (left + right) / 2, y: (top + bottom) / 2 })

function targetsAmong(blobs: readonly Blob[]): readonly Target[] {
  return blobs.flatMap((ring) => {
    const sizePx = sizeOf(ring)
    const [wide, tall] = [ring.right - ring.left + 1, ring.bottom - ring.top + 1]
    if (sizePx < RING_PX.least || sizePx > RING_PX.most || wide > ALIKE * tall || tall > ALIKE * wide) return []
    const middle = boxMiddle(ring)
    const spot = blobs.find((one) => {
      const share = sizeOf(one) / sizePx
      const from = boxMiddle(one)
      return one !== ring && share > SPOT.least && share < SPOT.most && Math.hypot(from.x - middle.x, from.y - middle.y) < APART * sizePx
    })
    return spot ? [{ at: boxMiddle(spot), sizePx }] : []
  })
}

function foursOf(targets: readonly Target[]): readonly (readonly Target[])[] {
  const sets: Target[][] = []
  const extend = (chosen: readonly Target[], from: number): void => {
    if (chosen.length === 4) sets.push([...chosen])
    else for (const [index, one] of targets.entries()) if (index >= from) extend([...chosen, one], index + 1)
  }
  extend([], 0)
  return sets
}

function clockwise(four: readonly Point[]): readonly Point[] {
  const [x, y] = [four.reduce((total, at) => total + at.x, 0) / 4, four.reduce((total, at) => total + at.y, 0) / 4]
  return [...four].sort((a, b) => Math.atan2(a.y - y, a.x - x) - Math.atan2(b.y - y, b.x - x))
}

const cornersOf = (four: readonly Point[]): readonly (readonly [Point, Point, Point])[] =>
  four.map((at, index) => [at, four[(index + 1) % 4] as Point, four[(index + 2) % 4] as Point])

const isConvex = (four: readonly Point[]): boolean => cornersOf(four).every(([a, b, c]) => (b.x - a.x) * (c.y - b.y) - (b.y - a.y) * (c.x - b.x) > 0)

const areaOf = (four: readonly Point[]): number => Math.abs(cornersOf(four).reduce((total, [a, b]) => total + a.x * b.y - b.x * a.y, 0)) / 2

/** Turned so that the one whose middle is lightest, beside the light round about, comes first. */
function fromEye(four: readonly Point[], grey: Channel): readonly Point[] {
  const light = four.map((at) => channelBetween(grey, at.x, at.y))
  const first = light.indexOf(Math.max(...light))
  return [...four.slice(first), ...four.slice(0, first)]
}
