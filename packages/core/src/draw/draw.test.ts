/** Figures of what is drawn, reckoned by hand; and that every tool gives what can be worked. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { areaOf, boxOf, nearestPlace, parsePath, placeAt } from '../geometry/index.ts'
import { readGuide } from '../guide/index.ts'
import { LIBRARY } from '../stitches/index.ts'
import {
  arc,
  arcAbout,
  arcsThrough,
  circle,
  cornered,
  dialOf,
  DRAW_TOOLS,
  evenCounts,
  freehand,
  leaf,
  lengthOfWords,
  measureAlong,
  measureBetween,
  onDial,
  riseThrough,
  smoothThrough,
  spiral,
  strokesOfWords,
  unknownLetters,
  usualFigures,
  usualLettering,
  wave,
  waveAbout,
  zigzag,
} from './index.ts'

const path = (data: string | null) => {
  const parsed = parsePath(data ?? '')
  if (!parsed.ok) throw new Error(String(data))
  return parsed.value
}
const at = (x: number, y: number) => ({ x, y })

describe('ways', () => {
  it('a line with corners is as long as its legs', () => {
    expect(path(cornered([at(10, 10), at(40, 10), at(40, 50)])).length).toBeCloseTo(70, 9)
    expect(path(cornered([at(0, 0), at(30, 0), at(0, 40)], true)).length).toBeCloseTo(120, 9)
    expect(cornered([at(1, 1)])).toBeNull()
  })

  it('an arc over a chord of 60 that rises 10 has a radius of 50 and is 64.35 long', () => {
    // r = 60 squared / 80 + 5 = 50; angle = 2 asin(30 / 50) = 1.2870 rad.
    const curve = path(arc(at(0, 0), at(60, 0), 10))
    expect(curve.length).toBeCloseTo(64.35, 2)
    expect(placeAt(curve, curve.length / 2).at.y).toBeCloseTo(-10, 2)
    expect(placeAt(path(arc(at(0, 0), at(60, 0), -10)), curve.length / 2).at.y).toBeCloseTo(10, 2)
    // More than half a circle where it rises above its radius.
    expect(path(arc(at(0, 0), at(20, 0), 30)).length).toBeGreaterThan(Math.PI * 16)
  })

  it('an arc through a place goes through it, on either side, shallow or deep', () => {
    fc.assert(
      fc.property(fc.double({ min: -40, max: 90, noNaN: true }), fc.double({ min: 0.5, max: 60, noNaN: true }), fc.boolean(), (x, y, above) => {
        const through = at(x, above ? -y : y)
        const rise = riseThrough(at(0, 0), at(50, 0), through)
        if (Math.abs(rise) > 300) return
        expect(nearestPlace(path(arc(at(0, 0), at(50, 0), rise)), through).distance).toBeLessThan(0.1)
      }),
      { numRuns: 200 },
    )
  })

  it('arcs one after another: half circles over 10 and 20 are 47.12 long, and closed by a foot of 30', () => {
    // pi * 5 + pi * 10 = 47.12; both rise to the left of the way, which is up.
    const places = [at(0, 0), at(5, -5), at(10, 0), at(20, -10), at(30, 0)]
    const open = path(arcsThrough(places))
    expect(open.length).toBeCloseTo(47.12, 1)
    expect(Math.min(...open.points.map((one) => one.y))).toBeCloseTo(-10, 2)
    const closed = path(arcsThrough(places, true))
    expect(closed.length).toBeCloseTo(77.12, 1)
    expect(closed.closed).toBe(true)
    // A last place without an end is gone to straight; so is one that lies on the way.
    expect(path(arcsThrough([at(0, 0), at(5, -5), at(10, 0), at(14, 3)])).length).toBeCloseTo(5 * Math.PI + 5, 1)
    expect(path(arcsThrough([at(0, 0), at(4, 0), at(9, 0)])).length).toBeCloseTo(9, 6)
    expect(arcsThrough([at(0, 0), at(1, 1)], true)).toBeNull()
  })

  it('a wave about a middle is as far out as it says, four crests outward over a quarter, and closes where it goes all round', () => {
    const read = path(waveAbout(at(100, 100), 40, 0, 90, 4, 2))
    const away = read.points.map((one) => Math.hypot(one.x - 100, one.y - 100))
    expect(Math.max(...away)).toBeCloseTo(42, 1)
    expect(Math.min(...away)).toBeCloseTo(38, 1)
    expect(away[0]).toBeCloseTo(40, 2)
    expect(away.at(-1)).toBeCloseTo(40, 2)
    // The first crest at a sixteenth of the way: 5.625 degrees, outward.
    expect(nearestPlace(read, onDial(at(100, 100), 42, 5.625)).distance).toBeLessThan(0.05)
    const peaks = away.filter((one, index) => one > 41 && (away[index - 1] ?? 0) <= 41)
    expect(peaks).toHaveLength(4)
    expect(path(waveAbout(at(0, 0), 20, 30, 30, 8, 1)).closed).toBe(true)
    expect(waveAbout(at(0, 0), 2, 0, 90, 4, 2)).toBeNull()
  })

  it('a wave of three crests is as high as it says, to both sides, and ends where it should', () => {
    const curve = path(wave(at(10, 50), at(100, 50), 3, 4))
    const box = boxOf(curve.points)
    expect(box?.top).toBeCloseTo(46, 2)
    expect(box?.bottom).toBeCloseTo(54, 2)
    expect(placeAt(curve, curve.length, true).at).toEqual({ x: expect.closeTo(100, 2), y: expect.closeTo(50, 2) })
    // Six half waves: it crosses its way five times between the ends.
    const crossings = curve.points.slice(1).filter((one, index) => (one.y - 50) * ((curve.points[index]?.y ?? 50) - 50) < 0).length
    expect(crossings + curve.points.slice(1, -1).filter((one) => Math.abs(one.y - 50) < 1e-6).length).toBe(5)
  })

  it('a zigzag of six legs between two heights has legs of one length', () => {
    const { points } = path(zigzag(at(0, 0), at(36, 0), 6, 8))
    const legs = points.slice(1).map((to, index) => Math.hypot(to.x - (points[index]?.x ?? 0), to.y - (points[index]?.y ?? 0)))
    expect(legs).toHaveLength(6)
    for (const leg of legs) expect(leg).toBeCloseTo(10, 9)
  })

  it('a spiral lies turn by turn so far apart', () => {
    const curve = path(spiral(at(50, 50), 3, 4))
    const end = placeAt(curve, curve.length, true).at
    // Half a pitch at the start and three turns of four.
    expect(Math.hypot(end.x - 50, end.y - 50)).toBeCloseTo(14, 2)
    expect(curve.length).toBeCloseTo(2 * Math.PI * 3 * 8, -1)
  })

  it('a circle of 20 across is 62.83 round and closed', () => {
    const curve = path(circle(at(30, 30), 10))
    expect(curve.length).toBeCloseTo(62.83, 1)
    expect(curve.closed).toBe(true)
  })

  it('a way through places goes through all of them', () => {
    const places = [at(0, 0), at(20, 10), at(45, -5), at(60, 20)]
    const curve = path(smoothThrough(places))
    for (const place of places) expect(nearestPlace(curve, place).distance).toBeLessThan(0.01)
  })

  it('what a hand drew is smoothed to within what was asked, in far fewer places', () => {
    const drawn = Array.from({ length: 200 }, (_, index) => at(index / 2, 10 * Math.sin(index / 20) + (index % 2 === 0 ? 0.05 : -0.05)))
    const data = freehand(drawn, 0.5)
    const curve = path(data)
    for (const place of drawn) expect(nearestPlace(curve, place).distance).toBeLessThan(0.6)
    expect((data ?? '').split('C').length).toBeLessThan(16)
    expect(freehand([at(1, 1), at(1, 1)], 0.5)).toBeNull()
  })
})

describe('a leaf', () => {
  it('is as long and wide as it says, widest where it says, with its vein from tip to tip', () => {
    const guide = leaf(at(10, 40), at(50, 40), 12, 0.4)
    if (guide?.kind !== 'shape') throw new Error('no leaf')
    const outline = path(guide.path)
    const box = boxOf(outline.points)
    expect([box?.left, box?.right]).toEqual([expect.closeTo(10, 2), expect.closeTo(50, 2)])
    expect((box?.bottom ?? 0) - (box?.top ?? 0)).toBeCloseTo(12, 1)
    const top = outline.points.reduce((best, one) => (one.y < best.y ? one : best))
    expect(top.x).toBeCloseTo(26, 0)
    expect(path(guide.vein ?? null).length).toBeCloseTo(40, 9)
    expect(areaOf(outline.points)).toBeGreaterThan(0.55 * 40 * 12)
  })
})

describe('letters', () => {
  it('have a stitch of the library that is good for them', () => {
    const wanted = DRAW_TOOLS.find((tool) => tool.id === 'word')?.goodFor ?? ''
    expect(LIBRARY.filter((one) => one.goodFor?.includes(wanted) && one.guide.includes('line')).map((one) => one.id)).toEqual(['back-stitch'])
  })

  const legs = (path: string): number[] => {
    const points = [...path.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map((one) => [Number(one[1]), Number(one[2])] as const)
    const all = path.endsWith('Z') ? [...points, points[0] as readonly [number, number]] : points
    return all.slice(1).map(([x, y], index) => Math.hypot(x - (all[index] as readonly [number, number])[0], y - (all[index] as readonly [number, number])[1]))
  }

  const parsed = (path: string) => [...path.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map((one) => at(Number(one[1]), Number(one[2])))

  it('have legs of whole stitches: none further from them than a ninth', () => {
    for (const path of strokesOfWords("ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789-'+/", at(0, 0), usualLettering(2)))
      for (const leg of legs(path)) expect(Math.abs(leg / Math.round(leg / 2) - 2), path).toBeLessThan(0.25)
  })

  it('are four stitches high and as long as they say', () => {
    const points = strokesOfWords('HULL', at(3, 5), usualLettering(2)).flatMap((path) =>
      [...path.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map((one) => [Number(one[1]), Number(one[2])] as const),
    )
    const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)]
    expect([Math.min(...ys), Math.max(...ys)]).toEqual([5, 13])
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(lengthOfWords('HULL', usualLettering(2)), 6)
  })

  it('small letters and accents are drawn as capitals, and what has no skeleton is named', () => {
    expect(strokesOfWords('Föhn', at(0, 0), usualLettering(2))).toEqual(strokesOfWords('FOHN', at(0, 0), usualLettering(2)))
    expect(unknownLetters('Föhn & ice: 5° & %')).toEqual(['&', ':', '°', '%'])
  })

  it('on a line that is drawn they stand in its middle, as it leans', () => {
    const word = DRAW_TOOLS.find((tool) => tool.id === 'word')
    const points = (places: readonly { x: number; y: number }[]) =>
      (word?.make(places, { height: 8 }, 'III') ?? []).flatMap((guide) => (guide.kind === 'line' ? parsed(guide.path) : []))
    // Three strokes 2.1 apart stand in the middle of 20: from 7.9 to 12.1.
    const upright = points([at(0, 10), at(20, 10)])
    expect(upright.map(({ x }) => x)).toEqual([7.9, 7.9, 10, 10, 12.1, 12.1])
    expect(upright.map(({ y }) => y)).toEqual([2, 10, 2, 10, 2, 10])
    const down = points([at(10, 0), at(10, 20)])
    expect(down.map(({ y }) => y)).toEqual([7.9, 7.9, 10, 10, 12.1, 12.1])
    expect(down.map(({ x }) => x)).toEqual([18, 10, 18, 10, 18, 10])
  })
})

describe('on a dial', () => {
  it('part of a circle runs clockwise from one angle to the other', () => {
    // A quarter of radius 20 is 31.416 long, from the top to the right.
    const quarter = path(arcAbout(at(50, 50), 20, 0, 90))
    expect(quarter.length).toBeCloseTo(31.416, 2)
    expect(quarter.points[0]).toEqual(at(50, 30))
    expect(quarter.points.at(-1)?.x).toBeCloseTo(70, 6)
    expect(path(arcAbout(at(50, 50), 20, 300, 30)).length).toBeCloseTo(31.416, 2)
    expect(path(arcAbout(at(50, 50), 20, 90, 0)).length).toBeCloseTo(94.248, 1)
    expect(path(arcAbout(at(50, 50), 20, 0, 360)).closed).toBe(true)
  })

  it('a place on it is found again', () => {
    expect(onDial(at(10, 10), 5, 90)).toEqual({ x: 15, y: expect.closeTo(10, 9) as number })
    for (const degrees of [0, 37, 180, 271.5]) expect(dialOf(at(3, 4), onDial(at(3, 4), 8, degrees))).toBeCloseTo(degrees, 6)
  })

  it('eight rays from 4 to 16 stand every 45 degrees', () => {
    const rays = DRAW_TOOLS.find((tool) => tool.id === 'rays')?.make([at(50, 50), at(50, 34)], { count: 8, inner: 4, outer: 16, first: 0 }) ?? []
    expect(rays).toHaveLength(8)
    expect(rays[0]).toEqual({ kind: 'line', path: 'M 50 46 L 50 34' })
    expect(rays[2]).toEqual({ kind: 'line', path: 'M 54 50 L 66 50' })
  })
})

describe('spots', () => {
  it('a row of five over 40 lies every ten', () => {
    expect(DRAW_TOOLS.find((tool) => tool.id === 'row')?.make([at(10, 5), at(50, 5)], { count: 5 })).toEqual([
      { kind: 'spots', at: [10, 20, 30, 40, 50].map((x) => [x, 5]) },
    ])
  })

  it('scattered, none lies nearer to another than asked, nor beyond the edge', () => {
    const [guide] = DRAW_TOOLS.find((tool) => tool.id === 'scatter')?.make([at(50, 50)], { across: 30, apart: 4 }) ?? []
    const spots = guide?.kind === 'spots' ? guide.at : []
    expect(spots.length).toBeGreaterThan(20)
    for (const [x, y] of spots) expect(Math.hypot(x - 50, y - 50)).toBeLessThan(15.01)
    const gaps = spots.flatMap(([x, y], index) => spots.slice(index + 1).map(([a, b]) => Math.hypot(a - x, b - y)))
    expect(Math.min(...gaps)).toBeGreaterThan(3.98)
  })
})

describe('measured', () => {
  it('three to the right and four up are five at 53.1 degrees', () => {
    expect(measureBetween(at(10, 10), at(13, 6))).toEqual({ lengthMm: 5, degrees: 53.1, across: 3, down: -4 })
    expect(measureBetween(at(10, 10), at(10, 30)).degrees).toBe(-90)
    expect(measureBetween(at(10, 10), at(0, 10)).degrees).toBe(180)
  })
})

describe('measured along a way', () => {
  it('half round a circle of radius 20 is 62.83, a quarter 31.42 whichever way; a place off it is not on it', () => {
    const round = circle(at(100, 100), 20) ?? ''
    expect(measureAlong(round, at(100, 80), at(100, 120))).toBeCloseTo(62.83, 1)
    expect(measureAlong(round, at(100, 80), at(80, 100))).toBeCloseTo(31.42, 1)
    expect(measureAlong(round, at(100, 80), at(100, 101))).toBeNull()
    expect(measureAlong('M 0 0 L 30 0 L 30 40', at(10, 0.2), at(30, 20))).toBeCloseTo(40, 6)
  })
})

describe('what comes out even', () => {
  it('96 mm is 32 of 3, 24 of 4, 16 of 6', () => {
    expect(evenCounts(96, 3.1, 2, 7, 9).map(({ count, pitchMm }) => [count, pitchMm])).toEqual(
      expect.arrayContaining([
        [32, 3],
        [24, 4],
        [16, 6],
      ]),
    )
    expect(evenCounts(96, 3.1, 2, 7)[0]).toEqual({ count: 32, pitchMm: 3 })
    for (const { count, pitchMm } of evenCounts(96, 3.1, 2, 7, 9)) expect(count * pitchMm).toBeCloseTo(96, 6)
  })

  it('of a length that no neat pitch divides there is nothing to offer', () => {
    expect(evenCounts(97.3, 3, 2.9, 3.1)).toEqual([])
  })
})

describe('every tool', () => {
  const places = [at(40, 40), at(80, 52), at(60, 75), at(45, 60)]
  it.each(DRAW_TOOLS.map((tool) => [tool.id, tool] as const))('%s gives a guide of its kind that can be read, and nothing of too few places', (_id, tool) => {
    const given = places.slice(0, tool.places ?? 4)
    const guides = tool.make(given, { ...usualFigures(tool), ...tool.read?.(given) }, 'HAIL')
    expect(guides.length).toBeGreaterThan(0)
    for (const guide of guides) {
      expect(guide.kind).toBe(tool.kind)
      expect(readGuide(guide).ok).toBe(true)
    }
    expect(tool.make([], usualFigures(tool), 'HAIL')).toEqual([])
    if (tool.least > 1) expect(tool.make(places.slice(0, tool.least - 1), usualFigures(tool))).toEqual([])
  })

  it('many typed corners stay corners; a stroke of the hand is smoothed', () => {
    const teeth = Array.from({ length: 15 }, (_, index) => at(index * 4, index % 2 === 0 ? 0 : 6))
    const [tool] = DRAW_TOOLS.filter((one) => one.id === 'shape')
    const typed = tool?.make([...teeth, at(30, 40)], usualFigures(tool))[0]
    expect(typed?.kind === 'shape' && typed.path.includes('C')).toBe(false)
    const drawn = tool?.byHand?.(
      Array.from({ length: 60 }, (_, index) => onDial(at(0, 0), 20, index * 6)),
      usualFigures(tool),
    )[0]
    expect(drawn?.kind === 'shape' && path(drawn.path).length).toBeCloseTo(2 * Math.PI * 20, 0)
  })

  it('any places and figures within bounds: a guide or nothing, never a fault', () => {
    const place = fc.record({ x: fc.double({ min: -200, max: 400, noNaN: true }), y: fc.double({ min: -200, max: 400, noNaN: true }) })
    fc.assert(
      fc.property(
        fc.constantFrom(...DRAW_TOOLS),
        fc.array(place, { maxLength: 20 }),
        fc.infiniteStream(fc.double({ min: 0, max: 1, noNaN: true })),
        (tool, given, stream) => {
          const figures = Object.fromEntries(
            tool.figures.map((one) => [
              one.id,
              one.kind === 'count'
                ? Math.round(one.min + (stream.next().value as number) * (one.max - one.min))
                : one.min + (stream.next().value as number) * (one.max - one.min),
            ]),
          )
          for (const guide of tool.make(given, figures, 'Thaw 1')) readGuide(guide)
        },
      ),
      { numRuns: 300 },
    )
  })
})
