/** A forgotten password, on the real application and a real MariaDB. */
import { once } from 'node:events'
import { mkdtempSync, readdirSync, readFileSync, renameSync, statSync } from 'node:fs'
import { rm } from 'node:fs/promises'
import { type AddressInfo, createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { ResetRow } from '../database/index.ts'
import { laidPagePath, makePost } from '../mail/index.ts'
import { makeServer, makeTeacher, type TestServer, type TestTeacher } from '../testing/make-server.ts'

let server: TestServer
let ada: TestTeacher
let email: string
beforeAll(async () => {
  server = await makeServer('forgotten')
  ada = await makeTeacher(server)
  email = (await ada.agent.get('/api/session')).body.teacher.email as string
})
afterAll(() => server.stop())

async function ask(path: string, body: object): Promise<number> {
  const { csrf } = (await request(server.app).get('/api/session')).body as { csrf: string }
  return (await request(server.app).post(`/api${path}`).set('x-csrf-token', csrf).send(body)).status
}
/** Out of the message that was sent last, once it is there. */
async function tokenOf(message: number): Promise<string> {
  while (server.sent.length < message) await new Promise((resolve) => setTimeout(resolve, 10))
  return /new-password=([\w-]+)/.exec(server.sent[message - 1]?.text ?? '')?.[1] ?? ''
}

describe('a forgotten password', () => {
  it('is set anew by a link to her address, once; her sessions end', async () => {
    expect(await ask('/account/forgotten', { email })).toBe(204)
    const token = await tokenOf(1)
    expect(server.sent[0]?.to).toBe(email)
    expect(server.sent[0]?.text).toContain('http://lemmata.example/sign-in?new-password=')
    expect(await ask('/account/new-password', { token, next: 'short' })).toBe(422)
    expect(await ask('/account/new-password', { token, next: 'drizzle on the roof' })).toBe(204)
    expect((await ada.agent.get('/api/samplers')).status).toBe(401)
    expect(await ask('/session', { email, password: 'rain on the window' })).toBe(401)
    expect(await ask('/session', { email, password: 'drizzle on the roof' })).toBe(200)
    expect(await ask('/account/new-password', { token, next: 'once more with it' })).toBe(422)
  })

  it('of an address that is not known is answered alike, and nothing is sent; a link that was asked for again, or is old, is none', async () => {
    const before = server.sent.length
    expect(await ask('/account/forgotten', { email: 'nobody@example.org' })).toBe(204)
    expect(await ask('/account/forgotten', { email })).toBe(204)
    const first = await tokenOf(before + 1)
    expect(await ask('/account/forgotten', { email })).toBe(204)
    const second = await tokenOf(before + 2)
    expect(await ask('/account/new-password', { token: first, next: 'the first is gone' })).toBe(422)
    await ResetRow.update({ createdAt: new Date(Date.now() - 3601 * 1000) }, { where: {} })
    expect(await ask('/account/new-password', { token: second, next: 'an hour too late' })).toBe(422)
    expect(server.sent).toHaveLength(before + 2)
  })

  it('is not asked for without end from one address', async () => {
    const answers: number[] = []
    for (let index = 0; index < 25; index += 1) answers.push(await ask('/account/forgotten', { email: 'nobody@example.org' }))
    expect(answers).toContain(429)
  })
})

it('without a post office a message lies in the folder, to be read and handed on by whoever runs it alone', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'lemmata-mail-'))
  const post = makePost({ url: undefined, folder: join(folder, 'mail'), from: 'Lemmata <lemmata@localhost>' })
  await post({ to: 'nora@example.org', subject: 'Nebel über dem Hügel', text: 'A line.\nhttps://lemmata.example/sign-in' })
  const [file = ''] = readdirSync(join(folder, 'mail'))
  expect(readFileSync(join(folder, 'mail', file), 'utf8')).toBe(
    'To: nora@example.org\nSubject: Nebel über dem Hügel\n\nA line.\nhttps://lemmata.example/sign-in',
  )
  expect(statSync(join(folder, 'mail', file)).mode & 0o077).toBe(0)

  // Read on a page by whoever was told its address at start; anybody else finds what is found where nothing is.
  renameSync(join(folder, 'mail', file), join(folder, 'mail', `2025${file.slice(4)}`))
  await post({ to: 'hail@example.org', subject: 'Rain <script>', text: 'Open http://lemmata.example/sign-in?new-password=drizzle&x=1' })
  const app = server.another({ laid: join(folder, 'mail') })
  const at = async (path: string) => await request(app).get(path)
  const page = await at(laidPagePath('a secret for tests only'))
  expect([page.status, page.headers['cache-control']]).toEqual([200, 'no-store'])
  expect(page.text).toContain('<a href="http://lemmata.example/sign-in?new-password=drizzle&amp;x=1">')
  expect(page.text).toContain('Rain &lt;script&gt;')
  expect(page.text.indexOf('hail@example.org')).toBeLessThan(page.text.indexOf('nora@example.org'))
  const none = await request(server.app).get('/messages/none.txt')
  for (const wrong of [laidPagePath('another secret'), '/messages/', '/messages/none.txt']) expect((await at(wrong)).text).not.toContain('hail@example.org')
  expect((await at('/messages/none.txt')).status).toBe(none.status)
  expect((await request(server.app).get(laidPagePath('a secret for tests only'))).text).not.toContain('hail@example.org')
  await rm(folder, { recursive: true })
  expect((await at(laidPagePath('a secret for tests only'))).text).toContain('None yet')
})

it('with one it is handed over as a message, and what somebody calls herself makes no second address', async () => {
  let said = ''
  const office = createServer((socket) => {
    let isText = false
    socket.write('220 here\r\n')
    socket.on('data', (chunk) => {
      const line = chunk.toString()
      said += line
      if (isText && !line.includes('\r\n.\r\n')) return
      socket.write(line.startsWith('DATA') ? '354 go on\r\n' : '250 well\r\n')
      isText = line.startsWith('DATA')
    })
    socket.on('error', () => undefined)
  }).listen(0, '127.0.0.1')
  await once(office, 'listening')
  const { port } = office.address() as AddressInfo
  const post = makePost({ url: `smtp://127.0.0.1:${port}?ignoreTLS=true`, folder: '', from: 'Lemmata <lemmata@localhost>' })
  await post({ to: 'nora@example.org', subject: 'A new password\nBcc: other@example.org', text: 'A line.' })
  expect(said).toMatch(/^RCPT TO:<nora@example.org>/m)
  expect(said.match(/^RCPT TO:/gm)).toHaveLength(1)
  expect(said).not.toMatch(/^Bcc:/m)
  expect(said).toContain('A line.')
  office.close()
})
