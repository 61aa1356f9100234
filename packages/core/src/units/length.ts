/**
 * Lengths as people type and read them. Inside the product every length is millimetres; this is the one
 * place where it becomes inches, fractions and a decimal comma, and comes back.
 */
import { roundTo } from '../base/index.ts'

export type LengthUnit = 'mm' | 'in'

export const MM_PER_INCH = 25.4

/** `12.5 mm`, `0.49 in (1/2)`: the fraction is the nearest sixteenth, given where it is within 1/64 inch. */
export function formatLength(mm: number, unit: LengthUnit, decimals = unit === 'mm' ? 1 : 2): string {
  if (unit === 'mm') return `${roundTo(mm, decimals).toFixed(decimals)} mm`
  const inches = mm / MM_PER_INCH
  const fraction = nearestFraction(inches)
  const plain = `${roundTo(inches, decimals).toFixed(decimals)} in`
  return fraction === null ? plain : `${plain} (${fraction})`
}

/** Below this a thousandth of an inch is told: how much stitches differ is less than a hundredth. mm */
const FINE_MM = 12

/** As a stitch and its unevenness are told: tenths of a millimetre, or thousandths of an inch; what is longer as other lengths. */
export const formatStitchLength = (mm: number, unit: LengthUnit): string => formatLength(mm, unit, unit === 'in' && mm < FINE_MM ? 3 : undefined)

function nearestFraction(inches: number): string | null {
  const sixteenths = Math.round(Math.abs(inches) * 16)
  if (sixteenths === 0 || Math.abs(Math.abs(inches) * 16 - sixteenths) > 0.25) return null
  const whole = Math.floor(sixteenths / 16)
  let top = sixteenths % 16
  let bottom = 16
  if (top === 0) return null
  while (top % 2 === 0) {
    top /= 2
    bottom /= 2
  }
  const sign = inches < 0 ? '-' : ''
  return whole > 0 ? `${sign}${whole} ${top}/${bottom}` : `${sign}${top}/${bottom}`
}

/**
 * Millimetres from what was typed: `3`, `3.5`, `3,5`, `1/4`, `1 1/4`, with or without `mm`, `cm`, `in` or `"`.
 * Null for anything else; the unit given is the one meant when none is typed.
 */
export function parseLength(text: string, unit: LengthUnit): number | null {
  const match = /^\s*(-?)\s*(?:(\d+(?:[.,]\d+)?)(?:\s+(\d+)\/(\d+))?|(\d+)\/(\d+))\s*(mm|cm|in|")?\s*$/i.exec(text)
  if (!match) return null
  const [, sign, plain, mixedTop, mixedBottom, top, bottom, suffix] = match
  let value = plain === undefined ? 0 : Number(plain.replace(',', '.'))
  const upper = mixedTop ?? top
  const lower = mixedBottom ?? bottom
  if (upper !== undefined && lower !== undefined) {
    if (Number(lower) === 0) return null
    value += Number(upper) / Number(lower)
  }
  const typed = suffix === '"' ? 'in' : (suffix?.toLowerCase() ?? unit)
  const scale = typed === 'in' ? MM_PER_INCH : typed === 'cm' ? 10 : 1
  const mm = (sign === '-' ? -value : value) * scale
  return Number.isFinite(mm) ? mm : null
}
