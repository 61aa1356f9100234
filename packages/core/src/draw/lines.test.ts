/** Lines beside lines, turned round, ended on others, and shapes cut by them: reckoned by hand. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { areaOf, nearestPlace, parsePath, placeAt } from '../geometry/index.ts'
import { arcAbout, circle, cutByLine, endOn, leftSideOf, lineBeside, smoothThrough, turnedLine, wave } from './index.ts'

const at = (x: number, y: number) => ({ x, y })
const path = (data: string | null) => {
  const parsed = parsePath(data ?? '')
  if (!parsed.ok) throw new Error(String(data))
  return parsed.value
}

describe('this line again, so much beside it', () => {
  it('straight: to the left of the way is above for a way to the right', () => {
    expect(lineBeside('M 10 20 L 60 20', 3)).toBe('M 10 17 L 60 17')
    expect(lineBeside('M 10 20 L 60 20', -3)).toBe('M 10 23 L 60 23')
  })

  it('round a corner it meets where both ways cross; a square grows and shrinks on all sides', () => {
    expect(lineBeside('M 10 10 L 40 10 L 40 50', -2)).toBe('M 10 12 L 38 12 L 38 50')
    expect(lineBeside('M 10 10 L 40 10 L 40 50', 2)).toBe('M 10 8 L 42 8 L 42 50')
    expect(path(lineBeside('M 10 10 L 30 10 L 30 30 L 10 30 Z', 2)).length).toBeCloseTo(96, 6)
    expect(path(lineBeside('M 10 10 L 30 10 L 30 30 L 10 30 Z', -2)).length).toBeCloseTo(64, 6)
  })

  it('the orange row of a rainbow: radius 75.6 and 0.85 inside it is 74.75', () => {
    const arc = arcAbout(at(0, 0), 75.6, 311, 36) as string
    // Clockwise over the top: the middle lies to the right.
    for (const { x, y } of path(lineBeside(arc, -0.85)).points) expect(Math.hypot(x, y)).toBeCloseTo(74.75, 1)
    expect(path(lineBeside(circle(at(50, 50), 20) as string, 5)).length).toBeCloseTo(2 * Math.PI * 25, 0)
  })

  it('every place of it lies as far from the first line as was said, wherever that bends less tightly', () => {
    const height = fc.double({ min: 0.5, max: 4, noNaN: true })
    const by = fc.double({ min: 0.3, max: 2, noNaN: true })
    fc.assert(
      fc.property(height, by, fc.boolean(), (high, away, left) => {
        const first = wave(at(20, 40), at(120, 52), 2, high) as string
        const made = lineBeside(first, left ? away : -away)
        expect(made).not.toBeNull()
        const [was, is] = [path(first), path(made)]
        for (let share = 0.05; share < 1; share += 0.05) {
          // A tenth of a thread: the curve is fitted to that.
          expect(Math.abs(nearestPlace(was, placeAt(is, share * is.length).at).distance - away)).toBeLessThan(0.08)
        }
      }),
      { numRuns: 60 },
    )
  })

  it('inside a bend that is tighter there is none', () => {
    expect(lineBeside(circle(at(50, 50), 4) as string, -6)).toBeNull()
    expect(lineBeside('M 10 10 L 30 10 L 30 30 L 10 30 Z', -12)).toBeNull()
    expect(lineBeside('nothing', 1)).toBeNull()
  })
})

describe('its left side', () => {
  it('is above where it goes to the right, outside where it runs clockwise', () => {
    expect(leftSideOf('M 0 0 L 10 0')).toBe('above')
    expect(leftSideOf('M 10 0 L 0 1')).toBe('below')
    expect(leftSideOf('M 0 0 L 0 10')).toBe('right')
    expect(leftSideOf('M 0 10 L 0 0')).toBe('left')
    expect(leftSideOf(circle(at(0, 0), 5) as string)).toBe('outside')
    expect(leftSideOf(turnedLine(circle(at(0, 0), 5) as string) as string)).toBe('inside')
  })
})

describe('the other way round', () => {
  it('begins where it ended, along the same way; a closed one keeps its start', () => {
    expect(turnedLine('M 0 0 L 10 0 C 12 0 14 2 14 4')).toBe('M 14 4 C 14 2 12 0 10 0 L 0 0')
    expect(turnedLine('M 0 0 L 10 0 L 10 10 Z')).toBe('M 0 0 L 10 10 L 10 0 Z')
  })

  it('twice is as it was', () => {
    const place = fc.record({ x: fc.integer({ min: 0, max: 100 }), y: fc.integer({ min: 0, max: 100 }) })
    fc.assert(
      fc.property(fc.uniqueArray(place, { minLength: 3, maxLength: 8, selector: ({ x, y }) => `${x} ${y}` }), fc.boolean(), (places, closed) => {
        const data = smoothThrough(places, closed) as string
        expect(turnedLine(turnedLine(data) as string)).toBe(data)
      }),
    )
  })
})

describe('ended on another', () => {
  const post = 'M 50 0 L 50 40'
  it('what goes on beyond is cut off, so far under it as is said', () => {
    expect(endOn('M 10 20 L 80 20', post, 0)).toBe('M 10 20 L 50 20')
    expect(endOn('M 10 20 L 80 20', post, 3)).toBe('M 10 20 L 53 20')
    // The nearer end is meant.
    expect(endOn('M 45 20 L 120 20', post, 1)).toBe('M 49 20 L 120 20')
  })

  it('what does not reach goes on straight until it does', () => {
    expect(endOn('M 10 20 L 40 20', post, 3)).toBe('M 10 20 L 40 20 L 53 20')
    expect(endOn('M 10 60 L 40 60', post, 3)).toBeNull()
  })

  it('an arc ends on a circle', () => {
    // The circle about (60, 0) of radius 20 meets that about (0, 0) of radius 50 where x = (3600 + 2500 - 400) / 120 = 47.5.
    const ended = path(endOn(arcAbout(at(0, 0), 50, 0, 89) as string, circle(at(60, 0), 20) as string, 0))
    const last = ended.points.at(-1)
    expect(last?.x).toBeCloseTo(47.5, 1)
    expect(last?.y).toBeCloseTo(-Math.sqrt(2500 - 47.5 * 47.5), 1)
  })
})

describe('a shape cut by a line', () => {
  it('a square of 20 cut three quarters down is 300 and 100, and both have the cut', () => {
    const parts = cutByLine('M 10 10 L 30 10 L 30 30 L 10 30 Z', 'M 0 25 L 40 25') ?? []
    expect(parts.map((part) => Math.abs(areaOf(path(part).points))).sort((a, b) => a - b)).toEqual([100, 300])
  })

  it('a circle cut by a wave: the parts are as large as the whole and share the cut exactly', () => {
    const whole = circle(at(50, 50), 20) as string
    const cut = wave(at(20, 47), at(80, 54), 1.5, 3) as string
    const parts = cutByLine(whole, cut)
    expect(parts).not.toBeNull()
    const [one, other] = (parts ?? []).map((part) => path(part))
    const area = (part: typeof one): number => Math.abs(areaOf(part?.points ?? []))
    expect(area(one) + area(other)).toBeCloseTo(Math.PI * 400, 0)
    const numbers = (data = ''): readonly string[] => data.match(/-?[\d.]+ -?[\d.]+/g) ?? []
    // Both ends of the cut, the two places between them where the wave crosses its line, and their curves.
    expect(numbers(parts?.[0]).filter((pair) => numbers(parts?.[1]).includes(pair)).length).toBeGreaterThanOrEqual(8)
    for (const { x, y } of one?.points ?? []) {
      const inside = Math.hypot(x - 50, y - 50)
      expect(inside).toBeLessThan(20.02)
    }
  })

  it('a line that does not cross it twice cuts nothing', () => {
    const box = 'M 10 10 L 30 10 L 30 30 L 10 30 Z'
    expect(cutByLine(box, 'M 15 15 L 25 25')).toBeNull()
    expect(cutByLine(box, 'M 0 20 L 20 20')).toBeNull()
    expect(cutByLine(box, 'M 0 15 L 40 15 L 40 25 L 0 25')).toBeNull()
    expect(cutByLine('M 0 0', 'M 0 0 L 1 1')).toBeNull()
  })
})
