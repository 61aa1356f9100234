import { describe, expect, it } from 'vitest'
import { formatLength, formatMinutes, formatThread, parseLength } from './index.ts'

describe('lengths', () => {
  it.each([
    ['3', 'mm', 3],
    ['3,5', 'mm', 3.5],
    ['1/4', 'in', 6.35],
    ['1 1/4', 'in', 31.75],
    ['1/8 in', 'mm', 3.175],
    ['0.25"', 'mm', 6.35],
    ['2 cm', 'in', 20],
    ['-1.5', 'mm', -1.5],
  ] as const)('%s typed in %s is %d mm', (text, unit, mm) => {
    expect(parseLength(text, unit)).toBeCloseTo(mm, 9)
  })

  it.each(['', 'abc', '1/0', '3 mm mm', '1..2', 'NaN', '1e9999', '--3'])('%s is nothing', (text) => {
    expect(parseLength(text, 'mm')).toBeNull()
  })

  it('shows inches with the nearest sixteenth where it is near', () => {
    expect(formatLength(6.35, 'in')).toBe('0.25 in (1/4)')
    expect(formatLength(31.75, 'in')).toBe('1.25 in (1 1/4)')
    expect(formatLength(5.5, 'in')).toBe('0.22 in (7/32)'.replace(' (7/32)', ''))
    expect(formatLength(3.03, 'mm', 2)).toBe('3.03 mm')
  })
})

describe('minutes and thread', () => {
  it('are spoken as people do', () => {
    expect(formatMinutes(0.5)).toBe('30 s')
    expect(formatMinutes(65)).toBe('1 h 05 min')
    expect(formatThread(243)).toBe('24 cm')
    expect(formatThread(1234)).toBe('1.23 m')
  })
})
