/** Calendars that are subscribed to, on the real application and a real MariaDB: whose they are, what they show, and how they end. */
import { randomUUID } from 'node:crypto'
import { bandSampler } from '@lemmata/contract/testing'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { makeServer, makeTeacher, post, type TestServer, type TestTeacher } from '../testing/make-server.ts'

let server: TestServer
let ada: TestTeacher
let ben: TestTeacher
let samplerId: string
let classId: string
beforeAll(async () => {
  server = await makeServer('calendars')
  ada = await makeTeacher(server)
  ben = await makeTeacher(server)
  samplerId = (await post(ada, '/samplers', { document: bandSampler('2031-01-09') })).body.id as string
  classId = (await post(ada, '/classes', { sampler: samplerId, name: 'Thursdays' })).body.id as string
})
afterAll(() => server.stop())

const calendar = { start: '2031-02-06', rhythm: { kind: 'every', days: 7 }, begins: '18:30', zone: 'Europe/Oslo', off: {}, catchUp: [], moved: {}, twice: [] }
const address = async (who: TestTeacher = ada) => post(who, `/classes/${classId}/calendar-address`, {})
/** Of a program that has never signed in. */
const ask = (path: string) => request(server.app).get(path)

describe('a calendar\u2019s address', () => {
  it('is none until it is made; then shows the dates to whoever has it, and follows what is changed', async () => {
    expect((await ada.agent.get(`/api/classes/${classId}/calendar-address`)).body).toEqual({ path: null })
    const made = await address()
    expect(made.status).toBe(201)
    const path = made.body.path as string
    expect((await ada.agent.get(`/api/classes/${classId}/calendar-address`)).body).toEqual({ path })
    const first = await ask(path)
    expect([first.status, first.get('content-type'), first.get('set-cookie')]).toEqual([200, expect.stringContaining('text/calendar'), undefined])
    const starts = bandSampler('2031-01-09').brief.startDate?.replaceAll('-', '') ?? ''
    expect(first.text).toContain(`DTSTART:${starts}T183000Z`)
    const operation = { id: randomUUID(), operation: { kind: 'set-calendar', calendar } }
    expect((await post(ada, `/classes/${classId}/operations`, { baseRevision: 1, operations: [operation] })).body.refused).toEqual([])
    const then = (await ask(path)).text
    expect(then).toContain('DTSTART:20310206T173000Z')
    expect(then).not.toContain(`DTSTART:${starts}`)
  })

  it('renewed, the old one ends at once; ended, the last one too', async () => {
    const old = (await address()).body.path as string
    const fresh = (await address()).body.path as string
    expect(fresh).not.toBe(old)
    expect([(await ask(old)).status, (await ask(fresh)).status]).toEqual([404, 200])
    expect((await ada.agent.delete(`/api/classes/${classId}/calendar-address`).set('x-csrf-token', ada.csrf)).status).toBe(204)
    expect((await ask(fresh)).status).toBe(404)
  })

  it('is made, seen and ended by its teacher only', async () => {
    const path = (await address()).body.path as string
    expect((await address(ben)).status).toBe(404)
    expect((await ben.agent.get(`/api/classes/${classId}/calendar-address`)).status).toBe(404)
    expect((await ben.agent.delete(`/api/classes/${classId}/calendar-address`).set('x-csrf-token', ben.csrf)).status).toBe(404)
    expect((await ask(`/api/classes/${classId}/calendar-address`)).status).toBe(401)
    expect((await ask(path)).status).toBe(200)
  })

  it.each([
    '/api/calendars/x.ics',
    '/api/calendars/.ics',
    "/api/calendars/' OR 1=1 --.ics",
    '/api/calendars/null.ics',
    `/api/calendars/${'a'.repeat(32)}.ics`,
    '/api/calendars/%00.ics',
  ])('that nobody was given is nothing: %s', async (path) => expect((await ask(encodeURI(path))).status).toBe(404))

  it('of a sampler that was thrown away shows nothing', async () => {
    const path = (await address()).body.path as string
    await ada.agent.delete(`/api/samplers/${samplerId}`).set('x-csrf-token', ada.csrf)
    expect((await ask(path)).status).toBe(404)
    await post(ada, `/samplers/${samplerId}/restore`, {})
    expect((await ask(path)).status).toBe(200)
  })
})
