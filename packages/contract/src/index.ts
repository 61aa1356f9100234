/** What crosses a border: documents, operations on them, requests and answers. */
export { brief, cloth, exercise, guide, hoop, lesson, MOST_EXERCISES, needleChoice, sampler, thread, waysOfWorking } from './documents/sampler.ts'
export { stitchDocument } from './documents/stitch.ts'
export { MOST_CHARACTERS, pathInWords, problemsOf, readJson, readSampler, readStitch } from './documents/read.ts'
export { applyOperations, operation } from './operations/operations.ts'
export { changePassword, makeAccount, makeSampler, sendOperations, sheetRequest, signIn } from './api/api.ts'
export type { ErrorAnswer, SamplerAnswer, SamplerSummary, SentOperation, SessionAnswer, SheetRequest, StaleAnswer, TeacherAnswer } from './api/api.ts'
