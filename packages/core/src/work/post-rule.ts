/**
 * The post rule: a thread runs from A, where it last came out, to B, where it goes in, and is held by a post
 * at C, where it comes out again. One rule serves loops (inside, crossed) and a thread kept to one side.
 * Everything in mm; paths lie on the cloth.
 */
import { dot, leftOf, lerp, type Point, type Point3, scale, step, subtract, unit } from '../geometry/index.ts'
import type { Round } from '../notation/index.ts'

export interface Post {
  readonly a: Point
  readonly b: Point
  readonly c: Point
  /** The direction of working at the post. */
  readonly direction: Point
  readonly round: Round
  /** 1, or -1 for the left hand. */
  readonly mirror: 1 | -1
  readonly diameterMm: number
  readonly lineWidthMm: number
  /** 1 as the thread falls; less when it is drawn up hard. */
  readonly ease?: number
}

/** The way-points from A round the post to B. Finite for every finite A, B and C. */
export function wayRoundPost(post: Post): Point3[] {
  const { a, b, c } = post
  if (post.round === 'left' || post.round === 'right') {
    const side = (post.round === 'left' ? 1 : -1) * post.mirror
    return lift([a, step(c, leftOf(post.direction), (side * post.lineWidthMm) / 2), b])
  }
  const toA = unit(subtract(a, c))
  const toB = unit(subtract(b, c))
  if (!toA || !toB) return lift([a, c, b])
  const middle = unit({ x: toA.x + toB.x, y: toA.y + toB.y })
  // C between A and B in line: outward is the way of working, never a fixed normal, or the hands would differ.
  const outward = middle ? scale(middle, -1) : post.direction
  let [nA, nB] = contacts(toA, toB, outward, post.mirror)
  if (post.round === 'cross') [nA, nB] = [nB, nA]
  const ease = post.ease ?? 1
  const radius = (post.diameterMm / 2 + 0.22 * post.lineWidthMm) * Math.min(1, 0.5 + 0.5 * ease)
  const bow = ease * post.diameterMm * Math.max(0, dot(toA, toB))
  const atA = step(c, nA, radius)
  const atB = step(c, nB, radius)
  const way = [a]
  // A bow under 0.05 mm cannot be seen.
  if (bow >= 0.05) way.push(step(lerp(a, atA, 0.55), nA, bow))
  way.push(atA, step(c, outward, radius), atB)
  if (bow >= 0.05) way.push(step(lerp(b, atB, 0.55), nB, bow))
  way.push(b)
  return lift(way)
}

/** A loop held open at two places: from A round the post at C, across to a second post, and back to B. */
export function wayRoundTwo(post: Post, second: Point): Point3[] {
  const { a, b, c, direction } = post
  const radius = post.diameterMm / 2 + 0.22 * post.lineWidthMm
  const across = unit(subtract(second, c)) ?? leftOf(direction)
  const corner = (at: Point, outward: Point): Point => step(step(at, direction, radius * 0.8), outward, radius * 0.3)
  return lift([a, corner(c, scale(across, -1)), corner(second, across), b])
}

/** Normals of the two legs on their outer sides; where both legs leave for one hole, left of outward first. */
function contacts(toA: Point, toB: Point, outward: Point, mirror: 1 | -1): [Point, Point] {
  if (dot(toA, toB) > 1 - 1e-9) {
    const nA = scale(leftOf(outward), mirror)
    return [nA, scale(nA, -1)]
  }
  const outer = (leg: Point): Point => {
    const normal = leftOf(leg)
    return dot(normal, outward) >= 0 ? normal : scale(normal, -1)
  }
  return [outer(toA), outer(toB)]
}

function lift(way: readonly Point[]): Point3[] {
  return way.map((at) => ({ x: at.x, y: at.y, z: 0 }))
}
