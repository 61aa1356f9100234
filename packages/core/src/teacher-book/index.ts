/** The teacher's book: a course on paper for whoever teaches it. */
export { makeTeacherBook } from './make-teacher-book.ts'
export type { TeacherOrder } from './types.ts'
