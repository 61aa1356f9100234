/** Paths, places and angles carried by a matrix, and a few helpers that the kinds share. */
import svgpath from 'svgpath'
import { error, failure, type Result } from '../base/index.ts'
import { carryAngle, carryPoint, type Matrix, type Point } from '../geometry/index.ts'
import type { GuidePart, Pair } from './types.ts'

/** A ten-thousandth of a millimetre: what is carried there and back is the same to any eye and any needle. */
const tidy = (value: number): number => Math.round(value * 10_000) / 10_000 + 0

/**
 * Decimals kept of a carried path: more than any eye sees, because an arc of half a turn whose radius is off by r has
 * its middle off by the square root of 2 R r (0.03 mm for a ten-thousandth in 10 mm).
 */
const PATH_DECIMALS = 8

export function carryPath(data: string, matrix: Matrix): string {
  return svgpath(data)
    .matrix([...matrix])
    .round(PATH_DECIMALS)
    .toString()
}

export function carryPair(at: Pair, matrix: Matrix): Pair {
  const { x, y } = carryPoint(matrix, { x: at[0], y: at[1] })
  return [tidy(x), tidy(y)]
}

/** Left out where there was none and none is needed. */
export function carryTurn(turnRad: number | undefined, matrix: Matrix): { readonly turnRad?: number } {
  const turned = carryAngle(matrix, turnRad ?? 0)
  const plain = Math.abs(turned) < 1e-12
  return plain && turnRad === undefined ? {} : { turnRad: plain ? 0 : turned }
}

export function carryLength(mm: number, scale: number): number {
  return Math.abs(scale - 1) < 1e-9 ? mm : tidy(mm * scale)
}

/** So many of one size where there were `count`, in `scale` times the room; at least one. */
export function countAfter(count: number, scale: number): number {
  return Math.max(1, Math.round(count * scale))
}

export function pointOf(at: Pair): Point {
  return { x: at[0], y: at[1] }
}

/** A measured path as path data again. */
export function pathData(points: readonly Point[], closed: boolean): string {
  const shown = closed && points.length > 1 ? points.slice(0, -1) : points
  return `${shown.map(({ x, y }, index) => `${index === 0 ? 'M' : 'L'} ${tidy(x)} ${tidy(y)}`).join(' ')}${closed ? ' Z' : ''}`
}

export function noSuchPart(word: string, part: GuidePart, parts: readonly GuidePart[]): Result<never> {
  return failure(error('guide.no-part', ['part'], { part, word, parts }))
}
