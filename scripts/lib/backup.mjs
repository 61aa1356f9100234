/** Everything that is kept, as one file: taken while it runs, of one moment; and put back on an empty folder or over what is there. */
import { spawn } from 'node:child_process'
import { createReadStream, createWriteStream, existsSync, mkdirSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { createGunzip, createGzip } from 'node:zlib'
import { ensurePrograms } from './install.mjs'
import { runningIn, takeLock } from './lock.mjs'
import { startMariaDb } from './mariadb.mjs'
import { readIfThere } from './read-if-there.mjs'
import { InTheWay, say } from './say.mjs'

/** The first line of a backup, and how the program that writes it ends one. */
const HEAD = '-- Lemmata, everything that is kept, form 1\n'
const END = '-- Dump completed'

const PROGRAMS = { 'mariadb-dump': ['mariadb-client'], mariadb: ['mariadb-client-core'] }

/** Writes `file`, or one in the folder's own `backups`, named by the moment. Returns its name. */
export async function backup(folder, file = join(folder, 'backups', `lemmata-${new Date().toISOString().slice(0, 19).replaceAll(':', '-')}.sql.gz`)) {
  await ensurePrograms(PROGRAMS)
  mkdirSync(dirname(file), { recursive: true })
  if (!existsSync(join(folder, 'mariadb/data/mysql'))) throw new InTheWay(`There is nothing to back up in ${folder} yet. Start Lemmata once first.`)
  await withDatabase(folder, (database) => dump(folder, database, file))
  return file
}

/** Puts `file` in place of what is kept in the folder, which is itself kept as a backup first. Nothing is changed unless all of it can be read. */
export async function restore(folder, file) {
  await ensurePrograms(PROGRAMS)
  await checkBackup(file)
  mkdirSync(folder, { recursive: true })
  const release = takeLock(folder)
  try {
    const hadData = existsSync(join(folder, 'mariadb/data/mysql'))
    const database = await startMariaDb(join(folder, 'mariadb'))
    try {
      if (hadData && (await tablesOf(folder, database)).length > 0) {
        const before = join(folder, 'backups', `before-restore-${new Date().toISOString().slice(0, 19).replaceAll(':', '-')}.sql.gz`)
        mkdirSync(dirname(before), { recursive: true })
        await dump(folder, database, before)
        say(`What was there is kept in ${before}.`)
      }
      await load(folder, database, file)
    } finally {
      await database.stop()
    }
  } finally {
    release()
  }
}

/** The one that runs, or one that is started for it. */
async function withDatabase(folder, use) {
  if (runningIn(folder)) {
    const settings = JSON.parse(readIfThere(join(folder, 'mariadb/settings.json')) ?? 'null')
    if (!settings) throw new InTheWay('Lemmata is just starting. Try again in a moment.')
    return use({ ...settings, host: '127.0.0.1' })
  }
  const release = takeLock(folder)
  try {
    const database = await startMariaDb(join(folder, 'mariadb'))
    try {
      return await use(database)
    } finally {
      await database.stop()
    }
  } finally {
    release()
  }
}

/** Of one moment, while others write: what is read is what was there when it began. */
async function dump(folder, database, file) {
  const part = `${file}.part`
  try {
    await withOptions(folder, database, async (options) => {
      const child = spawn(
        'mariadb-dump',
        // prettier-ignore
        [
          options,
          '--single-transaction',
          '--quick',
          '--hex-blob',
          '--skip-dump-date',
          '--order-by-primary',
          '--skip-lock-tables',
          '--no-tablespaces',
          database.database,
        ],
        { stdio: ['ignore', 'pipe', 'pipe'] },
      )
      const ended = endOf(child)
      const gzip = createGzip()
      gzip.write(HEAD)
      await pipeline(child.stdout, gzip, createWriteStream(part, { mode: 0o600 }))
      await ended
    })
    await checkBackup(part)
    renameSync(part, file)
  } finally {
    rmSync(part, { force: true })
  }
}

/** Beside what is there; only when all of it is in does it take its place. */
async function load(folder, database, file) {
  const beside = `${database.database}_restored`
  await run(folder, database, `DROP DATABASE IF EXISTS \`${beside}\`; CREATE DATABASE \`${beside}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;`)
  await withOptions(folder, database, async (options) => {
    const child = spawn('mariadb', [options, beside], { stdio: ['pipe', 'ignore', 'pipe'] })
    const ended = endOf(child)
    await Promise.all([pipeline(createReadStream(file), createGunzip(), child.stdin), ended])
  })
  const old = await tablesOf(folder, database)
  const made = await tablesOf(folder, { ...database, database: beside })
  await run(
    folder,
    database,
    [
      'SET FOREIGN_KEY_CHECKS = 0;',
      ...old.map((table) => `DROP TABLE \`${database.database}\`.\`${table}\`;`),
      ...made.map((table) => `RENAME TABLE \`${beside}\`.\`${table}\` TO \`${database.database}\`.\`${table}\`;`),
      `DROP DATABASE \`${beside}\`;`,
    ].join('\n'),
  )
}

/** Whether it is one, and whole: read to its end before anything is done with it. */
async function checkBackup(file) {
  if (!existsSync(file) || !statSync(file).isFile()) throw new InTheWay(`There is no file ${file}. Name a backup: npm run restore -- FILE.`)
  let head = ''
  let tail = ''
  try {
    await pipeline(createReadStream(file), createGunzip(), async (text) => {
      for await (const chunk of text) {
        if (head.length < HEAD.length) head += chunk.toString('utf8').slice(0, HEAD.length)
        tail = (tail + chunk.toString('utf8')).slice(-200)
      }
    })
  } catch (error) {
    if (error.path) throw error
    throw new InTheWay(`${file} is damaged or no backup: it cannot be read to its end. Take another one.`)
  }
  if (!head.startsWith(HEAD)) throw new InTheWay(`${file} is no backup of Lemmata.`)
  if (!tail.includes(END)) throw new InTheWay(`${file} was not written to its end. Take another one.`)
}

async function tablesOf(folder, database) {
  const said = await run(folder, database, `SELECT table_name FROM information_schema.tables WHERE table_schema = '${database.database}';`)
  return said.split('\n').filter((line) => line !== '')
}

async function run(folder, database, sql) {
  return withOptions(folder, database, async (options) => {
    const child = spawn('mariadb', [options, '--batch', '--skip-column-names'], { stdio: ['pipe', 'pipe', 'pipe'] })
    let said = ''
    child.stdout.on('data', (chunk) => {
      said += chunk
    })
    const ended = endOf(child)
    child.stdin.end(sql)
    await ended
    return said
  })
}

/** The password in a file that only its owner reads: on the command line everybody would. */
async function withOptions(folder, { host, port, user, password }, use) {
  const file = join(folder, `options-${process.pid}-${Math.random().toString(36).slice(2)}.cnf`)
  writeFileSync(file, `[client]\nhost=${host}\nport=${port}\nprotocol=tcp\nuser=${user}\npassword=${password}\n`, { mode: 0o600 })
  try {
    return await use(`--defaults-file=${file}`)
  } finally {
    rmSync(file, { force: true })
  }
}

function endOf(child) {
  let said = ''
  child.stderr.on('data', (chunk) => {
    said = (said + chunk).slice(-2000)
  })
  child.stdin?.on('error', () => undefined)
  return new Promise((resolve, reject) => {
    child.once('error', reject)
    child.once('close', (code) => (code === 0 ? resolve() : reject(new InTheWay(`The database refused it and said:\n${said}`))))
  })
}
