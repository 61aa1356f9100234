/** Ways of saying where things lie: about a centre, in millimetres, angles in degrees clockwise from twelve o'clock. */
import type { Guide } from '@lemmata/core/guide'

export type At = readonly [number, number]

/** Two decimals of a millimetre: nothing on cloth is finer. */
const said = (value: number): string => String(Math.round(value * 100) / 100 + 0)
const rad = (degrees: number): number => (degrees * Math.PI) / 180

export interface Drawn {
  /** A place given from the centre. */
  readonly at: (x: number, y: number) => At
  readonly polar: (radius: number, degrees: number) => At
  readonly line: (...points: readonly At[]) => string
  /** Part of a circle about the centre, the short way round or the long one, clockwise where it ends later. */
  readonly arc: (radius: number, from: number, to: number) => string
  readonly circle: (middle: At, radius: number, clockwise?: boolean) => string
}

export function drawnAbout(centre: At): Drawn {
  const at = (x: number, y: number): At => [centre[0] + x, centre[1] + y]
  const polar = (radius: number, degrees: number): At => at(radius * Math.sin(rad(degrees)), -radius * Math.cos(rad(degrees)))
  return {
    at,
    polar,
    line: (...points) => points.map((point, index) => `${index === 0 ? 'M' : 'L'} ${pair(point)}`).join(' '),
    arc: (radius, from, to) => {
      const sweep = to > from ? 1 : 0
      return `M ${pair(polar(radius, from))} A ${said(radius)} ${said(radius)} 0 ${Math.abs(to - from) > 180 ? 1 : 0} ${sweep} ${pair(polar(radius, to))}`
    },
    circle: ([x, y], radius, clockwise = true) => {
      const half = (to: At): string => `A ${said(radius)} ${said(radius)} 0 0 ${clockwise ? 1 : 0} ${pair(to)}`
      return `M ${pair([x, y - radius])} ${half([x, y + radius])} ${half([x, y - radius])} Z`
    },
  }
}

export const pair = ([x, y]: At): string => `${said(x)} ${said(y)}`

/** A smooth way through places: each curve leaves as the chord of its neighbours runs. */
export function smooth(points: readonly At[], closed = false): string {
  const count = points.length
  const of = (index: number): At => (closed ? points[(index + count) % count] : points[Math.min(count - 1, Math.max(0, index))]) as At
  const parts = [`M ${pair(of(0))}`]
  for (let index = 0; index < (closed ? count : count - 1); index += 1) {
    const [a, b, c, d] = [of(index - 1), of(index), of(index + 1), of(index + 2)]
    const one: At = [b[0] + (c[0] - a[0]) / 6, b[1] + (c[1] - a[1]) / 6]
    const two: At = [c[0] - (d[0] - b[0]) / 6, c[1] - (d[1] - b[1]) / 6]
    parts.push(`C ${pair(one)} ${pair(two)} ${pair(c)}`)
  }
  return `${parts.join(' ')}${closed ? ' Z' : ''}`
}

/** A wave from one place to another: so many crests, so high, in fine steps. */
export function wave(from: At, to: At, crests: number, heightMm: number, phase = 0): readonly At[] {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]]
  const size = Math.hypot(dx, dy)
  const steps = Math.max(4, Math.round(crests * 4))
  return Array.from({ length: steps + 1 }, (_, index): At => {
    const share = index / steps
    const up = heightMm * Math.sin(2 * Math.PI * (crests * share + phase))
    return [from[0] + dx * share + (dy / size) * up, from[1] + dy * share - (dx / size) * up]
  })
}

/** A leaf by its two tips, its width and where it is widest, as a share of its length; its stitches lie square to it. */
export function leaf(from: At, to: At, widthMm: number, widest: number, directions?: readonly string[]): Guide {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]]
  const size = Math.hypot(dx, dy)
  const [ax, ay] = [dx / size, dy / size]
  const put = (along: number, across: number): At => [from[0] + ax * along - ay * across, from[1] + ay * along + ax * across]
  const [half, at] = [widthMm / 2, widest * size]
  const side = (to: 1 | -1): readonly [string, string] => {
    const middle = put(at, to * half)
    return [
      `C ${pair(put(0.3 * at, to * half * 0.62))} ${pair(put(0.55 * at, to * half))} ${pair(middle)}`,
      `C ${pair(put(at + 0.45 * (size - at), to * half))} ${pair(put(size - 0.3 * (size - at), to * half * 0.62))} ${pair(put(size, 0))}`,
    ]
  }
  const back = (to: 1 | -1): readonly [string, string] => {
    const middle = put(at, to * half)
    return [
      `C ${pair(put(size - 0.3 * (size - at), to * half * 0.62))} ${pair(put(at + 0.45 * (size - at), to * half))} ${pair(middle)}`,
      `C ${pair(put(0.55 * at, to * half))} ${pair(put(0.3 * at, to * half * 0.62))} ${pair(put(0, 0))}`,
    ]
  }
  return {
    kind: 'shape',
    path: `M ${pair(from)} ${side(1).join(' ')} ${back(-1).join(' ')} Z`,
    directions: directions ?? [`M ${pair(put(at, half))} L ${pair(put(at, -half))}`],
  }
}

/** A closed outline through its arcs, in fine steps: so that it can be cut. Each arc turns clockwise from the place before. */
export function outlineOfArcs(start: At, arcs: readonly { readonly to: At; readonly radius: number }[], stepMm = 0.6): readonly At[] {
  const points: At[] = [start]
  let from = start
  for (const { to, radius } of arcs) {
    const [mx, my] = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2]
    const chord = Math.hypot(to[0] - from[0], to[1] - from[1])
    const deep = Math.sqrt(Math.max(0, radius * radius - (chord * chord) / 4))
    const [nx, ny] = [-(to[1] - from[1]) / chord, (to[0] - from[0]) / chord]
    const middle: At = [mx + nx * deep, my + ny * deep]
    const angle = (point: At): number => Math.atan2(point[1] - middle[1], point[0] - middle[0])
    const begin = angle(from)
    let turn = angle(to) - begin
    while (turn < 0) turn += 2 * Math.PI
    const steps = Math.max(2, Math.ceil((radius * turn) / stepMm))
    for (let index = 1; index <= steps; index += 1)
      points.push([middle[0] + radius * Math.cos(begin + (turn * index) / steps), middle[1] + radius * Math.sin(begin + (turn * index) / steps)])
    from = to
  }
  return points
}

/** Cut by waves that lie one under another: the parts from above to below, which share their cuts exactly. */
export function cutAcross(outline: readonly At[], waves: readonly ((x: number) => number)[], stepMm = 0.6): readonly string[] {
  const bounds = [() => Number.NEGATIVE_INFINITY, ...waves, () => Number.POSITIVE_INFINITY]
  return bounds.slice(1).map((below, index) => part(outline, bounds[index] as (x: number) => number, below, stepMm))
}

function part(outline: readonly At[], above: (x: number) => number, below: (x: number) => number, stepMm: number): string {
  const inside = ([x, y]: At): boolean => y >= above(x) && y <= below(x)
  const points: At[] = []
  const count = outline.length
  const start = outline.findIndex((point, index) => inside(point) && !inside(outline[(index + count - 1) % count] as At))
  const first = Math.max(0, start)
  let left: At | null = null
  for (let index = 0; index <= count; index += 1) {
    const [now, next] = [outline[(first + index) % count] as At, outline[(first + index + 1) % count] as At]
    if (inside(now) && index < count) {
      if (left) {
        points.push(...along(left, now, above, below, stepMm))
        left = null
      }
      points.push(now)
    }
    if (inside(now) && !inside(next)) left = crossing(now, next, above, below)
    else if (!inside(now) && inside(next) && left) {
      const back = crossing(next, now, above, below)
      points.push(left, ...along(left, back, above, below, stepMm), back)
      left = null
    } else if (!inside(now) && inside(next)) points.push(crossing(next, now, above, below))
  }
  if (left) {
    const back = points[0] as At
    points.push(left, ...along(left, back, above, below, stepMm))
  }
  return `${points.map((point, index) => `${index === 0 ? 'M' : 'L'} ${pair(point)}`).join(' ')} Z`
}

/** Where the way from inside to outside crosses the wave. */
function crossing(inner: At, outer: At, above: (x: number) => number, below: (x: number) => number): At {
  let [low, high] = [0, 1]
  for (let turn = 0; turn < 24; turn += 1) {
    const middle = (low + high) / 2
    const [x, y] = [inner[0] + (outer[0] - inner[0]) * middle, inner[1] + (outer[1] - inner[1]) * middle]
    if (y >= above(x) && y <= below(x)) low = middle
    else high = middle
  }
  return [inner[0] + (outer[0] - inner[0]) * low, inner[1] + (outer[1] - inner[1]) * low]
}

/** Along the wave that both places lie on. */
function along(from: At, to: At, above: (x: number) => number, below: (x: number) => number, stepMm: number): readonly At[] {
  const on = Math.abs(from[1] - above(from[0])) < Math.abs(from[1] - below(from[0])) ? above : below
  const steps = Math.max(1, Math.round(Math.abs(to[0] - from[0]) / stepMm))
  return Array.from({ length: Math.max(0, steps - 1) }, (_, index): At => {
    const x = from[0] + ((to[0] - from[0]) * (index + 1)) / steps
    return [x, on(x)]
  })
}
