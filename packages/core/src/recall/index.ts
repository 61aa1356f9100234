/** Where does the needle go next? Motions asked, wrong answers worked, and when each is asked again. */
export { type Around, aroundOf, askMotion, type HoleChoice, type Question, type ThreadChoice, type ThreadWay } from './ask.ts'
export { type Consequence, consequenceOf } from './consequence.ts'
export { type Motion, type Quiz, quizOf, type ThreadMatter } from './quiz.ts'
export { type AddDays, type Asked, askedToday, INTERVAL_DAYS, MOST_ASKED, MOST_NEW, nextAsked, type Remembered, rememberedOf } from './schedule.ts'
export { RECALL_WORDS, toldInWords } from './words.ts'
export type { Shown } from './wrong-holes.ts'
