/** An account's archive into another account, and beside its own: equal but for ids, and what is wrong in it keeps nothing else out. */
import { randomUUID } from 'node:crypto'
import type { AccountArchive, BroughtBack } from '@lemmata/contract'
import { bandSampler } from '@lemmata/contract/testing'
import { LIBRARY } from '@lemmata/core/stitches'
import sharp from 'sharp'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { makeSureOfBytes } from '../access/index.ts'
import { SamplerRow } from '../database/index.ts'
import { makeServer, makeTeacher, post, type TestServer, type TestTeacher } from '../testing/make-server.ts'

let server: TestServer
let ada: TestTeacher
let archive: AccountArchive
const everything = async (of: TestTeacher): Promise<AccountArchive> => (await of.agent.get('/api/account/everything')).body as AccountArchive
const bring = (to: TestTeacher, given: unknown) => post(to, '/account/everything', given)
const put = (teacher: TestTeacher, path: string, body: object) => teacher.agent.put(`/api${path}`).set('x-csrf-token', teacher.csrf).send(body)
const picture = (colour: string) =>
  sharp({ create: { width: 40, height: 30, channels: 3, background: colour } })
    .png()
    .toBuffer()

interface Told {
  readonly teacher?: unknown
  readonly happened?: readonly { readonly what: string; readonly from: string | null; readonly at: string }[]
}

/** With its ids numbered as they come, and without whose it is and what happened with it. */
function numbered({ teacher: _teacher, happened: _happened, ...rest }: AccountArchive & Told): unknown {
  const seen = new Map<string, string>()
  const text = JSON.stringify(rest).replace(/[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}/g, (id) => {
    if (!seen.has(id)) seen.set(id, `id ${seen.size}`)
    return seen.get(id) ?? ''
  })
  return JSON.parse(text)
}

beforeAll(async () => {
  server = await makeServer('bringback')
  ada = await makeTeacher(server)
  const sent = await ada.agent
    .post('/api/pictures')
    .set({ 'x-csrf-token': ada.csrf, 'content-type': 'image/png' })
    .send(await picture('#446688'))
  const document = bandSampler('2026-11-23')
  const underlay = { picture: sent.body.id as string, at: [90, 60], widthMm: 80, heightShare: 0.75 }
  const made = await post(ada, '/samplers', { document: { ...document, drawing: { ...document.drawing, underlay } } })
  expect(made.status).toBe(201)
  const sampler = made.body.id as string
  expect((await post(ada, `/samplers/${sampler}/versions`, { name: 'As it was' })).status).toBe(201)
  const away = (await post(ada, '/samplers', { name: 'Thrown away' })).body.id as string
  await ada.agent.delete(`/api/samplers/${away}`).set('x-csrf-token', ada.csrf)
  const group = (await post(ada, '/classes', { sampler, name: 'Thursdays' })).body.id as string
  const code = (await post(ada, `/classes/${group}/join-code`, {})).body.code as string
  const key = (await request(server.app).post('/api/learn/join').send({ code, name: 'Ivar', hand: 'left', word: 'drizzle' })).body.key as string
  const exercise = document.exercises[0]?.id ?? ''
  const asked = { id: randomUUID(), at: '2026-12-01T18:00:00.000Z', kind: 'question', exercise, asked: 'Why six strands?' }
  const events = [asked, { id: randomUUID(), at: '2026-12-01T18:10:00.000Z', kind: 'minutes', exercise, minutes: 25 }]
  expect((await request(server.app).post('/api/learn/events').set('authorization', `Bearer ${key}`).send({ events })).status).toBe(200)
  const row = await picture('#884422')
  const sentRow = request(server.app)
    .post(`/api/learn/pictures?exercise=${exercise}`)
    .set({ authorization: `Bearer ${key}`, 'content-type': 'image/png' })
  expect((await sentRow.send(row)).status).toBe(201)
  const note = { kind: 'question', lesson: document.lessons[0]?.id ?? '', on: '2026-12-03', asked: asked.asked, answer: 'For a line one sees.', of: [asked.id] }
  const { revision } = (await ada.agent.get(`/api/classes/${group}`)).body as { revision: number }
  const operations = [{ id: randomUUID(), operation: { kind: 'set-note', id: 'n1', note } }]
  expect((await post(ada, `/classes/${group}/operations`, { baseRevision: revision, operations })).status).toBe(200)
  const own = { ...LIBRARY[0], id: 'own-running', name: 'Own running' }
  expect((await put(ada, '/stitches/own-running', own)).status).toBe(204)
  expect((await post(ada, '/ruler-checks', { method: 1, kind: 'apart', stitch: 'Running stitch', measuredMm: 6, rulerMm: 6.1 })).status).toBe(201)
  archive = await everything(ada)
})
afterAll(() => server.stop())

describe('how much an account holds', () => {
  it('is told in bytes, grows by what is made, and what no longer fits is refused', async () => {
    const fay = await makeTeacher(server)
    const room = async (): Promise<{ bytes: number; most: number }> => (await fay.agent.get('/api/account/room')).body as { bytes: number; most: number }
    expect((await room()).bytes).toBe(0)
    const document = bandSampler('2026-11-23')
    const { id } = (await post(fay, '/samplers', { document })).body as { id: string }
    const { bytes, most } = await room()
    expect(bytes).toBeGreaterThan(0.8 * JSON.stringify(document).length)
    expect((await post(fay, `/samplers/${id}/versions`, { name: 'As it was' })).status).toBe(201)
    expect((await room()).bytes).toBe(2 * bytes)
    expect(most).toBe(500e6)
    const row = await SamplerRow.findByPk(id)
    await makeSureOfBytes(row?.teacherId ?? '', most - 2 * bytes)
    await expect(makeSureOfBytes(row?.teacherId ?? '', most - 2 * bytes + 1)).rejects.toMatchObject({ status: 422, code: 'account.full' })
    expect((await bring(fay, archive)).status).toBe(201)
    expect((await room()).bytes).toBeGreaterThan(3 * bytes)
    // Of others nothing is counted.
    expect(((await (await makeTeacher(server)).agent.get('/api/account/room')).body as { bytes: number }).bytes).toBe(0)
  })
})

describe('an archive', () => {
  it('holds all that was made', () => {
    expect(archive.samplers.map((one) => [one.versions.length, one.deletedAt === null])).toEqual([
      [1, true],
      [0, false],
    ])
    expect([archive.classes[0]?.events.length, archive.classes[0]?.pictures.length, archive.stitches.length, archive.pictures.length]).toEqual([2, 1, 1, 1])
    const { happened = [] } = archive as AccountArchive & Told
    expect(happened.at(-1)).toMatchObject({ what: 'signed-up', at: expect.stringMatching(/^20\d\d-/) })
  })

  it('brought into another account and out again is the same but for its ids, pictures to the byte', async () => {
    const ben = await makeTeacher(server)
    const answer = await bring(ben, archive)
    expect([answer.status, answer.body]).toEqual([201, { samplers: 2, classes: 1, stitches: 1, leftOut: [] } satisfies BroughtBack])
    const again = await everything(ben)
    expect(numbered(again)).toEqual(numbered(archive))
    expect(again.samplers[0]?.id).not.toBe(archive.samplers[0]?.id)
    // It works there: the sampler is on the shelf, and its picture is Ben's.
    const shelf = (await ben.agent.get('/api/samplers')).body as { id: string }[]
    const { document } = (await ben.agent.get(`/api/samplers/${shelf[0]?.id ?? ''}`)).body as { document: { drawing: { underlay: { picture: string } } } }
    expect((await ben.agent.get(`/api/pictures/${document.drawing.underlay.picture}`)).status).toBe(200)
    expect((await ada.agent.get(`/api/pictures/${document.drawing.underlay.picture}`)).status).toBe(404)
  })

  it('brought in beside its own leaves what was there as it was, and says what there is already', async () => {
    const cleo = await makeTeacher(server)
    await bring(cleo, archive)
    const before = await everything(cleo)
    const { body } = await bring(cleo, archive)
    expect(body).toMatchObject({ samplers: 2, classes: 1, stitches: 0, leftOut: [expect.stringContaining('Own running')] })
    const after = await everything(cleo)
    expect(after.samplers.filter((one) => before.samplers.some((own) => own.id === one.id))).toEqual(before.samplers)
    expect(after.samplers).toHaveLength(4)
  })

  it('of which something cannot be read brings in the rest, and says what stayed out', async () => {
    const dora = await makeTeacher(server)
    const [first, ...others] = archive.samplers
    const broken = {
      ...archive,
      samplers: [{ ...first, document: { format: 'lemmata-sampler', version: 2, name: 'Torn' } }, ...others],
      pictures: [{ ...archive.pictures[0], webp: 'bm90IGEgcGljdHVyZQ==' }],
    }
    const { status, body } = await bring(dora, broken)
    expect(status).toBe(201)
    expect(body).toMatchObject({ samplers: 1, classes: 0, stitches: 1 })
    expect(body.leftOut).toEqual([
      expect.stringMatching(/picture/),
      expect.stringMatching(/^A sampler \u201cTorn\u201d: /),
      expect.stringMatching(/Thursdays.*its sampler stayed out/),
    ])
  })

  it('that is none, or has no room, brings in nothing', async () => {
    const eva = await makeTeacher(server)
    for (const wrong of [{}, [], { format: 'lemmata-account', version: 2 }, { ...archive, samplers: 'all' }, { ...archive, classes: [{}] }])
      expect((await bring(eva, wrong)).status).toBe(422)
    const [first] = archive.samplers
    const many = Array.from({ length: 501 }, () => ({ ...first, id: randomUUID(), versions: [] }))
    expect((await bring(eva, { ...archive, samplers: many, classes: [] })).body.error.code).toBe('archive.no-room')
    expect((await everything(eva)).samplers).toEqual([])
    expect((await request(server.app).post('/api/account/everything').send(archive)).status).toBe(401)
  })
})
