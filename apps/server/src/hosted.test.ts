/** Behind a proxy that speaks https: one setting, and cookies, rules and addresses follow. */
import request from 'supertest'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { makeServer, type TestServer } from './testing/make-server.ts'

let server: TestServer
beforeAll(async () => {
  server = await makeServer('hosted', undefined, 'https://lemmata.example')
})
afterAll(() => server.stop())

it('gives a cookie that goes over https alone, and says that nothing else is to be used', async () => {
  const first = await request(server.app).get('/api/session').set('x-forwarded-proto', 'https')
  expect(first.headers['strict-transport-security']).toBe('max-age=31536000; includeSubDomains')
  const made = await request(server.app)
    .post('/api/accounts')
    .set({ 'x-forwarded-proto': 'https', 'x-csrf-token': first.body.csrf as string })
    .send({ email: 'ada@example.org', name: 'Ada', password: 'rain on the window' })
  expect(made.status).toBe(201)
  expect(String(made.headers['set-cookie'])).toMatch(/; HttpOnly; Secure; SameSite=Lax$/)
})

it('gives none to who comes past the proxy, over plain http', async () => {
  const first = await request(server.app).get('/api/session')
  const made = await request(server.app)
    .post('/api/session')
    .set('x-csrf-token', first.body.csrf as string)
    .send({ email: 'ada@example.org', password: 'rain on the window' })
  expect(made.headers['set-cookie']).toBeUndefined()
})

const signIn = async (app: TestServer['app'], from: string, email: string, password = 'not hers at all'): Promise<number> => {
  const { csrf } = (await request(app).get('/api/session')).body as { csrf: string }
  const asked = request(app).post('/api/session').set({ 'x-forwarded-for': from, 'x-forwarded-proto': 'https', 'x-csrf-token': csrf })
  return (await asked.send({ email, password })).status
}

it('keeps its figures to this machine', async () => {
  expect((await request(server.app).get('/api/metrics').set('x-forwarded-for', '203.0.113.7')).status).toBe(404)
  expect((await request(server.app).get('/api/metrics')).status).toBe(200)
})

it('counts tries by whoever asks the proxy, not by the proxy, and another process on the same database counts with it', async () => {
  for (let index = 0; index < 20; index += 1) expect(await signIn(server.app, '203.0.113.7', `guess${index}@example.org`)).toBe(401)
  expect(await signIn(server.app, '203.0.113.7', 'ada@example.org', 'rain on the window')).toBe(429)
  expect(await signIn(server.another(), '203.0.113.7', 'ada@example.org', 'rain on the window')).toBe(429)
  expect(await signIn(server.another(), '203.0.113.8', 'ada@example.org', 'rain on the window')).toBe(200)
})

it('counts tries at one account from wherever they come, whether there is such an account or not', async () => {
  for (const email of ['ada@example.org', 'nobody@example.org']) {
    for (let index = 0; index < 7; index += 1) expect(await signIn(server.app, `203.0.113.${20 + index}`, email)).toBe(401)
    expect(await signIn(server.another(), '203.0.113.40', email)).toBe(429)
  }
})
