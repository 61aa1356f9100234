/** Learners on the real application and a real MariaDB: joining, coming back, telling, who reaches what, and everything out and away. */
import { randomUUID } from 'node:crypto'
import { bandSampler } from '@lemmata/contract/testing'
import type { ClassCalendar } from '@lemmata/core/classes'
import sharp from 'sharp'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { ClassOperationRow, PracticeRow } from '../database/index.ts'
import { makeServer, makeTeacher, post, type TestServer, type TestTeacher } from '../testing/make-server.ts'
import { forgetEnded } from './index.ts'

let server: TestServer
let ada: TestTeacher
let ben: TestTeacher
let classId: string
let code: string
const HERS = 'for her teacher alone'
const bands = bandSampler('2026-11-23')
const sampler = { ...bands, brief: { ...bands.brief, purpose: HERS }, exercises: bands.exercises.map((one) => ({ ...one, note: HERS })) }
const [first, second] = sampler.lessons
const exercise = first?.exercises[0] ?? ''

beforeAll(async () => {
  server = await makeServer('learning')
  ada = await makeTeacher(server)
  ben = await makeTeacher(server)
  const made = await post(ada, '/samplers', { document: sampler })
  classId = (await post(ada, '/classes', { sampler: made.body.id as string, name: 'Thursdays' })).body.id as string
  code = (await post(ada, `/classes/${classId}/join-code`, {})).body.code as string
})
afterAll(() => server.stop())

const ask = (key: string | null, method: 'get' | 'post' | 'patch' | 'delete', path: string, body?: unknown) => {
  const asked = request(server.app)[method](`/api${path}`)
  if (key !== null) void asked.set('authorization', `Bearer ${key}`)
  return body === undefined ? asked : asked.send(body as object)
}
const joinAs = async (name: string, word = 'drizzle') => {
  const answer = await ask(null, 'post', '/learn/join', { code, name, hand: 'left', word })
  expect(answer.status).toBe(201)
  return answer.body as { key: string; link: string }
}
const told = (more: object) => ({ id: randomUUID(), at: '2026-12-01T18:00:00.000Z', exercise, ...more })
const photograph = () =>
  sharp({ create: { width: 2000, height: 700, channels: 3, background: '#e9e0cc' } })
    .withExif({ IFD0: { Copyright: 'where it was taken' } })
    .jpeg()
    .toBuffer()
const sendPicture = async (key: string, body?: Buffer, exercise = 'e1') =>
  request(server.app)
    .post(`/api/learn/pictures?exercise=${exercise}`)
    .set('authorization', `Bearer ${key}`)
    .set('content-type', 'image/jpeg')
    .send(body ?? (await photograph()))
const del = (teacher: TestTeacher, path: string) => teacher.agent.delete(`/api${path}`).set('x-csrf-token', teacher.csrf)

describe('joining', () => {
  it('takes a code however it is typed, a name, a hand and a word, and gives her week with nothing of anybody else', async () => {
    await joinAs('Sunniva')
    const typed = `${code.slice(0, 4).toLowerCase()} ${code.slice(4)}`
    const answer = await ask(null, 'post', '/learn/join', { code: typed, name: 'Ivar', hand: 'right', word: ' Fog bank ' })
    expect(answer.status).toBe(201)
    const week = await ask(answer.body.key as string, 'get', '/learn/week')
    expect(week.status).toBe(200)
    expect(week.body.learner).toMatchObject({ name: 'Ivar', hand: 'right' })
    expect(week.body.className).toBe('Thursdays')
    expect(JSON.stringify(week.body)).not.toContain('Sunniva')
    expect(week.headers['set-cookie']).toBeUndefined()
    const named = (await ada.agent.get(`/api/classes/${classId}`)).body.document.learners.map((one: { name: string }) => one.name) as string[]
    expect(named).toEqual(['Sunniva', 'Ivar'])
  })

  it('several at once are all in, while the teacher changes the class', async () => {
    const before = (await ada.agent.get(`/api/classes/${classId}`)).body.document.learners.length as number
    const joining = ['A', 'B', 'C', 'D'].map((name) => joinAs(name))
    const { body } = await ada.agent.get(`/api/classes/${classId}`)
    void (await post(ada, `/classes/${classId}/operations`, {
      ...{ baseRevision: body.revision as number, operations: [{ id: randomUUID(), operation: { kind: 'rename-class', name: 'Thursdays' } }] },
    }))
    await Promise.all(joining)
    expect((await ada.agent.get(`/api/classes/${classId}`)).body.document.learners).toHaveLength(before + 4)
  })

  it.each([
    [404, { code: '22222222' }],
    [422, { code: 'ABC' }],
    [422, { code: "' OR 1=1 --" }],
    [422, { name: '' }],
    [422, { word: 'abc' }],
    [422, { hand: 'both' }],
  ])('is refused with %s for %j', async (status, wrong) => {
    expect((await ask(null, 'post', '/learn/join', { code, name: 'X', hand: 'left', word: 'drizzle', ...wrong })).status).toBe(status)
  })

  it('a code that was renewed or ended is none any more', async () => {
    const old = code
    code = (await post(ada, `/classes/${classId}/join-code`, {})).body.code as string
    expect((await ask(null, 'get', `/learn/codes/${old}`)).status).toBe(404)
    expect((await ask(null, 'get', `/learn/codes/${code}`)).body).toEqual({ className: 'Thursdays' })
    expect((await del(ada, `/classes/${classId}/join-code`)).status).toBe(204)
    expect((await ask(null, 'get', `/learn/codes/${code}`)).status).toBe(404)
    code = (await post(ada, `/classes/${classId}/join-code`, {})).body.code as string
  })
})

describe('a class of children', () => {
  const setChildren = async (children: boolean): Promise<void> => {
    const { revision } = (await ada.agent.get(`/api/classes/${classId}`)).body as { revision: number }
    const answer = await post(ada, `/classes/${classId}/operations`, {
      ...{ baseRevision: revision, operations: [{ id: randomUUID(), operation: { kind: 'set-children', children } }] },
    })
    expect(answer.status).toBe(200)
  }

  it('is joined by its teacher\u2019s list alone, and sends no pictures; afterwards as before', async () => {
    code = (await post(ada, `/classes/${classId}/join-code`, {})).body.code as string
    const { key } = await joinAs('Runa')
    expect((await ask(key, 'get', '/learn/week')).body.sendsPictures).toBe(true)
    await setChildren(true)
    expect((await ask(null, 'get', `/learn/codes/${code}`)).body.error.code).toBe('learning.by-list-only')
    expect((await ask(null, 'post', '/learn/join', { code, name: 'Tove', hand: 'right', word: 'drizzle' })).status).toBe(403)
    expect((await sendPicture(key)).body.error.code).toBe('learning.no-pictures-sent')
    // Who is in it goes on working.
    expect((await ask(key, 'get', '/learn/week')).body).toMatchObject({ sendsPictures: false, learner: { name: 'Runa' } })
    await setChildren(false)
    expect((await sendPicture(key)).status).toBe(201)
  })
})

describe('coming back', () => {
  it('by her link and her word, on another device; with another word not', async () => {
    const { link, key } = await joinAs('Liv', 'hoarfrost')
    expect((await ask(null, 'get', `/learn/links/${link}`)).body).toEqual({ className: 'Thursdays', isNew: false })
    expect((await ask(null, 'post', '/learn/open', { link, word: 'sunshine' })).status).toBe(401)
    const again = await ask(null, 'post', '/learn/open', { link, word: 'Hoarfrost' })
    expect([again.status, again.body.key === key]).toEqual([200, false])
    expect((await ask(again.body.key as string, 'get', '/learn/week')).body.learner.name).toBe('Liv')
  })

  it('by a link that her teacher made, which takes the word she chooses first; renewed, all before ends at once', async () => {
    const operation = { id: randomUUID(), operation: { kind: 'add-learner', learner: { id: 'p1', name: 'Per', choices: {} }, at: 0 } }
    const { body } = await ada.agent.get(`/api/classes/${classId}`)
    await post(ada, `/classes/${classId}/operations`, { baseRevision: body.revision as number, operations: [operation] })
    const link = (await post(ada, `/classes/${classId}/learners/p1/link`, {})).body.link as string
    expect((await ask(null, 'get', `/learn/links/${link}`)).body.isNew).toBe(true)
    const { key } = (await ask(null, 'post', '/learn/open', { link, word: 'downpour' })).body as { key: string }
    expect((await ask(key, 'get', '/learn/week')).body.learner.name).toBe('Per')
    const fresh = (await post(ada, `/classes/${classId}/learners/p1/link`, {})).body.link as string
    expect((await ask(key, 'get', '/learn/week')).status).toBe(401)
    expect((await ask(null, 'post', '/learn/open', { link, word: 'downpour' })).status).toBe(401)
    expect((await ask(null, 'post', '/learn/open', { link: fresh, word: 'downpour' })).status).toBe(200)
    expect((await del(ada, `/classes/${classId}/learners/p1/link`)).status).toBe(204)
    expect((await ask(null, 'get', `/learn/links/${fresh}`)).status).toBe(401)
  })
})

describe('what she tells', () => {
  it('is kept once however often it is sent, from whichever device, and her teacher reads it', async () => {
    const { key, link } = await joinAs('Mari')
    const other = (await ask(null, 'post', '/learn/open', { link, word: 'drizzle' })).body.key as string
    const events = [told({ kind: 'minutes', minutes: 12 }), told({ kind: 'stuck', stuck: true, step: 4 }), told({ kind: 'question', asked: 'Which side?' })]
    const sent = await ask(key, 'post', '/learn/events', { events })
    expect(sent.body.kept.sort()).toEqual(events.map((one) => one.id).sort())
    expect((await ask(other, 'post', '/learn/events', { events: [...events, told({ kind: 'can', can: true })] })).body.kept).toHaveLength(4)
    expect((await ask(key, 'get', '/learn/week')).body.events).toHaveLength(4)
    const { body } = await ada.agent.get(`/api/classes/${classId}/learning`)
    const hers = (body.events as { learner: string; by: string }[]).filter((one) => one.by === 'learner')
    expect(hers.length).toBeGreaterThanOrEqual(4)
    // Another learner cannot tell it as hers.
    const stranger = await joinAs('Olav')
    expect((await ask(stranger.key, 'post', '/learn/events', { events: [events[0]] })).body.kept).toEqual([])
    expect((await ask(stranger.key, 'get', '/learn/week')).body.events).toEqual([])
  })

  it.each([
    [{ kind: 'minutes', minutes: 0 }],
    [{ kind: 'minutes', minutes: 1e9 }],
    [{ kind: 'minutes', minutes: 1.5 }],
    [{ kind: 'needlefuls', count: 21 }],
    [{ kind: 'came', came: true, lesson: 'l1' }],
    [{ kind: 'question', asked: 'x'.repeat(501) }],
    [{ kind: 'piece', piece: -1, worked: true }],
    [{ kind: 'can', can: true, at: 'yesterday' }],
    [{ kind: 'can', can: true, id: 'x' }],
  ])('is refused where it is nothing: %j', async (wrong) => {
    const { key } = await joinAs('Nils')
    expect((await ask(key, 'post', '/learn/events', { events: [{ ...told({}), ...wrong }] })).status).toBe(422)
    expect((await ask(key, 'get', '/learn/week')).body.events).toEqual([])
  })

  it('her teacher marks too, of learners of this class alone', async () => {
    const { key } = await joinAs('Tora')
    const learner = (await ask(key, 'get', '/learn/week')).body.learner.id as string
    const came = { id: randomUUID(), at: '2026-12-01T18:00:00.000Z', learner, kind: 'came', lesson: first?.id ?? '', came: true }
    expect((await post(ada, `/classes/${classId}/practice`, { events: [came] })).body.kept).toEqual([came.id])
    expect((await ask(key, 'get', '/learn/week')).body.events).toMatchObject([{ by: 'teacher', came: true }])
    expect((await post(ada, `/classes/${classId}/practice`, { events: [{ ...came, learner: 'nobody' }] })).status).toBe(404)
    expect((await post(ben, `/classes/${classId}/practice`, { events: [came] })).status).toBe(404)
  })
})

it('what her teacher answered for all, and tips, are hers to read; what is kept for the teacher alone is not', async () => {
  const { key } = await joinAs('Runa')
  const of = { lesson: first?.id, on: '2026-12-01' }
  const notes = {
    shared: { kind: 'question', ...of, exercise, asked: 'Why does it curl?', answer: 'Let the needle hang.', shared: true },
    kept: { kind: 'question', ...of, asked: 'Who was that?', answer: 'A visitor.' },
    waiting: { kind: 'question', ...of, asked: 'May it be washed?', answer: '', shared: true },
    tip: { kind: 'tip', ...of, tip: 'Mark with a fingernail.' },
    record: { kind: 'record', ...of, done: 'Half of it.', change: 'Begin with the knots.' },
  }
  const { revision } = (await ada.agent.get(`/api/classes/${classId}`)).body as { revision: number }
  const operations = Object.entries(notes).map(([id, note]) => ({ id: randomUUID(), operation: { kind: 'set-note', id, note } }))
  expect((await post(ada, `/classes/${classId}/operations`, { baseRevision: revision, operations })).body).toMatchObject({ refused: [] })
  const week = (await ask(key, 'get', '/learn/week')).body as { said: unknown }
  expect(week.said).toEqual([
    { id: 'shared', lesson: first?.id, exercise, asked: 'Why does it curl?', said: 'Let the needle hang.' },
    { id: 'tip', lesson: first?.id, exercise: null, asked: null, said: 'Mark with a fingernail.' },
  ])
  for (const word of ['A visitor', 'Half of it', 'Begin with the knots', 'May it be washed']) expect(JSON.stringify(week)).not.toContain(word)
})

it('a device that has the week is sent only what is hers; all of it again once the class or the sampler has changed', async () => {
  const { key } = await joinAs('Dagny')
  const week = async (known?: string) => {
    const answer = await ask(key, 'get', known === undefined ? '/learn/week' : `/learn/week?known=${encodeURIComponent(known)}`)
    expect(answer.status).toBe(200)
    return answer.body as { version: string; events: readonly unknown[]; sampler?: { name: string }; learner: { name: string } }
  }
  const first_ = await week()
  expect(first_.sampler?.name).toBe(sampler.name)
  await ask(key, 'post', '/learn/events', { events: [told({ kind: 'can', can: true })] })
  const news = await week(first_.version)
  expect(Object.keys(news).sort()).toEqual(['events', 'learner', 'pictures', 'version'])
  expect([news.version, news.events.length, news.learner.name]).toEqual([first_.version, 1, 'Dagny'])
  // Another one's version, or an old one, is none of hers.
  expect((await week('something else')).sampler?.name).toBe(sampler.name)
  const { body } = await ada.agent.get(`/api/classes/${classId}`)
  const samplerId = (body.document.sampler ?? '') as string
  const open = (await ada.agent.get(`/api/samplers/${samplerId}`)).body as { revision: number }
  await post(ada, `/samplers/${samplerId}/operations`, {
    ...{ baseRevision: open.revision, operations: [{ id: randomUUID(), operation: { kind: 'rename', name: 'Storms' } }] },
  })
  const changed = await week(first_.version)
  expect([changed.sampler?.name, changed.version === first_.version]).toEqual(['Storms', false])
  await post(ada, `/samplers/${samplerId}/operations`, {
    ...{ baseRevision: open.revision + 1, operations: [{ id: randomUUID(), operation: { kind: 'rename', name: sampler.name } }] },
  })
  expect((await week(changed.version)).sampler?.name).toBe(sampler.name)
})

it('lessons that are not hers to see yet are named, and nothing of them is sent', async () => {
  const { key } = await joinAs('Unn')
  const far: ClassCalendar = {
    ...{ start: '2020-01-02', rhythm: { kind: 'chosen', on: ['2020-01-02', '2999-01-10', '2999-01-17', '2999-01-24', '2999-01-31', '2999-02-07'] } },
    ...{ begins: '18:30', zone: 'Europe/Oslo', releaseDays: 3, off: {}, catchUp: [], moved: {}, twice: [] },
  }
  const set = async (calendar: ClassCalendar | null) => {
    const { body } = await ada.agent.get(`/api/classes/${classId}`)
    return post(ada, `/classes/${classId}/operations`, {
      ...{ baseRevision: body.revision as number, operations: [{ id: randomUUID(), operation: { kind: 'set-calendar', calendar } }] },
    })
  }
  await set(far)
  const { body } = await ask(key, 'get', '/learn/week')
  expect(body.lessons.map((one: { seenFrom: string | null }) => one.seenFrom).slice(0, 2)).toEqual([null, '2999-01-07'])
  expect(body.lessons[1].title).toBe(second?.title)
  expect(body.sampler.lessons.map((one: { id: string }) => one.id)).toEqual([first?.id])
  expect(body.sampler.exercises.map((one: { id: string }) => one.id).sort()).toEqual([...(first?.exercises ?? [])].sort())
  expect(JSON.stringify(body)).not.toContain(HERS)
  await set(null)
})

it('every route of a learner\u2019s, by who asks: nobody, another teacher, her teacher, she, one who has been ended', async () => {
  const { key } = await joinAs('Vigdis')
  const learner = (await ask(key, 'get', '/learn/week')).body.learner.id as string
  const ended = await joinAs('Gone')
  const goneId = (await ask(ended.key, 'get', '/learn/week')).body.learner.id as string
  await del(ada, `/classes/${classId}/learners/${goneId}/link`)
  const hers: readonly (readonly ['get' | 'post', string, unknown?])[] = [
    ['get', '/learn/week'],
    ['get', '/learn/everything'],
    ['post', '/learn/events', { events: [told({ kind: 'can', can: true })] }],
  ]
  const picture = (await sendPicture(key)).body.id as string
  for (const path of ['/learn/pictures?exercise=e1', `/learn/pictures/${picture}`]) {
    const method = path.includes('?') ? 'post' : 'delete'
    for (const asked of [null, ended.key, 'x'.repeat(32)]) expect([path, (await ask(asked, method, path)).status]).toEqual([path, 401])
  }
  // Not hers: another learner of the same class.
  const other = await joinAs('Oda')
  expect((await ask(other.key, 'delete', `/learn/pictures/${picture}`)).status).toBe(404)
  for (const [method, path, body] of hers) {
    const as = async (asked: string | null) => (await ask(asked, method, path, body)).status
    expect([path, await as(null), await as(ended.key), await as('x'.repeat(32)), await as(key)]).toEqual([path, 401, 401, 401, 200])
    // A teacher\u2019s session is no key.
    expect((await ada.agent.get(`/api${path}`)).status).not.toBe(200)
  }
  const teachers: readonly (readonly ['get' | 'post' | 'patch' | 'delete', string])[] = [
    ['get', `/classes/${classId}/learning`],
    ['get', `/classes/${classId}/pictures/${picture}`],
    ['post', `/classes/${classId}/join-code`],
    ['delete', `/classes/${classId}/join-code`],
    ['post', `/classes/${classId}/learners/${learner}/link`],
    ['delete', `/classes/${classId}/learners/${learner}/link`],
    ['get', `/classes/${classId}/learners/${learner}/everything`],
    ['delete', `/classes/${classId}/learners/${learner}/everything`],
  ]
  for (const [method, path] of teachers) {
    const as = async (teacher: TestTeacher) => {
      const { status } = await (method === 'get' ? teacher.agent.get(`/api${path}`) : method === 'post' ? post(teacher, path, {}) : del(teacher, path))
      return status
    }
    expect([path, (await ask(null, method, path, {})).status, (await ask(key, method, path, {})).status, await as(ben)]).toEqual([path, 401, 401, 404])
    expect(await as(ada)).toBeLessThan(300)
  }
  code = (await post(ada, `/classes/${classId}/join-code`, {})).body.code as string
})

describe('a picture of her row', () => {
  it('is made anew, seen by her and her teacher, and gone when she takes it back', async () => {
    const { key } = await joinAs('Ragna')
    const sent = await sendPicture(key)
    expect(sent.status).toBe(201)
    const id = sent.body.id as string
    expect((await ask(key, 'get', '/learn/week')).body.pictures).toEqual([sent.body])
    const listed = (await ada.agent.get(`/api/classes/${classId}/learning`)).body.pictures as { id: string; learner: string }[]
    expect(listed.find((one) => one.id === id)?.learner).toMatch(/^l-/)
    const seen = await ada.agent.get(`/api/classes/${classId}/pictures/${id}`)
    expect([seen.status, seen.headers['content-type'], seen.headers['cache-control']]).toEqual([200, 'image/webp', 'no-store'])
    const { format, width, exif } = await sharp(seen.body as Buffer).metadata()
    expect([format, width, exif]).toEqual(['webp', 1500, undefined])
    expect((await ask(key, 'get', '/learn/everything')).body.pictures).toHaveLength(1)
    expect(listed.find((one) => one.id === id)).toMatchObject({ mayShow: false })
    const allow = async (mayShow: unknown, by = key) => ask(by, 'patch', `/learn/pictures/${id}`, { mayShow })
    expect((await allow(true, (await joinAs('Stranger')).key)).status).toBe(404)
    expect((await allow('yes')).status).toBe(422)
    expect((await allow(true)).body).toMatchObject({ id, mayShow: true })
    expect((await ada.agent.get(`/api/classes/${classId}/learning`)).body.pictures).toContainEqual(expect.objectContaining({ id, mayShow: true }))
    expect((await allow(false)).body.mayShow).toBe(false)
    expect((await ask(key, 'delete', `/learn/pictures/${id}`)).status).toBe(204)
    expect((await allow(true)).status).toBe(404)
    expect((await ada.agent.get(`/api/classes/${classId}/pictures/${id}`)).status).toBe(404)
    expect((await ask(key, 'delete', `/learn/pictures/${id}`)).status).toBe(404)
  })

  it('is refused where it is none, too large, of nothing, or one too many', async () => {
    const { key } = await joinAs('Signe')
    const statusOf = async (body: Buffer, exercise?: string) => (await sendPicture(key, body, exercise)).status
    expect(await statusOf(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'))).toBe(422)
    expect(await statusOf(Buffer.alloc(2_200_000))).toBe(413)
    expect((await ask(key, 'post', '/learn/pictures?exercise=e1', { no: 'picture' })).status).toBe(415)
    expect(await statusOf(await photograph(), '')).toBe(422)
    for (let index = 0; index < 12; index += 1) expect(await statusOf(await photograph())).toBe(201)
    expect(await statusOf(await photograph())).toBe(422)
  })
})

describe('rows held against a ruler', () => {
  const check = { method: 1, kind: 'end-to-end', stitch: 'Back stitch', measuredMm: 2.55, rulerMm: 2.5 }

  it('are their teacher\u2019s alone, and learners are told how measuring stands', async () => {
    const { key } = await joinAs('Turid')
    const standing = async () => (await ask(key, 'get', '/learn/week')).body.measuring as { state: string; rows: number }
    expect(await standing()).toMatchObject({ state: 'trial', rows: 0 })
    const ids: string[] = []
    for (let index = 0; index < 12; index += 1) {
      const kept = await post(ada, '/ruler-checks', check)
      expect(kept.status).toBe(201)
      ids.push(kept.body.id as string)
    }
    expect(await standing()).toMatchObject({ state: 'agrees', rows: 12 })
    expect((await ben.agent.get('/api/ruler-checks')).body.checks).toEqual([])
    expect((await del(ben, `/ruler-checks/${ids[0]}`)).status).toBe(404)
    expect((await ask(null, 'get', '/ruler-checks')).status).toBe(401)
    expect((await ask(key, 'get', '/ruler-checks')).status).toBe(401)
    expect((await del(ada, `/ruler-checks/${ids[0]}`)).status).toBe(204)
    expect(await standing()).toMatchObject({ state: 'trial', rows: 11 })
    expect((await ada.agent.get('/api/ruler-checks')).body.checks).toHaveLength(11)
  })

  it.each([{ rulerMm: 0 }, { measuredMm: -2 }, { kind: 'knot' }, { stitch: '' }, { rulerMm: 'long' }])('with %j are refused', async (wrong) => {
    expect((await post(ada, '/ruler-checks', { ...check, ...wrong })).status).toBe(422)
  })
})

it('everything about her goes out as one file, and away: from the class, from what is told, and from the record of changes', async () => {
  const { key } = await joinAs('Ylva Unique Name')
  await ask(key, 'post', '/learn/events', { events: [told({ kind: 'minutes', minutes: 9 })] })
  const everything = (await ask(key, 'get', '/learn/everything')).body
  expect(everything).toMatchObject({ class: 'Thursdays', learner: { name: 'Ylva Unique Name' }, events: [{ minutes: 9 }] })
  expect((await ask(key, 'delete', '/learn/everything')).status).toBe(204)
  expect((await ask(key, 'get', '/learn/week')).status).toBe(401)
  const group = (await ada.agent.get(`/api/classes/${classId}`)).body
  expect(JSON.stringify(group)).not.toContain('Ylva')
  const left = [...(await ClassOperationRow.findAll({ where: { classId } })), ...(await PracticeRow.findAll({ where: { classId } }))]
  expect(JSON.stringify(left)).not.toContain('Ylva')
  expect(JSON.stringify((await ada.agent.get(`/api/classes/${classId}/learning`)).body)).not.toContain(everything.learner.id as string)
})

it('of a class that ended long ago what was told is forgotten, of others not', async () => {
  const { key } = await joinAs('Aslaug')
  await ask(key, 'post', '/learn/events', { events: [told({ kind: 'minutes', minutes: 9 })] })
  expect(await forgetEnded('2999-01-01')).toBe(0)
  const { body } = await ada.agent.get(`/api/classes/${classId}`)
  const calendar = { start: '2026-12-03', rhythm: { kind: 'every', days: 7 }, begins: '18:30', zone: 'Europe/Oslo', off: {}, catchUp: [], moved: {}, twice: [] }
  await post(ada, `/classes/${classId}/operations`, {
    baseRevision: body.revision as number,
    operations: [{ id: randomUUID(), operation: { kind: 'set-calendar', calendar } }],
  })
  expect(await forgetEnded('2027-01-20')).toBe(0)
  expect((await ask(key, 'get', '/learn/week')).status).toBe(200)
  expect(await forgetEnded('2028-01-01')).toBe(1)
  expect([(await ask(key, 'get', '/learn/week')).status, await PracticeRow.count({ where: { classId } })]).toEqual([401, 0])
})

/** Last, for it leaves this address without a try. */
it('a code is not guessed: after so many tries that were not right there are none for a while, and no right one is told apart', async () => {
  const statuses: number[] = []
  for (let tries = 0; tries < 25; tries += 1) statuses.push((await ask(null, 'get', '/learn/codes/22222222')).status)
  expect(new Set(statuses)).toEqual(new Set([404, 429]))
  expect(statuses.at(-1)).toBe(429)
  expect((await ask(null, 'get', `/learn/codes/${code}`)).status).toBe(429)
})

it('next rows are printed for the class\u2019s own teacher, and say whose they are', async () => {
  const { sampler: id } = (await ada.agent.get(`/api/classes/${classId}`)).body.document as { sampler: string }
  const printed = await ada.agent.get(`/api/samplers/${id}/book.pdf?kind=rows&class=${classId}`)
  expect(printed.status).toBe(200)
  expect(printed.headers['content-type']).toBe('application/pdf')
  expect((await ben.agent.get(`/api/samplers/${id}/book.pdf?kind=rows&class=${classId}`)).status).toBe(404)
  const own = (await post(ben, '/samplers', { document: sampler })).body.id as string
  expect((await ben.agent.get(`/api/samplers/${own}/book.pdf?kind=rows&class=${classId}`)).status).toBe(404)
  expect((await ben.agent.get(`/api/samplers/${own}/book.pdf?kind=rows`)).status).toBe(422)
})
