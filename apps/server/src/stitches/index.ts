/** A teacher's own stitches. */
export { stitchRoutes } from './routes.ts'
