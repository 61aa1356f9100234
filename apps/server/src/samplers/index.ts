/** Samplers: the shelf, documents, operations. */
export { fileName, samplerRoutes } from './routes.ts'
export { documentOf, findSampler, shelfColumns } from './service.ts'
