/**
 * The photograph that a phone would take of the card on a worked row: perspective from a distance, a lens that bends lines, cloth and card
 * not quite flat, uneven light and a shadow's edge, a cast, blur, sharpening, noise. Stands in for the camera, and for tests.
 */
import { normal, seeded } from '../base/index.ts'
import type { Point } from '../geometry/index.ts'
import { CARD_MM, DOT_MM, DOTS, type Picture, smoothed, TARGET_MM, TARGETS, WINDOW } from '../photo/index.ts'
import type { Scene } from './scene.ts'

export interface Shot {
  /** At the card's middle. */
  readonly pixelsPerMm: number
  readonly distanceMm: number
  /** Away from looking straight down, degrees, and towards where. */
  readonly tiltDeg: number
  readonly tiltTowardsDeg: number
  readonly rollDeg: number
  /** Of the card's width in the picture's; above 1 it is cut off. */
  readonly fills: number
  /** By how much the lens bends at the corners, as a share. */
  readonly bend: number
  /** How much the middle stands higher than the ends, and the card above the cloth, mm. */
  readonly bowMm: number
  readonly liftMm: number
  /** How much darker one side is, and towards where it grows dark. */
  readonly gradient: number
  readonly gradientDeg: number
  /** Behind the edge of a shadow the light is less by this share. */
  readonly shadow: number
  readonly shadowDeg: number
  readonly shadowAtMm: number
  readonly vignette: number
  /** Of paper in the light, linear: 0.6 is well lit, 0.05 dark. */
  readonly exposure: number
  /** Of red and blue against green. */
  readonly cast: readonly [number, number]
  readonly blurPx: number
  /** The hand moved along the row, px. */
  readonly movedPx: number
  readonly sharpen: number
  /** Of a byte's 255. */
  readonly noise: number
  /** A bright spot on the row, its strength; 0 for none. */
  readonly glare: number
  readonly seed: number
}

export const PLAIN_SHOT: Shot = {
  ...{ pixelsPerMm: 16, distanceMm: 230, tiltDeg: 0, tiltTowardsDeg: 0, rollDeg: 0, fills: 0.85, bend: 0, bowMm: 0, liftMm: 0 },
  ...{ gradient: 0, gradientDeg: 0, shadow: 0, shadowDeg: 0, shadowAtMm: 0, vignette: 0, exposure: 0.65, cast: [1, 1], blurPx: 0.6, movedPx: 0 },
  ...{ sharpen: 0, noise: 0, glare: 0, seed: 1 },
}

const PAPER = 0.86
const INK = 0.035

export function shoot(scene: Scene, shot: Shot): Picture {
  const widthPx = Math.round((CARD_MM.width * shot.pixelsPerMm) / shot.fills)
  const heightPx = Math.round(0.75 * widthPx)
  const size = widthPx * heightPx
  const light = [new Float32Array(size), new Float32Array(size), new Float32Array(size)]
  const colour = new Float32Array(3)
  const ray = rayOf(shot, widthPx, heightPx)
  const around = meanOf(scene)
  const lightAt = lightOf(shot)
  for (let y = 0; y < heightPx; y += 1) {
    for (let x = 0; x < widthPx; x += 1) {
      const { card, cloth } = ray(x, y)
      seen(card, cloth)
      const lit = lightAt(card) * (1 - shot.vignette * (((x / widthPx - 0.5) ** 2 + (y / heightPx - 0.5) ** 2) / 0.5))
      const at = y * widthPx + x
      for (let channel = 0; channel < 3; channel += 1) {
        const cast = channel === 0 ? shot.cast[0] : channel === 2 ? shot.cast[1] : 1
        const plane = light[channel]
        if (plane) plane[at] = ((colour[channel] ?? 0) * lit * cast + glareAt(card, shot)) * (shot.exposure / PAPER)
      }
    }
  }
  return developed(light, widthPx, heightPx, shot)

  function seen(card: Point, cloth: Point): void {
    const inWindow = covers(Math.min(card.x - WINDOW.left, WINDOW.right - card.x, card.y - WINDOW.top, WINDOW.bottom - card.y), shot.pixelsPerMm)
    const onCard = covers(Math.min(CARD_MM.width / 2 - Math.abs(card.x), CARD_MM.height / 2 - Math.abs(card.y)), shot.pixelsPerMm) * (1 - inWindow)
    if (onCard < 1) sceneAt(scene, cloth, around, colour)
    if (onCard === 0) return
    const print = PAPER + (INK - PAPER) * inkAt(card, shot.pixelsPerMm)
    for (let channel = 0; channel < 3; channel += 1) colour[channel] = (1 - onCard) * (onCard < 1 ? (colour[channel] ?? 0) : 0) + onCard * print
  }
}

/** How much of a pixel is inside an edge that lies so far inwards, mm. */
const covers = (inwardsMm: number, pixelsPerMm: number): number => Math.min(1, Math.max(0, 0.5 + inwardsMm * pixelsPerMm))

interface Round {
  readonly x: number
  readonly y: number
  /** From outside inwards, ink and paper in turn, mm. */
  readonly radii: readonly number[]
}

const ROUNDS: readonly Round[] = [
  ...TARGETS.map((at, index) => ({ ...at, radii: [TARGET_MM.outer, TARGET_MM.white, TARGET_MM.inner, ...(index === 0 ? [TARGET_MM.eye] : [])] })),
  ...DOTS.map((at) => ({ ...at, radii: [DOT_MM] })),
]
/** By whole millimetres of the card: which of them may be met there. None are so near that two could be. */
const BY_CELL = ((): readonly (Round | undefined)[] => {
  const cells: (Round | undefined)[] = []
  for (const round of ROUNDS) {
    const reach = (round.radii[0] ?? 0) + 1
    for (let y = Math.floor(round.y - reach); y <= round.y + reach; y += 1)
      for (let x = Math.floor(round.x - reach); x <= round.x + reach; x += 1) cells[cellOf(x, y)] = round
  }
  return cells
})()

function cellOf(x: number, y: number): number {
  return (Math.floor(y) + CARD_MM.height) * 2 * CARD_MM.width + Math.floor(x) + CARD_MM.width
}

function inkAt({ x, y }: Point, pixelsPerMm: number): number {
  const round = BY_CELL[cellOf(x, y)]
  if (!round) return 0
  const away = Math.hypot(x - round.x, y - round.y)
  let ink = 0
  let sign = 1
  for (const radius of round.radii) {
    ink += sign * covers(radius - away, pixelsPerMm)
    sign = -sign
  }
  return ink
}

/** Through a pixel: where the card is met, and the cloth under it. */
function rayOf(shot: Shot, widthPx: number, heightPx: number): (x: number, y: number) => { readonly card: Point; readonly cloth: Point } {
  const rad = Math.PI / 180
  const [tilt, towards, roll] = [shot.tiltDeg * rad, shot.tiltTowardsDeg * rad, shot.rollDeg * rad]
  const focal = shot.pixelsPerMm * shot.distanceMm
  const half = Math.hypot(widthPx, heightPx) / 2
  // Turned about an axis in the card's plane (Rodrigues), after the roll about the line of sight.
  const axis = { x: -Math.sin(towards), y: Math.cos(towards) }
  const [cos, sin] = [Math.cos(tilt), Math.sin(tilt)]
  const [rollCos, rollSin] = [Math.cos(roll), Math.sin(roll)]
  const turned = (x: number, y: number, z: number, into: Float64Array): void => {
    const rx = x * rollCos - y * rollSin
    const ry = x * rollSin + y * rollCos
    const dot = (axis.x * rx + axis.y * ry) * (1 - cos)
    into[0] = rx * cos + axis.y * z * sin + axis.x * dot
    into[1] = ry * cos - axis.x * z * sin + axis.y * dot
    into[2] = z * cos + (axis.x * ry - axis.y * rx) * sin
  }
  const v = new Float64Array(3)
  turned(0, 0, 1, v)
  const from = { x: -(v[0] ?? 0) * shot.distanceMm, y: -(v[1] ?? 0) * shot.distanceMm, z: -(v[2] ?? 0) * shot.distanceMm }
  const high = (x: number): number => -shot.bowMm * Math.max(-0.5, 1 - (x / 45) ** 2)
  return (x, y) => {
    const [dx, dy] = [x - (widthPx - 1) / 2, y - (heightPx - 1) / 2]
    const flat = 1 - shot.bend * ((dx * dx + dy * dy) / (half * half))
    turned((dx * flat) / focal, (dy * flat) / focal, 1, v)
    const [vx, vy, vz] = [v[0] as number, v[1] as number, v[2] as number]
    const meet = (below: number): Point => {
      let t = (below - from.z) / vz
      for (let turn = 0; turn < 2; turn += 1) t = (below + high(from.x + t * vx) - from.z) / vz
      return { x: from.x + t * vx, y: from.y + t * vy }
    }
    return { card: meet(0), cloth: meet(shot.liftMm) }
  }
}

function meanOf({ light }: Scene): readonly [number, number, number] {
  const total = [0, 0, 0]
  // The first rows are bare cloth.
  const many = Math.min(light.length / 3, 20_000)
  for (let at = 0; at < many; at += 1) for (let channel = 0; channel < 3; channel += 1) total[channel] = (total[channel] ?? 0) + (light[3 * at + channel] ?? 0)
  return [(total[0] ?? 0) / many, (total[1] ?? 0) / many, (total[2] ?? 0) / many]
}

function sceneAt({ pixelsPerMm, widthPx, heightPx, light }: Scene, { x, y }: Point, around: readonly number[], into: Float32Array): void {
  const [px, py] = [widthPx / 2 + x * pixelsPerMm - 0.5, heightPx / 2 + y * pixelsPerMm - 0.5]
  const [x0, y0] = [Math.floor(px), Math.floor(py)]
  if (x0 < 0 || y0 < 0 || x0 >= widthPx - 1 || y0 >= heightPx - 1) {
    for (let channel = 0; channel < 3; channel += 1) into[channel] = around[channel] ?? 0
    return
  }
  const [fx, fy] = [px - x0, py - y0]
  const at = 3 * (y0 * widthPx + x0)
  const below = at + 3 * widthPx
  for (let channel = 0; channel < 3; channel += 1) {
    const [a, b] = [light[at + channel] as number, light[at + 3 + channel] as number]
    const [c, d] = [light[below + channel] as number, light[below + 3 + channel] as number]
    into[channel] = a + (b - a) * fx + (c - a) * fy + (a - b - c + d) * fx * fy
  }
}

function lightOf({ gradient, gradientDeg, shadow, shadowDeg, shadowAtMm }: Shot): (at: Point) => number {
  const towards = (degrees: number): Point => ({ x: Math.cos((degrees * Math.PI) / 180), y: Math.sin((degrees * Math.PI) / 180) })
  const [dark, behind] = [towards(gradientDeg), towards(shadowDeg)]
  return ({ x, y }) => {
    const even = 1 - gradient * (0.5 + (x * dark.x + y * dark.y) / 110)
    return shadow === 0 ? even : even * (1 - shadow / (1 + Math.exp(-(x * behind.x + y * behind.y - shadowAtMm) / 1.6)))
  }
}

const glareAt = ({ x, y }: Point, { glare }: Shot): number => (glare === 0 ? 0 : glare * Math.exp(-(x * x) / 300 - (y * y) / 40))

function developed(light: readonly Float32Array[], widthPx: number, heightPx: number, shot: Shot): Picture {
  const random = seeded(shot.seed * 977 + 3)
  const throws = Float32Array.from({ length: 8192 }, () => normal(random))
  const rgba = new Uint8ClampedArray(4 * widthPx * heightPx)
  for (const [channel, plane] of light.entries()) {
    const still = shot.movedPx > 0 ? moved(plane, widthPx, heightPx, Math.round(shot.movedPx)) : plane
    const { values } = smoothed({ widthPx, heightPx, values: still }, shot.blurPx)
    for (let at = 0; at < values.length; at += 1) values[at] = encoded(values[at] as number)
    const soft = shot.sharpen > 0 ? smoothed({ widthPx, heightPx, values }, 1.4).values : values
    for (let at = 0; at < values.length; at += 1) {
      const value = values[at] as number
      rgba[4 * at + channel] = 255 * (value + shot.sharpen * (value - (soft[at] as number)) + shot.noise * (throws[(random() * throws.length) | 0] as number))
    }
  }
  for (let at = 3; at < rgba.length; at += 4) rgba[at] = 255
  return { widthPx, heightPx, rgba }
}

function moved(plane: Float32Array, widthPx: number, heightPx: number, by: number): Float32Array {
  const made = new Float32Array(plane.length)
  for (let y = 0; y < heightPx; y += 1)
    for (let x = 0; x < widthPx; x += 1) {
      let total = 0
      for (let step = 0; step < by; step += 1) total += plane[y * widthPx + Math.min(widthPx - 1, x + step)] as number
      made[y * widthPx + x] = total / by
    }
  return made
}

/** Of linear light, 0 to 1, as bytes have it, 0 to 1 (sRGB, IEC 61966-2-1): by a table that is fine in the dark. */
const ENCODED = Float32Array.from({ length: 4097 }, (_, at) => {
  const light = (at / 4096) ** 2
  return light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055
})

function encoded(light: number): number {
  const at = 4096 * Math.sqrt(Math.min(1, Math.max(0, light)))
  const below = Math.min(4095, Math.floor(at))
  return (ENCODED[below] as number) + ((ENCODED[below + 1] as number) - (ENCODED[below] as number)) * (at - below)
}
