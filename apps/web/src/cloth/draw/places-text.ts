/** Places as one types them: "20, 40; 100, 40", in the sampler's unit. */
import type { Point } from '@lemmata/core/geometry'
import { type LengthUnit, MM_PER_INCH } from '@lemmata/core/units'

export function placesText(places: readonly Point[], unit: LengthUnit): string {
  const said = (mm: number): string => String(Number((unit === 'mm' ? mm : mm / MM_PER_INCH).toFixed(unit === 'mm' ? 1 : 3)))
  return places.map(({ x, y }) => `${said(x)}, ${said(y)}`).join('; ')
}

/** Null for what is not pairs of numbers. A place that begins with @ is so far on from the one before: "20, 40; @80, 0". */
export function readPlaces(text: string, unit: LengthUnit): readonly Point[] | null {
  const by = unit === 'mm' ? 1 : MM_PER_INCH
  const places: Point[] = []
  for (const part of text.split(';')) {
    if (part.trim() === '') continue
    const match = /^\s*(@?)\s*(-?\d+(?:\.\d+)?)\s*[, ]\s*(-?\d+(?:\.\d+)?)\s*$/.exec(part)
    if (!match) return null
    const [, on, x, y] = match
    const before = places.at(-1)
    if (on !== '' && !before) return null
    const from = on !== '' && before ? before : { x: 0, y: 0 }
    places.push({ x: from.x + by * Number(x), y: from.y + by * Number(y) })
  }
  return places
}
