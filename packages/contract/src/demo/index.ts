/** Demo data, all of it invented. */
export { bandClass as thursdayClass, bandSampler as sixThursdays } from '../testing/index.ts'
export { diaryClass, weatherDiary } from './weather-diary.ts'
