import { problemsOf } from '@lemmata/contract'
import type { z } from 'zod'
import { wrongInput } from './problem.ts'

/** The body as the contract says it, or 422 with the problems. */
export function parseBody<Schema extends z.ZodType>(schema: Schema, body: unknown): z.infer<Schema> {
  const parsed = schema.safeParse(body ?? {})
  if (!parsed.success) throw wrongInput(problemsOf(parsed.error))
  return parsed.data
}
