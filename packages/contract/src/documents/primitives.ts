/** Figures and names that every document uses; limits keep hostile input from becoming work. */
import { z } from 'zod'

/** A length on the cloth, mm. Ten metres either way is beyond any table. */
export const coordinateMm = z.number().min(-10_000).max(10_000)
export const lengthMm = z.number().positive().max(10_000)
export const id = z
  .string()
  .min(1)
  .max(60)
  .regex(/^[\w.-]+$/, 'use letters, digits, dots, dashes or underscores')
export const shortText = z.string().trim().min(1).max(120)
export const longText = z.string().max(4000)
export const isoDate = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}$/, 'write a date as 2027-01-14')
  .refine((text) => isDay(text), 'this day does not exist')
export const hex = z.string().regex(/^#[0-9a-fA-F]{6}$/, 'write a colour as #4B6D8F')
export const angleRad = z.number().min(-100).max(100)
export const pair = z.tuple([coordinateMm, coordinateMm])
export const pathData = z.string().min(1).max(100_000, 'this path is longer than 100 000 characters; simplify it in the program that drew it')
export const colour = z.object({ name: shortText, hex })

/** Some readers roll 31 February over to March: the day must come back as it was given. */
function isDay(text: string): boolean {
  const at = new Date(`${text}T00:00:00Z`)
  return !Number.isNaN(at.getTime()) && at.toISOString().slice(0, 10) === text
}

/** One of a list of ids that core knows. */
export function oneOf(ids: readonly string[], what: string) {
  return z.string().refine((given) => ids.includes(given), { error: `this ${what} is not known; choose one of ${ids.join(', ')}` })
}

/** A record by name, in the order of the names: the same entries are the same bytes. */
export function recordOf<Value extends z.ZodType>(key: z.ZodString, value: Value) {
  return z.record(key, value).transform((given) => Object.fromEntries(Object.entries(given).sort(([a], [b]) => (a < b ? -1 : 1))) as typeof given)
}
