/** Named versions of samplers. */
export { versionRoutes } from './routes.ts'
