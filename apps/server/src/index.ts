/** The server, for tests and the command line. */
export { makeApp } from './app.ts'
export type { AppSettings } from './app.ts'
export { connectDatabase, defineModels, migrate } from './database/index.ts'
export { DEMO, loadDemo } from './demo/load-demo.ts'
