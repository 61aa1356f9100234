/** Demo data, all of it invented. */
export { sixThursdays, thursdayClass } from './six-thursdays.ts'
export { diaryClass, weatherDiary } from './weather-diary.ts'
