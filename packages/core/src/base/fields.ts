/**
 * Changing plain records. Fields that are left out are absent, never `undefined`, and every changed record has its
 * fields in one order, so that a change taken back gives the same document to the byte.
 */

/** The fields of a record in the order in which they are written; every field must be named. */
export type FieldOrder<T> = { readonly [Key in keyof Required<T>]: number }

export function fieldOrder<T>(order: FieldOrder<T>): FieldOrder<T> {
  return order
}

export type FieldChange<T> = { readonly [Key in keyof T]?: T[Key] | undefined }

/** Fields set and cleared; what is set to `undefined` stays as it was. */
export function withFields<T extends object>(record: T, set: FieldChange<T>, clear: readonly (keyof T)[], order: FieldOrder<T>): T {
  const next: Record<string, unknown> = { ...record, ...Object.fromEntries(Object.entries(set).filter(([, value]) => value !== undefined)) }
  for (const key of clear) delete next[key as string]
  const rank = order as Readonly<Record<string, number>>
  return Object.fromEntries(Object.entries(next).sort(([a], [b]) => (rank[a] ?? Infinity) - (rank[b] ?? Infinity))) as T
}

/** What sets those fields back: their values before, and those that were absent cleared. */
export function fieldsBefore<T extends object>(
  before: T,
  set: FieldChange<T>,
  clear: readonly (keyof T)[],
): { readonly set: FieldChange<T>; readonly clear: readonly (keyof T)[] } {
  const keys = [...new Set([...(Object.keys(set) as (keyof T)[]), ...clear])]
  return {
    set: Object.fromEntries(keys.filter((key) => before[key] !== undefined).map((key) => [key, before[key]])) as FieldChange<T>,
    clear: keys.filter((key) => before[key] === undefined),
  }
}

/** Entries set and taken out, in the order of their names; undefined where nothing is left. */
export function withEntries<V>(
  record: Readonly<Record<string, V>> | undefined,
  set: Readonly<Record<string, V>>,
  clear: readonly string[],
): Readonly<Record<string, V>> | undefined {
  const entries = Object.entries({ ...record, ...set }).filter(([key]) => !clear.includes(key))
  return entries.length === 0 ? undefined : Object.fromEntries(entries.sort(([a], [b]) => (a < b ? -1 : 1)))
}

/** What sets those entries back. */
export function entriesBefore<V>(
  record: Readonly<Record<string, V>> | undefined,
  keys: readonly string[],
): { readonly set: Readonly<Record<string, V>>; readonly clear: readonly string[] } {
  const has = (key: string): boolean => record !== undefined && Object.hasOwn(record, key)
  return { set: Object.fromEntries(keys.filter(has).map((key) => [key, record?.[key] as V])), clear: keys.filter((key) => !has(key)) }
}
