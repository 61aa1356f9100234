/** One connection pool; mysql2 speaks MariaDB and reads its JSON columns as objects. Of a cluster, whichever node answers first in its order. */
import { createConnection, type RowDataPacket } from 'mysql2/promise'
import { Sequelize } from 'sequelize'
import type { Config, Node } from '../config.ts'

export type DatabaseSettings = Pick<Config, 'DATABASE_HOST' | 'DATABASE_PORT' | 'DATABASE_NAME' | 'DATABASE_USER' | 'DATABASE_PASSWORD' | 'DATABASE_OTHERS'>

export function connectDatabase(settings: DatabaseSettings): Sequelize {
  const sequelize = new Sequelize(settings.DATABASE_NAME, settings.DATABASE_USER, settings.DATABASE_PASSWORD, {
    host: settings.DATABASE_HOST,
    port: settings.DATABASE_PORT,
    dialect: 'mysql',
    logging: false,
    pool: { max: 10, idle: 10_000, acquire: 10_000 },
    define: { charset: 'utf8mb4', collate: 'utf8mb4_unicode_ci' },
  })
  const { DATABASE_OTHERS: others } = settings
  if (others) {
    const nodes = [{ host: settings.DATABASE_HOST, port: settings.DATABASE_PORT }, ...others]
    sequelize.addHook('beforeConnect', async (config) => {
      const { host, port } = await firstReady(nodes, settings)
      Object.assign(config, { host, port })
    })
    sequelize.addHook('afterConnect', seesAll)
  }
  return sequelize
}

/** Longer than a node that runs takes to answer. */
const ANSWERS_MS = 1500

/** All turn to the same one, so that no two nodes change one row. The first where none is ready: that it is not is then said as ever. */
async function firstReady(nodes: readonly Node[], settings: DatabaseSettings): Promise<Node> {
  for (const node of nodes) if (await isReady(node, settings)) return node
  return nodes[0] as Node
}

/** Whether it answers, and is one of those that make up the cluster: one that was cut off takes no changes. */
async function isReady({ host, port }: Node, { DATABASE_USER, DATABASE_PASSWORD }: DatabaseSettings): Promise<boolean> {
  try {
    const connection = await createConnection({ host, port, user: DATABASE_USER, password: DATABASE_PASSWORD, connectTimeout: ANSWERS_MS })
    try {
      const [rows] = await connection.query<RowDataPacket[]>("SHOW STATUS LIKE 'wsrep_ready'")
      return rows.length === 0 || rows[0]?.Value === 'ON'
    } finally {
      connection.destroy()
    }
  } catch {
    return false
  }
}

/** What was acknowledged by a node that is gone is seen on the next one before anything is read there. */
function seesAll(connection: unknown): Promise<void> {
  const asked = connection as { readonly query: (sql: string, then: (error: Error | null) => void) => void }
  return new Promise((resolve, reject) => asked.query('SET SESSION wsrep_sync_wait = 1', (error) => (error ? reject(error) : resolve())))
}
