/** What goes by itself, and when; on the real application and a real MariaDB. */
import { afterAll, beforeAll, expect, it } from 'vitest'
import { ClassRow, OperationRow, SamplerRow } from '../database/index.ts'
import { makeServer, makeTeacher, post, type TestServer, type TestTeacher } from '../testing/make-server.ts'
import { COMPACTED_AFTER_DAYS, PURGED_AFTER_DAYS, tidy } from './index.ts'

let server: TestServer
let ada: TestTeacher
beforeAll(async () => {
  server = await makeServer('housekeeping')
  ada = await makeTeacher(server)
})
afterAll(() => server.stop())

const after = (days: number): Date => new Date(Date.now() + (days * 24 + 1) * 3600 * 1000)

it('a deleted sampler can be had back for a month, and is gone then with its classes; others stay', async () => {
  const make = async (name: string) => (await post(ada, '/samplers', { name })).body.id as string
  const [gone, kept] = [await make('Fog'), await make('Hail')]
  const remove = () => ada.agent.delete(`/api/samplers/${gone}`).set('x-csrf-token', ada.csrf)
  await post(ada, '/classes', { sampler: gone, name: 'Thursdays' })
  await remove()
  expect((await tidy(after(PURGED_AFTER_DAYS - 1))).samplers).toBe(0)
  expect((await post(ada, `/samplers/${gone}/restore`, {})).status).toBe(200)
  await remove()
  expect((await tidy(after(PURGED_AFTER_DAYS))).samplers).toBe(1)
  expect((await post(ada, `/samplers/${gone}/restore`, {})).status).toBe(404)
  expect(await ClassRow.count({ where: { samplerId: gone } })).toBe(0)
  expect(await SamplerRow.count({ where: { id: kept } })).toBe(1)
})

it('the record of single changes goes after half a year; the sampler is as it was, and is changed as before', async () => {
  const { id, revision } = (await post(ada, '/samplers', { name: 'Mist' })).body as { id: string; revision: number }
  const rename = (baseRevision: number, name: string) =>
    post(ada, `/samplers/${id}/operations`, { baseRevision, operations: [{ id: crypto.randomUUID(), operation: { kind: 'rename', name } }] })
  expect((await rename(revision, 'Haze')).status).toBe(200)
  expect((await tidy(after(COMPACTED_AFTER_DAYS - 1))).operations).toBe(0)
  expect((await tidy(after(COMPACTED_AFTER_DAYS))).operations).toBeGreaterThan(0)
  expect(await OperationRow.count({ where: { samplerId: id } })).toBe(0)
  expect((await ada.agent.get(`/api/samplers/${id}`)).body).toMatchObject({ revision: revision + 1, document: { name: 'Haze' } })
  expect((await rename(revision + 1, 'Drizzle')).status).toBe(200)
  // A page that still has what was there before is told, and reads it again.
  expect((await rename(revision, 'Old')).status).toBe(409)
})
