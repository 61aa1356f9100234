/** Accounts on the real application and a real MariaDB. */
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Teacher } from '../database/index.ts'
import { makeServer, makeTeacher, type TestServer } from '../testing/make-server.ts'

let server: TestServer
beforeAll(async () => {
  server = await makeServer('accounts')
})
afterAll(() => server.stop())

describe('accounts', () => {
  it('makes an account, signs out and in again', async () => {
    const agent = request.agent(server.app)
    const { csrf } = (await agent.get('/api/session')).body
    const made = await agent.post('/api/accounts').set('x-csrf-token', csrf).send({ email: 'Ada@Example.org ', name: 'Ada', password: 'ten thousand stitches' })
    expect(made.status).toBe(201)
    expect(made.body.teacher.email).toBe('ada@example.org')
    expect((await agent.get('/api/samplers')).status).toBe(200)
    expect((await agent.delete('/api/session').set('x-csrf-token', made.body.csrf)).status).toBe(204)
    expect((await agent.get('/api/samplers')).status).toBe(401)
    const again = (await agent.get('/api/session')).body
    const back = await agent.post('/api/session').set('x-csrf-token', again.csrf).send({ email: 'ada@example.org', password: 'ten thousand stitches' })
    expect(back.status).toBe(200)
    expect((await agent.get('/api/samplers')).status).toBe(200)
  })

  it('hands out a cookie that no script of the page can read and no other site sends', async () => {
    const { csrf } = (await request.agent(server.app).get('/api/session')).body
    expect(csrf).toBeTruthy()
    const first = await request(server.app).get('/api/session')
    expect(String(first.headers['set-cookie'])).toMatch(/^lemmata=.*; HttpOnly; SameSite=Lax/)
  })

  it('keeps passwords as argon2id hashes only', async () => {
    await makeTeacher(server)
    const teacher = await Teacher.findOne({ order: [['createdAt', 'DESC']] })
    expect(teacher?.passwordHash).toMatch(/^\$argon2id\$/)
  })

  it('gives a new session id at sign-in', async () => {
    const agent = request.agent(server.app)
    const before = await agent.get('/api/session')
    const made = await agent
      .post('/api/accounts')
      .set('x-csrf-token', before.body.csrf)
      .send({ email: 'fixed@example.org', name: 'Fix', password: 'ten thousand stitches' })
    const sid = (cookies: unknown): string => String(cookies).split(';')[0] ?? ''
    expect(sid(made.headers['set-cookie'])).not.toBe(sid(before.headers['set-cookie']))
  })

  it.each([
    [{ email: 'no address', name: 'A', password: 'ten thousand stitches' }, /email.*ada@example\.org/],
    [{ email: 'b@example.org', name: '', password: 'ten thousand stitches' }, /name/],
    [{ email: 'b@example.org', name: 'B', password: 'short' }, /at least 10 characters/],
    [{}, /email/],
    [[], /./],
  ])('refuses %j with a sentence', async (body, sentence) => {
    const agent = request.agent(server.app)
    const { csrf } = (await agent.get('/api/session')).body
    const answer = await agent.post('/api/accounts').set('x-csrf-token', csrf).send(body)
    expect(answer.status).toBe(422)
    expect(answer.body.error.message).toMatch(sentence)
  })

  it('does not tell an unknown address from a wrong password', async () => {
    const { agent, csrf } = await makeTeacher(server)
    const wrong = await agent.post('/api/session').set('x-csrf-token', csrf).send({ email: 'teacher1@example.org', password: 'not this one' })
    const unknown = await agent.post('/api/session').set('x-csrf-token', csrf).send({ email: 'nobody@example.org', password: 'not this one' })
    expect(wrong.status).toBe(401)
    expect(unknown.body).toEqual(wrong.body)
  })

  it('changes the password only with the present one', async () => {
    const { agent, csrf } = await makeTeacher(server)
    const wrong = await agent.put('/api/account/password').set('x-csrf-token', csrf).send({ current: 'not this', next: 'another ten words' })
    expect(wrong.status).toBe(422)
    const right = await agent.put('/api/account/password').set('x-csrf-token', csrf).send({ current: 'rain on the window', next: 'another ten words' })
    expect(right.status).toBe(204)
  })

  it('refuses a second account with the same address', async () => {
    const agent = request.agent(server.app)
    const { csrf } = (await agent.get('/api/session')).body
    const body = { email: 'twice@example.org', name: 'T', password: 'ten thousand stitches' }
    const first = await agent.post('/api/accounts').set('x-csrf-token', csrf).send(body)
    const second = await agent.post('/api/accounts').set('x-csrf-token', first.body.csrf).send(body)
    expect(second.status).toBe(409)
  })

  it('asks for the token of the session with everything that changes something', async () => {
    const { agent } = await makeTeacher(server)
    const without = await agent.post('/api/samplers').send({ name: 'x' })
    const wrong = await agent.post('/api/samplers').set('x-csrf-token', 'x'.repeat(32)).send({ name: 'x' })
    expect([without.status, wrong.status]).toEqual([403, 403])
    expect(without.body.error.message).toMatch(/Reload/)
  })

  it('slows down guessing', async () => {
    const guesser = request.agent(server.app)
    const { csrf } = (await guesser.get('/api/session')).body
    const statuses: number[] = []
    for (let tries = 0; tries < 24; tries += 1)
      statuses.push(
        (
          await guesser
            .post('/api/session')
            .set('x-csrf-token', csrf)
            .send({ email: 'x@example.org', password: `guess ${tries}` })
        ).status,
      )
    expect(statuses.at(-1)).toBe(429)
  })
})
