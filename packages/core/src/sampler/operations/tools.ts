/** What an operation of the sampler gives, and the sentences that several of them share. */
import { byId, type OperationTools, refused } from '../../base/index.ts'
import { type Named, usersOf } from '../references.ts'
import type { Sampler } from '../types.ts'
import type { Operation } from './index.ts'

export type SamplerTools<One extends Operation> = OperationTools<Sampler, One, Operation>

type What = Named | 'group' | 'order'

/** What the operation is about is not there (any longer). */
export function gone(what: What, id: string) {
  return refused(`operation.${what}-gone`, { what, id })
}

export function already(what: What, name: string) {
  return refused(`operation.${what}-there`, { name })
}

/** Who must let go of it first; null where nobody holds it. */
export function refusedWhileUsed(sampler: Sampler, names: Named, id: string) {
  const users = [...new Map(usersOf(sampler, names, id).map((one) => [one.by.id, one.by] as const)).values()]
  if (users.length === 0) return null
  return refused(`operation.${names}-used`, { what: names, users: users.map((one) => one.name) })
}

export function exerciseOf(sampler: Sampler, id: string) {
  return byId(sampler.exercises, id)
}
