/** Which way a needle runs that slides past thread: square to it, from the side it comes from. */
import { nearestPlace, placeAt, type Point } from '../geometry/index.ts'
import type { Segment, WorkedStitch } from '../work/index.ts'
import type { Happening } from './gestures.ts'
import { directionOf, type Looking, sideOf, wayOf } from './where.ts'

interface Passing {
  readonly looking: Looking
  readonly worked: WorkedStitch
}

/** The side that the needle comes from, as the picture lies: square to the thread that it passes. */
export function enteredFrom(passing: Happening, saying: Passing): ReturnType<typeof directionOf> {
  const way = passWay(passing, saying)
  return directionOf({ x: -way.x, y: -way.y })
}

/** Which way the needle runs under a thread, as seen; a unit vector. */
export function passWay({ surface }: Happening, { looking, worked }: Passing): Point {
  if (!surface) return { x: 0, y: 1 }
  const passed = passedThread(surface.at, surface.labels, worked.segments, surface.made.pass)
  const onward = onwardAt(surface.at, looking)
  // From the left of the way of working to its right.
  const across = passed ?? onward
  const [ax, ay] = [across.y, -across.x]
  const isLeft = ax * onward.y - ay * onward.x > 0
  const toLeft = isLeft ? { x: ax, y: ay } : { x: -ax, y: -ay }
  const way = surface.from === 'left' ? { x: -toLeft.x, y: -toLeft.y } : toLeft
  const seen = wayOf(surface.at, { x: surface.at.x + way.x, y: surface.at.y + way.y }, looking)
  const size = Math.hypot(seen.x, seen.y) || 1
  return { x: seen.x / size, y: seen.y / size }
}

function onwardAt(at: Point, { guide }: Looking): Point {
  return guide.kind === 'line' ? placeAt(guide.path, nearestPlace(guide.path, at).travelled).direction : { x: 1, y: 0 }
}

/** Direction of the thread that lies nearest to a place, among those that are passed; a unit vector. */
export function passedThread(at: Point, labels: readonly string[], segments: readonly Segment[], pass: number): Point | null {
  let best: { readonly gap: number; readonly way: Point } | null = null
  for (const segment of segments) {
    if (segment.label === null || !labels.includes(segment.label) || segment.made.pass > pass) continue
    for (const [index, to] of segment.points.entries()) {
      const from = segment.points[index - 1]
      if (!from) continue
      const gap = Math.hypot((from.x + to.x) / 2 - at.x, (from.y + to.y) / 2 - at.y)
      const size = Math.hypot(to.x - from.x, to.y - from.y)
      if (size > 1e-9 && (!best || gap < best.gap)) best = { gap, way: { x: (to.x - from.x) / size, y: (to.y - from.y) / size } }
    }
  }
  return best?.way ?? null
}

export function awayFrom(first: Happening, saying: Passing): 'up' | 'down' | 'left' | 'right' {
  return sideOf(passWay(first, saying))
}
