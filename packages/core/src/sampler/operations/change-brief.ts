import { type FieldChange, fieldsBefore, success, withFields } from '../../base/index.ts'
import { BRIEF_FIELDS } from '../fields.ts'
import type { Brief, OverruledWays } from '../types.ts'
import type { SamplerTools } from './tools.ts'

/** Ways of working are changed one by one; the others stay. */
export type BriefChange = FieldChange<Omit<Brief, 'waysOfWorking'>> & { readonly waysOfWorking?: OverruledWays | undefined }
export type ClearableBriefField =
  | 'startDate'
  | 'everyDays'
  | 'skipDates'
  | 'purpose'
  | 'wishes'
  | 'hardFor'
  | 'lessons'
  | 'marking'
  | 'cutting'
  | 'language'
  | 'unpicked'

export interface ChangeBrief {
  readonly kind: 'change-brief'
  readonly set: BriefChange
  readonly clear?: readonly ClearableBriefField[] | undefined
}

export const changeBrief: SamplerTools<ChangeBrief> = {
  apply: (sampler, { set, clear = [] }) => {
    const { waysOfWorking, ...plain } = set
    const ways = Object.fromEntries(Object.entries(waysOfWorking ?? {}).filter(([, value]) => value !== undefined))
    const all = waysOfWorking ? { ...plain, waysOfWorking: { ...sampler.brief.waysOfWorking, ...ways } } : plain
    return success({ ...sampler, brief: withFields<Brief>(sampler.brief, all, clear, BRIEF_FIELDS) })
  },
  invert: ({ brief }, { set, clear = [] }) => {
    const { waysOfWorking, ...plain } = set
    const before = fieldsBefore<Brief>(brief, plain, clear)
    const ways = waysOfWorking
      ? Object.fromEntries(Object.keys(waysOfWorking).map((way) => [way, brief.waysOfWorking[way as keyof typeof waysOfWorking]]))
      : null
    return {
      kind: 'change-brief',
      set: { ...before.set, ...(ways ? { waysOfWorking: ways } : {}) },
      clear: before.clear as ClearableBriefField[],
    }
  },
}
