/** What of a sampler that was brought in cannot be worked: told as soon as it is there, not when somebody opens it. */
import { problemInWords } from '@lemmata/contract'
import { surroundingsOf } from '@lemmata/core/assign'
import { layExercises, type Sampler } from '@lemmata/core/sampler'
import { counted } from '@lemmata/core/units'
import { workElsewhere } from '../compute/workers.ts'

/** A sentence with the first of them and its reason; null where all of it is worked. */
export async function cannotBeWorked(sampler: Sampler): Promise<string | null> {
  const laid = layExercises(sampler).map((result, index) => ({ name: sampler.exercises[index]?.name ?? '', result }))
  const results = await workElsewhere(
    laid.flatMap(({ result }) => (result.ok ? [result.value] : [])),
    surroundingsOf(sampler),
  )
  let next = 0
  const wrong = laid.flatMap(({ name, result }) => {
    const worked = result.ok ? results[next++] : result
    return worked && !worked.ok ? [{ name, problem: worked.problems[0] }] : []
  })
  const [first, ...others] = wrong
  if (!first) return null
  const more = others.length === 0 ? '' : ` ${counted(others.length, 'more exercise', 'more exercises')} cannot be worked either.`
  return `${first.name}: ${first.problem ? problemInWords(first.problem, sampler.units) : 'this cannot be worked.'}${more}`
}
