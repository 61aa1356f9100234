/**
 * Three nodes of one database on loopback, as a Galera cluster. They begin from copies of one folder, and as if all of them had just been cut
 * off from one another: finding that they stand at the same place none has to be sent another's state.
 */
import { type ChildProcess, spawn } from 'node:child_process'
import { chmodSync, cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createConnection, type RowDataPacket } from 'mysql2/promise'
import type { DatabaseSettings } from '../database/index.ts'

const root = join(import.meta.dirname, '../../../..')
const LIBRARY = '/usr/lib/galera/libgalera_smm.so'
const NODES = 3
/** Any: only that they are the same for all. */
const STATE = '3f9d2c56-6c1a-11f0-8a6e-5b1f0c7d9e21'
/** Far apart: a node that comes back counts its own up by one. */
const member = (node: number): string => `3f9d2c56-6c1a-11f0-8a${node}0-5b1f0c7d9e2${node}`
/**
 * A node that says nothing for so long is taken to be gone: long enough for one that has to wait for its machine. That all agree on who is
 * there is tried often, for on a busy machine one of them is late again and again.
 */
const SILENT = [
  ...['evs.keepalive_period=PT0.5S', 'evs.inactive_check_period=PT0.5S', 'evs.suspect_timeout=PT4S', 'evs.inactive_timeout=PT10S'],
  ...['evs.install_timeout=PT10S', 'evs.max_install_timeouts=12'],
].join(';')
/** A node that ended while all were started takes the others with it: they are started anew. */
const TRIES = 3

export interface Cluster {
  /** As one would set them, the nodes from this one on; the others before it last. */
  readonly settings: (from?: number) => DatabaseSettings
  /** With no warning. */
  readonly kill: (node: number) => Promise<void>
  readonly stop: () => Promise<void>
}

interface Alone {
  readonly database: string
  readonly user: string
  readonly password: string
  readonly stop: () => Promise<void>
}

export async function startCluster(): Promise<Cluster> {
  for (let tried = 1; ; tried += 1) {
    try {
      return await startOnce()
    } catch (thrown) {
      if (tried === TRIES) throw thrown
    }
  }
}

async function startOnce(): Promise<Cluster> {
  const { ensurePrograms } = (await import(join(root, 'scripts/lib/install.mjs'))) as { ensurePrograms: (wanted: object) => Promise<void> }
  await ensurePrograms({ [LIBRARY]: ['galera-4'] })
  const { startMariaDb } = (await import(join(root, 'scripts/lib/mariadb.mjs'))) as { startMariaDb: (folder: string) => Promise<Alone> }
  const folder = mkdtempSync(join(tmpdir(), 'lemmata-cluster-'))
  // As elsewhere its user may be another than the one who runs the tests.
  chmodSync(folder, 0o755)
  const { database, user, password, stop: stopAlone } = await startMariaDb(join(folder, 'first'))
  await stopAlone()
  const ports = await freePorts(3 * NODES)
  const place = (node: number) => ({ port: ports[3 * node] ?? 0, group: ports[3 * node + 1] ?? 0, transfer: ports[3 * node + 2] ?? 0 })
  const group = Array.from({ length: NODES }, (_, node) => `127.0.0.1:${place(node).group}`).join(',')
  const login = { host: '127.0.0.1', user, password }
  const running: ChildProcess[] = []
  for (let node = 0; node < NODES; node += 1) {
    const { port, group: own, transfer } = place(node)
    const data = join(folder, `node-${node}`)
    cpSync(join(folder, 'first', 'data'), data, { recursive: true })
    writeFileSync(join(data, 'grastate.dat'), `version: 2.1\nuuid: ${STATE}\nseqno: 0\nsafe_to_bootstrap: 0\n`)
    const members = Array.from({ length: NODES }, (_, index) => `member: ${member(index)} 0`).join('\n')
    writeFileSync(join(data, 'gvwstate.dat'), `my_uuid: ${member(node)}\n#vwbeg\nview_id: 3 ${member(0)} 1\nbootstrap: 0\n${members}\n#vwend\n`)
    const child = spawn(
      '/usr/sbin/mariadbd',
      [
        ...['--no-defaults', `--datadir=${data}`, '--socket=s.sock', `--log-error=${join(data, 'error.log')}`, '--bind-address=127.0.0.1', `--port=${port}`],
        ...['--skip-name-resolve', '--character-set-server=utf8mb4', '--collation-server=utf8mb4_unicode_ci', '--default-time-zone=+00:00'],
        ...['--innodb-flush-log-at-trx-commit=1', '--innodb-log-file-size=32M', '--innodb-buffer-pool-size=64M', '--max-allowed-packet=32M'],
        ...['--binlog-format=ROW', '--innodb-autoinc-lock-mode=2', '--wsrep-on=ON', `--wsrep-provider=${LIBRARY}`, '--wsrep-cluster-name=lemmata'],
        ...[`--wsrep-cluster-address=gcomm://${group}`, '--wsrep-node-address=127.0.0.1', '--wsrep-sst-method=skip'],
        `--wsrep-provider-options=base_port=${own};gmcast.listen_addr=tcp://127.0.0.1:${own};ist.recv_addr=127.0.0.1:${transfer};gcache.size=16M;${SILENT}`,
        ...(process.getuid?.() === 0 ? ['--user=root'] : []),
      ],
      { stdio: 'ignore' },
    )
    running.push(child)
  }
  const kill = (node: number): Promise<void> =>
    new Promise((resolve) => {
      const child = running[node]
      if (!child || child.exitCode !== null || child.signalCode !== null) return resolve()
      child.once('exit', () => resolve())
      child.kill('SIGKILL')
    })
  const stop = async (): Promise<void> => {
    await Promise.all(running.map((_, node) => kill(node)))
    rmSync(folder, { recursive: true, force: true })
  }
  try {
    await Promise.all(running.map((child, node) => untilReady({ ...login, port: place(node).port }, child, join(folder, `node-${node}`, 'error.log'))))
  } catch (thrown) {
    await stop()
    throw thrown
  }
  return {
    settings: (from = 0) => {
      const [first, ...others] = Array.from({ length: NODES }, (_, index) => ({ host: '127.0.0.1', port: place((from + index) % NODES).port }))
      return {
        ...{ DATABASE_HOST: first?.host ?? '', DATABASE_PORT: first?.port ?? 0, DATABASE_OTHERS: others },
        ...{ DATABASE_NAME: database, DATABASE_USER: user, DATABASE_PASSWORD: password },
      }
    },
    kill,
    stop,
  }
}

async function untilReady(
  login: { readonly host: string; readonly user: string; readonly password: string; readonly port: number },
  child: ChildProcess,
  log: string,
) {
  while (child.exitCode === null && child.signalCode === null) {
    try {
      const connection = await createConnection(login)
      const [rows] = await connection.query<RowDataPacket[]>("SHOW STATUS LIKE 'wsrep_local_state_comment'")
      connection.destroy()
      if (rows[0]?.Value === 'Synced') return
    } catch {
      // Not there yet.
    }
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  throw new Error(
    `a node ended while it was started: ${readFileSync(log, 'utf8')
      .split('\n')
      .filter((line) => line.includes('[ERROR]'))
      .join('\n')}`,
  )
}

/** All of them held at once, so that no two are the same. */
async function freePorts(count: number): Promise<readonly number[]> {
  const servers = await Promise.all(
    Array.from(
      { length: count },
      () =>
        new Promise<ReturnType<typeof createServer>>((resolve) => {
          const server = createServer().listen(0, '127.0.0.1', () => resolve(server))
        }),
    ),
  )
  const ports = servers.map((server) => (server.address() as { readonly port: number }).port)
  await Promise.all(servers.map((server) => new Promise((resolve) => server.close(resolve))))
  return ports
}
