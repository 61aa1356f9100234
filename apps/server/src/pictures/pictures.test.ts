/** Pictures on the real application and a real MariaDB: made anew, small, without what they carried; nobody else's; nothing hostile kept. */
import { bandSampler } from '@lemmata/contract/testing'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { makeServer, makeTeacher, post, type TestServer, type TestTeacher } from '../testing/make-server.ts'

let server: TestServer
let ada: TestTeacher
let ben: TestTeacher
beforeAll(async () => {
  server = await makeServer('pictures')
  ada = await makeTeacher(server)
  ben = await makeTeacher(server)
})
afterAll(() => server.stop())

const send = (teacher: TestTeacher, bytes: Buffer, type = 'image/jpeg') =>
  teacher.agent.post('/api/pictures').set('x-csrf-token', teacher.csrf).set('content-type', type).send(bytes)
const photograph = (width: number, height: number): Promise<Buffer> =>
  sharp({ create: { width, height, channels: 3, background: '#a62b2a' } })
    .withExif({ IFD0: { ImageDescription: 'taken at home', Copyright: 'me' } })
    .jpeg()
    .toBuffer()

describe('pictures', () => {
  it('are kept smaller, upright, and without what they carried', async () => {
    const answer = await send(ada, await photograph(3600, 1200))
    expect(answer.status).toBe(201)
    expect(answer.body).toMatchObject({ width: 1800, height: 600 })
    const kept = await ada.agent.get(`/api/pictures/${(answer.body as { id: string }).id}`).buffer(true)
    expect(kept.headers['content-type']).toBe('image/webp')
    expect(kept.headers['x-content-type-options']).toBe('nosniff')
    const read = await sharp(kept.body as Buffer).metadata()
    expect([read.format, read.width, read.height, read.exif]).toEqual(['webp', 1800, 600, undefined])
  })

  it('are read and taken away by whoever sent them, and by nobody else', async () => {
    const { id } = (await send(ada, await photograph(40, 30))).body as { id: string }
    expect((await ben.agent.get(`/api/pictures/${id}`)).status).toBe(404)
    expect((await ben.agent.delete(`/api/pictures/${id}`).set('x-csrf-token', ben.csrf)).status).toBe(404)
    expect((await ada.agent.delete(`/api/pictures/${id}`).set('x-csrf-token', ada.csrf)).status).toBe(204)
    expect((await ada.agent.get(`/api/pictures/${id}`)).status).toBe(404)
    expect((await send(ada, Buffer.alloc(0))).status).toBe(415)
  })

  it('the sixty-first takes the place of the oldest that nothing names', async () => {
    const eve = await makeTeacher(server)
    const small = await photograph(8, 8)
    const ids: string[] = []
    for (let count = 0; count < 60; count += 1) ids.push(((await send(eve, small)).body as { id: string }).id)
    const document = {
      ...bandSampler('2026-12-03'),
      drawing: { guides: [], groups: [], underlay: { picture: ids[0], at: [50, 50], widthMm: 60, heightShare: 1 } },
    }
    const made = await post(eve, '/samplers', { document: { ...document, exercises: [], lessons: [] } })
    expect(made.status).toBe(201)
    expect((await send(eve, small)).status).toBe(201)
    expect((await eve.agent.get(`/api/pictures/${ids[0]}`)).status).toBe(200)
    expect((await eve.agent.get(`/api/pictures/${ids[1]}`)).status).toBe(404)
    expect((await eve.agent.get(`/api/pictures/${ids[2]}`)).status).toBe(200)
  })

  it('what is no picture, torn, a vector, or too large is refused in a sentence', async () => {
    const whole = await photograph(400, 300)
    const svg = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script>alert(1)</script></svg>')
    for (const [bytes, type] of [
      [Buffer.from('hello'), 'image/png'],
      [whole.subarray(0, 200), 'image/jpeg'],
      [svg, 'image/svg+xml'],
      [svg, 'image/png'],
    ] as const) {
      const refused = await send(ada, bytes, type)
      expect(refused.status).toBe(422)
      expect((refused.body as { error: { message: string } }).error.message).toMatch(/JPEG, PNG or WebP/)
    }
    // One colour over 70 megapixels is a small file.
    const bomb = await sharp({ create: { width: 10_000, height: 7000, channels: 3, background: '#000000' } })
      .png()
      .toBuffer()
    expect((await send(ada, bomb, 'image/png')).status).toBe(422)
    expect((await send(ada, Buffer.alloc(13 * 1024 * 1024), 'image/jpeg')).status).toBe(413)
    expect((await ada.agent.post('/api/pictures').set('x-csrf-token', ada.csrf).send({ picture: 'x' })).status).toBe(415)
  })
})
