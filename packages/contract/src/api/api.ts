/** Requests and answers between page and server. */
import type { Problem } from '@lemmata/core/base'
import type { Operation, Sampler } from '@lemmata/core/sampler'
import { z } from 'zod'
import { shortText } from '../documents/primitives.ts'
import { operation } from '../operations/operations.ts'

export const email = z
  .string()
  .trim()
  .toLowerCase()
  .max(200)
  .regex(/^[^\s@]+@[^\s@]+\.[^\s@]+$/, 'write an address such as ada@example.org')
export const password = z.string().min(10, 'use at least 10 characters; a few words are easy to remember').max(200)

export const makeAccount = z.object({ email, name: shortText, password })
export const signIn = z.object({ email, password: z.string().min(1, 'type your password').max(200) })
export const changePassword = z.object({ current: z.string().min(1, 'type your present password').max(200), next: password })
export const makeSampler = z.union([z.object({ name: shortText }), z.object({ document: z.unknown() })])

export const sentOperation = z.object({ id: z.uuid(), operation })
export const sendOperations = z.object({ baseVersion: z.number().int().min(1), operations: z.array(sentOperation).min(1).max(500) })
export interface SentOperation {
  readonly id: string
  readonly operation: Operation
}

export const sheetRequest = z.object({
  page: z.enum(['a4', 'letter']).default('a4'),
  /** Left out: the learner's own, else the right. */
  hand: z.enum(['right', 'left']).optional(),
  lesson: z.string().max(60).optional(),
  version: z.string().max(60).optional(),
})
export type SheetRequest = z.infer<typeof sheetRequest>

export interface TeacherAnswer {
  readonly id: string
  readonly email: string
  readonly name: string
}

export interface SessionAnswer {
  readonly teacher: TeacherAnswer | null
  /** Sent back in the header `x-csrf-token` with every request that changes something. */
  readonly csrf: string
}

export interface SamplerSummary {
  readonly id: string
  readonly name: string
  readonly exercises: number
  readonly cloth: string
  readonly changedAt: string
  readonly version: number
}

export interface SamplerAnswer {
  readonly id: string
  readonly version: number
  readonly document: Sampler
  /** The version that the last printed sheet was made from. */
  readonly printedVersion: number | null
}

export interface ErrorAnswer {
  readonly error: { readonly code: string; readonly message: string; readonly problems?: readonly Problem[] }
}

/** 409: someone (perhaps another tab) was quicker. `applied` are the sent operations that are in already. */
export interface StaleAnswer extends ErrorAnswer {
  readonly current: SamplerAnswer
  readonly applied: readonly string[]
}
