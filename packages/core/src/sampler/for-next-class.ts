/** A sampler as a template: what was drawn, chosen and ordered, without what belonged to one class. */
import { withFields } from '../base/index.ts'
import { BRIEF_FIELDS } from './fields.ts'
import type { Brief, Sampler } from './types.ts'

/** Dates, what that class found hard, and the orders kept for it go; trials of cloth and thread stay, for they are true of both. */
export function forNextClass(sampler: Sampler): Sampler {
  return { ...sampler, brief: withFields<Brief>(sampler.brief, {}, ['startDate', 'skipDates', 'hardFor'], BRIEF_FIELDS), keptOrders: [] }
}
