/** Packed, copied as between threads, and unpacked, an exercise is what it was. */
import { dialSampler } from '@lemmata/contract/testing'
import { surroundingsOf } from '@lemmata/core/assign'
import { workExercise } from '@lemmata/core/exercise'
import { layExercises } from '@lemmata/core/sampler'
import { describe, expect, it } from 'vitest'
import { pack, unpack } from './packed.ts'

const sampler = dialSampler()
const around = surroundingsOf(sampler)
const laid = layExercises(sampler).flatMap((one) => (one.ok ? [one.value] : []))
const work = () => laid.map((one) => workExercise(one, around))

describe('what comes from the worker', () => {
  it('is what was worked, place by place', () => {
    expect(unpack(structuredClone(pack(work())))).toEqual(work())
  })

  it('is sent with its places in one row, and none beside it', () => {
    const { results, places, counts } = pack(work())
    expect(counts.reduce((sum, one) => sum + one, 0) * 3).toBe(places.length)
    expect(places.length).toBeGreaterThan(10_000)
    for (const result of results)
      if (result.ok) for (const piece of result.value.pieces) for (const one of piece.worked.segments) expect(one.points).toEqual([])
  })

  it('what cannot be worked goes through as it is', () => {
    const [first] = laid
    if (!first) throw new Error('nothing laid')
    const broken = workExercise({ ...first, exercise: { ...first.exercise, stitch: 'no-such-stitch' } }, around)
    expect(broken.ok).toBe(false)
    const [again, other] = unpack(structuredClone(pack([broken, workExercise(first, around)])))
    expect(again).toEqual(broken)
    expect(other).toEqual(workExercise(first, around))
  })
})
