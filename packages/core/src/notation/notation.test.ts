import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { compileExpression, ExpressionError, resolveParameters, type StitchDocument } from './index.ts'
import { sentenceOf } from '../testing/index.ts'
import type { Told } from '../base/index.ts'
import { toldInWords } from '../words/index.ts'

const materials = { D: 0.4, W: 0.44, F: 0.54, t: 0.3, ds: 0.62, p: 0.42, e: 0.42 }
const value = (expression: string | number, names: Record<string, number> = {}): number =>
  compileExpression(expression)((name) => {
    if (!Object.hasOwn(names, name)) throw new ExpressionError(`there is nothing called "${name}"`)
    return names[name] as number
  })

describe('expressions', () => {
  it.each([
    ['1+2*3', 7],
    ['(1+2)*3', 9],
    ['-2*-3', 6],
    ['7%5', 2],
    ['-1%5', 4],
    ['max(1.2,3*0.44,2*0.1)', 1.32],
    ['min(4, sqrt(9), abs(-8))', 3],
    ['.5e1', 5],
    ['1.2+3*W', 2.52],
  ])('%s is %d', (expression, expected) => {
    expect(value(expression, { W: 0.44 })).toBeCloseTo(expected, 9)
  })

  it.each([
    ['1/0', /divides by zero/],
    ['1/(2-2)', /divides by zero/],
    ['2+', /missing/],
    ['(1', /not closed/],
    ['alert(1)', /no function "alert"/],
    ['constructor', /nothing called/],
    ['__proto__', /nothing called/],
    ['W.constructor', /no meaning/],
    ['1;2', /no meaning/],
    ['sqrt(0-1)', /no finite value/],
    [`${'('.repeat(60)}1${')'.repeat(60)}`, /nested too deeply/],
    ['-'.repeat(100) + '1', /nested too deeply/],
    ['1+'.repeat(150) + '1', /too long/],
    ['', /missing/],
  ])('%.30s is an error in words', (expression, words) => {
    let told: Told | null = null
    try {
      value(expression)
    } catch (thrown) {
      if (thrown instanceof ExpressionError) told = thrown.told
    }
    expect(told && toldInWords(told)).toMatch(words)
  })

  it('never does anything but give a finite number or an ExpressionError', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (text) => {
        try {
          expect(Number.isFinite(value(text))).toBe(true)
        } catch (thrown) {
          expect(thrown).toBeInstanceOf(ExpressionError)
        }
      }),
      { seed: 21, numRuns: 2000 },
    )
  })
})

describe('parameters', () => {
  const stitch = (parameters: StitchDocument['parameters']): StitchDocument => ({
    format: 'lemmata-stitch',
    version: 1,
    id: 'invented',
    name: 'Invented',
    guide: ['line'],
    parameters,
    passes: [],
  })

  it('are worked out from each other and from the materials', () => {
    const found = resolveParameters(stitch({ L: '1.2+3*W', half: 'L/2' }), materials)
    expect(found.ok && found.value.get('half')?.value).toBeCloseTo((1.2 + 3 * 0.44) / 2, 9)
  })

  it('what the teacher gives is obeyed, and what rests on it follows', () => {
    const found = resolveParameters(stitch({ L: 3, G: 'L' }), materials, { L: 5 })
    expect(found.ok && found.value.get('G')?.value).toBe(5)
    expect(found.ok && found.value.get('L')?.given).toBe(true)
  })

  it.each([
    [{ a: 'b', b: 'a' }, /in a ring/],
    [{ n: 2 }, /may not be called "n"/],
    [{ W: 2 }, /may not be called "W"/],
    [{ 'a-b': 2 }, /may not be called/],
    [{ L: 'Q*2' }, /nothing called "Q"/],
    [{ L: '1/0' }, /divides by zero/],
  ])('%j is refused in words', (parameters, words) => {
    const found = resolveParameters(stitch(parameters), materials)
    expect(found.ok).toBe(false)
    if (!found.ok) expect(sentenceOf(found.problems)).toMatch(words)
  })
})
