/**
 * A figure as tables have it: `12.5`, `12,5`, `1 234,56`, `1.234,56`, `1,234.56`. Of two marks the last is the decimal one; one mark
 * alone is decimal too, for nothing here is counted in thousands with a mark and no rest. Null for anything else.
 */
export function readNumber(text: string): number | null {
  const plain = text.trim().replace(/[\s\u00A0\u202F'’]/g, '')
  if (!/^[+-]?\d[\d.,]*$|^[+-]?[.,]\d+$/.test(plain)) return null
  const last = Math.max(plain.lastIndexOf(','), plain.lastIndexOf('.'))
  if (last < 0) return Number(plain)
  const mark = plain[last] as string
  const whole = plain.slice(0, last)
  // The other mark divides thousands, in threes.
  const groups = whole.replace(/^[+-]/, '').split(/[.,]/)
  if (whole.includes(mark)) {
    // 1.234.567 has thousands only.
    const all = plain.replace(/^[+-]/, '').split(mark)
    if (/[.,]/.test(all.join('')) || !all.slice(1).every((group) => group.length === 3)) return null
    return Number(plain.replaceAll(mark, ''))
  }
  if (groups.length > 1 && !groups.slice(1).every((group) => group.length === 3)) return null
  const value = Number(`${whole.replace(/[.,]/g, '')}.${plain.slice(last + 1)}`)
  return Number.isFinite(value) ? value : null
}
