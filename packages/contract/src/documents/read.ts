/** Documents from outside: unknown JSON to a checked document, with every problem and its path. */
import { error, failure, type Problem, type Result, success } from '@lemmata/core/base'
import type { ClassDocument, Learner } from '@lemmata/core/classes'
import type { StitchDocument } from '@lemmata/core/notation'
import type { Sampler } from '@lemmata/core/sampler'
import type { Stores } from '@lemmata/core/stores'
import type { z } from 'zod'
import { samplerVersion1, upgrade1To2 } from '../upgrade/1-to-2/index.ts'
import { classDocument } from './class.ts'
import { sampler as samplerSchema } from './sampler.ts'
import { asWritten, expandShortForm } from './short-form.ts'
import { stitchDocument } from './stitch.ts'
import { stores } from './stores.ts'
import { storageProblem } from './storable.ts'

/** A document of this many characters or more is refused before it is read. */
export const MOST_CHARACTERS = 4_000_000

export function readJson(text: string): Result<unknown> {
  if (text.length > MOST_CHARACTERS) return failure(error('document.too-large', [], { characters: text.length, most: MOST_CHARACTERS }))
  try {
    return success(JSON.parse(text) as unknown)
  } catch (thrown) {
    return failure(error('document.not-json', [], { reason: thrown instanceof Error ? thrown.message : 'unreadable' }))
  }
}

/** What a sampler's file holds: the sampler, and from an old one the learners that were written into it. */
export interface SamplerFile {
  readonly sampler: Sampler
  readonly learners: readonly Learner[]
}

/** A sampler of any version; a file that holds a single exercise is taken as a sampler of one. */
export function readSampler(given: unknown): Result<Sampler> {
  const read = readSamplerFile(given)
  return read.ok ? success(read.value.sampler, read.problems) : read
}

export function readSamplerFile(given: unknown): Result<SamplerFile> {
  const unkept = storageProblem(given)
  if (unkept) return failure(unkept)
  const version = versionOf(given)
  if (typeof version === 'number' && version > NEWEST) return failure(error('document.newer', ['version'], { version, newest: NEWEST }))
  if (version === 1) return readVersion1(given)
  const { document, drawnIn } = expandShortForm(given)
  const parsed = samplerSchema.safeParse(document)
  return parsed.success ? success({ sampler: parsed.data, learners: [] }) : failure(...problemsOf(parsed.error, (path) => asWritten(path, drawnIn)))
}

const NEWEST = 2

function versionOf(given: unknown): unknown {
  return typeof given === 'object' && given !== null && 'version' in given ? given.version : undefined
}

function readVersion1(given: unknown): Result<SamplerFile> {
  const parsed = samplerVersion1.safeParse(given)
  if (!parsed.success) return failure(...problemsOf(parsed.error))
  const upgraded = upgrade1To2(parsed.data)
  const checked = samplerSchema.safeParse(upgraded.sampler)
  return checked.success ? success({ sampler: checked.data, learners: upgraded.learners }) : failure(...problemsOf(checked.error))
}

export function readClass(given: unknown): Result<ClassDocument> {
  const unkept = storageProblem(given)
  if (unkept) return failure(unkept)
  const parsed = classDocument.safeParse(given)
  return parsed.success ? success(parsed.data) : failure(...problemsOf(parsed.error))
}

export function readStores(given: unknown): Result<Stores> {
  const unkept = storageProblem(given)
  if (unkept) return failure(unkept)
  const parsed = stores.safeParse(given)
  return parsed.success ? success(parsed.data) : failure(...problemsOf(parsed.error))
}

export function readStitch(given: unknown): Result<StitchDocument> {
  const unkept = storageProblem(given)
  if (unkept) return failure(unkept)
  const parsed = stitchDocument.safeParse(given)
  return parsed.success ? success(parsed.data) : failure(...problemsOf(parsed.error))
}

/** `where`: the path as it is said, where the schema saw another form than was written. */
export function problemsOf(zodError: z.ZodError, where: (path: Problem['path']) => Problem['path'] = (path) => path): Problem[] {
  return zodError.issues
    .flatMap((issue) => innermost(issue))
    .map((issue) => {
      const path = where(issue.path.map((part) => (typeof part === 'symbol' ? String(part) : part)))
      return error('document.wrong', path, { where: pathInWords(path), what: issue.message })
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
