/** Classes: the people beside a sampler. */
export { classRoutes } from './routes.ts'
export { findLearner, insertClass } from './service.ts'
