import { sum } from '../base/index.ts'
import type { Point } from './point.ts'

/** How far points lie up or down from the straight line that fits them best, root of the mean square (regression of y on x). */
export function rmsOffLine(points: readonly Point[]): number {
  const many = Math.max(1, points.length)
  const [x, y] = [sum(points.map((at) => at.x)) / many, sum(points.map((at) => at.y)) / many]
  const slope = sum(points.map((at) => (at.x - x) * (at.y - y))) / Math.max(1e-9, sum(points.map((at) => (at.x - x) ** 2)))
  return Math.sqrt(sum(points.map((at) => (at.y - y - slope * (at.x - x)) ** 2)) / many)
}
