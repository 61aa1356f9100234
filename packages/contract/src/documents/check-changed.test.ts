/** What changed is checked, the rest shared: the same as if all of it were read once more, for every edit there is. */
import { applyOperation, type Sampler } from '@lemmata/core/sampler'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyOperation, editedSampler } from '../testing/index.ts'
import { checkChanged } from './check-changed.ts'
import { MOST_EXERCISES, sampler, wrongAmong } from './sampler.ts'

const start: Sampler = sampler.parse(editedSampler)
const [exercise] = start.exercises
if (!exercise) throw new Error('nothing is worked')

describe('what came of an edit', () => {
  it('is read as the whole is, after whatever edits', () => {
    fc.assert(
      fc.property(fc.array(anyOperation, { minLength: 1, maxLength: 12 }), (operations) => {
        let now: Sampler = start
        for (const operation of operations) {
          const next = applyOperation(now, operation)
          if (!next.ok) continue
          const whole = sampler.safeParse(next.value)
          const changed = checkChanged(sampler, now, next.value)
          const isRight = changed !== null && wrongAmong(changed).length === 0
          expect(isRight).toBe(whole.success)
          if (!whole.success || !changed) continue
          expect(JSON.parse(JSON.stringify(changed))).toEqual(JSON.parse(JSON.stringify(whole.data)))
          now = changed
        }
      }),
      { numRuns: 400 },
    )
  })

  it('shares what was not touched, deep within what was', () => {
    const [first, ...others] = start.exercises
    const changed = checkChanged(sampler, start, { ...start, exercises: [{ ...exercise, name: 'Hail' }, ...others] })
    expect(changed?.exercises[0]).toEqual({ ...first, name: 'Hail' })
    expect(changed?.exercises.slice(1).every((one, index) => one === others[index])).toBe(true)
    expect([changed?.drawing === start.drawing, changed?.brief === start.brief]).toEqual([true, true])
    const [guide, ...guides] = start.drawing.guides
    if (!guide) throw new Error('nothing is drawn')
    const drawn = checkChanged(sampler, start, { ...start, drawing: { ...start.drawing, guides: [{ ...guide }, ...guides] } })
    expect(drawn?.drawing.guides[1]).toBe(guides[0])
  })

  it('is none where one part is wrong, wherever it stands, or where a list has grown too long', () => {
    const guides = start.drawing.guides.map((one, index) => (index === 1 ? { ...one, guide: { kind: 'line' as const, path: 7 as unknown as string } } : one))
    const wrong: readonly Partial<Sampler>[] = [
      { name: '' },
      { cloth: { ...start.cloth, widthMm: 1 } },
      { exercises: [...start.exercises.slice(1), { ...exercise, name: 7 as unknown as string }] },
      { drawing: { ...start.drawing, guides } },
      { exercises: Array.from({ length: MOST_EXERCISES + 1 }, (_, index) => ({ ...exercise, id: `n${index}` })) },
      { threads: undefined as unknown as Sampler['threads'], exercises: undefined as unknown as Sampler['exercises'] },
    ]
    for (const part of wrong) expect(checkChanged(sampler, start, { ...start, ...part })).toBeNull()
  })

  it('drops what a sampler does not have, and lets go of what was taken out', () => {
    const withHoop: Sampler = sampler.parse({ ...start, workingHoop: { shape: 'round', nominalMm: 150, insideMm: 140, at: [70, 70] } })
    const { workingHoop: _hoop, ...bare } = withHoop
    const changed = checkChanged(sampler, withHoop, { ...bare, weather: 'rain' } as unknown as Sampler)
    expect(changed && ['workingHoop', 'weather'].filter((key) => key in changed)).toEqual([])
  })
})
