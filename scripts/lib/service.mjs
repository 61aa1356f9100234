/** The application as one service: private MariaDB and the server, each begun again when it ends by itself, stopped together. */
import { fork } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import { mkdirSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { keepRunning } from './keep-running.mjs'
import { takeLock } from './lock.mjs'
import { startMariaDb } from './mariadb.mjs'
import { readIfThere } from './read-if-there.mjs'
import { InTheWay } from './say.mjs'

const FIRST_PORT = 4780
/** A request under way, and a sheet being printed, have so long to finish. */
const STOP_PATIENCE_MS = 20_000

/** `fromSource`: the server as it is being written, read by a TypeScript loader; otherwise as it was built. */
export async function startService(root, { folder = join(root, '.data'), port, env = {}, fromSource = false, onExit = () => {} } = {}) {
  mkdirSync(folder, { recursive: true })
  const release = takeLock(folder)
  let database
  try {
    const chosen = port ?? (await choosePort(folder))
    let stopping = false
    const fail = (reason) => {
      if (stopping) return
      process.stderr.write(`\n  ${reason}\n\n`)
      void stop().then(() => onExit(1))
    }
    let server
    database = await keepRunning({
      name: 'The database',
      begin: async () => {
        const { stop: end, ...started } = await startMariaDb(join(folder, 'mariadb'))
        const begun = { ...started, end }
        // Its port was taken meanwhile: the server is begun again, with the new one.
        if (server && begun.port !== database.now().port) void server.now().end()
        return begun
      },
      giveUp: fail,
    })
    const secret = readSecret(folder)
    let address = chosen
    server = await keepRunning({
      name: 'The server',
      begin: async () => {
        const begun = await startServer(root, {
          database: database.now(),
          port: address,
          secret,
          env: { DATA_FOLDER: folder, MAIL_FOLDER: join(folder, 'mail'), ...env },
          fromSource,
        })
        // Begun again it is found where it was.
        address = begun.port
        return begun
      },
      giveUp: fail,
    })
    // A port asked for this once is not kept for the next start.
    if (port === undefined) writeFileSync(join(folder, 'port'), String(address))
    async function stop() {
      if (stopping) return
      stopping = true
      await server?.stop()
      await database.stop()
      release()
    }
    return {
      address: `http://127.0.0.1:${address}`,
      demo: server.now().demo,
      // Below the address; none where messages are sent.
      messages: server.now().messages,
      processes: () => ({ server: server.now().pid, database: database.now().pid() }),
      stop,
    }
  } catch (error) {
    await database?.stop()
    release()
    throw error
  }
}

async function startServer(root, { database, port, secret, env, fromSource }) {
  const child = fork(join(root, 'apps/server', fromSource ? 'src/main.ts' : 'dist/main.js'), [], {
    cwd: root,
    execArgv: fromSource ? ['--import', 'tsx'] : ['--enable-source-maps'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      ...env,
      PORT: String(port),
      DATABASE_HOST: database.host,
      DATABASE_PORT: String(database.port),
      DATABASE_NAME: database.database,
      DATABASE_USER: database.user,
      DATABASE_PASSWORD: database.password,
      SESSION_SECRET: secret,
    },
  })
  // Whether it has ended is asked of this promise alone: a process ended by a signal has no exit code, and its event comes once.
  const ended = new Promise((resolve) => child.once('exit', (code, signal) => resolve({ code, signal })))
  const ready = await Promise.race([new Promise((resolve) => child.once('message', resolve)), ended])
  if (ready.port === undefined) throw new InTheWay('The server stopped while starting. What it said stands above.')
  return {
    ...{ ended, port: ready.port, demo: ready.demo, messages: ready.messages, pid: child.pid },
    end: async () => {
      child.kill('SIGTERM')
      const patience = setTimeout(() => child.kill('SIGKILL'), STOP_PATIENCE_MS)
      await ended
      clearTimeout(patience)
    },
  }
}

/** An empty or torn one is made anew: everybody signs in once more, and nothing else is lost. */
function readSecret(folder) {
  const file = join(folder, 'session-secret')
  const kept = readIfThere(file)?.trim() ?? ''
  if (/^[0-9a-f]{64}$/.test(kept)) return kept
  const made = randomBytes(32).toString('hex')
  writeFileSync(file, made, { mode: 0o600 })
  return made
}

async function choosePort(folder) {
  const asked = process.env.PORT
  if (asked) {
    if (!isPort(asked)) throw new InTheWay(`PORT is \u201c${asked}\u201d, which is no port. Set it to a whole number from 1 to 65535, or leave it out.`)
    if (!(await isFree(Number(asked)))) throw new InTheWay(`Port ${asked} is taken by another program. Set PORT to another number, or stop that program.`)
    return Number(asked)
  }
  const kept = readIfThere(join(folder, 'port'))?.trim() ?? ''
  for (const port of [isPort(kept) ? Number(kept) : FIRST_PORT, ...Array.from({ length: 40 }, (_, index) => FIRST_PORT + index)]) {
    if (await isFree(port)) return port
  }
  return 0
}

const isPort = (text) => /^\d{1,5}$/.test(text) && Number(text) > 0 && Number(text) < 65536

function isFree(port) {
  return new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)))
  })
}
