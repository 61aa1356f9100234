/** Learners: how they join and come back, their week, and what they tell of their work. */
export { practiceOfClass } from './practice.ts'
export { learnerRoutes, learningRoutes } from './routes.ts'
export { forgetEnded } from './service.ts'
