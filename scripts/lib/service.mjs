/** The application as one service: private MariaDB, then the server, stopped together. */
import { fork } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { InTheWay } from './say.mjs'
import { startMariaDb } from './mariadb.mjs'

const FIRST_PORT = 4780

/** `fromSource`: the server as it is being written, read by a TypeScript loader; otherwise as it was built. */
export async function startService(root, { folder = join(root, '.data'), port, env = {}, fromSource = false, onExit = () => {} } = {}) {
  mkdirSync(folder, { recursive: true })
  const release = takeLock(folder)
  let database
  try {
    database = await startMariaDb(join(folder, 'mariadb'))
    const chosen = port ?? (await choosePort(folder))
    const server = fork(join(root, 'apps/server', fromSource ? 'src/main.ts' : 'dist/main.js'), [], {
      cwd: root,
      execArgv: fromSource ? ['--import', 'tsx'] : ['--enable-source-maps'],
      env: {
        ...process.env,
        NODE_ENV: 'production',
        ...env,
        PORT: String(chosen),
        DATABASE_HOST: database.host,
        DATABASE_PORT: String(database.port),
        DATABASE_NAME: database.database,
        DATABASE_USER: database.user,
        DATABASE_PASSWORD: database.password,
        SESSION_SECRET: readSecret(folder),
      },
    })
    const ready = await new Promise((resolve, reject) => {
      server.once('message', resolve)
      server.once('exit', (code) => reject(new InTheWay(`The server stopped while starting (code ${code}). What it said stands above.`)))
    })
    // A port asked for this once is not kept for the next start.
    if (port === undefined) writeFileSync(join(folder, 'port'), String(ready.port))
    let stopping = false
    const stop = async () => {
      if (stopping) return
      stopping = true
      if (server.exitCode === null) {
        const gone = new Promise((resolve) => server.once('exit', resolve))
        server.kill('SIGTERM')
        const patience = setTimeout(() => server.kill('SIGKILL'), 8000)
        await gone
        clearTimeout(patience)
      }
      await database.stop()
      release()
    }
    server.once('exit', (code) => {
      if (!stopping) void stop().then(() => onExit(code))
    })
    return { address: `http://127.0.0.1:${ready.port}`, demo: ready.demo, database, server, stop }
  } catch (error) {
    await database?.stop()
    release()
    throw error
  }
}

/** One start at a time on a folder; a lock whose process is gone is taken over. */
function takeLock(folder) {
  const file = join(folder, 'start.lock')
  if (existsSync(file)) {
    const pid = Number(readFileSync(file, 'utf8'))
    if (isAlive(pid)) {
      const port = existsSync(join(folder, 'port')) ? readFileSync(join(folder, 'port'), 'utf8') : null
      throw new InTheWay(
        `Lemmata is running already (process ${pid})${port ? `: http://127.0.0.1:${port}` : ''}. Stop it there with Ctrl+C, or go on using it.`,
      )
    }
  }
  writeFileSync(file, String(process.pid))
  return () => rmSync(file, { force: true })
}

function isAlive(pid) {
  if (!Number.isInteger(pid) || pid <= 0) return false
  try {
    process.kill(pid, 0)
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('node')
  } catch {
    return false
  }
}

function readSecret(folder) {
  const file = join(folder, 'session-secret')
  if (!existsSync(file)) writeFileSync(file, randomBytes(32).toString('hex'), { mode: 0o600 })
  return readFileSync(file, 'utf8')
}

async function choosePort(folder) {
  if (process.env.PORT) return Number(process.env.PORT)
  const saved = existsSync(join(folder, 'port')) ? Number(readFileSync(join(folder, 'port'), 'utf8')) : FIRST_PORT
  for (const port of [saved, ...Array.from({ length: 40 }, (_, index) => FIRST_PORT + index)]) {
    if (await isFree(port)) return port
  }
  return 0
}

function isFree(port) {
  return new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)))
  })
}
