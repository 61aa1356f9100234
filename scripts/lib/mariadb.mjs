/**
 * A private MariaDB: its own data folder, loopback only, a free port, never the system's service. As root it
 * runs as the unprivileged user `mysql` where that user can reach the folder.
 */
import { spawn, spawnSync } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import { chmodSync, chownSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { connect, createServer } from 'node:net'
import { join } from 'node:path'
import { ensurePrograms } from './install.mjs'
import { readIfThere } from './read-if-there.mjs'
import { InTheWay, say } from './say.mjs'

const SERVER = existsSync('/usr/sbin/mariadbd') ? '/usr/sbin/mariadbd' : 'mariadbd'

/** Starts it, or takes over the one that a killed command left behind. `stop` ends it cleanly. */
export async function startMariaDb(folder, { database = 'lemmata' } = {}) {
  await ensurePrograms({ mariadbd: ['mariadb-server-core'], 'mariadb-install-db': ['mariadb-server-core'], mariadb: ['mariadb-client-core'] })
  mkdirSync(folder, { recursive: true })
  const owner = chooseOwner(folder)
  const data = join(folder, 'data')
  const tmp = join(folder, 'tmp')
  for (const one of [data, tmp]) {
    mkdirSync(one, { recursive: true })
    if (owner) chownSync(one, owner.uid, owner.gid)
  }
  if (owner) chownSync(folder, owner.uid, owner.gid)
  const settings = readSettings(folder, database)
  await stopLeftOver(data)
  if (!existsSync(join(data, 'mysql'))) await initialise(data, tmp, owner)
  settings.port = await freePort(settings.port)
  writeFileSync(join(folder, 'settings.json'), JSON.stringify(settings), { mode: 0o600 })
  const initFile = writeInitFile(folder, settings, owner)
  // Its keeper holds a pipe to whoever started it: gone without a word, even killed, the database is asked to stop.
  const child = spawn('sh', ['-c', KEEPER, SERVER, ...serverArguments({ data, tmp, initFile, port: settings.port, asRoot: isRoot() && !owner })], {
    cwd: data,
    detached: true,
    stdio: ['pipe', 'ignore', 'ignore'],
    ...(owner ?? {}),
  })
  child.stdin.on('error', () => undefined)
  const ended = new Promise((resolve) => {
    child.once('exit', (code, signal) => resolve(code > 128 ? { code: null, signal: `signal ${code - 128}` } : { code, signal }))
    child.once('error', (error) => resolve({ code: error.code, signal: null }))
  })
  let isGone = false
  // Its keeper's other half still waits for the pipe.
  void ended.then(() => {
    isGone = true
    child.stdin.destroy()
  })
  try {
    await waitForGreeting(settings.port, () => isGone, join(data, 'error.log'))
  } catch (error) {
    child.stdin.destroy()
    throw error
  } finally {
    rmSync(initFile, { force: true })
  }
  return {
    ...settings,
    host: '127.0.0.1',
    ended,
    pid: () => Number(readIfThere(join(data, 'mariadb.pid')) ?? 0),
    stop: async () => {
      child.stdin.end()
      const patience = setTimeout(() => {
        try {
          process.kill(-child.pid, 'SIGKILL')
        } catch {
          // Gone in this very moment.
        }
      }, 15_000)
      await ended
      clearTimeout(patience)
    },
  }
}

/** Runs what it is given until that ends, or until the pipe to it is closed. */
const KEEPER = 'exec 3<&0; "$0" "$@" </dev/null & child=$!; { read -r _ <&3; kill -TERM $child 2>/dev/null; } & wait $child'

const isRoot = () => process.getuid?.() === 0
const later = (ms) => new Promise((resolve) => setTimeout(resolve, ms))

/** Null to run as oneself. */
function chooseOwner(folder) {
  if (!isRoot()) return null
  if (spawnSync('id', ['-u', 'mysql'], { stdio: 'ignore' }).status !== 0) {
    spawnSync('useradd', ['--system', '--no-create-home', '--shell', '/usr/sbin/nologin', 'mysql'], { stdio: 'ignore' })
  }
  const number = (flag) => Number(spawnSync('id', [flag, 'mysql'], { encoding: 'utf8' }).stdout)
  const owner = { uid: number('-u'), gid: number('-g') }
  if (!Number.isInteger(owner.uid) || owner.uid === 0) return null
  const reaches = spawnSync('test', ['-x', folder], owner).status === 0
  if (!reaches) {
    say('MariaDB runs as root, because its own user cannot reach this folder.')
    return null
  }
  return owner
}

/** Torn or empty they are made anew: the user is made anew at each start too. */
function readSettings(folder, database) {
  try {
    const kept = JSON.parse(readIfThere(join(folder, 'settings.json')) ?? '')
    if ([kept.database, kept.user, kept.password].every((one) => typeof one === 'string' && /^[\w-]+$/.test(one)) && Number.isInteger(kept.port)) return kept
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error
  }
  return { port: 0, database, user: 'lemmata', password: randomBytes(18).toString('base64url') }
}

async function initialise(data, tmp, owner) {
  say('Creating the database folder …')
  const args = [
    '--no-defaults',
    `--datadir=${data}`,
    `--tmpdir=${tmp}`,
    '--auth-root-authentication-method=socket',
    '--skip-test-db',
    ...(isRoot() && !owner ? ['--user=root'] : []),
  ]
  const done = spawnSync('mariadb-install-db', args, { encoding: 'utf8', cwd: data, ...(owner ?? {}) })
  if (done.status !== 0) throw new InTheWay(`The database folder could not be made. MariaDB said:\n${done.stdout}${done.stderr}`)
}

/** One statement a line; made anew at each start, read once and removed. */
function writeInitFile(folder, { database, user, password }, owner) {
  const file = join(folder, `init-${randomBytes(4).toString('hex')}.sql`)
  const name = `'${user}'@'127.0.0.1'`
  writeFileSync(
    file,
    [
      `CREATE DATABASE IF NOT EXISTS \`${database}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;`,
      `CREATE OR REPLACE USER ${name} IDENTIFIED BY '${password}';`,
      // The tests make databases of their own beside the first, under its name and a suffix.
      `GRANT ALL ON \`${database.replaceAll('_', '\\_')}%\`.* TO ${name};`,
    ].join('\n'),
    { mode: 0o600 },
  )
  chmodSync(file, 0o600)
  if (owner) chownSync(file, owner.uid, owner.gid)
  return file
}

function serverArguments({ data, tmp, initFile, port, asRoot }) {
  return [
    '--no-defaults',
    `--datadir=${data}`,
    `--tmpdir=${tmp}`,
    // Relative to the data folder: a socket's path may not be longer than 107 bytes.
    '--socket=s.sock',
    `--pid-file=${join(data, 'mariadb.pid')}`,
    `--log-error=${join(data, 'error.log')}`,
    '--bind-address=127.0.0.1',
    `--port=${port}`,
    '--skip-name-resolve',
    '--character-set-server=utf8mb4',
    '--collation-server=utf8mb4_unicode_ci',
    '--innodb-flush-log-at-trx-commit=1',
    '--innodb-log-file-size=32M',
    '--innodb-buffer-pool-size=64M',
    '--max-allowed-packet=32M',
    '--default-time-zone=+00:00',
    `--init-file=${initFile}`,
    ...(asRoot ? ['--user=root'] : []),
  ]
}

/** A killed command leaves its MariaDB running on this folder: it is asked to stop before a new one starts. */
async function stopLeftOver(data) {
  for (const entry of readdirSync('/proc')) {
    if (!/^\d+$/.test(entry)) continue
    let line = ''
    try {
      line = readFileSync(`/proc/${entry}/cmdline`, 'utf8')
    } catch {
      continue
    }
    const [program, ...given] = line.split('\0')
    if (!program.endsWith('mariadbd') || !given.includes(`--datadir=${data}`)) continue
    process.kill(Number(entry), 'SIGTERM')
    for (let tries = 0; tries < 150 && existsSync(`/proc/${entry}`); tries += 1) await later(100)
  }
}

async function freePort(wanted) {
  const listen = (port) =>
    new Promise((resolve) => {
      const server = createServer()
      server.once('error', () => resolve(null))
      server.listen(port, '127.0.0.1', () => {
        const { port: got } = server.address()
        server.close(() => resolve(got))
      })
    })
  const port = (wanted ? await listen(wanted) : null) ?? (await listen(0))
  if (port === null) throw new InTheWay('No free port was found for MariaDB on this machine.')
  return port
}

/** Ready when it greets: byte 4 of the first packet is the protocol's version, 10. */
async function waitForGreeting(port, hasEnded, log) {
  for (let tries = 0; tries < 600; tries += 1) {
    if (hasEnded()) break
    if (await greets(port)) return
    await later(100)
  }
  const said = existsSync(log) ? readFileSync(log, 'utf8').split('\n').slice(-12).join('\n') : ''
  throw new InTheWay(`MariaDB did not start. If its files are damaged, restore a backup (npm run restore -- FILE). Its log ends:\n${said}`)
}

function greets(port) {
  return new Promise((resolve) => {
    const socket = connect(port, '127.0.0.1')
    const end = (answer) => {
      socket.destroy()
      resolve(answer)
    }
    socket.setTimeout(1000, () => end(false))
    socket.once('error', () => end(false))
    socket.once('data', (chunk) => end(chunk[4] === 10))
  })
}
