/** For whoever keeps it running: whether it lives, whether it can work, its figures, and a line for every request. */
export { said } from './said.ts'
export { makeLog } from './log.ts'
export { measureRequests, requestLog } from './requests.ts'
export { watchRoutes, type WatchSettings } from './routes.ts'
