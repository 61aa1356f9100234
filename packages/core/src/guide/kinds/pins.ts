/** Pins that hold detached work over a base. */
import { error, failure, mm, success } from '../../base/index.ts'
import { carryPair, noSuchPart, pointOf } from '../carry.ts'
import type { GuideTools, PracticeTools } from '../guide-tools.ts'
import { hundredths } from '../hundredths.ts'
import type { GuideOf, Pair } from '../types.ts'
import { numberIn } from './spots.ts'

/** A warp shorter than this cannot be woven on, mm. */
const SHORTEST_WARP_MM = 2

export const pins: GuideTools<'pins'> = {
  word: 'pins',
  read: (guide) => {
    const base = pointOf(guide.base)
    const all = guide.pins.map(pointOf)
    if (all.length === 0 || all.some((pin) => Math.hypot(pin.x - base.x, pin.y - base.y) < SHORTEST_WARP_MM))
      return failure(error('guide.pins', ['pins'], { least: mm(SHORTEST_WARP_MM) }))
    return success({ kind: 'pins', base, pins: all })
  },
  transform: (guide, matrix) => ({ ...guide, base: carryPair(guide.base, matrix), pins: guide.pins.map((at) => carryPair(at, matrix)) }),
  handles: (guide) => [
    { id: 'whole', name: 'the base, and all with it', at: pointOf(guide.base) },
    ...guide.pins.map((at, index) => ({ id: `pin-${index}`, name: `pin ${index + 1}`, at: pointOf(at) })),
  ],
  reshape: (guide, id, to) => {
    const index = numberIn(id, 'pin')
    return index === null ? null : { ...guide, pins: guide.pins.map((pin, place) => (place === index ? ([to.x, to.y] as const) : pin)) }
  },
  sizes: (guide) => [{ id: 'pins', name: 'Pins', kind: 'count', value: guide.pins.length, min: 1, max: 9 }],
  withSize: (guide, _id, value) => ({ ...guide, pins: respread(guide, value) }),
  parts: [],
  part: (_guide, part) => noSuchPart('pins', part, []),
  practice: 'pins',
}

/** As many pins as asked, fanned afresh about the way they pointed, the tallest as far from the base as before. */
function respread({ base, pins: all }: GuideOf<'pins'>, wanted: number): readonly Pair[] {
  if (wanted === all.length) return all
  const [x, y] = [all.reduce((total, pin) => total + pin[0], 0) / all.length - base[0], all.reduce((total, pin) => total + pin[1], 0) / all.length - base[1]]
  const reach = Math.hypot(x, y)
  const height = Math.max(...all.map((pin) => Math.hypot(pin[0] - base[0], pin[1] - base[1])))
  const [ux, uy] = reach > 0 ? [x / reach, y / reach] : [0, -1]
  return fannedPins(height, wanted).map(([aside, up]) => [hundredths(base[0] + ux * up - uy * aside), hundredths(base[1] + uy * up + ux * aside)] as const)
}

/**
 * Pins fanned over a base at (0, 0), each as [aside, up] in mm: even gaps of a quarter of the height, and each lower
 * the farther it stands from the middle, so that the top is curved.
 */
function fannedPins(heightMm: number, count: number): readonly Pair[] {
  return Array.from({ length: count }, (_, index) => {
    const off = index - (count - 1) / 2
    return [(off * heightMm) / Math.max(4, count), heightMm * (1 - (0.12 * off * off) / Math.max(1, count - 2))] as const
  })
}

export const pinsPractice: PracticeTools<'pins'> = {
  usual: { kind: 'pins', heightMm: 10 },
  lay: ({ heightMm, pins: count }, { x, y }) => ({
    kind: 'pins',
    base: [hundredths(x), hundredths(y + heightMm / 2)],
    pins: fannedPins(heightMm, count ?? 1).map(([aside, up]) => [hundredths(x + aside), hundredths(y + heightMm / 2 - up)] as const),
  }),
  halfHeightMm: ({ heightMm }) => heightMm / 2,
  shortened: (wanted) => wanted,
}
