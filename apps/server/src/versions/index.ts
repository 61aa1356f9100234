/** Named versions of samplers. */
export { versionRoutes } from './routes.ts'
export { readVersion } from './service.ts'
