/** The order in which the fields of each record are written; the compiler asks for every field. */
import { fieldOrder } from '../base/index.ts'
import type { Brief, DrawnGuide, Exercise, GuideGroup, SamplerCloth, SamplerThread } from './types.ts'

export const EXERCISE_FIELDS = fieldOrder<Exercise>({
  id: 0,
  name: 1,
  stitch: 2,
  on: 3,
  parameters: 4,
  variant: 5,
  marks: 6,
  nth: 7,
  materials: 8,
  pieces: 9,
  substitutes: 10,
  asShown: 11,
  pins: 12,
  homePercent: 13,
  free: 14,
  hold: 15,
  toleranceMm: 16,
  waysOfWorking: 17,
  over: 18,
  note: 19,
  trials: 20,
  setAside: 21,
  learned: 22,
})

export const GUIDE_FIELDS = fieldOrder<DrawnGuide>({ id: 0, name: 1, layer: 2, draft: 3, guide: 4, copies: 5 })
export const GROUP_FIELDS = fieldOrder<GuideGroup>({ id: 0, name: 1, members: 2, copies: 3 })
export const THREAD_FIELDS = fieldOrder<SamplerThread>({ id: 0, kind: 1, weight: 2, colour: 3, figures: 4 })
export const CLOTH_FIELDS = fieldOrder<SamplerCloth>({ kind: 0, threadsPerCm: 1, thicknessMm: 2, colour: 3, widthMm: 4, heightMm: 5 })
export const BRIEF_FIELDS = fieldOrder<Brief>({
  level: 0,
  learners: 1,
  leftHanded: 2,
  sparePercent: 3,
  lessonMinutes: 4,
  lessons: 5,
  homeMinutesPerWeek: 6,
  startDate: 7,
  everyDays: 8,
  skipDates: 9,
  purpose: 10,
  waysOfWorking: 11,
  wishes: 12,
  hardFor: 13,
  marking: 14,
  cutting: 15,
  language: 16,
  unpicked: 17,
})
