/** Lessons on dates with their minutes, by the brief of a sampler or by a class of it; `--ics` as a calendar file. */
import { beginCalendar, layLessons, lessonMinutes, minutesProblems } from '@lemmata/core/calendar'
import { error, failure, hasErrors, type Result, success } from '@lemmata/core/base'
import { workSampler } from '@lemmata/core/exercise'
import { courseOf } from '@lemmata/core/order'
import { classCalendarFile, readClass, readJson, readSampler } from '@lemmata/contract'
import type { Answer } from './command.ts'

export function calendar(given: unknown, { classText, ics }: Readonly<Record<string, string>>): Result<Answer> {
  const sampler = readSampler(given)
  if (!sampler.ok) return sampler
  const group = classText === undefined ? null : readJson(classText)
  if (group && !group.ok) return group
  const people = group ? readClass(group.value) : null
  if (people && !people.ok) return people
  const { brief, lessons: all } = sampler.value
  const own = people?.value.calendar
  if (!own && brief.startDate === undefined) return failure(error('cli.no-dates', ['brief', 'startDate']))
  const dates = own ?? beginCalendar(sampler.value, '', 'UTC')
  const { done, problems } = workSampler(sampler.value)
  const course = courseOf(done)
  const lessons = all.filter((one) => one.exercises.length > 0)
  const laid = layLessons(
    dates,
    lessons.map((one) => one.id),
  )
  const room = dates.minutes ?? brief.lessonMinutes
  const minutes = lessons.map((one, index) => lessonMinutes(one, course, room, Math.max(1, laid.lessons[index]?.on.length ?? 1)))
  const said = [...laid.problems, ...minutesProblems(minutes, dates.homeMinutes ?? brief.homeMinutesPerWeek)]
  const titleOf = (id: string): string => lessons.find((one) => one.id === id)?.title ?? id
  if (ics !== undefined) {
    return success({ output: classCalendarFile(sampler.value, dates, 'lemmata', new Date(0)), wrong: hasErrors(problems) }, [...problems, ...said])
  }
  const output = {
    begins: dates.begins,
    zone: dates.zone,
    lessons: laid.lessons.map(({ lesson, ...of }, index) => ({ lesson, title: titleOf(lesson), ...of, minutes: minutes[index] })),
    days: laid.days,
  }
  return success({ output, wrong: hasErrors(problems) }, [...problems, ...said])
}
