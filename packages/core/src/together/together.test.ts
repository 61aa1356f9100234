/** Needles chosen together: against every way there is, with pins, and with what cannot be served. */
import { describe, expect, it } from 'vitest'
import { findNeedle, type Needle, type NeedleFit } from '../materials/index.ts'
import { courseCost, fewerNeedles, needleId, type NeedleRow, type Solver, writeModel } from './index.ts'

const needle = (family: string, size: number): Needle => {
  const found = findNeedle(family, size)
  if (!found) throw new Error(`${family} ${size}`)
  return found
}
const fit = (one: Needle, verdict: NeedleFit['verdict'], difference = 0): NeedleFit => ({
  needle: one,
  verdict,
  difference,
  reason: { code: 'needle.right', figures: {} },
})
const [E5, E7, E8, T26, M7] = [needle('embroidery', 5), needle('embroidery', 7), needle('embroidery', 8), needle('tapestry', 26), needle('milliner', 7)]
const row = (id: string, fits: readonly NeedleFit[], more: Partial<NeedleRow> = {}): NeedleRow => ({
  exercise: id,
  name: id,
  role: 'main',
  now: fits[0]?.needle ?? E7,
  isPinned: false,
  fits,
  ...more,
})

/** Every way there is of having a needle for each row. */
function least(rows: readonly NeedleRow[], eachNeedle?: number, chosen: readonly Needle[] = []): number {
  const next = rows[chosen.length]
  if (!next) return courseCost(rows, chosen, eachNeedle)
  return Math.min(...next.fits.map((one) => least(rows, eachNeedle, [...chosen, one.needle])))
}

/** Reads the model and tries every set of needles: what a solver does, in a page. */
const byHand: Solver = (lp) => {
  const cost = new Map<string, number>()
  const objective = /cost: ([\s\S]*?)Subject To/.exec(lp)?.[1] ?? ''
  for (const [, amount, name] of objective.matchAll(/([\d.]+) (\w+)/g)) cost.set(name ?? '', Number(amount))
  const rows = [...lp.matchAll(/ one\d+: ([^=]+) = 1/g)].map(([, all]) => (all ?? '').split('+').map((one) => one.trim()))
  const names = [...(lp.split('Binary\n')[1] ?? '').matchAll(/y\d+/g)].map(([name]) => name)
  let best: { total: number; values: Map<string, number> } | null = null
  for (let set = 1; set < 2 ** names.length; set += 1) {
    const open = names.filter((_, index) => (set >> index) & 1)
    const values = new Map(open.map((name) => [name, 1]))
    let total = open.reduce((sum, name) => sum + (cost.get(name) ?? 0), 0)
    for (const choices of rows) {
      const can = choices.filter((one) => open.includes(`y${one.split('_')[1] ?? ''}`)).sort((a, b) => (cost.get(a) ?? 0) - (cost.get(b) ?? 0))
      if (can[0] === undefined) total = Number.POSITIVE_INFINITY
      else {
        total += cost.get(can[0]) ?? 0
        values.set(can[0], 1)
      }
    }
    if (Number.isFinite(total) && (best === null || total < best.total)) best = { total, values }
  }
  return Promise.resolve(best?.values ?? null)
}

describe('needles of a course together', () => {
  const three = [
    row('a', [fit(E8, 'best'), fit(E7, 'good', 0.08)]),
    row('b', [fit(E7, 'best'), fit(E8, 'with-care', -0.14), fit(E5, 'good', 0.12)]),
    row('c', [fit(E5, 'best'), fit(E7, 'good', -0.1)]),
  ]

  it('one size in the middle serves three that each had their own', async () => {
    const found = await fewerNeedles({ rows: three, left: [] }, byHand)
    expect(found?.before.map(needleId)).toEqual(['embroidery 5', 'embroidery 7', 'embroidery 8'])
    expect(found?.after.map(needleId)).toEqual(['embroidery 7'])
    expect(found?.changes.map(({ row: { exercise }, to, verdict }) => [exercise, needleId(to), verdict])).toEqual([
      ['a', 'embroidery 7', 'good'],
      ['c', 'embroidery 7', 'good'],
    ])
    // One needle, and twice 0.12 with what the shafts are off: 1 + 0.2 + 0.22.
    expect(found?.cost).toBeCloseTo(1.42, 9)
    expect(found?.costBefore).toBe(3)
  })

  it('what is given stays, and others come to it', async () => {
    const rows = [row('a', [fit(E8, 'best')], { isPinned: true }), three[1] as NeedleRow, row('d', [fit(E7, 'best'), fit(E8, 'good', -0.1)])]
    const found = await fewerNeedles({ rows, left: [] }, byHand)
    expect(found?.changes.some(({ row: { exercise } }) => exercise === 'a')).toBe(false)
    expect(found?.after.map(needleId)).toContain('embroidery 8')
    expect(found?.cost).toBeCloseTo(least(rows), 9)
  })

  it('a further needle is not saved where it would cost more discomfort than it weighs', async () => {
    const rows = [row('a', [fit(E8, 'best')]), row('b', [fit(M7, 'best'), fit(E8, 'with-care', 0.2)])]
    expect((await fewerNeedles({ rows, left: [] }, byHand))?.changes).toEqual([])
    expect((await fewerNeedles({ rows, left: [] }, byHand, 3))?.after.map(needleId)).toEqual(['embroidery 8'])
  })

  it('is never worse than what is, and as good as every way there is', async () => {
    const all = [E5, E7, E8, T26, M7]
    for (let seed = 1; seed <= 40; seed += 1) {
      const rows = Array.from({ length: 5 }, (_, index) => {
        const fits = all.flatMap((one, at) => {
          const dice = (seed * 31 + index * 17 + at * 7) % 11
          return dice < 4 ? [fit(one, (['best', 'good', 'with-care', 'good'] as const)[dice] ?? 'good', (dice - 2) / 20)] : []
        })
        return row(`r${index}`, fits.length > 0 ? fits : [fit(E7, 'best')])
      })
      const found = await fewerNeedles({ rows, left: [] }, byHand)
      expect(found?.cost, String(seed)).toBeCloseTo(Math.min(least(rows), found?.costBefore ?? 0), 6)
      expect(found?.cost).toBeLessThanOrEqual((found?.costBefore ?? 0) + 1e-9)
    }
  })

  it('no line of the model is longer than the format allows, and an empty course needs none', async () => {
    const many = Array.from({ length: 60 }, (_, index) =>
      row(
        `e${index}`,
        [E5, E7, E8, T26, M7].map((one, at) => fit(one, 'good', at / 50)),
      ),
    )
    for (const line of writeModel(many).lp.split('\n')) expect(line.length).toBeLessThan(560)
    expect(await fewerNeedles({ rows: [], left: [] }, () => Promise.reject(new Error('not asked')))).toMatchObject({ changes: [], after: [] })
  })

  it('stopped, or without an answer, nothing is said', async () => {
    expect(await fewerNeedles({ rows: three, left: [] }, () => Promise.resolve(null))).toBeNull()
  })
})
