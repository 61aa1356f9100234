/** A learner's version: choices within what is left free, orders for one who wants none. */
import { describe, expect, it } from 'vitest'
import type { Learner } from '../classes/index.ts'
import { type Exercise, newSampler, type Sampler } from '../sampler/index.ts'
import { forLearner, workForLearner, workSampler } from './index.ts'
import { sentenceOf } from '../testing/index.ts'

const rain: Exercise = {
  id: 'rain',
  name: 'Rain',
  stitch: 'running-stitch',
  on: [{ guide: 'g1' }],
  materials: { main: { thread: 'grey', strands: 2 } },
  parameters: { G: 2 },
  free: ['colour', 'length'],
  substitutes: [{ stitch: 'back-stitch', materials: { main: { strands: 3 } } }],
}
const wind: Exercise = { id: 'wind', name: 'Wind', stitch: 'stem-stitch', on: [{ guide: 'g2' }], materials: { main: { thread: 'grey' } } }
const sampler: Sampler = {
  ...newSampler('Weather'),
  threads: ['grey', 'blue'].map((id) => ({ id, kind: 'stranded-cotton', colour: { name: id, hex: '#556677' } })),
  drawing: {
    guides: [
      { id: 'g1', guide: { kind: 'line', path: 'M 10 10 L 80 10' } },
      { id: 'g2', guide: { kind: 'line', path: 'M 10 30 L 80 30' } },
    ],
    groups: [],
  },
  exercises: [rain, wind],
}
const version = (more: Partial<Learner>): Learner => ({ id: 'v', name: 'Tove', choices: {}, ...more })
const madeOf = (more: Partial<Learner>, id = 'rain') => {
  const made = forLearner(sampler, version(more))
  return { exercise: made.sampler.exercises.find((one) => one.id === id), problems: made.problems }
}

describe('a version for one learner', () => {
  it('takes what is chosen of what is free, and leaves the rest open', () => {
    const { exercise, problems } = madeOf({ choices: { rain: { thread: 'blue' } } })
    expect(exercise).toEqual({ ...rain, materials: { main: { thread: 'blue', strands: 2 } }, free: ['length'] })
    expect(problems).toEqual([])
    expect(madeOf({ choices: { rain: { thread: 'blue', parameters: { L: 4 } } } }).exercise).toMatchObject({
      materials: { main: { thread: 'blue' } },
      parameters: { G: 2, L: 4 },
    })
  })

  it('leaves every other exercise the very same', () => {
    expect(madeOf({ choices: { rain: { thread: 'blue' } } }, 'wind').exercise).toBe(wind)
    expect(madeOf({ settled: true }, 'wind').exercise).toBe(wind)
  })

  it('passes over what is not free, and says so', () => {
    const { exercise, problems } = madeOf({ choices: { rain: { strands: 5 }, wind: { thread: 'blue' } } })
    expect(exercise).toBe(rain)
    expect(problems.map((problem) => [problem.severity, sentenceOf(problem)])).toEqual([
      ['caution', 'Tove, Rain: the strands are not left free, so the exercise stays as it is.'],
      ['caution', 'Tove, Wind: the colour is not left free, so the exercise stays as it is.'],
    ])
  })

  it('a thread that is gone, or a stitch no longer allowed, changes nothing', () => {
    expect(madeOf({ choices: { rain: { thread: 'red' } } })).toMatchObject({
      exercise: { materials: { main: { thread: 'grey' } } },
      problems: [{ code: 'learner.thread-gone' }],
    })
    expect(madeOf({ choices: { rain: { stitch: 'chain-stitch' } } })).toMatchObject({ exercise: { stitch: 'running-stitch' }, problems: [{}] })
  })

  it('an allowed stitch comes with its own strands and lengths', () => {
    const { exercise } = madeOf({ choices: { rain: { stitch: 'back-stitch', thread: 'blue' } } })
    expect(exercise).toMatchObject({ stitch: 'back-stitch', materials: { main: { strands: 3, thread: 'blue' } } })
    expect(exercise?.parameters).toBeUndefined()
  })

  it('settled, nothing is left to choose', () => {
    const { exercise } = madeOf({ settled: true, choices: { rain: { thread: 'blue' } } })
    expect(exercise).toMatchObject({ materials: { main: { thread: 'blue' } } })
    expect(exercise?.free).toBeUndefined()
    expect(exercise?.substitutes).toBeUndefined()
  })

  it('works anew only what is chosen otherwise', () => {
    const { done } = workSampler(sampler)
    const [hers, wind] = workForLearner(sampler, version({ choices: { rain: { parameters: { L: 5 } } } }), done).exercises
    expect(wind).toBe(done[1])
    expect(hers?.stitches).toBeLessThan(done[0]?.stitches ?? 0)
  })
})
