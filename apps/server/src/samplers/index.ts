/** Samplers: the shelf, documents, operations. */
export { fileName, samplerRoutes } from './routes.ts'
export { documentOf, findSampler } from './service.ts'
