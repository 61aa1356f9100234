/** Ruler ticks in the teacher's unit: as close together as can be told apart. */
import { type LengthUnit, MM_PER_INCH } from '@lemmata/core/units'

export interface Tick {
  readonly mm: number
  readonly label: string | null
  readonly size: 'small' | 'middle' | 'large'
}

/** Ticks between two places, for a scale in pixels per millimetre. */
export function rulerTicks(fromMm: number, toMm: number, pxPerMm: number, unit: LengthUnit): readonly Tick[] {
  const stepMm =
    unit === 'mm'
      ? (([1, 2, 5, 10, 50] as const).find((mm) => mm * pxPerMm >= 4.5) ?? 100)
      : (([1 / 16, 1 / 8, 1 / 4, 1 / 2, 1] as const).find((inch) => inch * MM_PER_INCH * pxPerMm >= 5) ?? 2) * MM_PER_INCH
  const labelMm =
    unit === 'mm'
      ? (([5, 10, 20, 50] as const).find((mm) => mm * pxPerMm >= 38) ?? 100)
      : (([1, 2] as const).find((inch) => inch * MM_PER_INCH * pxPerMm >= 38) ?? 4) * MM_PER_INCH
  const ticks: Tick[] = []
  for (let index = Math.ceil(fromMm / stepMm); index * stepMm <= toMm && ticks.length < 2000; index += 1) {
    const mm = index * stepMm
    const isLabel = Math.abs(mm / labelMm - Math.round(mm / labelMm)) < 1e-6
    const isMiddle = Math.abs(mm / (labelMm / 2) - Math.round(mm / (labelMm / 2))) < 1e-6
    ticks.push({
      mm,
      label: isLabel ? String(Math.round(unit === 'mm' ? mm : mm / MM_PER_INCH)) : null,
      size: isLabel ? 'large' : isMiddle ? 'middle' : 'small',
    })
  }
  return ticks
}
