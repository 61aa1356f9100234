/** What a guide measures besides its places: a ring's radius, how many pins. Each can be read and set. */
import type { Guide } from '../sampler/index.ts'
import { fannedPins } from './practice.ts'

export interface GuideSize {
  readonly id: string
  readonly name: string
  readonly kind: 'length' | 'count'
  /** mm, or how many. */
  readonly value: number
  readonly min: number
  readonly max: number
}

const length = (id: string, name: string, value: number, min: number, max: number): GuideSize => ({ id, name, kind: 'length', value, min, max })
const count = (id: string, name: string, value: number, max: number): GuideSize => ({ id, name, kind: 'count', value, min: 1, max })

/** Empty for a guide that is nothing but its path or its places. */
export function sizesOf(guide: Guide): readonly GuideSize[] {
  switch (guide.kind) {
    case 'band':
      return guide.widthMm === undefined ? [] : [length('widthMm', 'Width of the band', guide.widthMm, 0.5, 60)]
    case 'ring':
      return [length('radiusMm', 'Radius', guide.radiusMm, 0.5, 100)]
    case 'square':
      return [length('sideMm', 'Side', guide.sideMm, 0.5, 60), count('repeat', 'Squares in a row', guide.repeat ?? 1, 100)]
    case 'grid':
      return [count('columns', 'Columns', guide.columns, 200), count('rows', 'Rows of cells', guide.rows, 200), length('cellMm', 'Cell', guide.cellMm, 0.5, 30)]
    case 'pins':
      return [count('pins', 'Pins', guide.pins.length, 9)]
    default:
      return []
  }
}

/** The guide with one of its sizes set, kept within its window; the same guide for a size it does not have. */
export function withSize(guide: Guide, id: string, wanted: number): Guide {
  const size = sizesOf(guide).find((one) => one.id === id)
  if (!size || !Number.isFinite(wanted)) return guide
  const within = Math.min(size.max, Math.max(size.min, wanted))
  const value = size.kind === 'count' ? Math.round(within) : within
  return guide.kind === 'pins' ? { ...guide, pins: respread(guide, value) } : { ...guide, [id]: value }
}

/** As many pins as asked, fanned afresh about the way they pointed, the tallest as far from the base as before. */
function respread({ base, pins }: Extract<Guide, { kind: 'pins' }>, wanted: number): readonly (readonly [number, number])[] {
  if (wanted === pins.length) return pins
  const [x, y] = [
    pins.reduce((total, pin) => total + pin[0], 0) / pins.length - base[0],
    pins.reduce((total, pin) => total + pin[1], 0) / pins.length - base[1],
  ]
  const reach = Math.hypot(x, y)
  const height = Math.max(...pins.map((pin) => Math.hypot(pin[0] - base[0], pin[1] - base[1])))
  const [ux, uy] = reach > 0 ? [x / reach, y / reach] : [0, -1]
  return fannedPins(height, wanted).map(([aside, up]) => [tidy(base[0] + ux * up - uy * aside), tidy(base[1] + uy * up + ux * aside)] as const)
}

const tidy = (value: number): number => Math.round(value * 100) / 100
