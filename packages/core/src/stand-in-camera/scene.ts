/**
 * What lies under the card, in linear light: woven cloth, a drawn line, thread with its twist, its light and its shadow, and the dark of the
 * holes it dives into. Nearer to a photograph than the drawing on the screen, which leaves out what would be in the way of reading it.
 */
import { normal, seeded } from '../base/index.ts'
import type { Point } from '../geometry/index.ts'
import { linearLight, rgbOf } from '../materials/index.ts'
import type { SewnRow } from './sew.ts'

export interface SceneLook {
  readonly clothHex: string
  /** From one thread of the cloth to the next, mm. */
  readonly weaveMm: number
  readonly threadHex: string
  /** A line drawn under the row, its colour; null where it was washed out. */
  readonly lineHex: string | null
  /** How far the edges of the thread are rough, mm. */
  readonly fuzzMm: number
  readonly seed: number
}

export interface Scene {
  readonly pixelsPerMm: number
  readonly widthPx: number
  readonly heightPx: number
  /** Red, green, blue, 0 to 1 and a little above; row after row. */
  readonly light: Float32Array
}

/** A little more than is seen through the window. */
export const SCENE_MM = { width: 86, height: 34 } as const
const LINE_MM = 0.35
/** Where the light comes from, and how high it stands. */
const SUN = { x: -0.45, y: -0.6, z: 0.66 }

export function paintScene(row: SewnRow, look: SceneLook, pixelsPerMm: number): Scene {
  const [widthPx, heightPx] = [Math.round(SCENE_MM.width * pixelsPerMm), Math.round(SCENE_MM.height * pixelsPerMm)]
  const scene = { pixelsPerMm, widthPx, heightPx, light: new Float32Array(3 * widthPx * heightPx) }
  paintCloth(scene, look)
  if (look.lineHex !== null) paintLine(scene, row, look.lineHex)
  for (const thread of row.threads) paintShadow(scene, thread.points, thread.widthMm)
  for (const [index, thread] of row.threads.entries()) paintThread(scene, thread.points, thread.widthMm, look, look.seed * 1009 + index)
  return scene
}

const linearOf = (hex: string): readonly [number, number, number] => {
  const [r, g, b] = rgbOf(hex).map(linearLight) as [number, number, number]
  return [r, g, b]
}

/** Plain weave: each thread rounded across, over and under in turn, a little uneven. */
function paintCloth({ pixelsPerMm, widthPx, heightPx, light }: Scene, { clothHex, weaveMm, seed }: SceneLook): void {
  const colour = linearOf(clothHex)
  const random = seeded(seed * 31 + 7)
  const uneven = (): Float32Array => Float32Array.from({ length: Math.ceil(SCENE_MM.width / weaveMm) + 2 }, () => 1 + 0.05 * normal(random))
  const [warp, weft] = [uneven(), uneven()]
  for (let y = 0; y < heightPx; y += 1) {
    const v = y / pixelsPerMm / weaveMm
    for (let x = 0; x < widthPx; x += 1) {
      const u = x / pixelsPerMm / weaveMm
      const [column, line] = [Math.floor(u), Math.floor(v)]
      const [fx, fy] = [u - column - 0.5, v - line - 0.5]
      const isWarp = (column + line) % 2 === 0
      const across = isWarp ? fx : fy
      const along = isWarp ? fy : fx
      const round = Math.sqrt(Math.max(0, 1 - 3.4 * across * across))
      const over = 1 - 0.55 * along * along
      const tone = (0.62 + 0.42 * round * over + 0.06 * (isWarp ? -fx : -fy)) * ((isWarp ? warp[column] : weft[line]) ?? 1)
      const at = 3 * (y * widthPx + x)
      for (let channel = 0; channel < 3; channel += 1) light[at + channel] = (colour[channel] ?? 0) * tone
    }
  }
}

const toPixels = ({ pixelsPerMm, widthPx, heightPx }: Scene, { x, y }: Point): Point => ({
  x: widthPx / 2 + x * pixelsPerMm,
  y: heightPx / 2 + y * pixelsPerMm,
})

/** An even line of a pen: the weave is seen through it. */
function paintLine(scene: Scene, row: SewnRow, hex: string): void {
  const colour = linearOf(hex)
  const xs = row.holes.map((hole) => hole.x)
  const [from, to] = [toPixels(scene, { x: Math.min(...xs), y: 0 }), toPixels(scene, { x: Math.max(...xs), y: 0 })]
  const half = (LINE_MM / 2) * scene.pixelsPerMm
  for (let y = Math.floor(from.y - half - 1); y <= from.y + half + 1; y += 1) {
    const share = 0.85 * Math.min(1, Math.max(0, half + 0.5 - Math.abs(y - from.y)))
    for (let x = Math.floor(from.x); x <= to.x; x += 1) {
      const at = 3 * (y * scene.widthPx + x)
      for (let channel = 0; channel < 3; channel += 1) {
        const was = scene.light[at + channel] ?? 0
        scene.light[at + channel] = was * (1 - share) + share * (colour[channel] ?? 0) * (0.75 + 0.3 * Math.min(1, was))
      }
    }
  }
}

interface Near {
  /** From the nearest place of the way, to its left positive; px. */
  readonly off: number
  /** Along it, px; below nothing before its beginning, and more than its length behind its end. */
  readonly along: number
  readonly towards: Point
}

function eachNear(scene: Scene, points: readonly Point[], reach: number, visit: (x: number, y: number, near: Near) => void): number {
  const way = points.map((at) => toPixels(scene, at))
  const starts = [0]
  for (const [index, at] of way.slice(1).entries()) {
    const before = way[index] as Point
    starts.push((starts[index] as number) + Math.hypot(at.x - before.x, at.y - before.y))
  }
  const xs = way.map((at) => at.x)
  const ys = way.map((at) => at.y)
  const [left, right] = [Math.max(0, Math.floor(Math.min(...xs) - reach)), Math.min(scene.widthPx - 1, Math.ceil(Math.max(...xs) + reach))]
  const [top, bottom] = [Math.max(0, Math.floor(Math.min(...ys) - reach)), Math.min(scene.heightPx - 1, Math.ceil(Math.max(...ys) + reach))]
  for (let y = top; y <= bottom; y += 1) {
    for (let x = left; x <= right; x += 1) {
      let best: Near | null = null
      let least = reach * reach
      for (let index = 0; index + 1 < way.length; index += 1) {
        const [a, b] = [way[index] as Point, way[index + 1] as Point]
        const [dx, dy] = [b.x - a.x, b.y - a.y]
        const long = dx * dx + dy * dy
        if (long < 1e-9) continue
        const free = ((x - a.x) * dx + (y - a.y) * dy) / long
        const share = Math.min(1, Math.max(0, free))
        const [px, py] = [x - a.x - share * dx, y - a.y - share * dy]
        const away = px * px + py * py
        if (away > least) continue
        least = away
        const root = Math.sqrt(long)
        const isOpen = (index === 0 && free < 0) || (index + 2 === way.length && free > 1)
        const off = (dx * (y - a.y) - dy * (x - a.x)) / root
        best = { off, along: (starts[index] as number) + (isOpen ? free : share) * root, towards: { x: dx / root, y: dy / root } }
      }
      if (best) visit(x, y, best)
    }
  }
  return starts.at(-1) ?? 0
}

const smooth = (from: number, to: number, at: number): number => {
  const share = Math.min(1, Math.max(0, (at - from) / (to - from)))
  return share * share * (3 - 2 * share)
}

function paintShadow(scene: Scene, points: readonly Point[], widthMm: number): void {
  const half = (widthMm / 2) * scene.pixelsPerMm
  const by = { x: 0.09 / 2, y: 0.12 / 2 }
  const moved = points.map((at) => ({ x: at.x + by.x, y: at.y + by.y }))
  const soft = 0.14 * scene.pixelsPerMm
  eachNear(scene, moved, half + soft, (x, y, { off }) => dim(scene, x, y, 1 - 0.3 * (1 - smooth(half - soft, half + soft, Math.abs(off)))))
  for (const end of [points[0], points.at(-1)]) {
    if (!end) continue
    const at = toPixels(scene, end)
    const reach = 0.42 * widthMm * scene.pixelsPerMm + 0.06 * scene.pixelsPerMm
    for (let y = Math.floor(at.y - reach); y <= at.y + reach; y += 1)
      for (let x = Math.floor(at.x - reach); x <= at.x + reach; x += 1) {
        const away = Math.hypot(x - at.x, y - at.y)
        if (away < reach) dim(scene, x, y, 0.4 + 0.6 * smooth(0.5 * reach, reach, away))
      }
  }
}

function dim({ widthPx, heightPx, light }: Scene, x: number, y: number, by: number): void {
  if (x < 0 || y < 0 || x >= widthPx || y >= heightPx) return
  const at = 3 * (y * widthPx + x)
  for (let channel = 0; channel < 3; channel += 1) light[at + channel] = (light[at + channel] ?? 0) * by
}

/** A round body, two plies wound on one another, rough at the edges; thinner and darker where it dives. */
function paintThread(scene: Scene, points: readonly Point[], widthMm: number, { threadHex, fuzzMm }: SceneLook, seed: number): void {
  const colour = linearOf(threadHex)
  const { pixelsPerMm, widthPx, light } = scene
  const random = seeded(seed)
  const rough = Float32Array.from({ length: 256 }, () => normal(random))
  const lay = 3.1 * widthMm * pixelsPerMm
  const turn = random() * 6.28
  const full = (widthMm / 2) * pixelsPerMm
  const way = points.map((at) => toPixels(scene, at))
  let total = 0
  for (const [index, at] of way.slice(1).entries()) total += Math.hypot(at.x - (way[index]?.x ?? 0), at.y - (way[index]?.y ?? 0))
  eachNear(scene, points, full * 1.15 + 1, (x, y, { off, along, towards }) => {
    const end = Math.min(along, total - along)
    const dive = smooth(-0.1 * full, 1.1 * full, end)
    const at = (along / (0.22 * pixelsPerMm)) % 256
    const wave = (rough[Math.floor(at)] ?? 0) * (1 - (at % 1)) + (rough[(Math.floor(at) + 1) % 256] ?? 0) * (at % 1)
    const half = full * (0.72 + 0.28 * dive) + fuzzMm * pixelsPerMm * wave
    // It goes down into its hole: no round end lies beyond it.
    const share = Math.min(1, Math.max(0, half + 0.5 - Math.abs(off))) * Math.min(1, Math.max(0, end + 0.25 * full + 0.5))
    if (share <= 0) return
    const n = Math.min(1, Math.max(-1, off / Math.max(0.5, half)))
    const up = Math.sqrt(Math.max(0, 1 - n * n))
    // To the left of the way is (dy, -dx) on a page whose y goes down.
    const facing = Math.max(0, n * (-towards.y * SUN.x + towards.x * SUN.y) + up * SUN.z)
    const groove = Math.cos((2 * Math.PI * along) / lay + turn + 2.2 * n)
    const fibre = 0.03 * (rough[Math.floor(Math.abs(along * 1.7 + off * 5.3)) % 256] ?? 0)
    const tone = (0.42 + 0.72 * facing - 0.13 * (1 - groove) * up + fibre) * (0.62 + 0.38 * dive)
    const gloss = 0.1 * Math.max(0, facing) ** 8
    const pixel = 3 * (y * widthPx + x)
    for (let channel = 0; channel < 3; channel += 1) {
      const lit = Math.max(0, (colour[channel] ?? 0) * tone + gloss * 0.5)
      light[pixel + channel] = (light[pixel + channel] ?? 0) * (1 - share) + share * lit
    }
  })
}
