/** Cloth for a class, by figures worked out by hand. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { newSampler, type Sampler } from '../sampler/index.ts'
import { cuttingPlan, hoopingChecks, pieceToCut, preparationOf } from './index.ts'

const usual = newSampler('Weather')
const around = (cloth: Partial<Sampler['cloth']>, brief: Partial<Sampler['brief']> = {}, nominalMm = 203): Sampler => ({
  ...usual,
  cloth: { ...usual.cloth, widthMm: 303, heightMm: 303, ...cloth },
  workingHoop: { shape: 'round', nominalMm, insideMm: nominalMm - 8, at: [150, 150] },
  brief: { ...usual.brief, ...brief },
})
const request = { widthMm: 305, heightMm: 305, count: 13, boltMm: 1400, shrinkage: 0, mayTurn: false }

describe('the piece', () => {
  it('calico washed first is cut as it is drawn, to the next half centimetre', () => {
    expect(pieceToCut(around({ kind: 'calico' }))).toEqual({
      widthMm: 305,
      heightMm: 305,
      parts: [{ what: 'drawn', widthMm: 303, heightMm: 303 }],
      problems: [],
    })
  })

  it('linen of 28 frays by 10 and, washed after cutting, loses up to 8 in a hundred: 313 / 0.92 = 340.2, so 345', () => {
    const piece = pieceToCut(around({ kind: 'linen-28' }, { cutting: { washed: 'after-cutting' } }))
    expect([piece.widthMm, piece.heightMm]).toEqual([345, 345])
    expect(piece.parts.map((part) => [part.what, part.widthMm])).toEqual([
      ['drawn', 303],
      ['edges', 10],
      ['shrinkage', 32],
    ])
  })

  it('280 of cloth is too little beyond an 8 inch hoop', () => {
    const [problem] = pieceToCut(around({ widthMm: 280 })).problems
    expect(problem).toMatchObject({ code: 'cutting.small', severity: 'caution', figures: { mm: { mm: 280 }, wanted: { mm: 303 } } })
  })
})

describe('on a width of cloth', () => {
  it('thirteen of 305 on 1.40 m: four beside each other, four rows, 1.22 m, so 1.3 m to buy; three are over', () => {
    const plan = cuttingPlan(request)
    expect(plan.ok && plan.value).toMatchObject({ columns: 4, rows: 4, lengthMm: 1220, toBuyMm: 1300, usableMm: 1380, leftWidthMm: 160, spare: 3 })
    expect(plan.ok && plan.value.places[5]).toEqual({ x: 305, y: 305 })
  })

  it('washed before it is cut it is narrower, and more is bought: 1380 x 0.94 = 1297 still hold four, 1220 / 0.94 = 1298', () => {
    const plan = cuttingPlan({ ...request, shrinkage: 0.06 })
    expect(plan.ok && [plan.value.columns, plan.value.toBuyMm]).toEqual([4, 1300])
    const more = cuttingPlan({ ...request, shrinkage: 0.1 })
    expect(more.ok && [more.value.columns, more.value.toBuyMm]).toEqual([4, 1400])
  })

  it('felt is turned where that takes less; woven cloth is not', () => {
    const felt = { widthMm: 200, heightMm: 500, count: 2, boltMm: 1020, shrinkage: 0 }
    const turned = cuttingPlan({ ...felt, mayTurn: true })
    expect(turned.ok && turned.value).toMatchObject({ turned: true, lengthMm: 200, widthMm: 500 })
    const woven = cuttingPlan({ ...felt, mayTurn: false })
    expect(woven.ok && woven.value).toMatchObject({ turned: false, lengthMm: 500 })
  })

  it('a piece wider than the cloth, and no piece, are refused', () => {
    expect(cuttingPlan({ ...request, boltMm: 320 })).toMatchObject({ ok: false, problems: [{ code: 'cutting.too-wide' }] })
    expect(cuttingPlan({ ...request, count: 0 }).ok).toBe(false)
    expect(cuttingPlan({ ...request, count: Number.NaN }).ok).toBe(false)
  })

  it('no two pieces lie on one another, all on the cloth, and a row less would not hold them', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 80, max: 600 }),
        fc.integer({ min: 80, max: 600 }),
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 700, max: 2000 }),
        fc.boolean(),
        (widthMm, heightMm, count, boltMm, mayTurn) => {
          const made = cuttingPlan({ widthMm, heightMm, count, boltMm, shrinkage: 0, mayTurn })
          if (!made.ok) throw new Error('refused')
          const { places, widthMm: wide, heightMm: high, usableMm, lengthMm, columns, rows } = made.value
          expect(places.length).toBe(count)
          expect((rows - 1) * columns).toBeLessThan(count)
          for (const [index, a] of places.entries()) {
            expect(a.x + wide <= usableMm + 1e-6 && a.y + high <= lengthMm + 1e-6).toBe(true)
            for (const b of places.slice(index + 1)) expect(Math.abs(a.x - b.x) >= wide - 1e-6 || Math.abs(a.y - b.y) >= high - 1e-6).toBe(true)
          }
        },
      ),
      { seed: 71, numRuns: 100 },
    )
  })
})

describe('before the first lesson', () => {
  const codes = (sampler: Sampler) => preparationOf(sampler).map(({ code, daysBefore }) => `${code.slice(8)} ${daysBefore}`)

  it('calico: soaked, dried and pressed, then cut and marked', () => {
    const sampler = around({ kind: 'calico' }, { marking: { method: 'tacking' } })
    expect(codes(sampler)).toEqual(['soak 5', 'dry 4', 'press 3', 'cut 3', 'mark 2', 'bind 2'])
  })

  it('linen washed after cutting is cut and overcast first', () => {
    expect(codes(around({ kind: 'linen-32' }, { cutting: { washed: 'after-cutting' } }))).toEqual([
      'cut 6',
      'overcast 6',
      'soak 5',
      'dry 4',
      'press 3',
      'mark-with 2',
      'bind 2',
    ])
  })

  it('what fades is marked on the day before; canvas is neither washed nor hooped', () => {
    expect(codes(around({ kind: 'calico' }, { cutting: { washed: 'not' }, marking: { method: 'fading-pen' } }))).toEqual([
      'press-dry 3',
      'cut 3',
      'bind 2',
      'mark-late 1',
    ])
    expect(codes(around({ kind: 'canvas-10' }))).toEqual(['cut 3', 'overcast 3', 'mark-with 2'])
    expect(hoopingChecks(around({ kind: 'canvas-10' })).map((one) => one.code)).toEqual(['cutting.on-frame'])
  })
})
