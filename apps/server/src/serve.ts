/** One process that answers requests. */
import type { Logger } from 'pino'
import type { Sequelize } from 'sequelize'
import { AggregatorRegistry, collectDefaultMetrics, Registry } from 'prom-client'
import { makeApp } from './app.ts'
import type { Config } from './config.ts'
import { makePost } from './mail/index.ts'
import { askLeader, isLed, thrownOf } from './processes/index.ts'
import { stopPrinting } from './sheets/index.ts'

/** What is under way has so long to finish. */
const DRAIN_MS = 15_000

/** Answers with what ends it. `fail`: told why it cannot listen. */
export function serve(
  config: Config,
  { sequelize, log }: { readonly sequelize: Sequelize; readonly log: Logger },
  fail: (sentence: string) => void,
  onReady: (port: number) => void = () => undefined,
): () => Promise<void> {
  const registry = new Registry()
  collectDefaultMetrics({ register: registry })
  const app = makeApp({
    ...{ sequelize, log, registry },
    ...(isLed() ? { figures: figuresOfAll(registry) } : {}),
    post: makePost({ url: config.MAIL_URL, folder: config.MAIL_FOLDER, from: config.MAIL_FROM }),
    byMessage: config.MAIL_URL !== undefined,
    ...(config.MAIL_URL === undefined ? { laid: config.MAIL_FOLDER } : {}),
    secret: config.SESSION_SECRET,
    mostTries: 60,
    mostSignUps: config.MOST_SIGN_UPS,
    address: config.ADDRESS,
    folder: config.DATA_FOLDER,
  })
  const server = app.listen(config.PORT, '127.0.0.1', () => {
    const address = server.address()
    onReady(typeof address === 'object' && address ? address.port : config.PORT)
  })
  server.on('error', (error: NodeJS.ErrnoException) =>
    fail(error.code === 'EADDRINUSE' ? `Port ${config.PORT} is taken. Set PORT to another one and start again.` : error.message),
  )
  return async () => {
    const drained = new Promise((resolve) => server.close(resolve))
    // A connection is kept for the next request, which is not taken any more: it goes as soon as nothing is asked on it.
    const idle = setInterval(() => server.closeIdleConnections(), 50)
    const patience = setTimeout(() => server.closeAllConnections(), DRAIN_MS)
    await drained
    clearInterval(idle)
    clearTimeout(patience)
    await stopPrinting()
  }
}

/** Whichever process is asked, it tells of all. */
function figuresOfAll(registry: Registry): () => Promise<string> {
  AggregatorRegistry.setRegistries(registry)
  // Made, it hears its leader ask for this process's own.
  new AggregatorRegistry()
  return () =>
    new Promise((resolve, reject) => {
      askLeader({ kind: 'figures' }, (answer) => {
        if (answer.kind === 'figures') resolve(answer.text)
        else if (answer.kind === 'refused') reject(thrownOf(answer.refusal))
      })
    })
}
