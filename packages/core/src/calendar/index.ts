/** A course on dates: when each lesson is held, what it takes of its minutes, and who is where when. */
export { beginCalendar } from './begin.ts'
export { type CourseOnDates, courseOnDates } from './course-on-dates.ts'
export { addDays, datesFrom, dayParts, daysBetween, momentsOf, weekdayOf } from './dates.ts'
export { forecast, PACE, type Pace, type PaceForecast } from './forecast.ts'
export { type CalendarDay, type DatedLesson, type LaidCalendar, layLessons, nextFree } from './lay-lessons.ts'
export { homeToFit, type LessonMinutes, lessonMinutes, minutesProblems } from './lesson-minutes.ts'
export { type TeachingClock, teachingClock } from './teaching-clock.ts'
export { CALENDAR_SENTENCES } from './problems.ts'
