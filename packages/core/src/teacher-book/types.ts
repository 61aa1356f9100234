/** What a teacher's book is made from: the learner's, and the class with what was kept of it. */
import type { BookLesson, BookOrder, Making } from '../book/index.ts'
import type { ClassDocument, Learner, LessonNote } from '../classes/index.ts'
import type { TeacherWords } from './words.ts'

export interface TeacherOrder extends Omit<BookOrder, 'owner' | 'form' | 'patternPage' | 'barMm'> {
  /** None where the sampler has no class. */
  readonly group: ClassDocument | null
  /** Pages of the learner's book, from 1, by exercise. */
  readonly pageOf: ReadonlyMap<string, number>
}

export interface TeacherMaking extends Making {
  readonly told: TeacherWords
  readonly learners: readonly Learner[]
  readonly notes: readonly LessonNote[]
  readonly groupName: string
  readonly learnersPage: ReadonlyMap<string, number>
}

export type { BookLesson }
