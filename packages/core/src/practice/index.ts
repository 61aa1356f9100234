/** What learners have done of a course, what it comes to, and what each does next. */
export { type Learned, learnedFrom, type LearnedMinutes } from './learned.ts'
export { minutesTold, type MinutesTold } from './minutes-told.ts'
export { leaveOutLearned, takeOver, timesLearned } from './take-over.ts'
export { type NotebookRow, notebookOf } from './notebook.ts'
export { inOrder, practiceOf, UNTOUCHED } from './practice-of.ts'
export { type CourseLesson, lessonNow, type WhatNext, whatNext } from './what-next.ts'
export type { ExercisePractice, LearnerPractice, PracticeEvent, PracticeState } from './types.ts'
