/**
 * What came of an edit, checked only where it is not the very thing that stood there before: of a list each element by itself. What was
 * right of a part is right of it, for every part is checked by itself; what holds between parts is not looked at here.
 */
import { z } from 'zod'

/**
 * `before`: a valid document, out of `schema`; `after`: made of it by exchanging what changed, the rest left as it is. Answers with what
 * `schema` would read of it, sharing with `before` what is shared, its own rules between parts left aside; null where that is not valid.
 */
export function checkChanged<Document extends object>(schema: z.ZodObject, before: Document, after: Document): Document | null {
  const read = objectOf(schema, before as Fields, after as Fields)
  return read && (read.value as Document)
}

type Fields = Readonly<Record<string, unknown>>
/** Null where it is not valid. */
type Read = { readonly value: unknown } | null

function objectOf({ shape }: z.ZodObject, before: Fields, after: Fields): Read {
  const all: Record<string, unknown> = {}
  for (const key of Object.keys(shape)) {
    const read = partOf(shape[key] as z.ZodType, before[key], after[key])
    if (!read) return null
    if (read.value !== undefined) all[key] = read.value
  }
  return { value: all }
}

function partOf(schema: z.ZodType, before: unknown, after: unknown): Read {
  if (after === before) return { value: after }
  const bare = withoutDefault(schema)
  if (bare instanceof z.ZodPipe && isFields(before) && isFields(after) && isOnlyParts(bare.in)) {
    const read = objectOf(bare.in, before, after)
    return read && parsed(bare.out as z.ZodType, read.value)
  }
  if (isFields(before) && isFields(after) && isOnlyParts(bare)) return objectOf(bare, before, after)
  if (bare instanceof z.ZodArray && Array.isArray(before) && Array.isArray(after) && isOnlyElements(bare, before, after)) return listOf(bare, before, after)
  return parsed(schema, after)
}

function listOf(schema: z.ZodArray, before: readonly unknown[], after: readonly unknown[]): Read {
  const known = new Set(before)
  const all: unknown[] = []
  for (const one of after) {
    const read = known.has(one) ? { value: one } : parsed(schema.element as z.ZodType, one)
    if (!read) return null
    all.push(read.value)
  }
  return { value: all }
}

function parsed(schema: z.ZodType, value: unknown): Read {
  const read = schema.safeParse(value)
  return read.success ? { value: read.data } : null
}

const isFields = (value: unknown): value is Fields => typeof value === 'object' && value !== null && !Array.isArray(value)

function withoutDefault(schema: z.ZodType): z.ZodType {
  if (schema instanceof z.ZodDefault || schema instanceof z.ZodPrefault || schema instanceof z.ZodOptional) return withoutDefault(schema.unwrap() as z.ZodType)
  return schema
}

/** Nothing holds of it but what holds of its parts. */
const isOnlyParts = (schema: unknown): schema is z.ZodObject => schema instanceof z.ZodObject && (schema.def.checks ?? []).length === 0

/** Nothing holds of it but what holds of its elements: a list that has not grown is not too long. */
function isOnlyElements({ def }: z.ZodArray, before: readonly unknown[], after: readonly unknown[]): boolean {
  return after.length <= before.length && (def.checks ?? []).every((check) => check._zod.def.check === 'max_length')
}
