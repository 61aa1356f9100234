/**
 * The wrap rule: turns of thread round the needle become a knot or a coil when it goes down. N turns take
 * N pi (shaft + D) of thread, and N D more when they are cast on as half-hitches. A coil is 0.98 N W long (cast:
 * N W) and presses together by a tenth. mm.
 */
import { distance, leftOf, type Point, type Point3, step, subtract, unit } from '../geometry/index.ts'
import { isCast, type Wound } from './types.ts'

export interface Wraps {
  readonly turns: number
  readonly wound: Wound
  /** Standing free of the cloth: so tall. */
  readonly freeMm: number | null
  readonly diameterMm: number
  readonly lineWidthMm: number
  readonly shaftMm: number
}

export interface Coiled {
  readonly kind: 'knot' | 'coil'
  readonly way: readonly Point3[]
  /** Thread wound on the needle. */
  readonly wrapMm: number
  /** The thread inside. */
  readonly coreMm: number
  readonly sizeMm: number
}

/** K = 3.3 D N^0.28: the volume of the wound thread, +-20 %. */
export function knotSize(diameterMm: number, turns: number): number {
  return 3.3 * diameterMm * turns ** 0.28
}

/** A coil that stands free leans on the cloth as it is drawn: so much of its height is seen from above. */
const LEANS = 0.75

/** What lies between the last hole `from` and the hole `to` that the needle goes down. */
export function windUp(wraps: Wraps, from: Point, to: Point, direction: Point, mirror: 1 | -1): Coiled {
  const { turns, wound, freeMm, diameterMm, lineWidthMm, shaftMm } = wraps
  const wrapMm = turns * (Math.PI * (shaftMm + diameterMm) + (isCast(wound) ? diameterMm : 0))
  const chord = distance(from, to)
  const flat = (at: Point): Point3 => ({ x: at.x, y: at.y, z: 0 })
  if (freeMm !== null) return { kind: 'coil', way: stalk(from, freeMm, direction, mirror), wrapMm, coreMm: freeMm, sizeMm: freeMm }
  if (chord <= 2.5 * diameterMm || (turns <= 3 && !isCast(wound))) {
    // A knot sits on at least two diameters of its own thread.
    return { kind: 'knot', way: [flat(from), flat(to)], wrapMm, coreMm: Math.max(chord, 2 * diameterMm), sizeMm: knotSize(diameterMm, turns) }
  }
  const coil = (isCast(wound) ? 1 : 0.98) * turns * lineWidthMm
  const arc = Math.max(chord, coil / 1.1)
  const rise = chord * Math.sqrt((3 / 8) * Math.max(0, coil / (1.1 * chord) - 1))
  const side = leftOf(unit(subtract(to, from)) as Point)
  const way = Array.from({ length: 13 }, (_, index) => {
    const share = index / 12
    const along = { x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share }
    return flat(step(along, side, mirror * 4 * rise * share * (1 - share)))
  })
  return { kind: 'coil', way, wrapMm, coreMm: arc, sizeMm: coil }
}

/** A free-standing stalk, drawn leaning along the guide with a slight curve. */
function stalk(from: Point, tallMm: number, direction: Point, mirror: 1 | -1): Point3[] {
  const side = leftOf(direction)
  return Array.from({ length: 13 }, (_, index) => {
    const share = index / 12
    const at = step(step(from, direction, LEANS * tallMm * share), side, mirror * 0.12 * tallMm * share * share)
    return { x: at.x, y: at.y, z: 0 }
  })
}
