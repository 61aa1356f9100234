/** Documents from outside: unknown JSON to a checked document, with every problem as a sentence and its path. */
import { error, failure, type Problem, type Result, success } from '@lemmata/core/base'
import type { StitchDocument } from '@lemmata/core/notation'
import { newSampler, type Sampler } from '@lemmata/core/sampler'
import { z } from 'zod'
import { cloth as clothSchema, exercise as exerciseSchema, sampler as samplerSchema, thread as threadSchema } from './sampler.ts'
import { stitchDocument } from './stitch.ts'

/** A document of this many characters or more is refused before it is read. */
export const MOST_CHARACTERS = 4_000_000

export function readJson(text: string): Result<unknown> {
  if (text.length > MOST_CHARACTERS)
    return failure(error('document.too-large', [], `This file has ${text.length} characters; the most is ${MOST_CHARACTERS}. Divide the sampler.`))
  try {
    return success(JSON.parse(text) as unknown)
  } catch (thrown) {
    return failure(
      error(
        'document.not-json',
        [],
        `This file is not JSON (${thrown instanceof Error ? thrown.message : 'unreadable'}). Export it again, or open it in a text editor and mend it there.`,
      ),
    )
  }
}

/** A sampler; a file that holds a single exercise is taken as a sampler of one. */
export function readSampler(given: unknown): Result<Sampler> {
  const parsed = samplerSchema.safeParse(isLoneExercise(given) ? around(given) : given)
  return parsed.success ? success(parsed.data) : failure(...problemsOf(parsed.error))
}

export function readStitch(given: unknown): Result<StitchDocument> {
  const parsed = stitchDocument.safeParse(given)
  return parsed.success ? success(parsed.data) : failure(...problemsOf(parsed.error))
}

function isLoneExercise(given: unknown): given is { exercise: unknown } {
  return typeof given === 'object' && given !== null && 'exercise' in given && !('exercises' in given)
}

/** Everything a lone exercise leaves out: calico, one stranded cotton under the id it names. */
function around(given: { exercise: unknown; cloth?: unknown; threads?: unknown; brief?: unknown; stitches?: unknown }): unknown {
  const plain = newSampler('One exercise')
  const one = exerciseSchema.partial({ id: true, name: true }).loose().safeParse(given.exercise)
  const exercise = one.success ? { ...one.data, id: one.data.id ?? 'e1', name: one.data.name ?? 'Exercise' } : given.exercise
  const named = one.success ? one.data.thread : undefined
  const threads = z.array(threadSchema).safeParse(given.threads).success
    ? given.threads
    : plain.threads.map((thread) => ({ ...thread, id: named ?? thread.id }))
  const cloth =
    given.cloth === undefined
      ? plain.cloth
      : clothSchema.safeParse(given.cloth).success || typeof given.cloth !== 'object'
        ? given.cloth
        : { ...plain.cloth, ...given.cloth }
  return { ...plain, brief: given.brief ?? plain.brief, cloth, threads, stitches: given.stitches ?? [], exercises: [exercise] }
}

export function problemsOf(zodError: z.ZodError): Problem[] {
  return zodError.issues
    .flatMap((issue) => innermost(issue))
    .map((issue) => {
      const path = issue.path.map((part) => (typeof part === 'symbol' ? String(part) : part))
      return error('document.wrong', path, `${pathInWords(path)}: ${sentence(issue.message)}`)
    })
}

interface Issue {
  readonly path: readonly PropertyKey[]
  readonly message: string
}

/** Of several readings that all failed, the one that came furthest says what is wrong. */
function innermost(issue: z.core.$ZodIssue): readonly Issue[] {
  if (issue.code !== 'invalid_union' || issue.errors.length === 0) return [issue]
  const readings = issue.errors.map((reading) => reading.flatMap((one) => innermost(one)))
  const depth = (reading: readonly Issue[]): number => Math.max(0, ...reading.map((one) => one.path.length))
  const best = readings.reduce((furthest, reading) => (depth(reading) > depth(furthest) ? reading : furthest))
  if (depth(best) === 0) return [issue]
  return best.map((one) => ({ message: one.message, path: [...issue.path, ...one.path] }))
}

export function pathInWords(path: readonly (string | number)[]): string {
  return path.length === 0 ? 'The document' : path.map((part, index) => (typeof part === 'number' ? `[${part}]` : index === 0 ? part : `.${part}`)).join('')
}

function sentence(message: string): string {
  const missing = /^Invalid input: expected (\w+), received undefined$/.exec(message)
  if (missing) return `this is missing; add it (${KINDS[missing[1] as string] ?? 'a value'}).`
  return /[.!?]$/.test(message) ? message : `${message}.`
}

const KINDS: Readonly<Record<string, string>> = {
  string: 'a text',
  number: 'a number',
  boolean: 'true or false',
  array: 'a list',
  object: 'an object',
  tuple: 'a list',
}
