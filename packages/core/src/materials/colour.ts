/** Colours as `#rrggbb`. */

/** Red, green, blue, 0 to 255. */
export function rgbOf(hex: string): [number, number, number] {
  const value = Number.parseInt(hex.slice(1, 7), 16)
  return [(value >> 16) & 255, (value >> 8) & 255, value & 255]
}

/** From `a` towards `b` by a share. */
export function mix(a: string, b: string, share: number): string {
  const from = rgbOf(a)
  const to = rgbOf(b)
  const parts = from.map((value, index) => Math.round(value + ((to[index] as number) - value) * share))
  return `#${parts.map((part) => part.toString(16).padStart(2, '0')).join('')}`
}

/** Of a channel of sRGB, 0 to 255: its share of light, 0 to 1 (IEC 61966-2-1). */
export function linearLight(value: number): number {
  const share = value / 255
  return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4
}

/** WCAG relative luminance, 0 black to 1 white. */
export function luminance(hex: string): number {
  const [r, g, b] = rgbOf(hex).map(linearLight) as [number, number, number]
  return 0.2126 * r + 0.7152 * g + 0.0722 * b
}

/** The grey that is as light. */
export function greyOf(hex: string): string {
  const light = luminance(hex)
  const share = light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055
  const part = Math.round(255 * share)
    .toString(16)
    .padStart(2, '0')
  return `#${part}${part}${part}`
}

/** WCAG contrast of two colours, 1 (the same) to 21 (black on white). */
export function contrast(a: string, b: string): number {
  const [dark, light] = [luminance(a), luminance(b)].sort((one, other) => one - other) as [number, number]
  return (light + 0.05) / (dark + 0.05)
}
