/** Demo data, all of it invented. */
export { sixThursdays } from './six-thursdays.ts'
export { weatherDiary } from './weather-diary.ts'
