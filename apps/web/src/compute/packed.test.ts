/** Packed, copied as between threads, and unpacked, everything is what it was. */
import { dialSampler } from '@lemmata/contract/testing'
import { surroundingsOf } from '@lemmata/core/assign'
import { workExercise } from '@lemmata/core/exercise'
import { layExercises } from '@lemmata/core/sampler'
import { LIBRARY } from '@lemmata/core/stitches'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { workForWall } from '../stitches/swatch.ts'
import { pack, unpack } from './packed.ts'

const sampler = dialSampler()
const around = surroundingsOf(sampler)
const laid = layExercises(sampler).flatMap((one) => (one.ok ? [one.value] : []))
const sent = (value: unknown): unknown => unpack(structuredClone(pack(value)))

describe('what comes from the worker', () => {
  it('is what was worked, every stitch of the wall and every exercise of a sampler', () => {
    const work = [...laid.map((one) => workExercise(one, around)), ...LIBRARY.map((one) => workForWall(one, around))]
    const before = structuredClone(work)
    expect(sent(work)).toStrictEqual(before)
    expect(work).toStrictEqual(before)
  })

  it('travels as numbers: threads, holes and places are none of them objects', () => {
    const [first] = laid
    if (!first) throw new Error('nothing laid')
    const worked = workExercise(first, around)
    if (!worked.ok) throw new Error('not worked')
    const { tree, numbers } = pack(worked)
    expect(numbers.length).toBeGreaterThan(500)
    expect(JSON.stringify(worked)).toMatch(/"wound".*"same"/)
    expect(JSON.stringify(tree)).not.toMatch(/"wound"|"same"/)
  })

  it('any value at all: mixed lists, missing fields, nothing, minus nothing, lists in lists', () => {
    const value = fc.letrec((tie) => ({
      leaf: fc.oneof(fc.double(), fc.integer(), fc.string(), fc.boolean(), fc.constant(null), fc.constant(undefined)),
      alike: fc.array(
        fc.record(
          { x: tie('leaf'), on: fc.array(fc.record({ x: fc.double(), y: fc.double() }, { noNullPrototype: true })), of: tie('leaf') },
          { noNullPrototype: true },
        ),
        { minLength: 5, maxLength: 9 },
      ),
      node: fc.oneof(
        tie('leaf'),
        tie('alike'),
        fc.array(tie('node'), { maxLength: 9 }),
        fc.dictionary(fc.stringMatching(/^[a-z]{1,3}$/), tie('node'), { maxKeys: 4, noNullPrototype: true }),
      ),
    })).node
    fc.assert(
      fc.property(value, (one) => {
        expect(sent(one)).toStrictEqual(one)
      }),
      { numRuns: 400 },
    )
  })

  it('what is one object stays one', () => {
    const guide = { points: Array.from({ length: 20 }, (_, index) => ({ x: index, y: 0 })) }
    const both = sent({ drawn: guide, work: { guide, points: guide.points } }) as { drawn: typeof guide; work: { guide: typeof guide; points: unknown } }
    expect(both.work.guide).toBe(both.drawn)
    expect(both.work.points).toBe(both.drawn.points)
  })
})
