/** Ranked choices: every one that there is, in the order of what it costs, each cost as its sentence says. */
import { describe, expect, it } from 'vitest'
import { practiceFor, practiceGuide } from '../guide/index.ts'
import { findThreadKind, fitNeedles, makeBundle, measuredNeedle, type Needle, NEEDLES, THREAD_KINDS, type ThreadOfKind } from '../materials/index.ts'
import { type Materials, newSampler, type SamplerThread } from '../sampler/index.ts'
import { LIBRARY } from '../stitches/index.ts'
import { assignMaterials, type Assigned, discomfort, type Neighbours, rankChoices, surroundingsOf } from './index.ts'

const cotton: SamplerThread = { id: 'c', kind: 'stranded-cotton', colour: { name: 'Rainwater', hex: '#224466' } }
const plain = newSampler('Rank')
function assigned(stitch: string, materials: Materials, cloth = plain.cloth): Assigned {
  const document = LIBRARY.find((one) => one.id === stitch)
  if (!document) throw new Error(stitch)
  const guide = practiceGuide(document.practice ?? practiceFor(document), 100, 100, 160)
  const found = assignMaterials({ id: 'e', name: 'Test', stitch, materials }, guide.kind, surroundingsOf({ ...plain, cloth, threads: [cotton] }))
  if (!found.ok) throw new Error(found.problems[0]?.code)
  return found.value
}
const question = (one: Assigned, role = 'main') => ({ exercise: {}, assigned: one, role, level: 'improver' as const, counted: false })
const kinds = (...names: string[]): ThreadOfKind[] =>
  names.map((name) => {
    const [kind = '', weight] = name.split(' ')
    return { kind, ...(weight === undefined ? {} : { weight }) }
  })
const needlesOf = (...names: string[]): Needle[] =>
  names.map((name) => {
    const [family = '', size] = name.split(' ')
    const found = NEEDLES.find((one) => one.family.id === family && one.size === Number(size))
    if (!found) throw new Error(name)
    return found
  })
const back = assigned('back-stitch', { main: { thread: 'c', strands: 3 } })

describe('ranked choices', () => {
  const threads = kinds('stranded-cotton', 'pearl-cotton 8', 'pearl-cotton 5', 'crewel-wool', 'tapestry-wool', 'viscose-floss', 'sewing-cotton 50')
  const needles = needlesOf('embroidery 5', 'embroidery 7', 'embroidery 9', 'chenille 24', 'tapestry 22', 'milliner 5')

  it.each([
    ['a line', back, 'main'],
    ['a tie', assigned('couching-stitch', { main: { thread: 'c', strands: 4 } }), 'tie'],
    ['a fill', assigned('satin-stitch', { main: { thread: 'c', strands: 2 } }), 'main'],
    ['a split line', assigned('split-stitch', { main: { thread: 'c', strands: 2 } }), 'main'],
    ['wraps', assigned('bullion-knot', { main: { thread: 'c', strands: 2 } }), 'main'],
  ])('of %s are all that a needle serves, and none is cheaper than the one before it', (_name, one, role) => {
    const ranked = rankChoices({ ...question(one, role), threads, needles })
    const key = (kind: { id: string; weight: string | null }, strands: number, { family, size }: Needle): string =>
      `${kind.id} ${kind.weight} ${strands} ${family.id} ${size}`
    const all = new Set<string>()
    for (const { kind: id, weight } of threads) {
      const kind = findThreadKind(id, weight)
      if (!kind) throw new Error(id)
      for (let strands = 1; strands <= kind.mostStrands; strands += 1)
        for (const needle of needles) {
          // Each needle asked by itself, beside those that there are.
          const now = ranked.find((choice) => choice.kind === kind && choice.strands === strands && choice.needle === needle)
          if (now) {
            all.add(key(kind, strands, needle))
            expect(now.cost).toBeCloseTo(
              Object.values(now.costs).reduce((sum, part) => sum + part, 0),
              9,
            )
          } else if (role === 'main' && one === back) {
            const fit = fitNeedles(
              { bundle: makeBundle(kind, strands), thread: kind, cloth: one.cloth, school: one.ways.needle, wraps: 0, blunt: false },
              needles,
            ).find((other) => other.needle === needle)
            expect(fit?.verdict, key(kind, strands, needle)).toBe('no')
          }
        }
    }
    expect(all.size).toBe(ranked.length)
    for (const [index, choice] of ranked.entries()) if (index > 0) expect(choice.cost).toBeGreaterThanOrEqual(ranked[index - 1]?.cost ?? 0)
    expect(ranked.length).toBeGreaterThan(5)
  })

  it('put what is worked now first, with the needle that is best for it', () => {
    const [first] = rankChoices({ ...question(back), threads })
    expect(first).toMatchObject({ from: { kind: 'stranded-cotton' }, strands: 3, verdict: 'best', cost: 0 })
  })

  it('in place of three strands of cotton: coton \u00e0 broder 16, then pearl 8, for they lie nearly as wide', () => {
    const ranked = rankChoices({ ...question(back), threads: kinds('pearl-cotton 5', 'pearl-cotton 8', 'coton-a-broder 16', 'sewing-cotton 50') })
    expect(ranked[0]?.kind.id).toBe('coton-a-broder')
    // 1.10 x 1.05 x 0.27 x root 3 = 0.540; 1.10 x 0.46 = 0.506: 10 ln(0.506 / 0.540)^2 = 0.042; another thread of the same nature 0.1.
    expect(ranked[0]?.costs.width).toBeCloseTo(0.0424, 3)
    expect(ranked[0]?.costs.feel).toBe(0.1)
    const best = (id: string, weight: string) => ranked.find((one) => one.kind.id === id && one.kind.weight === weight)
    expect(best('pearl-cotton', '8')?.cost).toBeLessThan(best('pearl-cotton', '5')?.cost ?? 0)
    // 1.05 x 0.47 = 0.4935 and hard twisted: 0.081 and 0.2.
    expect(best('pearl-cotton', '8')?.costs.width).toBeCloseTo(0.0816, 3)
    expect(best('pearl-cotton', '8')?.costs.feel).toBe(0.2)
  })

  it('as wide as is asked for, not as it is now', () => {
    const [first] = rankChoices({ ...question(back), threads: kinds('stranded-cotton'), widthMm: 0.305 })
    expect(first?.strands).toBe(1)
  })

  it('splits in even strands or soft single threads; a tie hides nothing; metal is not sewn with; silk slips from beginners', () => {
    const costs = (one: Assigned, role: string, thread: string, strands: number, level: 'beginner' | 'improver' = 'improver') =>
      rankChoices({ ...question(one, role), threads: kinds(thread), level }).find((choice) => choice.strands === strands)?.costs
    const split = assigned('split-stitch', { main: { thread: 'c', strands: 2 } })
    expect([1, 2, 3].map((strands) => costs(split, 'main', 'stranded-cotton', strands)?.worked)).toEqual([0.25, 0, 0.25])
    expect(costs(split, 'main', 'coton-a-broder 25', 1)?.worked).toBe(0)
    expect(costs(split, 'main', 'pearl-cotton 12', 1)?.worked).toBe(0.25)
    const couched = assigned('couching-stitch', { main: { thread: 'c', strands: 2 } })
    expect(costs(couched, 'tie', 'sewing-cotton 60', 1)?.worked).toBe(0)
    expect(costs(couched, 'tie', 'stranded-cotton', 2)?.worked).toBe(1)
    expect(costs(back, 'main', 'metallic-passing 0.3', 1)?.worked).toBeGreaterThanOrEqual(2)
    expect(costs(back, 'main', 'viscose-floss', 2, 'beginner')?.feel).toBeCloseTo(0.4, 9)
  })

  it('know a needle by its millimetres, whatever its packet says', () => {
    const thin = measuredNeedle('embroidery', 1, 0.69)
    if (!thin) throw new Error('no such needle')
    const [first] = rankChoices({ ...question(back), threads: kinds('stranded-cotton'), needles: [thin] })
    const [usual] = rankChoices({ ...question(back), threads: kinds('stranded-cotton'), needles: needlesOf('embroidery 7') })
    expect(first).toMatchObject({ strands: usual?.strands, verdict: usual?.verdict, cost: usual?.cost })
  })

  it('on a cloth that gives: soft, not thick, and in short stitches', () => {
    const jersey = { ...plain.cloth, kind: 'jersey', threadsPerCm: undefined, thicknessMm: undefined }
    const worked = (cloth: typeof plain.cloth, thread: string, strands: number, stitch = 'back-stitch', parameters = {}) =>
      rankChoices({ ...question(assigned(stitch, { main: { thread: 'c', strands: 2 } }, cloth)), exercise: { parameters }, threads: kinds(thread) }).find(
        (choice) => choice.strands === strands,
      )?.costs.worked
    // Soft and thin as on any cloth; hard twisted a third more; a stitch of 5 mm too.
    expect(worked(jersey, 'stranded-cotton', 2)).toBe(worked(plain.cloth, 'stranded-cotton', 2))
    expect(worked(jersey, 'pearl-cotton 12', 1)).toBeCloseTo(0.3, 9)
    expect(worked(jersey, 'stranded-cotton', 2, 'back-stitch', { L: 5 })).toBeCloseTo(0.3, 9)
    expect(worked(plain.cloth, 'stranded-cotton', 2, 'back-stitch', { L: 5 })).toBe(0)
    // Pearl 3 wants 1.1 x 0.92 + 0.27 = 1.28 mm, and jersey lets 1.05 mm pass with ease.
    expect(worked(jersey, 'pearl-cotton 3', 1)).toBeCloseTo(0.8, 9)
  })

  it('beside what it would be taken for, or out of a run from fine to bold, it costs a quarter each', () => {
    const first = (widthMm: number, neighbours: Neighbours) =>
      rankChoices({ ...question(back), threads: kinds('stranded-cotton'), widthMm, neighbours }).map(({ strands, costs }) => [strands, costs.look] as const)
    const look = (neighbours: Neighbours) => Object.fromEntries(first(0.54, neighbours))
    // Three strands lie 0.54 wide, two 0.44, four 0.62, six 0.76.
    expect(look({ alike: [{ nature: 'soft', widthMm: 0.54 }], run: null })).toMatchObject({ 2: 0, 3: 0.25, 4: 0, 6: 0 })
    expect(look({ alike: [{ nature: 'hard', widthMm: 0.54 }], run: null })).toMatchObject({ 3: 0 })
    expect(look({ alike: [], run: [0.5, 0.6] })).toMatchObject({ 1: 0.25, 2: 0, 3: 0, 6: 0.25 })
    expect(look({ alike: [{ nature: 'soft', widthMm: 0.76 }], run: [0.5, 0.6] })).toMatchObject({ 6: 0.5 })
    expect(Object.fromEntries(first(0.54, { alike: [], run: null }))).toMatchObject({ 3: 0 })
  })

  it('without a thread or a needle are none; discomfort is none for what does not serve', () => {
    expect(rankChoices({ ...question(back), threads: [] })).toEqual([])
    expect(rankChoices({ ...question(back), threads: kinds('stranded-cotton'), needles: [] })).toEqual([])
    expect(rankChoices({ ...question(back), threads: kinds('moonbeam') })).toEqual([])
    expect(discomfort({ verdict: 'no', difference: 0 })).toBeNull()
  })

  it('over everything that is known is done before one has looked', () => {
    const ranked = rankChoices({ ...question(back), threads: THREAD_KINDS.map(({ id, weight }) => ({ kind: id, ...(weight === null ? {} : { weight }) })) })
    expect(ranked.length).toBeGreaterThan(300)
  })
})
