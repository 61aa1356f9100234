/** Starts the server: settings, database, migrations, demo, listening; stops when told or left alone. */
import { join } from 'node:path'
import { collectDefaultMetrics, Registry } from 'prom-client'
import { makeApp } from './app.ts'
import { readConfig } from './config.ts'
import { connectDatabase, defineModels, migrate } from './database/index.ts'
import { DEMO, loadDemo } from './demo/load-demo.ts'
import { tidy } from './housekeeping/index.ts'
import { forgetEnded } from './learning/index.ts'
import { makePost } from './mail/index.ts'
import { stopPrinting } from './sheets/index.ts'
import { makeLog } from './watching/index.ts'

process.on('uncaughtException', (error) => {
  process.stderr.write(`  The server cannot go on: ${error.message}\n`)
  process.exit(1)
})
const config = readConfig(process.env)
const log = makeLog(config.DATA_FOLDER && join(config.DATA_FOLDER, 'log'), config.NODE_ENV === 'development')
const registry = new Registry()
collectDefaultMetrics({ register: registry })
const today = (): string => new Date().toISOString().slice(0, 10)
const sequelize = connectDatabase(config)
defineModels(sequelize)
await migrate(sequelize)
await loadDemo(sequelize, today(), config.RESET_DEMO === '1')
let forgetting: Promise<unknown> = Promise.resolve()
const forget = (): void => {
  forgetting = Promise.all([forgetEnded(today()), tidy(new Date())]).catch((error: unknown) => log.error({ err: error }, 'tidying up'))
}
forget()
setInterval(forget, 24 * 3600 * 1000).unref()
const post = makePost({ url: config.MAIL_URL, folder: config.MAIL_FOLDER, from: config.MAIL_FROM })
const app = makeApp({
  ...{ sequelize, log, post, registry },
  secret: config.SESSION_SECRET,
  mostTries: 60,
  mostSignUps: config.MOST_SIGN_UPS,
  address: config.ADDRESS,
  folder: config.DATA_FOLDER,
})
const server = app.listen(config.PORT, '127.0.0.1', () => {
  const address = server.address()
  process.send?.({ port: typeof address === 'object' && address ? address.port : config.PORT, demo: DEMO })
})
server.on('error', (error: NodeJS.ErrnoException) => {
  process.stderr.write(error.code === 'EADDRINUSE' ? `Port ${config.PORT} is taken. Set PORT to another one and start again.\n` : `${error.message}\n`)
  process.exit(1)
})

/** What is under way has so long to finish. */
const DRAIN_MS = 15_000

let stopping = false
async function stop(): Promise<void> {
  if (stopping) return
  stopping = true
  const drained = new Promise((resolve) => server.close(resolve))
  // A connection is kept for the next request, which is not taken any more: it goes as soon as nothing is asked on it.
  const idle = setInterval(() => server.closeIdleConnections(), 50)
  const patience = setTimeout(() => server.closeAllConnections(), DRAIN_MS)
  await drained
  clearInterval(idle)
  clearTimeout(patience)
  await stopPrinting()
  await forgetting
  await sequelize.close()
  process.exit(0)
}
process.on('SIGTERM', () => void stop())
process.on('SIGINT', () => undefined)
// Whoever started it is gone.
process.on('disconnect', () => void stop())
