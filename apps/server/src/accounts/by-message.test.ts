/** A new account by the link of a message, on the real application and a real MariaDB: nothing that is answered tells whether there is one. */
import request from 'supertest'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { Teacher } from '../database/index.ts'
import { makeServer, makeTeacher, type TestServer } from '../testing/make-server.ts'
import { seal, unseal } from './by-message.ts'

let server: TestServer
let app: TestServer['app']
let known: string
beforeAll(async () => {
  server = await makeServer('by_message')
  const ada = await makeTeacher(server)
  known = (await ada.agent.get('/api/session')).body.teacher.email as string
  app = server.another({ byMessage: true })
})
afterAll(() => server.stop())

const given = { name: 'Bram', password: 'drizzle on the roof' }
async function ask(path: string, body: object) {
  const agent = request.agent(app)
  const { csrf } = (await agent.get('/api/session')).body as { csrf: string }
  return { agent, answer: await agent.post(`/api${path}`).set('x-csrf-token', csrf).send(body) }
}
async function message(index: number): Promise<string> {
  while (server.sent.length <= index) await new Promise((resolve) => setTimeout(resolve, 10))
  return server.sent[index]?.text ?? ''
}

it('is answered alike for an address that has one and one that has none; the message says which', async () => {
  const fresh = await ask('/accounts', { ...given, email: 'bram@example.org' })
  const taken = await ask('/accounts', { ...given, email: known })
  for (const { answer, agent } of [fresh, taken]) {
    expect([answer.status, answer.body]).toEqual([202, { sent: true }])
    expect((await agent.get('/api/session')).body.teacher).toBe(null)
  }
  await message(1)
  const [toBram, toAda] = ['bram@example.org', known].map((to) => server.sent.find((one) => one.to === to)?.text ?? '')
  expect(toAda).toContain('and there is one')
  expect(toAda).not.toContain('new-account')
  expect(await Teacher.count({ where: { email: 'bram@example.org' } })).toBe(0)
  const token = /http:\/\/lemmata\.example\/sign-in\?new-account=([\w-]+)/.exec(toBram ?? '')?.[1] ?? ''
  // Neither her address nor anything of her password can be read in it.
  expect(Buffer.from(token, 'base64url').toString('latin1')).not.toMatch(/bram|argon/)
  const opened = await ask('/accounts/by-message', { token })
  expect([opened.answer.status, opened.answer.body.teacher.name]).toEqual([201, 'Bram'])
  expect((await opened.agent.get('/api/samplers')).status).toBe(200)
  expect((await ask('/session', { email: 'bram@example.org', password: given.password })).answer.status).toBe(200)
  // Opened twice it makes no second one, and signs nobody in.
  const again = await ask('/accounts/by-message', { token })
  expect([again.answer.status, again.answer.body.error.code]).toEqual([409, 'account.taken'])
  expect((await again.agent.get('/api/samplers')).status).toBe(401)
})

it('a weak password is refused as anywhere, before any message', async () => {
  const before = server.sent.length
  expect((await ask('/accounts', { email: 'rain@example.org', name: 'Rain', password: 'password1234' })).answer.status).toBe(422)
  expect(server.sent).toHaveLength(before)
})

it('what was changed, sealed elsewhere or is older than a day opens nothing', async () => {
  const account = { email: 'fog@example.org', name: 'Fog', passwordHash: 'h' }
  const token = seal('a secret for tests only', account)
  expect(unseal('a secret for tests only', token)).toEqual(account)
  const changed = `${token.slice(0, -6)}${token.endsWith('AAAAAA') ? 'BBBBBB' : 'AAAAAA'}`
  const old = seal('a secret for tests only', account, Date.now() - 25 * 3600 * 1000)
  for (const wrong of [changed, old, seal('another secret', account), 'x'.repeat(40), '\u00e4'.repeat(40)]) {
    const { answer } = await ask('/accounts/by-message', { token: wrong })
    expect([answer.status, answer.body.error.code]).toEqual([422, 'account.link'])
  }
  expect(await Teacher.count({ where: { email: 'fog@example.org' } })).toBe(0)
})
