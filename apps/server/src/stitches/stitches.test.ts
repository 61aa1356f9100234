/** A teacher's own stitches on the real application and a real MariaDB. */
import { LIBRARY } from '@lemmata/core/stitches'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { makeServer, makeTeacher, type TestServer, type TestTeacher } from '../testing/make-server.ts'

let server: TestServer
let ada: TestTeacher
let ben: TestTeacher
beforeAll(async () => {
  server = await makeServer('stitches')
  ada = await makeTeacher(server)
  ben = await makeTeacher(server)
})
afterAll(() => server.stop())

const back = LIBRARY.find((one) => one.id === 'back-stitch')
const own = { ...back, id: 'gust-stitch', name: 'Gust stitch' }
const put = (teacher: TestTeacher, id: string, body: unknown) =>
  teacher.agent
    .put(`/api/stitches/${id}`)
    .set('x-csrf-token', teacher.csrf)
    .send(body as object)

describe('own stitches', () => {
  it('are kept, changed, listed for their teacher alone, and removed', async () => {
    expect((await put(ada, 'gust-stitch', own)).status).toBe(204)
    expect((await put(ada, 'gust-stitch', { ...own, name: 'Gust, again' })).status).toBe(204)
    const listed = await ada.agent.get('/api/stitches')
    expect(listed.body).toEqual([{ ...own, name: 'Gust, again' }])
    expect((await ben.agent.get('/api/stitches')).body).toEqual([])
    expect((await ben.agent.delete('/api/stitches/gust-stitch').set('x-csrf-token', ben.csrf)).status).toBe(404)
    expect((await ada.agent.delete('/api/stitches/gust-stitch').set('x-csrf-token', ada.csrf)).status).toBe(204)
    expect((await ada.agent.get('/api/stitches')).body).toEqual([])
  })

  it('are refused with the move named, under another id, without a token, and signed out', async () => {
    const wrong = await put(ada, 'gust-stitch', { ...own, passes: [{ name: 'x', place: { once: true }, repeat: [{ jump: 1 }] }] })
    expect(wrong.status).toBe(422)
    expect(JSON.stringify(wrong.body)).toContain('a move is one of')
    expect((await put(ada, 'another', own)).status).toBe(422)
    expect((await ada.agent.put('/api/stitches/gust-stitch').send(own)).status).toBe(403)
    const { app } = server
    const request = (await import('supertest')).default
    expect((await request(app).get('/api/stitches')).status).toBe(401)
  })
})
