/** The guide on which a newly chosen stitch is first worked, laid at a place of the cloth. */
import { unreachable } from '../base/index.ts'
import type { PracticeGuide } from '../notation/index.ts'
import type { Guide } from '../sampler/index.ts'

const round = (value: number): number => Math.round(value * 100) / 100

/** Centred on x, beginning its height at y; sizes shrink to `mostMm` where the clear area is narrower. */
export function practiceGuide(practice: PracticeGuide | undefined, centreX: number, y: number, mostMm: number): Guide {
  const wanted = practice ?? { kind: 'line', lengthMm: 90 }
  switch (wanted.kind) {
    case 'line': {
      const half = Math.min(wanted.lengthMm, mostMm) / 2
      return { kind: 'line', path: `M ${round(centreX - half)} ${round(y)} L ${round(centreX + half)} ${round(y)}` }
    }
    case 'shape': {
      const w = Math.min(wanted.widthMm, mostMm) / 2
      const h = wanted.heightMm / 2
      const path =
        wanted.outline === 'rectangle'
          ? `M ${round(centreX - w)} ${round(y - h)} L ${round(centreX + w)} ${round(y - h)} L ${round(centreX + w)} ${round(y + h)} L ${round(centreX - w)} ${round(y + h)} Z`
          : `M ${round(centreX - w)} ${round(y)} A ${round(w)} ${round(h)} 0 0 1 ${round(centreX + w)} ${round(y)} A ${round(w)} ${round(h)} 0 0 1 ${round(centreX - w)} ${round(y)} Z`
      return { kind: 'shape', path }
    }
    case 'spots': {
      const apart = Math.min(wanted.apartMm, mostMm / Math.max(1, wanted.count - 1))
      const from = centreX - (apart * (wanted.count - 1)) / 2
      return { kind: 'spots', at: Array.from({ length: wanted.count }, (_, index) => [round(from + apart * index), round(y)] as const) }
    }
    case 'band': {
      const half = Math.min(wanted.lengthMm, mostMm) / 2
      return { kind: 'band', path: `M ${round(centreX - half)} ${round(y)} L ${round(centreX + half)} ${round(y)}`, widthMm: wanted.widthMm }
    }
    case 'ring':
      return { kind: 'ring', at: [round(centreX), round(y)], radiusMm: Math.min(wanted.radiusMm, mostMm / 2) }
    case 'square': {
      const repeat = Math.max(1, Math.min(wanted.repeat, Math.floor(mostMm / wanted.sideMm)))
      return { kind: 'square', at: [round(centreX - ((repeat - 1) * wanted.sideMm) / 2), round(y)], sideMm: wanted.sideMm, repeat }
    }
    case 'grid': {
      const columns = Math.max(1, Math.min(wanted.columns, Math.floor(mostMm / wanted.cellMm)))
      const at = [round(centreX - (columns * wanted.cellMm) / 2), round(y - (wanted.rows * wanted.cellMm) / 2)] as const
      return { kind: 'grid', at, columns, rows: wanted.rows, cellMm: wanted.cellMm }
    }
    case 'pins':
      return {
        kind: 'pins',
        base: [round(centreX), round(y + wanted.heightMm / 2)],
        pins: fannedPins(wanted.heightMm, wanted.pins ?? 1).map(([aside, up]) => [round(centreX + aside), round(y + wanted.heightMm / 2 - up)] as const),
      }
    default:
      return unreachable(wanted)
  }
}

/**
 * Pins fanned over a base at (0, 0), each as [aside, up] in mm: even gaps of a quarter of the height, and each lower
 * the farther it stands from the middle, so that the top is curved.
 */
export function fannedPins(heightMm: number, count: number): readonly (readonly [number, number])[] {
  return Array.from({ length: count }, (_, index) => {
    const off = index - (count - 1) / 2
    return [(off * heightMm) / Math.max(4, count), heightMm * (1 - (0.12 * off * off) / Math.max(1, count - 2))] as const
  })
}

/** Room above and below the middle of a practice guide, mm. */
export function practiceHalfHeight(practice: PracticeGuide | undefined): number {
  if (practice?.kind === 'shape') return practice.heightMm / 2
  if (practice?.kind === 'band') return practice.widthMm / 2
  if (practice?.kind === 'ring') return practice.radiusMm
  if (practice?.kind === 'grid') return (practice.rows * practice.cellMm) / 2
  if (practice?.kind === 'pins') return practice.heightMm / 2
  return practice?.kind === 'square' ? practice.sideMm / 2 : 2
}

/** A practice guide for a document that names none, by the first kind of guide that it is worked on. */
export function practiceFor(document: { readonly guide: readonly string[] }): PracticeGuide {
  const kind = document.guide[0]
  if (kind === 'shape') return { kind: 'shape', widthMm: 18, heightMm: 7 }
  if (kind === 'spot' || kind === 'spots') return { kind: 'spots', count: 10, apartMm: 8 }
  if (kind === 'band') return { kind: 'band', lengthMm: 80, widthMm: 8 }
  if (kind === 'ring') return { kind: 'ring', radiusMm: 7 }
  if (kind === 'square') return { kind: 'square', sideMm: 6, repeat: 6 }
  if (kind === 'grid') return { kind: 'grid', columns: 12, rows: 5, cellMm: 3 }
  if (kind === 'pins') return { kind: 'pins', heightMm: 10 }
  return { kind: 'line', lengthMm: 90 }
}
