/** Calendar files of other programs. */
export { classCalendarFile } from './class-calendar.ts'
export { type CalendarEntry, calendarFile, type DayOff, readDaysOff } from './calendar-file.ts'
