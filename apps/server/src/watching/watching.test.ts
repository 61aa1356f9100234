/** What is written down of requests and errors, and what whoever keeps it running is told. */
import { gzipSync } from 'node:zlib'
import express, { type Express } from 'express'
import { pino } from 'pino'
import { UniqueConstraintError } from 'sequelize'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { answerErrors } from '../http/errors.ts'
import { makeServer, makeTeacher, type TestServer } from '../testing/make-server.ts'
import { requestLog, said } from './index.ts'

let server: TestServer
beforeAll(async () => {
  server = await makeServer('watching')
})
afterAll(() => server.stop())

/** What somebody wrote, wherever it stands. */
const SECRET = 'a letter to her mother'

function loud(): { readonly app: Express; readonly lines: Record<string, unknown>[] } {
  const lines: Record<string, unknown>[] = []
  const log = pino({ level: 'info', serializers: { err: said } }, { write: (line: string) => void lines.push(JSON.parse(line)) })
  const app = express()
  app.use(requestLog(log), express.json())
  app.post('/notes/:name', (_request, response) => void response.json({ ok: true }))
  app.get('/broken', () => {
    throw new Error('no such thread')
  })
  app.get('/twice', () => {
    throw new UniqueConstraintError({
      message: SECRET,
      parent: Object.assign(new Error(`Duplicate entry '${SECRET}'`), { sql: `INSERT '${SECRET}'`, code: 'ER_LOCK_DEADLOCK', errno: 1213 }),
    })
  })
  app.use(answerErrors(log))
  return { app, lines }
}

describe('a line for every request', () => {
  it('has sizes, times and the route, nothing that was asked or sent', async () => {
    const { app, lines } = loud()
    const answer = await request(app)
      .post(`/notes/${encodeURIComponent(SECRET)}?of=${encodeURIComponent(SECRET)}`)
      .send({ text: SECRET })
    expect(lines).toEqual([expect.objectContaining({ method: 'POST', route: '/notes/:name', status: 200, in: expect.any(Number), out: 11, isWhole: true })])
    expect(lines[0]?.id).toBe(answer.headers['x-request-id'])
    expect(JSON.stringify(lines)).not.toContain('mother')
  })

  it('that broke has the note that the page shows, and where it broke', async () => {
    const { app, lines } = loud()
    const { body, headers, status } = await request(app).get('/broken')
    expect(status).toBe(500)
    expect(body.error.message).toContain(`note ${headers['x-request-id'] as string}`)
    const [error, line] = lines
    expect(error).toMatchObject({
      id: headers['x-request-id'],
      err: { type: 'Error', message: 'no such thread', at: expect.arrayContaining([expect.stringContaining('watching.test.ts')]) },
    })
    expect(line).toMatchObject({ level: 40, status: 500 })
  })

  it('of what a database refused says neither statement nor values', async () => {
    const { app, lines } = loud()
    await request(app).get('/twice')
    expect(lines[0]).toMatchObject({ err: { type: 'SequelizeUniqueConstraintError', code: 'ER_LOCK_DEADLOCK' } })
    expect(JSON.stringify(lines)).not.toContain('mother')
  })
})

describe('what whoever keeps it running is told', () => {
  it('it lives, and can work: the database was written to', async () => {
    expect((await request(server.app).get('/api/live')).body).toEqual({ ok: true })
    expect((await request(server.app).get('/api/health')).body).toEqual({ ok: true, database: 'ok', disk: 'ok', prints: { making: 0, waiting: 0 } })
    const [rows] = await server.sequelize.query("SELECT points FROM tries WHERE `key` = 'health'")
    expect(rows).toHaveLength(1)
  })

  it('it lives and cannot work where nothing can be written, or its disk cannot be read', async () => {
    await server.sequelize.query('RENAME TABLE tries TO tries_away')
    const health = await request(server.app).get('/api/health')
    await server.sequelize.query('RENAME TABLE tries_away TO tries')
    expect([health.status, health.body.database]).toEqual([503, 'not written'])
    expect((await request(server.another({ folder: '/nowhere/at/all' })).get('/api/health')).body).toMatchObject({ ok: false, disk: 'not read' })
  })

  it('figures, by route and never by whose', async () => {
    const { agent } = await makeTeacher(server)
    await agent.get('/api/samplers/00000000-0000-4000-8000-000000000000')
    const { text } = await request(server.app).get('/api/metrics')
    expect(text).toMatch(/lemmata_http_request_seconds_count\{method="GET",route="\/api\/samplers\/:id",status="404"\} 1/)
    expect(text).toContain('lemmata_prints_waiting 0')
    expect(text).not.toContain('00000000-0000')
  })
})

describe('what the client got wrong is told so', () => {
  it.each([
    ['gzip that is none', { 'content-encoding': 'gzip' }, Buffer.from('not gzip at all')],
    ['gzip of what is no JSON', { 'content-encoding': 'gzip' }, gzipSync('{"cut')],
    ['an encoding that nobody has', { 'content-encoding': 'snow' }, Buffer.from('{}')],
    ['a character set that nobody has', { 'content-type': 'application/json; charset=snow' }, Buffer.from('{}')],
    ['no text', {}, Buffer.from([0x7b, 0xff, 0xfe, 0x7d])],
  ])('%s', async (_name, headers, body) => {
    const { csrf } = (await request(server.app).get('/api/session')).body as { csrf: string }
    const asked = request(server.app)
      .post('/api/session')
      .set({ 'content-type': 'application/json', 'x-csrf-token': csrf, ...headers })
    const { status, body: answer } = await asked.serialize((one) => one as unknown as string).send(body)
    expect(status).toBeGreaterThanOrEqual(400)
    expect(status).toBeLessThan(500)
    expect(answer.error.message).toMatch(/\.$/)
  })
})
