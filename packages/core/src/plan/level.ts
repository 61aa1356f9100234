/** For whom a course is, from what it asks. */
import type { Level } from '../sampler/index.ts'
import type { CourseItem } from '../order/index.ts'

/** The hardest exercise that people of a level can be asked to follow, points: judgement, to be overruled in the Brief. */
const MOST: Readonly<Record<Level, number>> = { beginner: 45, improver: 66, experienced: 100 }
const WORDS: Readonly<Record<Level, string>> = { beginner: 'beginners', improver: 'improvers', experienced: 'experienced hands' }

export function levelOf(course: readonly Pick<CourseItem, 'difficulty'>[]): Level {
  const hardest = Math.max(0, ...course.map((item) => item.difficulty))
  return hardest <= MOST.beginner ? 'beginner' : hardest <= MOST.improver ? 'improver' : 'experienced'
}

/** "From 8 to 44: for beginners, as your Brief says." */
export function levelInWords(course: readonly Pick<CourseItem, 'difficulty' | 'name'>[], said: Level): string {
  if (course.length === 0) return ''
  const scores = course.map((item) => item.difficulty)
  const level = levelOf(course)
  const range = `From ${Math.round(Math.min(...scores))} to ${Math.round(Math.max(...scores))}: for ${WORDS[level]}`
  if (level === said) return `${range}, as your Brief says.`
  if (MOST[level] < MOST[said]) return `${range}; your ${WORDS[said]} may find it easy.`
  const beyond = course.filter((item) => item.difficulty > MOST[said]).map((item) => item.name)
  return `${range}. For your ${WORDS[said]} ${beyond.slice(0, 3).join(', ')}${beyond.length > 3 ? ` and ${beyond.length - 3} more ask` : beyond.length > 1 ? ' ask' : ' asks'} much.`
}
