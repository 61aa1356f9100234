/**
 * Similarities of the plane: moving, turning, scaling evenly, mirroring. Written as SVG writes a matrix,
 * [a b c d e f]: x' = a x + c y + e, y' = b x + d y + f. Millimetres, y down, angles in radians; a positive turn
 * goes the way the clock's hands go.
 */
import type { Point } from './point.ts'

export type Matrix = readonly [number, number, number, number, number, number]

export const UNMOVED: Matrix = [1, 0, 0, 1, 0, 0]

export function moveBy(by: Point): Matrix {
  return [1, 0, 0, 1, by.x, by.y]
}

export function turnAbout(centre: Point, radians: number): Matrix {
  const [cos, sin] = [Math.cos(radians), Math.sin(radians)]
  return [cos, sin, -sin, cos, centre.x - cos * centre.x + sin * centre.y, centre.y - sin * centre.x - cos * centre.y]
}

export function scaleAbout(centre: Point, factor: number): Matrix {
  return [factor, 0, 0, factor, centre.x * (1 - factor), centre.y * (1 - factor)]
}

/** Mirrored in the line through two points; unmoved where they are one. */
export function mirrorIn(from: Point, to: Point): Matrix {
  const [dx, dy] = [to.x - from.x, to.y - from.y]
  const square = dx * dx + dy * dy
  if (square < 1e-18) return UNMOVED
  const cos = (dx * dx - dy * dy) / square
  const sin = (2 * dx * dy) / square
  return [cos, sin, sin, -cos, from.x - cos * from.x - sin * from.y, from.y - sin * from.x + cos * from.y]
}

/** One after the other, as one. */
export function inTurn(first: Matrix, then: Matrix): Matrix {
  const [a, b, c, d, e, f] = then
  const [p, q, r, s, t, u] = first
  return [a * p + c * q, b * p + d * q, a * r + c * s, b * r + d * s, a * t + c * u + e, b * t + d * u + f]
}

export function carryPoint([a, b, c, d, e, f]: Matrix, { x, y }: Point): Point {
  return { x: a * x + c * y + e, y: b * x + d * y + f }
}

/** A direction has no place: only what turns or mirrors changes it. Its length scales with the matrix. */
export function carryDirection([a, b, c, d]: Matrix, { x, y }: Point): Point {
  return { x: a * x + c * y, y: b * x + d * y }
}

/** The angle of a direction once it has been carried, radians. */
export function carryAngle(matrix: Matrix, radians: number): number {
  const { x, y } = carryDirection(matrix, { x: Math.cos(radians), y: Math.sin(radians) })
  return Math.atan2(y, x)
}

/** By how much lengths grow; 1 for what only moves, turns or mirrors. */
export function scaleOf([a, b, c, d]: Matrix): number {
  return Math.sqrt(Math.abs(a * d - b * c))
}

/** Left and right are exchanged. */
export function isMirrored([a, b, c, d]: Matrix): boolean {
  return a * d - b * c < 0
}

/** Keeps every angle and grows every length alike, to a millionth; anything else would bend circles and squares. */
export function isSimilarity([a, b, c, d]: Matrix): boolean {
  const size = Math.max(Math.abs(a), Math.abs(b), Math.abs(c), Math.abs(d))
  if (!(size > 1e-9) || !Number.isFinite(size)) return false
  return Math.abs(a * c + b * d) < 1e-6 * size * size && Math.abs(a * a + b * b - c * c - d * d) < 1e-6 * size * size
}
