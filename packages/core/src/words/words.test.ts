/** Every problem and reason has a sentence, every sentence is of some problem, and figures come in the reader's unit. */
import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { mm } from '../base/index.ts'
import { CORE_SENTENCES, problemInWords, toldInWords } from './index.ts'

const SOURCE = new URL('../', import.meta.url)
const sources = readdirSync(SOURCE, { recursive: true, encoding: 'utf8' })
  .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts') && !/problems\.ts$/.test(name))
  .map((name) => readFileSync(new URL(name, SOURCE), 'utf8'))
  // Printing stands above core, and its sentences beside the sheets.
  .concat(['print-sampler.ts', 'print-book.ts'].map((name) => readFileSync(new URL(`../../print/src/${name}`, SOURCE), 'utf8')))
  .join('\n')
const PREFIXES = [...new Set(Object.keys(CORE_SENTENCES).map((code) => code.split('.')[0] as string))]
/** Codes that are put together: `needle.${code}` and the like. */
const MADE = /^(needle|strands|expression|move|operation)\./

describe('sentences', () => {
  it('there is one for every code that is written out', () => {
    const written = [...sources.matchAll(/'([a-z]+\.[a-z-]+)'/g)]
      .map((match) => match[1] as string)
      .filter((code) => PREFIXES.includes(code.split('.')[0] as string))
    // Motions and fields of the same first word are not problems: all of these stand in calls that make one.
    const calls = new Set(
      [...sources.matchAll(/(?:error|caution|refused|wrong|say|pass|choice|MoveError|ExpressionError|fault|inFront|failed)\([^)]*?'([a-z]+\.[a-z-]+)'/gs)].map(
        (match) => match[1] as string,
      ),
    )
    const missing = [...new Set(written)].filter((code) => calls.has(code) && !(code in CORE_SENTENCES))
    expect(missing).toEqual([])
    expect(calls.size).toBeGreaterThan(60)
  })

  it('there is a problem or reason for each of them', () => {
    const idle = Object.keys(CORE_SENTENCES).filter((code) => {
      const [, last] = code.split('.') as [string, string]
      return !sources.includes(`'${code}'`) && !(MADE.test(code) && (sources.includes(`'${last}'`) || sources.includes(`\``)))
    })
    expect(idle).toEqual([])
  })

  it('each ends as a sentence does, or is a part of one', () => {
    for (const [code, sentence] of Object.entries(CORE_SENTENCES)) {
      if (typeof sentence === 'string' && !/^(expression|notation\.parameter|work\.|notation\.move|assign\.needle-care)/.test(code))
        expect(sentence, code).toMatch(/[.?]$/)
    }
  })
})

describe('figures', () => {
  const short = { code: 'guide.too-short', figures: { what: 'line', length: mm(0.1), least: mm(1) } }

  it('lengths have at most two decimals, and no noughts at their end', () => {
    expect(toldInWords(short)).toBe('This line is 0.1 mm long. Draw it at least 1 mm long.')
    const tight = { code: 'exercise.tight-curve', figures: { stitch: 'back stitch', off: mm(0.123456), allowed: mm(0.2), radius: mm(10) } }
    expect(toldInWords(tight)).toMatch(/by 0\.12 mm where it bends to a radius of 10 mm; 0\.2 mm is allowed/)
  })

  it('lengths come in inches to who works in inches, small ones with a third decimal', () => {
    // 7.5 mm / 25.4 = 0.295; 0.44 mm / 25.4 = 0.0173.
    const long = { code: 'exercise.long', figures: { name: 'Stitch', comes: mm(7.5), most: mm(5.08), usual: mm(0.44) } }
    expect(toldInWords(long, { unit: 'in' })).toBe('Stitch comes to 0.3 in; over 0.2 in a stitch of this weight sags. Usual: 0.017 in.')
    expect(toldInWords(long)).toBe('Stitch comes to 7.5 mm; over 5.08 mm a stitch of this weight sags. Usual: 0.44 mm.')
  })

  it('a reason within a problem is told in the same unit', () => {
    const reason = { code: 'needle.thick', figures: { needle: 'Chenille 13', shaft: mm(1.27), wanted: mm(0.62) } }
    expect(toldInWords({ code: 'assign.needle', figures: { reason, better: 'Embroidery 8' } }, { unit: 'in' })).toBe(
      'Chenille 13: the 0.05 in shaft leaves a visible hole; about 0.024 in is enough. Embroidery 8 would serve.',
    )
  })

  it('what it is about stands before it', () => {
    const problem = { code: 'move.loop-open', figures: {}, about: ['Chain stitch', { path: ['passes', 0, 'end', 1] }, { repeat: 3 }] } as const
    expect(problemInWords(problem)).toBe('Chain stitch, pass 1, end, move 2, repeat 3: a loop is left open at the end. Catch it, or tie it down.')
  })

  it('what nobody gave a sentence is said by its code, and a figure that is missing is left out', () => {
    expect(toldInWords({ code: 'no.such', figures: {} })).toBe('no.such.')
    expect(toldInWords({ code: 'guide.too-short', figures: {} })).toBe('This  is  long. Draw it at least  long.')
  })
})
