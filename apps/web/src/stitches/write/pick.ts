/**
 * What a place on the drawing is in the words of a pass: along and to the left of its frame, or between two of its named
 * places. Lengths that are near one of the stitch's own are taken as that, so that the stitch can still be made larger.
 */
import { type Point, subtract } from '@lemmata/core/geometry'
import { compileExpression, type Expression, type PointForm } from '@lemmata/core/notation'
import type { LetteredPlace } from './letters.ts'

/** Nearer than this is meant, mm. */
const NEAR_MM = 0.3

/** `lengths`: the stitch's own by name, mm; `reach`: how far a band reaches to either side, null elsewhere. */
export function pickPlace(at: Point, places: readonly LetteredPlace[], lengths: ReadonlyMap<string, number>, reach: number | null): PointForm | null {
  const near = places.find((one) => one.at && distance(one.at, at) < NEAR_MM)
  if (near) return near.form
  return inFrame(at, places, lengths, reach) ?? between(at, places)
}

/** What an expression is worth; null where it speaks of what only the frame knows. */
export function worth(expression: Expression, lengths: ReadonlyMap<string, number>, reach: number | null): number | null {
  try {
    const value = compileExpression(expression)((name) => {
      const known = name === 'w' || name === 'wl' || name === 'wr' ? (reach ?? undefined) : lengths.get(name)
      if (known === undefined) throw new RangeError(name)
      return known
    })
    return Number.isFinite(value) ? value : null
  } catch {
    return null
  }
}

function inFrame(at: Point, places: readonly LetteredPlace[], lengths: ReadonlyMap<string, number>, reach: number | null): PointForm | null {
  const known = places.flatMap(({ form, at: there }) => {
    if (!there || typeof form === 'string' || !Array.isArray(form)) return []
    const [along, left] = form as readonly [Expression, Expression]
    const [s, t] = [worth(along, lengths, reach), worth(left, lengths, reach)]
    return s === null || t === null ? [] : [{ there, s, t }]
  })
  const [first] = known
  if (!first) return null
  // The practice guide runs to the right; the ruler of a fitted guide is a little longer or shorter than its millimetres.
  const other = known.find((one) => Math.abs(one.s - first.s) > 0.3)
  const ruler = other ? (other.there.x - first.there.x) / (other.s - first.s) : 1
  if (!(ruler > 0.2 && ruler < 5)) return null
  const s = first.s + (at.x - first.there.x) / ruler
  const t = first.t - (at.y - first.there.y)
  return [nearestLength(s, [...lengths], []), nearestLength(t, reach === null ? [...lengths] : [], reach === null ? [] : [['w', reach]])]
}

/** The simplest expression within reach of a value; else tenths of a millimetre, or shares of how far the guide reaches. */
function nearestLength(value: number, lengths: readonly (readonly [string, number])[], reaches: readonly (readonly [string, number])[]): Expression {
  const named = [...lengths, ...reaches].flatMap(([name, mm]): [Expression, number][] => [
    [name, mm],
    [`-${name}`, -mm],
    [`${name}/2`, mm / 2],
    [`-${name}/2`, -mm / 2],
    [`2*${name}`, 2 * mm],
  ])
  const candidates: readonly [Expression, number][] = [[0, 0], ...named]
  const [best] = [...candidates].sort((a, b) => Math.abs(a[1] - value) - Math.abs(b[1] - value))
  if (best && Math.abs(best[1] - value) < NEAR_MM) return best[0]
  const [reach] = reaches
  if (reach && Math.abs(value) < reach[1]) return `${rounded(value / reach[1], 20)}*${reach[0]}`
  return rounded(value, 10)
}

/** Between the two ends of a stitch across a shape. */
function between(at: Point, places: readonly LetteredPlace[]): PointForm | null {
  const end = (name: string) => places.find((one) => one.form === name)?.at ?? null
  const [a, b] = [end('a'), end('b')]
  if (!a || !b) return null
  const whole = subtract(b, a)
  const off = subtract(at, a)
  const share = (off.x * whole.x + off.y * whole.y) / (whole.x ** 2 + whole.y ** 2)
  return { from: 'a', to: 'b', at: rounded(Math.min(1, Math.max(0, share)), 20) }
}

function rounded(value: number, parts: number): number {
  return Math.round(value * parts) / parts
}

function distance(a: Point, b: Point): number {
  return Math.hypot(a.x - b.x, a.y - b.y)
}
