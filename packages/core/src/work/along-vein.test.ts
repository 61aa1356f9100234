/** The vein of a leaf: drawn, found, parted by holes; and how broad the leaf is across it, by hand. */
import { describe, expect, it } from 'vitest'
import { isInRegion, placeAt } from '../geometry/index.ts'
import { type Guide, readGuide, type ReadOf } from '../guide/index.ts'
import { LIBRARY } from '../stitches/index.ts'
import { sentenceOf } from '../testing/index.ts'
import { acrossVein, alongVein, followsVein } from './along-vein.ts'

function shape(guide: Omit<Extract<Guide, { kind: 'shape' }>, 'kind'>): ReadOf<'shape'> {
  const read = readGuide({ kind: 'shape', ...guide })
  if (!read.ok || read.value.kind !== 'shape') throw new Error(read.ok ? 'no shape' : sentenceOf(read.problems))
  return read.value
}
const ends = (guide: ReadOf<'shape'>): [number, number][][] =>
  alongVein(guide).map(({ path }) => [path.points[0], path.points.at(-1)].map((at): [number, number] => [at?.x ?? NaN, at?.y ?? NaN]))
const OVAL = 'M 20 50 A 30 10 0 0 1 80 50 A 30 10 0 0 1 20 50 Z'

describe('the vein', () => {
  it('that is drawn is followed as drawn', () => {
    expect(ends(shape({ path: OVAL, vein: 'M 80 50 L 20 50' }))).toEqual([
      [
        [80, 50],
        [20, 50],
      ],
    ])
  })

  it('that is not is the longest chord: of an oval 60 by 20 mm its long axis', () => {
    const [[from, to]] = ends(shape({ path: OVAL })) as [[[number, number], [number, number]]]
    expect(Math.abs(from[0] - to[0])).toBeGreaterThan(59.9)
    expect(Math.abs(from[1] - to[1])).toBeLessThan(1)
  })

  it('of a crescent bends with it, and lies inside from tip to tip', () => {
    const crescent = shape({ path: 'M 60 100 C 60 60 120 60 120 100 C 110 78 70 78 60 100 Z' })
    const [{ path }] = alongVein(crescent) as [ReturnType<typeof alongVein>[number]]
    for (let share = 0.05; share < 1; share += 0.05) expect(isInRegion(crescent.region, placeAt(path, path.length * share).at)).toBe(true)
    // Its chord is 60 mm; the way through its middle is longer.
    expect(path.length).toBeGreaterThan(65)
  })

  it('is parted by a hole on it, not by one beside it', () => {
    const vein = 'M 20 50 L 80 50'
    const parted = ends(shape({ path: OVAL, vein, holes: ['M 46 47 L 54 47 L 54 53 L 46 53 Z'] }))
    expect(parted).toHaveLength(2)
    const [[first, second], [third, fourth]] = parted as [[[number, number], [number, number]], [[number, number], [number, number]]]
    expect([first[0], fourth[0]]).toEqual([20, 80])
    // Found to a tenth of a millimetre, and never inside the hole.
    expect(second[0]).toBeGreaterThan(45.8)
    expect(second[0]).toBeLessThanOrEqual(46)
    expect(third[0]).toBeGreaterThanOrEqual(54)
    expect(third[0]).toBeLessThan(54.2)
    expect(ends(shape({ path: OVAL, vein, holes: ['M 46 43 L 54 43 L 54 47 L 46 47 Z'] }))).toHaveLength(1)
  })

  it('by a hole near its tip: what is too short for a stitch is left', () => {
    const near = ends(shape({ path: OVAL, vein: 'M 20 50 L 80 50', holes: ['M 20.5 50 L 26 49 L 26 51 Z'] }))
    expect(near).toHaveLength(1)
    expect(near[0]?.[0]?.[0]).toBeGreaterThan(25.9)
  })
})

describe('how broad it is', () => {
  it('of an oval 60 by 20 mm is 20 mm; a hole makes it no narrower', () => {
    expect(acrossVein(shape({ path: OVAL, vein: 'M 20 50 L 80 50' }))).toBeCloseTo(20, 1)
    expect(acrossVein(shape({ path: OVAL, vein: 'M 20 50 L 80 50', holes: ['M 46 47 L 54 47 L 54 53 L 46 53 Z'] }))).toBeCloseTo(20, 1)
  })

  it('of a crescent is across its own middle, not from its horns to its back', () => {
    // From horn to back it reaches 30 mm; measured square to its vein it is under 15.
    const broad = acrossVein(shape({ path: 'M 60 100 C 60 60 120 60 120 100 C 110 78 70 78 60 100 Z' }))
    expect(broad).toBeGreaterThan(10)
    expect(broad).toBeLessThan(15)
  })
})

it('stitches that follow a vein are the leaf stitches, and fills of rows are not', () => {
  const following = LIBRARY.filter((one) => one.guide.includes('shape') && followsVein(one)).map((one) => one.id)
  expect(following.sort()).toEqual(['closed-fly', 'cretan-stitch', 'fishbone-stitch', 'leaf-stitch', 'satin-leaf', 'shadow-work'])
})
