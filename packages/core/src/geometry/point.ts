/** Points and directions on the cloth: millimetres, x to the right, y down. */
export interface Point {
  readonly x: number
  readonly y: number
}

export function point(x: number, y: number): Point {
  return { x, y }
}

export function add(a: Point, b: Point): Point {
  return { x: a.x + b.x, y: a.y + b.y }
}

export function subtract(a: Point, b: Point): Point {
  return { x: a.x - b.x, y: a.y - b.y }
}

export function scale(a: Point, by: number): Point {
  return { x: a.x * by, y: a.y * by }
}

/** `a` moved `by` times the direction `d`. */
export function step(a: Point, d: Point, by: number): Point {
  return { x: a.x + d.x * by, y: a.y + d.y * by }
}

export function dot(a: Point, b: Point): number {
  return a.x * b.x + a.y * b.y
}

export function cross(a: Point, b: Point): number {
  return a.x * b.y - a.y * b.x
}

export function length(a: Point): number {
  return Math.sqrt(a.x * a.x + a.y * a.y)
}

/** Not Math.hypot, which guards against overflow that millimetres never reach and costs ten times as much. */
export function distance(a: Point, b: Point): number {
  const [dx, dy] = [a.x - b.x, a.y - b.y]
  return Math.sqrt(dx * dx + dy * dy)
}

export function lerp(a: Point, b: Point, share: number): Point {
  return { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share }
}

/** The share of the way from `a` to `b` at which it meets the way from `c` to `d`; null where it does not, or they run alike. */
export function shareMet(a: Point, b: Point, c: Point, d: Point): number | null {
  const [way, other, apart] = [subtract(b, a), subtract(d, c), subtract(c, a)]
  const across = cross(way, other)
  if (Math.abs(across) < 1e-12) return null
  const [on, off] = [cross(apart, other) / across, cross(apart, way) / across]
  return on >= 0 && on <= 1 && off >= 0 && off <= 1 ? on : null
}

/** The unit vector along `a`; null when `a` has no length to speak of (1e-9 mm). */
export function unit(a: Point): Point | null {
  const size = length(a)
  return size > 1e-9 ? { x: a.x / size, y: a.y / size } : null
}

/** A quarter turn to the left of a direction as seen on the cloth, where y points down. */
export function leftOf(direction: Point): Point {
  return { x: direction.y, y: -direction.x }
}

export function fromAngle(radians: number): Point {
  return { x: Math.cos(radians), y: Math.sin(radians) }
}

/** The angle from direction `a` to direction `b`, in (-pi, pi]. */
export function turnBetween(a: Point, b: Point): number {
  return Math.atan2(cross(a, b), dot(a, b))
}
