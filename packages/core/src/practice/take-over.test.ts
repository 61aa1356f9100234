/** What classes took, taken into the sampler: every figure follows, once, and it can be left out again. */
import { describe, expect, it } from 'vitest'
import { workSampler } from '../exercise/index.ts'
import { courseOf } from '../order/index.ts'
import { applyOperation, type Exercise, invertOperation, newSampler, type Sampler } from '../sampler/index.ts'
import { learnedFrom, leaveOutLearned, type LearnerPractice, takeOver, UNTOUCHED } from './index.ts'

const row = (id: string, stitch: string, y: number) => ({
  exercise: { id, name: id, stitch, on: [{ guide: id }], homePercent: 80 } satisfies Exercise,
  guide: { id, guide: { kind: 'line' as const, path: `M 10 ${y} L 120 ${y}` } },
})
const rows = [row('rain', 'running-stitch', 10), row('front', 'back-stitch', 20), row('wind', 'stem-stitch', 30)]
const plain = newSampler('Weather')
const sampler: Sampler = {
  ...plain,
  drawing: { guides: rows.map((one) => one.guide), groups: [] },
  exercises: rows.map((one) => one.exercise),
  lessons: [{ id: 'l1', title: 'One', exercises: rows.map((one) => one.exercise.id) }],
}
const worked = (of: Sampler) => workSampler(of).done
const plannedIn = (of: Sampler) => (id: string) => courseOf(worked(of)).find((one) => one.id === id)?.homeMinutes ?? 0
/** Who all took so many times as long as is reckoned. */
const class_ = (of: Sampler, times: number, ids: readonly string[], learners = 200): readonly LearnerPractice[] => {
  const planned = plannedIn(of)
  const exercises = new Map(ids.map((id) => [id, { ...UNTOUCHED, state: 'can' as const, minutes: times * planned(id) }]))
  return Array.from({ length: learners }, () => ({ exercises, came: new Map(), questions: [] }))
}
function after(of: Sampler, practices: readonly LearnerPractice[]): Sampler {
  const planned = plannedIn(of)
  const applied = applyOperation(of, takeOver(worked(of), learnedFrom(practices, planned), planned, '2027-02-01'))
  if (!applied.ok) throw new Error('it cannot be taken over')
  return applied.value
}
const minutes = (of: Sampler): number[] => worked(of).map((one) => one.minutes.total)

describe('taken over', () => {
  it('each exercise is reckoned as long as the class took, those that nobody told of by its pace', () => {
    const before = minutes(sampler)
    const times = minutes(after(sampler, class_(sampler, 1.5, ['rain', 'front']))).map((one, index) => one / (before[index] as number))
    for (const one of times) expect(one).toBeCloseTo(1.5, 1)
  })

  it('of nothing told changes nothing', () => {
    expect(after(sampler, [])).toEqual(sampler)
    expect(minutes(after(sampler, class_(sampler, 1, ['rain'])))).toEqual(minutes(sampler))
  })

  it('again from a class that took as long as is reckoned now, it stays as it is', () => {
    const once = after(sampler, class_(sampler, 1.4, ['rain', 'front', 'wind']))
    const twice = after(once, class_(once, 1, ['rain', 'front', 'wind']))
    expect(twice.exercises.map((one) => one.learned?.times)).toEqual(once.exercises.map((one) => one.learned?.times))
  })

  it('is undone in one, and left out in one', () => {
    const operation = takeOver(worked(sampler), learnedFrom(class_(sampler, 2, ['rain']), plannedIn(sampler)), plannedIn(sampler), '2027-02-01')
    const back = invertOperation(sampler, operation)
    const now = after(sampler, class_(sampler, 2, ['rain']))
    const undone = back && applyOperation(now, back)
    expect(undone?.ok && undone.value).toEqual(sampler)
    const left = applyOperation(now, leaveOutLearned(worked(now)))
    expect(left.ok && left.value).toEqual(sampler)
  })

  it('says nothing of another stitch in its place', () => {
    const now = after(sampler, class_(sampler, 2, ['rain']))
    const other = { ...now, exercises: now.exercises.map((one) => (one.id === 'rain' ? { ...one, stitch: 'back-stitch' } : one)) }
    const never = { ...sampler, exercises: sampler.exercises.map((one) => (one.id === 'rain' ? { ...one, stitch: 'back-stitch' } : one)) }
    expect(minutes(other)[0]).toBe(minutes(never)[0])
  })
})
