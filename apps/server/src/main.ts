/** Starts the server: one process that does everything, or several that serve and one that leads them. */
import { join } from 'node:path'
import { AggregatorRegistry } from 'prom-client'
import { readConfig } from './config.ts'
import { connectDatabase, defineModels } from './database/index.ts'
import { laidPagePath } from './mail/index.ts'
import { prepare } from './prepare.ts'
import { isLed, lead } from './processes/index.ts'
import { serve } from './serve.ts'
import { printHere, type PrintJob, stopPrinting } from './sheets/index.ts'
import { makeLog } from './watching/index.ts'

function fail(sentence: string): never {
  process.stderr.write(`${sentence}\n`)
  process.exit(1)
}
process.on('uncaughtException', (error) => fail(`  The server cannot go on: ${error.message}`))
process.on('SIGINT', () => undefined)
const config = readConfig(process.env)

/** One after the other, so that what is under way is finished; the database last. */
function stopWhenTold(parts: readonly (() => Promise<void>)[]): void {
  let stopping = false
  const once = async (): Promise<void> => {
    if (stopping) return
    stopping = true
    for (const stop of parts) await stop()
    await sequelize.close()
    process.exit(0)
  }
  process.on('SIGTERM', () => void once())
  // Whoever started it is gone.
  process.on('disconnect', () => void once())
}

// Of several processes each rolls files of its own.
const name = config.PROCESS ?? (config.PROCESSES > 1 ? 'leader' : undefined)
const log = makeLog(config.DATA_FOLDER && join(config.DATA_FOLDER, 'log'), config.NODE_ENV === 'development', name)
const sequelize = connectDatabase(config)
defineModels(sequelize)

if (isLed()) stopWhenTold([serve(config, { sequelize, log }, fail)])
else {
  const { demo, stop: tidied } = await prepare(config, { sequelize, log })
  // Where nothing is sent, whoever runs it is told where to read it.
  const messages = config.MAIL_URL === undefined ? laidPagePath(config.SESSION_SECRET) : undefined
  const onReady = (port: number): void => void process.send?.({ port, demo, messages })
  if (config.PROCESSES === 1) stopWhenTold([serve(config, { sequelize, log }, fail, onReady), tidied])
  else {
    const registry = new AggregatorRegistry()
    const led = lead({
      processes: config.PROCESSES,
      print: (account, order, watch) => printHere(account, order as Omit<PrintJob, 'id'>, watch),
      figures: () => registry.clusterMetrics(),
      ...{ onReady, onLost: fail, onEnded: (sentence) => void process.stderr.write(`  ${sentence}\n`) },
    })
    stopWhenTold([led, stopPrinting, tidied])
  }
}
