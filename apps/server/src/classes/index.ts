/** Classes: the people beside a sampler. */
export { classRoutes } from './routes.ts'
export { classDocumentOf, findClass, findLearner, insertClass, writeClass } from './service.ts'
