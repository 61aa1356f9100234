/**
 * Ids by what they name. A plain string may become any of them; one of them never becomes another, so that the
 * compiler finds a thread's id where an exercise's is meant.
 */
export type Id<Names extends string> = string & { readonly __names?: Names }

export type SamplerId = Id<'sampler'>
export type ClassId = Id<'class'>
export type ThreadId = Id<'thread'>
export type StitchId = Id<'stitch'>
export type GuideId = Id<'guide'>
export type GroupId = Id<'group'>
export type ExerciseId = Id<'exercise'>
export type LessonId = Id<'lesson'>
export type LearnerId = Id<'learner'>
/** A guide's id and the number of its copy, from 0: `g2/3`. */
export type PieceId = Id<'piece'>
