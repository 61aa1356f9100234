/** A teacher's stores. */
export { storesRoutes } from './routes.ts'
export { insertStores } from './service.ts'
