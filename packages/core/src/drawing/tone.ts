/** Light on thread: tones, gloss by material, and the seeded unevenness of handwork. Never random, never the zoom. */
import type { Point } from '../geometry/index.ts'
import { luminance, mix } from '../materials/index.ts'

/** Where the light comes from: the upper left. */
export const LIGHT: Point = { x: -0.503, y: -0.864 }
const WHITE = '#fff9ee'

/** How much tone follows the direction of the thread, lying as a line and flat, and how bright its highlights are. */
export interface Sheen {
  readonly line: number
  readonly flat: number
  readonly gloss: number
  /** Plies of its twist, and the length of a turn in thread widths. */
  readonly plies: number
  readonly lay: number
}

const COTTON: Sheen = { line: 0.07, flat: 0.15, gloss: 0.3, plies: 2, lay: 5.2 }
const HARD: Sheen = { line: 0.08, flat: 0.14, gloss: 0.36, plies: 2, lay: 2.3 }
const SILK: Sheen = { line: 0.1, flat: 0.24, gloss: 0.46, plies: 2, lay: 5.2 }
const WOOL: Sheen = { line: 0.02, flat: 0.04, gloss: 0.1, plies: 3, lay: 4 }

/** By the kind of thread; silk and wool are judged by eye, the others compared with worked pieces. */
export function sheenOf(kind: string, hard: boolean): Sheen {
  if (kind.includes('silk')) return SILK
  if (kind.includes('wool')) return WOOL
  return hard ? HARD : COTTON
}

export const USUAL_SHEEN = COTTON

/** 1 where the thread lies across the light, -1 along it. `along` is a unit vector. */
export function acrossLight(along: Point): number {
  const d = along.x * LIGHT.x + along.y * LIGHT.y
  return 1 - 2 * d * d
}

const tones = new Map<string, string>()
/** Tones are told apart to a fortieth. */
const STEPS = 40

/** Towards white by a positive share, towards its own dark by a negative one: a fixed dark would grey every thread. */
export function tone(colour: string, by: number): string {
  const step = Math.round(by * STEPS)
  if (step === 0) return colour
  const key = `${colour}${step}`
  const known = tones.get(key)
  if (known !== undefined) return known
  const made = step > 0 ? mix(colour, WHITE, Math.min(1, step / STEPS)) : mix(colour, darkOf(colour), Math.min(1, -step / STEPS))
  if (tones.size > 4000) tones.clear()
  tones.set(key, made)
  return made
}

export const darker = (colour: string, by: number): string => tone(colour, -by)
export const lighter = (colour: string, by: number): string => tone(colour, by)

function darkOf(hex: string): string {
  const value = Number.parseInt(hex.slice(1, 7), 16)
  const part = (channel: number): string => Math.round(channel).toString(16).padStart(2, '0')
  return `#${part(0.255 * ((value >> 16) & 255) + 5)}${part(0.24 * ((value >> 8) & 255) + 3.5)}${part(0.27 * (value & 255) + 6.5)}`
}

export interface Shade {
  readonly colour: string
  readonly opacity: number
}

const shades = new Map<string, Shade>()

/** The shadow that thread throws on this cloth; on dark cloth it must be deeper to be seen. */
export function shadowOn(cloth: string): Shade {
  const known = shades.get(cloth)
  if (known) return known
  const made = { colour: mix(cloth, '#0c0a12', 0.82), opacity: luminance(cloth) < 0.18 ? 0.5 : 0.3 }
  if (shades.size > 200) shades.clear()
  shades.set(cloth, made)
  return made
}

/** Of a seed and a place, 0 to 1, the same in every picture. */
export function hash(seed: number, place: number): number {
  let h = Math.imul(seed ^ 0x9e3779b9, 0x85ebca6b) ^ Math.imul((place | 0) + 0x7f4a7c15, 0xc2b2ae35)
  h = Math.imul(h ^ (h >>> 15), 0x2c1b3c6d)
  h = Math.imul(h ^ (h >>> 12), 0x297a2d39)
  return ((h ^ (h >>> 15)) >>> 0) / 4294967296
}

/** -1 to 1. */
export const sway = (seed: number, place: number): number => 2 * hash(seed, place) - 1

/** Smooth between whole places, -1 to 1. */
export function drift(seed: number, at: number): number {
  const from = Math.floor(at)
  const share = at - from
  const smooth = share * share * (3 - 2 * share)
  return sway(seed, from) * (1 - smooth) + sway(seed, from + 1) * smooth
}

export function smoothStep(from: number, to: number, at: number): number {
  const share = Math.min(1, Math.max(0, (at - from) / (to - from)))
  return share * share * (3 - 2 * share)
}

/** A number for a word, so that two exercises are not uneven in the same places. */
export function seedOf(word: string): number {
  let seed = 17
  for (let index = 0; index < word.length; index += 1) seed = (Math.imul(seed, 31) + word.charCodeAt(index)) | 0
  return seed
}
