/** Named versions on the real application and a real MariaDB: kept, put back by an edit, and nobody else's. */
import { randomUUID } from 'node:crypto'
import type { Sampler } from '@lemmata/core/sampler'
import { bandSampler } from '@lemmata/contract/testing'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { makeServer, makeTeacher, post, type TestServer, type TestTeacher } from '../testing/make-server.ts'

let server: TestServer
let ada: TestTeacher
let ben: TestTeacher
beforeAll(async () => {
  server = await makeServer('versions')
  ada = await makeTeacher(server)
  ben = await makeTeacher(server)
})
afterAll(() => server.stop())

const drop = (teacher: TestTeacher, path: string) => teacher.agent.delete(`/api${path}`).set('x-csrf-token', teacher.csrf)
const document = bandSampler('2026-12-03')
const made = async (): Promise<string> => ((await post(ada, '/samplers', { document })).body as { id: string }).id
const write = (id: string, baseRevision: number, operation: unknown) =>
  post(ada, `/samplers/${id}/operations`, { baseRevision, operations: [{ id: randomUUID(), operation }] })
const stored = async (id: string): Promise<Sampler> => ((await ada.agent.get(`/api/samplers/${id}`)).body as { document: Sampler }).document

describe('versions', () => {
  it('are kept as the sampler was, listed with the newest first, and put back by an edit, byte for byte', async () => {
    const id = await made()
    const before = await stored(id)
    expect((await post(ada, `/samplers/${id}/versions`, { name: 'For spring' })).status).toBe(201)
    await write(id, 1, { kind: 'remove-exercise', id: 'e2' })
    expect((await post(ada, `/samplers/${id}/versions`, { name: 'Without the isobar' })).body).toMatchObject({ name: 'Without the isobar', revision: 2 })
    const list = (await ada.agent.get(`/api/samplers/${id}/versions`)).body as { id: string; name: string }[]
    expect(list.map((one) => one.name)).toEqual(['Without the isobar', 'For spring'])
    const version = (await ada.agent.get(`/api/samplers/${id}/versions/${list[1]?.id}`)).body as { document: Sampler }
    expect((await write(id, 2, { kind: 'put-back', document: version.document })).body).toEqual({ revision: 3, refused: [] })
    expect(JSON.stringify(await stored(id))).toBe(JSON.stringify(before))
    expect((await drop(ada, `/samplers/${id}/versions/${list[1]?.id}`)).status).toBe(204)
    expect((await ada.agent.get(`/api/samplers/${id}/versions/${list[1]?.id}`)).status).toBe(404)
    expect(((await ada.agent.get(`/api/samplers/${id}/versions`)).body as unknown[]).length).toBe(1)
  })

  it('are nobody else’s, and of no sampler but their own', async () => {
    const [id, other] = [await made(), await made()]
    const version = ((await post(ada, `/samplers/${id}/versions`, { name: 'Mine' })).body as { id: string }).id
    expect((await ben.agent.get(`/api/samplers/${id}/versions`)).status).toBe(404)
    expect((await ben.agent.get(`/api/samplers/${id}/versions/${version}`)).status).toBe(404)
    expect((await post(ben, `/samplers/${id}/versions`, { name: 'His' })).status).toBe(404)
    expect((await drop(ben, `/samplers/${id}/versions/${version}`)).status).toBe(404)
    expect((await ada.agent.get(`/api/samplers/${other}/versions/${version}`)).status).toBe(404)
    expect((await ada.agent.get(`/api/samplers/${id}/versions/${version}`)).status).toBe(200)
  })

  it('without a name, and the fifty-first, are refused in a sentence', async () => {
    const id = await made()
    expect((await post(ada, `/samplers/${id}/versions`, { name: '  ' })).status).toBe(422)
    expect((await post(ada, `/samplers/${id}/versions`, {})).status).toBe(422)
    for (let count = 0; count < 50; count += 1) await post(ada, `/samplers/${id}/versions`, { name: `Version ${count}` })
    const refused = await post(ada, `/samplers/${id}/versions`, { name: 'One more' })
    expect(refused.status).toBe(422)
    expect((refused.body as { error: { message: string } }).error.message).toMatch(/50 versions of this sampler are kept/)
  })

  it('what is put back is checked like any document', async () => {
    const id = await made()
    const answer = (await write(id, 1, { kind: 'put-back', document: { ...document, exercises: [{ id: 'x' }] } })).body as { refused: unknown[] }
    expect(answer.refused.length).toBe(1)
    expect((await stored(id)).exercises.length).toBe(document.exercises.length)
  })
})

describe('a copy for the next class', () => {
  it('has no dates and nothing that one class found hard, and is called so; the first stays as it is', async () => {
    const id = await made()
    await write(id, 1, { kind: 'change-brief', set: { startDate: '2027-01-14', hardFor: { knots: 2 } } })
    const copy = (await post(ada, `/samplers/${id}/copy`, { forNextClass: true })).body as { document: Sampler }
    expect(copy.document.name).toBe(`${document.name}, next class`)
    expect(copy.document.brief).not.toHaveProperty('startDate')
    expect(copy.document.brief).not.toHaveProperty('hardFor')
    expect(copy.document.exercises).toEqual((await stored(id)).exercises)
    expect((await stored(id)).brief.startDate).toBe('2027-01-14')
    const plain = (await post(ada, `/samplers/${id}/copy`, {})).body as { document: Sampler }
    expect(plain.document.brief.startDate).toBe('2027-01-14')
  })
})
