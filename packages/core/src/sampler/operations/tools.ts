/** What an operation of the sampler gives, and the sentences that several of them share. */
import { byId, type OperationTools, refused } from '../../base/index.ts'
import { type Named, usersOf } from '../references.ts'
import type { Sampler } from '../types.ts'
import type { Operation } from './index.ts'

export type SamplerTools<One extends Operation> = OperationTools<Sampler, One, Operation>

const WORDS: Readonly<Record<Named | 'group' | 'order', string>> = {
  thread: 'thread',
  stitch: 'stitch',
  guide: 'guide',
  exercise: 'exercise',
  lesson: 'lesson',
  group: 'group',
  order: 'kept order',
}

/** What the operation is about is not there (any longer). */
export function gone(what: keyof typeof WORDS, id: string) {
  return refused(`operation.${what}-gone`, `The ${WORDS[what]} "${id}" is no longer in this sampler, so this change could not be made.`)
}

export function already(what: keyof typeof WORDS, name: string) {
  return refused(`operation.${what}-there`, `"${name}" is in this sampler already.`)
}

/** Who must let go of it first; null where nobody holds it. */
export function refusedWhileUsed(sampler: Sampler, names: Named, id: string) {
  const users = [...new Map(usersOf(sampler, names, id).map((one) => [one.by.id, one.by] as const)).values()]
  if (users.length === 0) return null
  const shown = users.slice(0, 3).map((one) => `"${one.name}"`)
  const rest = users.length > 3 ? ` and ${users.length - 3} more` : ''
  return refused(
    `operation.${names}-used`,
    `This ${WORDS[names]} is used by ${shown.join(', ')}${rest}. Give ${users.length === 1 ? 'that' : 'those'} another first.`,
  )
}

export function exerciseOf(sampler: Sampler, id: string) {
  return byId(sampler.exercises, id)
}
