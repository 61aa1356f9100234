/** Prints that are begun, asked after, stopped and fetched, on the real application and a real MariaDB. */
import { bandSampler } from '@lemmata/contract/testing'
import { afterAll, beforeAll, expect, it, vi } from 'vitest'
import { makeServer, makeTeacher, post, type TestServer, type TestTeacher } from '../testing/make-server.ts'

let server: TestServer
let ada: TestTeacher
let ben: TestTeacher
beforeAll(async () => {
  server = await makeServer('prints')
  ada = await makeTeacher(server)
  ben = await makeTeacher(server)
})
afterAll(() => server.stop())

async function makeSampler(document: unknown): Promise<string> {
  const made = await post(ada, '/samplers', { document })
  expect(made.status).toBe(201)
  return made.body.id as string
}

it('makes one while telling how far it is; it is stopped, fetched and asked after by its own teacher alone', async () => {
  const id = await makeSampler(bandSampler('2026-11-23'))
  const begun = await post(ada, `/samplers/${id}/book.pdf?form=compact`, {})
  expect(begun.status).toBe(202)
  const print = `/api/prints/${begun.body.id as string}`
  const shares: number[] = []
  await vi.waitFor(
    async () => {
      const { body } = await ada.agent.get(print)
      if (body.state === 'making') shares.push(body.share as number)
      expect(body).toEqual({ state: 'made', bytes: expect.any(Number) })
    },
    { timeout: 60_000, interval: 20 },
  )
  expect(shares).toEqual([...shares].sort((a, b) => a - b))
  const file = await ada.agent.get(`${print}/file.pdf`).buffer(true)
  expect([(file.body as Buffer).subarray(0, 5).toString(), file.headers['content-disposition']]).toEqual(['%PDF-', expect.stringContaining('book.pdf')])
  expect((await ada.agent.get(`/api/samplers/${id}`)).body.printedRevision).toBe(1)
  for (const path of [print, `${print}/file.pdf`]) expect((await ben.agent.get(path)).status).toBe(404)
  expect((await ben.agent.delete(print).set('x-csrf-token', ben.csrf)).status).toBe(404)
  expect((await post(ben, `/samplers/${id}/book.pdf`, {})).status).toBe(404)

  const other = await makeSampler(bandSampler('2026-11-23'))
  const second = await post(ada, `/samplers/${other}/book.pdf`, {})
  expect((await ada.agent.delete(`/api/prints/${second.body.id as string}`).set('x-csrf-token', ada.csrf)).status).toBe(204)
  expect((await ada.agent.get(`/api/prints/${second.body.id as string}`)).status).toBe(404)
  // What was stopped is on nobody's paper; what cannot be made says why.
  const empty = await makeSampler({ ...bandSampler('2026-11-23'), lessons: [] })
  const third = await post(ada, `/samplers/${empty}/book.pdf`, {})
  await vi.waitFor(async () =>
    expect((await ada.agent.get(`/api/prints/${third.body.id as string}`)).body).toMatchObject({ state: 'failed', error: { code: 'print.no-lessons' } }),
  )
  expect((await ada.agent.get(`/api/samplers/${other}`)).body.printedRevision).toBeNull()
  expect((await ada.agent.get(`/api/prints/${third.body.id as string}/file.pdf`)).status).toBe(404)
})
