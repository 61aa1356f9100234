/** Pins that stand in the cloth, and the threads between them and their base, woven to and fro. mm. */
import { sum } from '../base/index.ts'
import { dot, leftOf, type Point, step, subtract, unit } from '../geometry/index.ts'
import type { ReadGuide } from '../guide/index.ts'
import { failed, type Frame, frameAt, MOST_FRAMES, oneRun, type Placed } from './frames.ts'
import type { Segment } from './types.ts'

type PinsGuide = Extract<ReadGuide, { kind: 'pins' }>

/** From the base towards each pin. */
export function placePins(guide: PinsGuide, mirror: boolean): Placed {
  const { base } = guide
  const frames = guide.pins.map((pin) => {
    const direction = unit(subtract(pin, base)) ?? { x: 0, y: -1 }
    return frameAt(base, direction, mirror ? -1 : 1, { height: awayFrom(base, pin) }, namedAt(base, pin))
  })
  return oneRun(frames, reachOf(guide), reachOf(guide) / frames.length)
}

/**
 * All the pins under one weave. From one side to the other, the middle pin last: it carries the single warp in
 * the middle and the thread goes on from its tip; every other pin carries two warps. `left` and `right` are the
 * shares of the base, +0.5 to -0.5, at which a pin's warps stand: even gaps between all of them.
 */
export function placeFan(guide: PinsGuide, mirror: boolean): Placed {
  const { base } = guide
  const count = guide.pins.length
  if (count < 3 || count % 2 === 0)
    return failed(
      ['pins'],
      `${count === 1 ? 'One pin is' : `${count} pins are`} woven together, which needs three or five, one of them in the middle. Add a pin, or take one away.`,
    )
  const direction = towardsPins(guide)
  const flip = mirror ? -1 : 1
  const aside = (pin: Point): number => {
    const to = subtract(pin, base)
    return flip * Math.atan2(dot(to, leftOf(direction)), dot(to, direction))
  }
  const inTurn = [...guide.pins].sort((a, b) => aside(b) - aside(a))
  const middle = (count - 1) / 2
  const warps = 2 * count - 1
  const share = (warp: number): number => 0.5 - warp / (warps - 1)
  const frames = inTurn.map((pin, place): Frame => {
    const first = place <= middle ? 2 * place : 2 * place - 1
    const last = place === middle ? first : first + 1
    const values = { height: awayFrom(base, pin), pins: count, left: share(first), right: share(last) }
    return frameAt(base, direction, flip, values, namedAt(base, pin))
  })
  const [inMiddle] = frames.splice(middle, 1)
  return oneRun([...frames, inMiddle as Frame], reachOf(guide), reachOf(guide) / count)
}

export interface Weave {
  readonly warps: readonly Segment[]
  /** How far below the tip of the longest warp the first row lies, and how far each row from the next. */
  readonly tipMm: number
  readonly beatMm: number
}

/** Nearer to the foot no needle gets through. */
const FOOT_MM = 0.4

/**
 * One frame wherever the weaving thread meets a warp, row after row from the tips to the feet: `thread` is the
 * warp's number among those made, `at` the share of it. It begins beside the warp made last, from whose tip the
 * thread comes, and goes to and fro; rows keep the same share of every warp, so they bend over a fan. An odd
 * number of warps makes the turn round the edge come right: over it and back under it.
 */
export function placeWeave(guide: PinsGuide, { warps, tipMm, beatMm }: Weave, mirror: boolean): Placed {
  const count = warps.length
  if (count < 3 || count % 2 === 0) return failed(['weave'], 'place.even-warps', { count })
  if (!(beatMm > 0) || !(tipMm > 0)) return failed(['weave'], 'place.weave-rows')
  const direction = towardsPins(guide)
  const flip = mirror ? -1 : 1
  const longest = Math.max(...warps.map((warp) => warp.lengthMm))
  // An even number of rows ends on the side of the first warp.
  const rows = 2 * Math.max(1, Math.floor((longest - tipMm - FOOT_MM) / (2 * beatMm)))
  if (rows * count > MOST_FRAMES) return failed(['weave'], 'place.many-crossings', { count: rows * count, most: MOST_FRAMES })
  const placed = warps.map((warp, made) => {
    const [first, last] = [warp.points[0] as Point, warp.points[warp.points.length - 1] as Point]
    const up = dot(subtract(last, first), direction) > 0
    const foot = up ? first : last
    return { made, foot, tip: up ? last : first, up, aside: flip * dot(subtract(foot, guide.base), leftOf(direction)) }
  })
  const inTurn = [...placed].sort((a, b) => b.aside - a.aside)
  const begin = inTurn.findIndex((one) => one.made === count - 1) + 1
  const frames = Array.from({ length: rows * count - begin }, (_, crossing) => {
    const row = Math.floor((crossing + begin) / count)
    const col = (crossing + begin) % count
    const warp = inTurn[row % 2 === 0 ? col : count - 1 - col] as (typeof inTurn)[number]
    const share = Math.min(0.98, (tipMm + row * beatMm) / longest)
    const at = step(warp.tip, subtract(warp.foot, warp.tip), share)
    return frameAt(at, direction, flip, { thread: warp.made, at: warp.up ? 1 - share : share, row })
  })
  const atBase = frameAt(guide.base, direction, flip, {}, namedAt(guide.base, guide.base))
  const lengthMm = frames.length * beatMm
  return {
    runs: [{ frames, endFrame: atBase, closed: false, afterCorner: false }],
    legs: [{ lengthMm, count: frames.length, pitchMm: beatMm }],
    lengthMm,
    problems: [],
  }
}

/** From the base to the middle of the pins. */
export function towardsPins({ base, pins }: PinsGuide): Point {
  const middle = { x: sum(pins.map((pin) => pin.x)) / pins.length, y: sum(pins.map((pin) => pin.y)) / pins.length }
  return unit(subtract(middle, base)) ?? { x: 0, y: -1 }
}

function namedAt(base: Point, pin: Point): (name: string) => Point | null {
  return (name) => (name === 'pin' ? pin : name === 'base' ? base : null)
}

function reachOf({ base, pins }: PinsGuide): number {
  return sum(pins.map((pin) => awayFrom(base, pin)))
}

function awayFrom(base: Point, pin: Point): number {
  return Math.hypot(pin.x - base.x, pin.y - base.y)
}
