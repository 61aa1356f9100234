/**
 * A picture as shares of colour on a grid of cells: each pixel is for the thread that is nearest to it, by CIE 1976 L*a*b* (D65),
 * or for the cloth, and each cell takes what most of its pixels are for.
 */
import { linearLight, rgbOf } from '../materials/index.ts'

export interface Pixels {
  readonly width: number
  readonly height: number
  /** Red, green, blue, opacity, 0 to 255; row by row from the top left. */
  readonly data: Uint8ClampedArray | readonly number[]
}

export interface Shares {
  readonly columns: number
  readonly rows: number
  /** Row by row: the place of its colour in the list that was given; -1 where the cloth shows. */
  readonly cells: readonly number[]
  /** One for each colour: how many cells. */
  readonly counts: readonly number[]
  readonly bare: number
}

/** Finer than this nothing is worked by cells. */
export const MOST_CELLS = 40_000

/** `columns` cells across; as many rows of square cells as come nearest to its height. Null for nothing to divide, and for too many cells. */
export function sharesOf(pixels: Pixels, columns: number, colours: readonly string[], cloth: string): Shares | null {
  const { width, height } = pixels
  const rows = Math.max(1, Math.round((columns * height) / Math.max(1, width)))
  if (!(width > 0 && height > 0 && columns >= 1) || colours.length === 0 || columns * rows > MOST_CELLS) return null
  const known = [...colours, cloth].map((hex) => labOf(rgbOf(hex)))
  const near = nearestOf(pixels, known)
  const cells: number[] = []
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1) {
      const most = mostOf(near, pixels, [column / columns, (column + 1) / columns], [row / rows, (row + 1) / rows], known.length)
      cells.push(most === colours.length ? -1 : most)
    }
  const counts = colours.map((_, index) => cells.filter((one) => one === index).length)
  return { columns, rows, cells, counts, bare: cells.filter((one) => one < 0).length }
}

type Rgb = readonly [number, number, number]
type Lab = readonly [number, number, number]

/** Each pixel of the cell for the thread that is nearest to it, or for the cloth; the most have it. What is transparent is cloth. */
function mostOf(near: readonly number[], { width, height }: Pixels, across: readonly [number, number], down: readonly [number, number], of: number): number {
  const [left, top] = [Math.floor(across[0] * width), Math.floor(down[0] * height)]
  const [right, bottom] = [Math.max(left + 1, Math.floor(across[1] * width)), Math.max(top + 1, Math.floor(down[1] * height))]
  const votes = Array.from({ length: of }, () => 0)
  for (let y = top; y < bottom; y += 1)
    for (let x = left; x < right; x += 1) {
      const one = near[y * width + x] ?? of - 1
      votes[one] = (votes[one] ?? 0) + 1
    }
  return votes.indexOf(Math.max(...votes))
}

/** The place of the nearest colour for every pixel; alike pixels are looked up once. */
function nearestOf({ data, width, height }: Pixels, known: readonly Lab[]): readonly number[] {
  const seen = new Map<number, number>()
  return Array.from({ length: width * height }, (_, index) => {
    const [r = 0, g = 0, b = 0, opacity = 255] = [data[4 * index], data[4 * index + 1], data[4 * index + 2], data[4 * index + 3]]
    if (opacity < 128) return known.length - 1
    const key = (r << 16) | (g << 8) | b
    const before = seen.get(key)
    if (before !== undefined) return before
    const lab = labOf([r, g, b])
    const found = known.reduce((best, one, at) => (apart(one, lab) < apart(known[best] as Lab, lab) ? at : best), 0)
    seen.set(key, found)
    return found
  })
}

/** From sRGB by the D65 white point (IEC 61966-2-1, CIE 15). */
function labOf(rgb: Rgb): Lab {
  const [r, g, b] = rgb.map(linearLight) as unknown as Rgb
  const f = (t: number): number => (t > 216 / 24_389 ? Math.cbrt(t) : (24_389 / 27) * (t / 116) + 16 / 116)
  const x = f((0.4124 * r + 0.3576 * g + 0.1805 * b) / 0.95047)
  const y = f(0.2126 * r + 0.7152 * g + 0.0722 * b)
  const z = f((0.0193 * r + 0.1192 * g + 0.9505 * b) / 1.08883)
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)]
}

function apart(a: Lab, b: Lab): number {
  return Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2])
}
