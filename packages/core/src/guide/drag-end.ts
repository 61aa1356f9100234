/**
 * A path turned and scaled about one end so that its other end lies at `to`. Its form (curves, corners) is
 * kept. A closed path, or one whose ends meet, comes back unchanged.
 */
import { distance, inTurn, parsePath, type Point, placeAt, scaleAbout, subtract, turnAbout, turnBetween } from '../geometry/index.ts'
import svgpath from 'svgpath'

export function dragPathEnd(data: string, end: 'start' | 'end', to: Point): string {
  const parsed = parsePath(data)
  if (!parsed.ok || parsed.value.closed) return data
  const path = parsed.value
  const first = placeAt(path, 0).at
  const last = placeAt(path, path.length, true).at
  const [fixed, free] = end === 'start' ? [last, first] : [first, last]
  const before = distance(free, fixed)
  const after = distance(to, fixed)
  if (before < 1e-6 || after < 1) return data
  const turn = turnAbout(fixed, turnBetween(subtract(free, fixed), subtract(to, fixed)))
  return svgpath(data)
    .matrix([...inTurn(scaleAbout(fixed, after / before), turn)])
    .round(3)
    .toString()
}
