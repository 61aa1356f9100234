/** Accounts on the real application and a real MariaDB. */
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { SamplerRow, SessionRow, Teacher } from '../database/index.ts'
import { makeServer, makeTeacher, post, type TestServer } from '../testing/make-server.ts'

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

  it('keeps nothing of whoever has not signed in; whoever has gets a cookie that no script of the page can read and no other site sends', async () => {
    const before = await SessionRow.count()
    const stranger = await request(server.app).get('/api/session')
    expect(stranger.headers['set-cookie']).toBeUndefined()
    expect(await SessionRow.count()).toBe(before)
    const made = await request(server.app)
      .post('/api/accounts')
      .set('x-csrf-token', stranger.body.csrf as string)
      .send({ email: 'cookie@example.org', name: 'Coo', password: 'ten thousand stitches' })
    expect(String(made.headers['set-cookie'])).toMatch(/^lemmata=.*; HttpOnly; SameSite=Lax/)
    expect(await SessionRow.count()).toBe(before + 1)
  })

  it('takes no token of a stranger that is forged, old, or none', async () => {
    const { csrf } = (await request(server.app).get('/api/session')).body as { csrf: string }
    const [at = '', sign = ''] = csrf.split('.')
    const enter = async (token: string) =>
      (await request(server.app).post('/api/session').set('x-csrf-token', token).send({ email: 'ada@example.org', password: 'ten thousand stitches' })).status
    for (const forged of ['', 'x', `${Number(at) - 1}.${sign}`, `${at}.${sign.slice(1)}`, `NaN.${sign}`, '.']) expect(await enter(forged)).toBe(401)
    expect(await enter(csrf)).toBe(200)
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

  it('a changed password ends every other session; so does signing out everywhere else', async () => {
    const email = 'sessions@example.org'
    const enter = async (password: string, path = '/api/session') => {
      const agent = request.agent(server.app)
      const before = (await agent.get('/api/session')).body
      const answer = await agent.post(path).set('x-csrf-token', before.csrf).send({ email, name: 'Ses', password })
      return { agent, csrf: answer.body.csrf as string, status: answer.status }
    }
    const first = await enter('ten thousand stitches', '/api/accounts')
    const second = await enter('ten thousand stitches')
    const listed = (await first.agent.get('/api/account/sessions')).body.sessions as { isThis: boolean }[]
    expect(listed.map((one) => one.isThis).sort()).toEqual([false, true])
    const changed = await first.agent
      .put('/api/account/password')
      .set('x-csrf-token', first.csrf)
      .send({ current: 'ten thousand stitches', next: 'rain on the window' })
    expect(changed.status).toBe(204)
    expect((await second.agent.get('/api/samplers')).status).toBe(401)
    expect((await first.agent.get('/api/samplers')).status).toBe(200)
    const third = await enter('rain on the window')
    expect((await third.agent.delete('/api/account/sessions').set('x-csrf-token', third.csrf)).status).toBe(204)
    expect((await first.agent.get('/api/samplers')).status).toBe(401)
    expect((await third.agent.get('/api/samplers')).headers['cache-control']).toBe('no-store')
  })

  it('everything of an account goes out as one file, and away with it: of others nothing', async () => {
    const [gone, stays] = [await makeTeacher(server), await makeTeacher(server)]
    for (const teacher of [gone, stays]) expect((await post(teacher, '/samplers', { name: 'Fog' })).status).toBe(201)
    const everything = await gone.agent.get('/api/account/everything')
    expect(everything.body).toMatchObject({ format: 'lemmata-account', samplers: [{ document: { name: 'Fog' }, versions: [] }], classes: [], stitches: [] })
    expect(everything.text).not.toMatch(/argon2|passwordHash/)
    const away = (password: string) => gone.agent.delete('/api/account').set('x-csrf-token', gone.csrf).send({ password })
    expect((await away('not my password')).status).toBe(422)
    expect((await gone.agent.get('/api/samplers')).status).toBe(200)
    const before = await Teacher.count()
    expect((await away('rain on the window')).status).toBe(204)
    expect((await gone.agent.get('/api/samplers')).status).toBe(401)
    expect([await Teacher.count(), await SamplerRow.count({ where: { name: 'Fog' } })]).toEqual([before - 1, 1])
    expect((await stays.agent.get('/api/samplers')).body).toHaveLength(1)
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

  it('tells her what happened with her account, a wrong password too; nobody else', async () => {
    const [ada, ben] = [await makeTeacher(server), await makeTeacher(server)]
    const { email } = (await ada.agent.get('/api/session')).body.teacher as { email: string }
    const stranger = request.agent(server.app)
    const { csrf } = (await stranger.get('/api/session')).body as { csrf: string }
    await stranger.post('/api/session').set('x-csrf-token', csrf).send({ email, password: 'not hers at all' })
    await ada.agent.get('/api/account/everything')
    const { happened } = (await ada.agent.get('/api/account/trail')).body as { happened: { what: string; from: string | null }[] }
    expect(happened.map((one) => one.what)).toEqual(['everything-exported', 'sign-in-failed', 'signed-up'])
    expect(happened[1]?.from).toMatch(/127\.0\.0\.1|::1/)
    expect((await ben.agent.get('/api/account/trail')).body.happened.map((one: { what: string }) => one.what)).toEqual(['signed-up'])
  })

  it('a session is written once a day, not with every request', async () => {
    const ada = await makeTeacher(server)
    const { id } = (await ada.agent.get('/api/session')).body.teacher as { id: string }
    const own = () => SessionRow.findOne({ where: { teacherId: id } })
    const before = await own()
    for (let turn = 0; turn < 3; turn += 1) expect((await ada.agent.get('/api/samplers')).status).toBe(200)
    const after = await own()
    expect([after?.sid, after?.updatedAt, after?.expires]).toEqual([before?.sid, before?.updatedAt, before?.expires])
    // Used last the day before: its fourteen days begin anew.
    const data = JSON.parse(before?.data ?? '{}') as { usedOn: number }
    await before?.update({ data: JSON.stringify({ ...data, usedOn: data.usedOn - 1 }), expires: new Date(Date.now() + 3600_000) })
    await ada.agent.get('/api/samplers')
    expect((await own())?.expires?.getTime()).toBeGreaterThan(Date.now() + 13 * 24 * 3600_000)
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
