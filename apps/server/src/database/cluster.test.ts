/** A database of three nodes: one is killed under writers, serving goes on, and nothing that was acknowledged is lost or twice there. */
import { randomUUID } from 'node:crypto'
import { QueryTypes } from 'sequelize'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { readConfig } from '../config.ts'
import { makeTeacher, post, serverOn, type TestServer } from '../testing/make-server.ts'
import { type Cluster, startCluster } from '../testing/start-cluster.ts'
import { connectDatabase } from './index.ts'

let cluster: Cluster
let server: TestServer
beforeAll(async () => {
  cluster = await startCluster()
  server = await serverOn(connectDatabase(cluster.settings()))
}, 300_000)
afterAll(async () => {
  await server.stop()
  await cluster.stop()
})

const WRITERS = 4
const BEFORE = 6
const AFTER = 10

it('the node that all write to is killed', async () => {
  const writers = await Promise.all(
    Array.from({ length: WRITERS }, async () => {
      const teacher = await makeTeacher(server)
      const made = await post(teacher, '/samplers', { name: 'Weather' })
      expect(made.status).toBe(201)
      return { teacher, sampler: made.body.id as string, acknowledged: [] as string[] }
    }),
  )
  let isKilled = false
  const statuses = new Set<number>()
  const write = async ({ teacher, sampler, acknowledged }: (typeof writers)[number], count: number): Promise<void> => {
    const wanted = acknowledged.length + count
    while (acknowledged.length < wanted) {
      const id = randomUUID()
      // As a page does: the same change is sent until it is acknowledged.
      for (;;) {
        const answer = await post(teacher, `/samplers/${sampler}/operations`, {
          baseRevision: acknowledged.length + 1,
          operations: [{ id, operation: { kind: 'rename', name: `Fog ${acknowledged.length}` } }],
        })
        statuses.add(answer.status)
        if (answer.status === 200) break
        if (!isKilled) throw new Error(`${answer.status} ${JSON.stringify(answer.body)}`)
        await new Promise((resolve) => setTimeout(resolve, 50))
      }
      acknowledged.push(id)
    }
  }
  await Promise.all(writers.map((one) => write(one, BEFORE)))
  const going = Promise.all(writers.map((one) => write(one, AFTER)))
  isKilled = true
  await cluster.kill(0)
  await going
  // One that was signed in at the node that is gone is so at the others; whatever was not taken was refused as the database being away.
  const [ada] = writers
  expect((await ada?.teacher.agent.get('/api/session'))?.body.teacher).toBeTruthy()
  expect([...statuses].filter((status) => ![200, 503].includes(status))).toEqual([])
  const third = connectDatabase({ ...cluster.settings(2), DATABASE_OTHERS: undefined })
  try {
    await third.query('SET SESSION wsrep_sync_wait = 1')
    for (const { sampler, acknowledged } of writers) {
      const read = { replacements: { sampler }, type: QueryTypes.SELECT } as const
      const kept = await third.query<{ id: string }>('SELECT id FROM operations WHERE samplerId = :sampler ORDER BY revision', read)
      expect(kept.map(({ id }) => id)).toEqual(acknowledged)
      expect(await third.query('SELECT revision FROM samplers WHERE id = :sampler', read)).toEqual([{ revision: 1 + BEFORE + AFTER }])
    }
  } finally {
    await third.close()
  }
})

it('its nodes are read from the settings, and what is none is said', () => {
  const settings = { DATABASE_PORT: '3306', DATABASE_NAME: 'l', DATABASE_USER: 'l', DATABASE_PASSWORD: '', SESSION_SECRET: 'sixteen letters or more' }
  expect(readConfig({ ...settings, DATABASE_OTHERS: 'rain:3307, fog:3308' }).DATABASE_OTHERS).toEqual([
    { host: 'rain', port: 3307 },
    { host: 'fog', port: 3308 },
  ])
  expect(() => readConfig({ ...settings, DATABASE_OTHERS: 'rain' })).toThrow(/DATABASE_OTHERS: is host:port.*rain/)
})
