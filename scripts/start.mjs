/** `npm start`: installs what is missing, starts MariaDB and the server, and says where to go. */
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { ensureBuilt } from './lib/build.mjs'
import { checkNode, ensurePackages } from './lib/install.mjs'
import { say, stopWith } from './lib/say.mjs'
import { startService } from './lib/service.mjs'

const root = join(dirname(fileURLToPath(import.meta.url)), '..')

try {
  checkNode()
  process.stdout.write('\n  Lemmata\n')
  await ensurePackages(root)
  await ensureBuilt(root)
  say('Starting the database and the server …')
  const service = await startService(root, { onExit: (code) => process.exit(code ?? 1) })
  process.stdout.write(
    `\n  Open     ${service.address}\n  Sign in  ${service.demo.email}  with  ${service.demo.password}\n${service.messages ? `  Messages ${service.address}${service.messages}\n` : ''}\n  Stop with Ctrl+C. What you make stays in the folder .data.\n\n`,
  )
  stopWithParent(service)
} catch (error) {
  stopWith(error)
}

/** Stops on Ctrl+C, on SIGTERM, and when whoever started this is gone without a word. */
function stopWithParent(service) {
  let stopping = false
  const stop = async () => {
    if (stopping) return
    stopping = true
    say('Stopping …')
    await service.stop()
    process.exit(0)
  }
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, stop)
  const parent = process.ppid
  setInterval(() => {
    if (process.ppid !== parent) void stop()
  }, 1000).unref()
}
