/** What crosses a border: documents, operations on them, requests and answers. */
export { brief, waysOfWorking } from './documents/brief.ts'
export { classDocument, learner, MOST_LEARNERS } from './documents/class.ts'
export { exercise, needleChoice } from './documents/exercise.ts'
export { drawnGuide, guide } from './documents/guide.ts'
export { cloth, hoop, lesson, MOST_EXERCISES, MOST_GUIDES, sampler, thread } from './documents/sampler.ts'
export { MOST_STORED, MOST_TAKEN, STORED, stores } from './documents/stores.ts'
export { stitchDocument } from './documents/stitch.ts'
export { MOST_CHARACTERS, pathInWords, problemsOf, readClass, readJson, readSampler, readSamplerFile, readStitch, readStores } from './documents/read.ts'
export type { SamplerFile } from './documents/read.ts'
export { cutText, storageProblem } from './documents/storable.ts'
export { type CalendarEntry, calendarFile, classCalendarFile, type DayOff, readDaysOff } from './calendar-file/index.ts'
export { problemInWords } from './problem-words.ts'
export {
  calendarCsv,
  notebookCsv,
  type NotebookSetting,
  readCsv,
  readNumber,
  readStoresTable,
  storesCsv,
  type StoresTable,
  TABLE_COLUMNS,
  type TableLine,
  writeStoresTable,
} from './tables/index.ts'
export { applyClassOperations, applySamplerOperations, applyStoresOperations } from './operations/apply.ts'
export type { Applied, Refusal, SentOperation } from './operations/apply.ts'
export { storesOperation } from './operations/stores-operations.ts'
export { classOperation } from './operations/class-operations.ts'
export { operation } from './operations/sampler-operations.ts'
export {
  changePassword,
  copySampler,
  deleteAccount,
  forgottenPassword,
  newPassword,
  openAccount,
  keepVersion,
  makeAccount,
  makeClass,
  makeSampler,
  MOST_BODY_BYTES,
  sendOperations,
  bookRequest,
  sheetRequest,
  signIn,
} from './api/api.ts'
export type {
  CalendarAddress,
  ClassAnswer,
  ClassSummary,
  DocumentAnswer,
  ErrorAnswer,
  SamplerAnswer,
  SamplerSummary,
  VersionAnswer,
  PictureAnswer,
  PrintLine,
  VersionSummary,
  SentAnswer,
  SessionAnswer,
  SessionSeen,
  Happened,
  RoomAnswer,
  SheetRequest,
  StaleAnswer,
  StoresAnswer,
  TeacherAnswer,
  WrittenAnswer,
} from './api/api.ts'
export {
  CODE_LENGTH,
  CODE_LETTERS,
  type JoinedAnswer,
  askWeek,
  joinClass,
  joinCode,
  type LearningAnswer,
  type LessonSeen,
  type LinkAnswer,
  type MarkedEvent,
  markPractice,
  learnerLink,
  openLink,
  tellPractice,
  type ToldEvent,
  type SaidToClass,
  type WeekAnswer,
  type WeekNews,
} from './api/learning.ts'
export { rulerCheck, type RulerCheckGiven, type RulerCheckKept, type SentPicture, sentPictureOf, showPicture } from './api/measuring.ts'
export { type AccountArchive, accountArchive, type BroughtBack, MOST_ARCHIVE_BYTES } from './api/account-archive.ts'
