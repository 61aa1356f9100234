/** Rows of known length, photographed by the camera that is not there: what is measured, what is measured as a whole, what is refused. */
import { describe, expect, it } from 'vitest'
import { planFor, testRow } from '../testing/index.ts'
import { measureOpened, measureRow, openPicture, type Picture, type Verdict } from './index.ts'

const figuresOf = (verdict: Verdict) => {
  if (verdict.state !== 'measured' && verdict.state !== 'whole') throw new Error(JSON.stringify(verdict))
  return verdict.figures
}

describe('a row in a photograph', () => {
  it.each([
    ['running-stitch', 'apart'],
    ['back-stitch', 'end-to-end'],
    ['stem-stitch', 'beside-the-last'],
    ['chain-stitch', 'looped'],
    ['cross-stitch', 'crossed'],
    ['satin-stitch', 'side-by-side'],
  ])('%s is read as stitches that lie %s, measured to a fiftieth, and counted where they can be', (stitch, kind) => {
    const row = testRow(stitch, { scatterMm: 0.06 })
    expect(row.plan.kind).toBe(kind)
    const verdict = measureRow(row.photograph(), row.plan)
    // Side by side they are too near to one another to be counted surely.
    expect(verdict.state).toBe(kind === 'side-by-side' ? 'whole' : 'measured')
    const figures = figuresOf(verdict)
    const [is, was] = kind === 'apart' ? [figures.pitchMm, row.truth.pitchMm] : [figures.lengthMm, row.truth.meanMm]
    expect(Math.abs(is / was - 1)).toBeLessThan(0.02)
    if (kind !== 'side-by-side') expect(figures.count).toBe(row.truth.count)
    if (figures.driftMm !== null) expect(Math.abs(figures.driftMm - row.truth.driftMm)).toBeLessThan(0.3)
  })

  it('is measured alike turned round, in other light and from the side', () => {
    const row = testRow('back-stitch', { scatterMm: 0.06 })
    for (const shot of [{ rollDeg: 187 }, { exposure: 0.35, gradient: 0.3, shadow: 0.4 }, { tiltDeg: 25, tiltTowardsDeg: 200, bend: 0.03 }]) {
      const verdict = measureRow(row.photograph(shot), row.plan)
      expect(verdict.state).toBe('measured')
      expect(Math.abs(figuresOf(verdict).lengthMm / row.truth.meanMm - 1)).toBeLessThan(0.02)
    }
  })

  it('shows lengths that fall along it, crosses and stitches that lean, and cloth between them', () => {
    const falling = figuresOf(measureRow(testRow('running-stitch', { trend: 0.4, scatterMm: 0.05 }).photograph(), testRow('running-stitch').plan)).lengthsMm
    expect((falling[0] ?? 0) - (falling.at(-1) ?? 0)).toBeGreaterThan(0.5)
    const leaning = testRow('satin-stitch', { leanDeg: 9, scatterMm: 0.05, missing: [60, 61] })
    const figures = figuresOf(measureRow(leaning.photograph(), leaning.plan))
    expect(figures.leanDeg).toBeCloseTo(leaning.truth.leanDeg, -0.5)
    // Two stitches of about half a millimetre are missing.
    expect(figures.widestGapMm).toBeGreaterThan(0.5)
    expect(figures.widestGapMm).toBeLessThan(1.5)
  })

  it('is none of a row that is no more than measured as a whole, where another can be counted in it', () => {
    const row = testRow('satin-stitch', { scatterMm: 0.06 })
    const opened = openPicture(row.photograph())
    if (!opened.ok) throw new Error('no card')
    // Even satin passes for a row of loops, and those are counted.
    const loops = { ...row.plan, kind: 'looped' } as const
    expect(measureOpened(opened.value, loops).state).toBe('measured')
    expect(measureOpened(opened.value, row.plan).state).toBe('whole')
    expect(measureOpened(opened.value, row.plan, undefined, [loops])).toMatchObject({ state: 'refused', why: 'not-this-row' })
    // What is counted itself is this row, whatever else it may be.
    expect(measureOpened(opened.value, loops, undefined, [loops]).state).toBe('measured')
  })

  it('side by side is counted once she has counted', () => {
    const row = testRow('satin-stitch', { scatterMm: 0.06 })
    const verdict = measureRow(row.photograph(), row.plan, { touched: null, counted: row.truth.count })
    expect(verdict.state).toBe('measured')
    expect(figuresOf(verdict).count).toBe(row.truth.count)
  })

  it('on dark cloth is measured too', () => {
    const row = testRow('chain-stitch', {}, { clothHex: '#27364f', threadHex: '#f2c45a' })
    expect(figuresOf(measureRow(row.photograph(), row.plan)).pitchMm / row.truth.meanMm).toBeCloseTo(1, 1.6)
  })
})

describe('a photograph that is not good enough is refused, and why', () => {
  const row = testRow('running-stitch')
  it.each([
    ['blurred', { blurPx: 6 }, 'blurred'],
    ['taken from far away', { pixelsPerMm: 7 }, 'too-far'],
    ['taken from the side', { tiltDeg: 42 }, 'leaning'],
    ['dark', { exposure: 0.05 }, 'dark'],
    ['with a glare', { glare: 3 }, 'glare'],
    ['cut off', { fills: 1.25 }, 'no-card'],
  ])('%s', (_name, shot, why) => {
    expect(measureRow(row.photograph(shot), row.plan)).toMatchObject({ state: 'refused', why })
  })

  it('where thread and cloth are alike', () => {
    const alike = testRow('running-stitch', {}, { threadHex: '#e6dcc6' })
    expect(measureRow(alike.photograph(), alike.plan)).toMatchObject({ state: 'refused' })
  })

  it('where no card lies in it, however little there is to see', () => {
    const empty = (widthPx: number, heightPx: number): Picture => ({ widthPx, heightPx, rgba: new Uint8ClampedArray(4 * widthPx * heightPx).fill(128) })
    for (const picture of [empty(1, 1), empty(3, 2000), empty(900, 600)])
      expect(measureRow(picture, row.plan)).toMatchObject({ state: 'refused', why: 'no-card' })
  })

  it('where it is another exercise than was told', () => {
    const opened = openPicture(row.photograph())
    if (!opened.ok) throw new Error('not opened')
    for (const stitch of ['back-stitch', 'chain-stitch', 'cross-stitch', 'satin-stitch']) {
      const plan = planFor(stitch, '#8a2d2b')
      if (!plan) throw new Error(`${stitch} makes no row`)
      expect(measureOpened(opened.value, plan)).toMatchObject({ state: 'refused', why: 'not-this-row' })
    }
  })
})

describe('a line under the row', () => {
  it('of a colour as near to what was said of the thread as its own is asked about, and told apart by one touch', () => {
    const row = testRow('running-stitch', {}, { threadHex: '#8a2d2b', lineHex: '#2f6fd8' })
    const between = { ...row.plan, threadHex: '#6a3f5a' }
    const picture = row.photograph()
    expect(measureRow(picture, between).state).toBe('touch')
    // A finger is not exact: half a millimetre beside it.
    const touched = figuresOf(measureRow(picture, between, { touched: { x: row.onThread.x, y: row.onThread.y + 0.5 }, counted: null }))
    expect(Math.abs(touched.pitchMm / row.truth.pitchMm - 1)).toBeLessThan(0.03)
  })

  it('that looks like thread itself leaves the row as a whole: how far apart its stitches begin is sure', () => {
    const row = testRow('running-stitch', {}, { threadHex: '#22386b', lineHex: '#6a6a72' })
    const verdict = measureRow(row.photograph(), row.plan)
    expect(verdict.state).toBe('whole')
    expect(Math.abs(figuresOf(verdict).pitchMm / row.truth.pitchMm - 1)).toBeLessThan(0.02)
  })
})

describe('what she says of the picture', () => {
  it('so many stitches as she has counted are looked for, and then the count is sure', () => {
    const row = testRow('stem-stitch', { scatterMm: 0.2 })
    const opened = openPicture(row.photograph())
    if (!opened.ok) throw new Error('not opened')
    for (const counted of [row.truth.count, row.truth.count - 2]) {
      const verdict = measureOpened(opened.value, row.plan, { touched: null, counted })
      expect(verdict.state).toBe('measured')
      expect(figuresOf(verdict).count).toBe(counted)
    }
    const counted = figuresOf(measureOpened(opened.value, row.plan, { touched: null, counted: row.truth.count }))
    expect(Math.abs(counted.lengthMm / row.truth.meanMm - 1)).toBeLessThan(0.02)
    // No hand makes three stitches of a row of thirty.
    expect(measureOpened(opened.value, row.plan, { touched: null, counted: 3 })).toMatchObject({ state: 'refused' })
  })
})
