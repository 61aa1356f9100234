/** Places as one types them: "20, 40; 100, 40", in the sampler's unit. */
import { onDial } from '@lemmata/core/draw'
import type { Point } from '@lemmata/core/geometry'
import { type LengthUnit, MM_PER_INCH } from '@lemmata/core/units'

export function placesText(places: readonly Point[], unit: LengthUnit): string {
  const said = (mm: number): string => String(Number((unit === 'mm' ? mm : mm / MM_PER_INCH).toFixed(unit === 'mm' ? 1 : 3)))
  return places.map(({ x, y }) => `${said(x)}, ${said(y)}`).join('; ')
}

/**
 * Null for what is not pairs of numbers. A place that begins with @ is so far on from the one before: "20, 40; @80, 0". So far
 * out at an angle, in degrees clockwise from twelve o'clock, is "30<45": from the middle, or after @ from the one before.
 */
export function readPlaces(text: string, unit: LengthUnit, middle: Point): readonly Point[] | null {
  const by = unit === 'mm' ? 1 : MM_PER_INCH
  const places: Point[] = []
  for (const part of text.split(';')) {
    if (part.trim() === '') continue
    const match = /^\s*(@?)\s*(-?\d+(?:\.\d+)?)\s*([, <])\s*(-?\d+(?:\.\d+)?)\s*$/.exec(part)
    if (!match) return null
    const [, on, first, sign, second] = match
    const [x, y] = [Number(first), Number(second)]
    const before = places.at(-1)
    if (on !== '' && !before) return null
    const from = on !== '' && before ? before : sign === '<' ? middle : { x: 0, y: 0 }
    places.push(sign === '<' ? onDial(from, by * x, y) : { x: from.x + by * x, y: from.y + by * y })
  }
  return places
}
