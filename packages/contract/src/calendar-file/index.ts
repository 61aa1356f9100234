/** Calendar files of other programs. */
export { type CalendarEntry, calendarFile, type DayOff, readDaysOff } from './calendar-file.ts'
