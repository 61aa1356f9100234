/**
 * Who is asking, and what they reach. One table says who may reach which records; a service asks it and repeats no rule.
 * A learner of a class reaches her own, and nothing of anybody else: she has a kind of her own, which no look-up of a teacher's takes.
 */
import type { Request } from 'express'
import { notSignedIn } from '../http/problem.ts'

export interface Principal {
  readonly kind: 'teacher'
  readonly id: string
}

export type Records = 'samplers' | 'classes' | 'own-stitches' | 'pictures' | 'stores' | 'ruler-checks'

type Reach = { readonly [Of in Records]: (principal: Principal) => { readonly teacherId: string } }

/** A teacher reaches what is hers, and nothing else. */
const REACH: { readonly [Kind in Principal['kind']]: Reach } = {
  teacher: {
    samplers: ({ id }) => ({ teacherId: id }),
    classes: ({ id }) => ({ teacherId: id }),
    'own-stitches': ({ id }) => ({ teacherId: id }),
    pictures: ({ id }) => ({ teacherId: id }),
    stores: ({ id }) => ({ teacherId: id }),
    'ruler-checks': ({ id }) => ({ teacherId: id }),
  },
}

/** The condition that every look-up of such records carries, and what a new one is made with. */
export function reach(principal: Principal, records: Records): { readonly teacherId: string } {
  return REACH[principal.kind][records](principal)
}

/** The one who is asking, or 401. */
export function principalOf(request: Request): Principal {
  const { teacherId } = request.session
  if (!teacherId) throw notSignedIn()
  return { kind: 'teacher', id: teacherId }
}

/** A learner, on a device that she has joined or come back with. */
export interface LearnerPrincipal {
  readonly kind: 'learner'
  readonly classId: string
  readonly learnerId: string
}

/** The condition that every look-up of a learner's practice carries. */
export function ownPractice({ classId, learnerId }: LearnerPrincipal): { readonly classId: string; readonly learnerId: string } {
  return { classId, learnerId }
}
