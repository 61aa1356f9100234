/** Which page stands at which address, what is said with every file, and what is answered where nothing is. */
import { randomUUID } from 'node:crypto'
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { brotliCompressSync } from 'node:zlib'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { makeServer, makeTeacher, post, type TestServer } from './testing/make-server.ts'

const FILE = 'rain-0000.js'
const WORKER = 'rain.worker-0000.js'
let page: string
let server: TestServer
beforeAll(async () => {
  page = mkdtempSync(join(tmpdir(), 'lemmata-page-'))
  mkdirSync(join(page, 'assets'))
  writeFileSync(join(page, 'assets', FILE), 'export const rain = 1\n')
  writeFileSync(join(page, 'assets', `${FILE}.br`), brotliCompressSync('export const rain = 1\n'))
  writeFileSync(join(page, 'assets', WORKER), '')
  writeFileSync(join(page, 'mark.svg'), '<svg/>')
  writeFileSync(join(page, 'index.html'), '<title>Lemmata</title>')
  mkdirSync(join(page, 'stages'))
  writeFileSync(join(page, 'stages', 'cloth.html'), '<title>Lemmata, with what the cloth needs</title>')
  writeFileSync(join(page, 'learn.html'), '<title>Lemmata, this week</title>')
  server = await makeServer('app', page)
})
afterAll(async () => {
  await server.stop()
  rmSync(page, { recursive: true, force: true })
})

describe('pages', () => {
  it.each([
    ['/learn', 'Lemmata, this week'],
    [`/learn/${'a'.repeat(32)}`, 'Lemmata, this week'],
    ['/learned', 'Lemmata'],
    ['/samplers/x/class', 'Lemmata'],
    ['/samplers/x/cloth', 'Lemmata, with what the cloth needs'],
    ['/samplers/x', 'Lemmata'],
    ['/samplers/x/..%2fstages%2fcloth', 'Lemmata'],
    ['/stages/cloth', 'Lemmata'],
  ])('%s is the page "%s"', async (path, title) => {
    const { text, headers } = await request(server.app).get(path)
    expect([text, headers['cache-control']]).toEqual([`<title>${title}</title>`, 'no-cache'])
  })
})

describe('files', () => {
  it('are sent as they were made small, kept for good, and with rules that a worker needs', async () => {
    const small = await request(server.app).get(`/assets/${FILE}`).set('accept-encoding', 'br')
    expect(small.headers).toMatchObject({ 'content-encoding': 'br', 'x-content-type-options': 'nosniff', vary: expect.stringContaining('Accept-Encoding') })
    expect([small.headers['cache-control'], small.headers['content-type']]).toEqual([
      'public, max-age=31536000, immutable',
      expect.stringContaining('text/javascript'),
    ])
    // Of sixty files each line would be several kilobytes on a phone: only a worker has rules of its own.
    expect(['content-security-policy', 'etag', 'last-modified', 'x-request-id'].filter((one) => one in small.headers)).toEqual([])
    const worker = await request(server.app).get(`/assets/${WORKER}`)
    expect(worker.headers['content-security-policy']).toContain("script-src 'self'")
    const plain = await request(server.app).get(`/assets/${FILE}`).set('accept-encoding', 'identity')
    expect([plain.headers['content-encoding'], plain.text]).toEqual([undefined, 'export const rain = 1\n'])
  })

  it.each(['/assets/none.js', '/assets/none.js.br', '/assets/', '/assets/..%2f..%2fpackage.json', '/assets/%00'])(
    'that are not there are none: %s',
    async (path) => {
      const { status } = await request(server.app).get(path)
      expect([400, 404]).toContain(status)
    },
  )

  it('beside the assets are kept for an hour: their names stay while they change', async () => {
    expect((await request(server.app).get('/mark.svg')).headers['cache-control']).toBe('public, max-age=3600')
  })

  it.each(['/favicon.ico', '/samplers/x/cloth.map', '/.env'])('beside the assets neither: %s is no page', async (path) => {
    const { status } = await request(server.app).get(path)
    expect(status).toBe(404)
  })

  it('whose address cannot be read are told so', async () => expect((await request(server.app).get('/assets/%E0%A4%A')).status).toBe(400))
})

describe('a disk that is full', () => {
  it('is said as what it is, keeps nothing by halves, and is forgotten as soon as there is room', async () => {
    const ada = await makeTeacher(server)
    const { id } = (await post(ada, '/samplers', { name: 'Weather' })).body as { id: string }
    const rename = () =>
      post(ada, `/samplers/${id}/operations`, { baseRevision: 1, operations: [{ id: randomUUID(), operation: { kind: 'rename', name: 'Fog' } }] })
    // As the database says it where a table finds no room.
    await server.sequelize.query(
      "CREATE TRIGGER no_room BEFORE INSERT ON operations FOR EACH ROW SIGNAL SQLSTATE 'HY000' SET MYSQL_ERRNO = 1114, MESSAGE_TEXT = 'full'",
    )
    const refused = await rename()
    expect([refused.status, refused.body.error.code, refused.body.error.message]).toEqual([503, 'disk.full', expect.stringContaining('disk is full')])
    expect((await ada.agent.get(`/api/samplers/${id}`)).body).toMatchObject({ revision: 1, document: { name: 'Weather' } })
    await server.sequelize.query('DROP TRIGGER no_room')
    expect((await rename()).body).toEqual({ revision: 2, refused: [] })
  })
})
