/** Demo data, all of it invented. */
export { demoStores } from './demo-stores.ts'
export { sixThursdays, thursdayClass } from './six-thursdays.ts'
export { thursdayPractice } from './thursday-practice.ts'
export { diaryClass, weatherDiary } from './weather-diary.ts'
