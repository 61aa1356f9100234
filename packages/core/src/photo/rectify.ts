/**
 * What lies in the card's window, laid flat at one scale, with the light evened out by the white paper round it: that takes a gradient, a
 * vignette and a cast of colour away in one step and needs no grey card. As CIELAB (D65), with the paper as white.
 */
import { Matrix, solve } from 'ml-matrix'
import type { Point } from '../geometry/index.ts'
import { linearLight } from '../materials/index.ts'
import { WINDOW } from './card.ts'
import type { CardFit } from './fit-card.ts'
import { cellAt, type Channel, channelBetween, makeChannel, type Picture } from './picture.ts'
import { bends, valueAt } from './surface.ts'

/** Finer than a picture that is good enough, so that nothing is lost. */
export const STRIP_PER_MM = 20

export interface Strip {
  /** Lightness, red against green, yellow against blue. */
  readonly lab: readonly [Channel, Channel, Channel]
  /** Of the white paper about the window, the least light of the three colours, linear, 0 to 1. */
  readonly white: number
  /** Of the window, what is so light that nothing is seen in it. */
  readonly clipped: number
}

/** Where a place of the strip lies on the card, and the other way. */
export const stripToMm = (x: number, y: number): Point => ({ x: WINDOW.left + (x + 0.5) / STRIP_PER_MM, y: WINDOW.top + (y + 0.5) / STRIP_PER_MM })
export const mmToStrip = ({ x, y }: Point): Point => ({ x: (x - WINDOW.left) * STRIP_PER_MM - 0.5, y: (y - WINDOW.top) * STRIP_PER_MM - 0.5 })

const LINEAR = Float32Array.from({ length: 256 }, (_, byte) => linearLight(byte))
/** As bright as this nothing is told apart, of 255. */
const CLIPPED = 252
/** Beside the window, mm. */
const PAPER_AT_MM = [1.6, 2.4]

export function rectify(picture: Picture, { toPicture }: CardFit): Strip {
  const widthPx = Math.round((WINDOW.right - WINDOW.left) * STRIP_PER_MM)
  const heightPx = Math.round((WINDOW.bottom - WINDOW.top) * STRIP_PER_MM)
  const light = [makeChannel(widthPx, heightPx), makeChannel(widthPx, heightPx), makeChannel(widthPx, heightPx)] as const
  const rgb = new Float32Array(3)
  const places = placesOf(toPicture, widthPx, heightPx)
  let clipped = 0
  for (let y = 0; y < heightPx; y += 1) {
    for (let x = 0; x < widthPx; x += 1) {
      const at = y * widthPx + x
      if (lightAt(picture, places.xs[at] as number, places.ys[at] as number, rgb)) clipped += 1
      for (let channel = 0; channel < 3; channel += 1) (light[channel] as Channel).values[at] = rgb[channel] as number
    }
  }
  const paper = paperOf(picture, toPicture)
  const whites = [0, 1, 2].map((channel) => whiteSurface(paper, channel))
  let white = Number.POSITIVE_INFINITY
  for (const one of paper) white = Math.min(white, Math.max(...one.light))
  evenOut(light, whites)
  return { lab: light, white, clipped: clipped / (widthPx * heightPx) }
}

/** The window as it was photographed, laid flat, to be shown with what was read over it; four bytes a pixel. */
export function flattened(picture: Picture, { toPicture }: CardFit, perMm: number): Picture {
  const widthPx = Math.round((WINDOW.right - WINDOW.left) * perMm)
  const heightPx = Math.round((WINDOW.bottom - WINDOW.top) * perMm)
  const rgba = new Uint8ClampedArray(4 * widthPx * heightPx)
  for (let y = 0; y < heightPx; y += 1)
    for (let x = 0; x < widthPx; x += 1) {
      const at = toPicture({ x: WINDOW.left + (x + 0.5) / perMm, y: WINDOW.top + (y + 0.5) / perMm })
      const [x0, y0, fx, fy] = cellAt(at.x, at.y, picture.widthPx, picture.heightPx)
      const from = 4 * (y0 * picture.widthPx + x0)
      const below = from + 4 * picture.widthPx
      const to = 4 * (y * widthPx + x)
      for (let channel = 0; channel < 3; channel += 1) {
        const [a, b] = [picture.rgba[from + channel] ?? 0, picture.rgba[from + 4 + channel] ?? 0]
        const [c, d] = [picture.rgba[below + channel] ?? 0, picture.rgba[below + 4 + channel] ?? 0]
        rgba[to + channel] = a + (b - a) * fx + (c - a) * fy + (a - b - c + d) * fx * fy
      }
      rgba[to + 3] = 255
    }
  return { widthPx, heightPx, rgba }
}

/** Where each pixel of the strip lies in the picture: reckoned on every eighth, and between them straight. */
function placesOf(toPicture: (mm: Point) => Point, widthPx: number, heightPx: number): { readonly xs: Float32Array; readonly ys: Float32Array } {
  const every = 8
  const [across, down] = [Math.ceil(widthPx / every) + 1, Math.ceil(heightPx / every) + 1]
  const coarse = { xs: makeChannel(across, down), ys: makeChannel(across, down) }
  for (let y = 0; y < down; y += 1)
    for (let x = 0; x < across; x += 1) {
      const at = toPicture(stripToMm(x * every, y * every))
      coarse.xs.values[y * across + x] = at.x
      coarse.ys.values[y * across + x] = at.y
    }
  const [xs, ys] = [new Float32Array(widthPx * heightPx), new Float32Array(widthPx * heightPx)]
  for (let y = 0; y < heightPx; y += 1) {
    for (let x = 0; x < widthPx; x += 1) {
      const at = y * widthPx + x
      xs[at] = channelBetween(coarse.xs, x / every, y / every)
      ys[at] = channelBetween(coarse.ys, x / every, y / every)
    }
  }
  return { xs, ys }
}

/** In linear light, between four pixels; whether one of them is as bright as can be. */
function lightAt({ widthPx, heightPx, rgba }: Picture, x: number, y: number, into: Float32Array): boolean {
  const [x0, y0, fx, fy] = cellAt(x, y, widthPx, heightPx)
  const at = 4 * (y0 * widthPx + x0)
  const below = at + 4 * widthPx
  let isClipped = false
  for (let channel = 0; channel < 3; channel += 1) {
    const [a, b, c, d] = [rgba[at + channel] ?? 0, rgba[at + 4 + channel] ?? 0, rgba[below + channel] ?? 0, rgba[below + 4 + channel] ?? 0]
    if (a >= CLIPPED && d >= CLIPPED) isClipped = true
    const [la, lb, lc, ld] = [LINEAR[a] as number, LINEAR[b] as number, LINEAR[c] as number, LINEAR[d] as number]
    into[channel] = la + (lb - la) * fx + (lc - la) * fy + (la - lb - lc + ld) * fx * fy
  }
  return isClipped
}

interface Paper {
  /** From -1 to 1 across and down the window. */
  readonly x: number
  readonly y: number
  readonly light: readonly number[]
}

function paperOf(picture: Picture, toPicture: (mm: Point) => Point): readonly Paper[] {
  const rgb = new Float32Array(3)
  return PAPER_AT_MM.flatMap((out) => {
    const [w, h] = [WINDOW.right + out, WINDOW.bottom + out]
    const around: Point[] = []
    for (let x = -w; x <= w; x += 1) around.push({ x, y: -h }, { x, y: h })
    for (let y = -h; y <= h; y += 1) around.push({ x: -w, y }, { x: w, y })
    return around.map((mm): Paper => {
      const at = toPicture(mm)
      lightAt(picture, at.x, at.y, rgb)
      return { x: mm.x / WINDOW.right, y: mm.y / WINDOW.bottom, light: [...rgb] }
    })
  })
}

/** What is off by more counts less (Cauchy), in logarithms of light. */
const OFF = 0.05

/** The logarithm of the paper's light over the window, as a surface of the second degree. */
function whiteSurface(paper: readonly Paper[], channel: number): readonly number[] {
  const logs = paper.map((one) => Math.log(Math.max(1e-4, one.light[channel] ?? 0)))
  let surface: readonly number[] = [0, 0, 0, 0, 0, 0]
  for (let turn = 0; turn < 5; turn += 1) {
    const weights = paper.map(({ x, y }, index) => {
      const off = turn === 0 ? 0 : ((logs[index] ?? 0) - valueAt(surface, x, y)) / OFF
      return 1 / Math.sqrt(1 + off * off)
    })
    const rows = paper.map(({ x, y }, index) => bends(x, y).map((one) => one * (weights[index] ?? 0)))
    const right = logs.map((one, index) => [one * (weights[index] ?? 0)])
    surface = solve(new Matrix(rows), new Matrix(right), true).to1DArray()
  }
  return surface
}

/** Linear light, in place, to CIELAB with the paper as white. */
function evenOut(light: readonly [Channel, Channel, Channel], whites: readonly (readonly number[])[]): void {
  const [{ widthPx, heightPx }] = light
  const [reds, greens, blues] = light.map((one) => one.values) as [Float32Array, Float32Array, Float32Array]
  const [red = [], green = [], blue = []] = whites
  const lab = new Float32Array(3)
  for (let y = 0; y < heightPx; y += 1) {
    const v = (2 * (y + 0.5)) / heightPx - 1
    for (let x = 0; x < widthPx; x += 1) {
      const u = (2 * (x + 0.5)) / widthPx - 1
      const at = y * widthPx + x
      labOf(
        (reds[at] as number) * Math.exp(-valueAt(red, u, v)),
        (greens[at] as number) * Math.exp(-valueAt(green, u, v)),
        (blues[at] as number) * Math.exp(-valueAt(blue, u, v)),
        lab,
      )
      reds[at] = lab[0] as number
      greens[at] = lab[1] as number
      blues[at] = lab[2] as number
    }
  }
}

/** Linear red, green and blue to CIELAB (D65). */
export function labOf(r: number, g: number, b: number, into: Float32Array): void {
  const x = cubic((0.4124 * r + 0.3576 * g + 0.1805 * b) / 0.9505)
  const y = cubic(0.2126 * r + 0.7152 * g + 0.0722 * b)
  const z = cubic((0.0193 * r + 0.1192 * g + 0.9505 * b) / 1.089)
  into[0] = 116 * y - 16
  into[1] = 500 * (x - y)
  into[2] = 200 * (y - z)
}

const cubic = (t: number): number => (t > 0.008856 ? Math.cbrt(t) : 7.787 * t + 16 / 116)

/** The other way, of one colour. */
export function linearOfLab([L, a, b]: readonly [number, number, number]): readonly [number, number, number] {
  const y = (L + 16) / 116
  const [x, z] = [y + a / 500, y - b / 200]
  const back = (t: number): number => (t > 0.2069 ? t ** 3 : (t - 16 / 116) / 7.787)
  const [X, Y, Z] = [0.9505 * back(x), back(y), 1.089 * back(z)]
  return [3.2406 * X - 1.5372 * Y - 0.4986 * Z, -0.9689 * X + 1.8758 * Y + 0.0415 * Z, 0.0557 * X - 0.204 * Y + 1.057 * Z]
}
