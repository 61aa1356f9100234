/** Classes: the people beside a sampler, and the edits that change what is kept of them. */
export type { ClassCalendar, MovedLesson, Rhythm } from './calendar.ts'
export type { ClassDocument, Learner, LearnerChoice, LessonNote, WayVoted } from './types.ts'
export { newClass } from './types.ts'
export { applyClassOperation, invertClassOperation } from './operations/index.ts'
export { LEARNER_FIELDS } from './operations/change-learner.ts'
export type { ClassOperation, SingleClassOperation } from './operations/index.ts'
export { CLASSES_SENTENCES } from './problems.ts'
