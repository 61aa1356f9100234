/** Classes on the real application and a real MariaDB: whose they are, their operations, learners' sheets, old samplers. */
import { randomUUID } from 'node:crypto'
import { bandSampler } from '@lemmata/contract/testing'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { makeServer, makeTeacher, post, type TestServer, type TestTeacher } from '../testing/make-server.ts'

let server: TestServer
let ada: TestTeacher
let ben: TestTeacher
let samplerId: string
beforeAll(async () => {
  server = await makeServer('classes')
  ada = await makeTeacher(server)
  ben = await makeTeacher(server)
  samplerId = (await post(ada, '/samplers', { document: bandSampler('2026-11-23') })).body.id as string
})
afterAll(() => server.stop())

const tove = { id: 'p1', name: 'Tove', hand: 'left', choices: {} }
const sent = (operation: object) => ({ id: randomUUID(), operation })
async function makeClass(): Promise<string> {
  const made = await post(ada, '/classes', { sampler: samplerId, name: 'Thursdays' })
  expect(made.status).toBe(201)
  return made.body.id as string
}

describe('a class', () => {
  it('is made, listed with its number of learners, changed and taken away', async () => {
    const id = await makeClass()
    const done = await post(ada, `/classes/${id}/operations`, {
      baseRevision: 1,
      operations: [
        sent({ kind: 'add-learner', learner: tove, at: 0 }),
        sent({ kind: 'choose', learner: 'p1', exercise: 'e1', set: { thread: 't2', strands: 2 } }),
        sent({ kind: 'rename-class', name: 'Evenings' }),
      ],
    })
    expect(done.body).toEqual({ revision: 2, refused: [] })
    expect((await ada.agent.get(`/api/samplers/${samplerId}/classes`)).body).toContainEqual({ id, name: 'Evenings', learners: 1 })
    expect((await ada.agent.get(`/api/classes/${id}`)).body.document.learners).toEqual([{ ...tove, choices: { e1: { thread: 't2', strands: 2 } } }])
    expect((await ada.agent.delete(`/api/classes/${id}`).set('x-csrf-token', ada.csrf)).status).toBe(204)
    expect((await ada.agent.get(`/api/classes/${id}`)).status).toBe(404)
  })

  it('of one teacher is nobody else\u2019s, by any route; a stranger gets nothing', async () => {
    const id = await makeClass()
    const answers = [
      await ben.agent.get(`/api/classes/${id}`),
      await ben.agent.get(`/api/samplers/${samplerId}/classes`),
      await post(ben, `/classes/${id}/operations`, { baseRevision: 1, operations: [sent({ kind: 'rename-class', name: 'Mine' })] }),
      await post(ben, '/classes', { sampler: samplerId, name: 'Mine' }),
      await ben.agent.delete(`/api/classes/${id}`).set('x-csrf-token', ben.csrf),
    ]
    expect(answers.map((answer) => answer.status)).toEqual(answers.map(() => 404))
    const stranger = request.agent(server.app)
    expect((await stranger.get(`/api/classes/${id}`)).status).toBe(401)
    expect((await ada.agent.get(`/api/classes/${id}`)).body.document.name).toBe('Thursdays')
  })

  it('a learner who is gone, one twice, and a stale write are said; one refusal takes nothing along', async () => {
    const id = await makeClass()
    const first = await post(ada, `/classes/${id}/operations`, {
      baseRevision: 1,
      operations: [
        sent({ kind: 'add-learner', learner: tove, at: 0 }),
        sent({ kind: 'add-learner', learner: tove, at: 0 }),
        sent({ kind: 'change-learner', id: 'nobody', set: { name: 'X' } }),
        sent({ kind: 'choose', learner: 'p1', exercise: 'e1', set: { strands: 99 } }),
        sent({ kind: 'change-learner', id: 'p1', set: { settled: true } }),
      ],
    })
    expect(first.body.revision).toBe(2)
    expect(first.body.refused.map((one: { problems: { code: string }[] }) => one.problems[0]?.code)).toEqual([
      'document.wrong',
      'class.learner-there',
      'class.learner-gone',
    ])
    const stale = await post(ada, `/classes/${id}/operations`, { baseRevision: 1, operations: [sent({ kind: 'rename-class', name: 'Late' })] })
    expect(stale.status).toBe(409)
    expect(stale.body.current.document.learners[0]).toEqual({ ...tove, settled: true })
  })

  it('is not in the sampler\u2019s file, and goes with its sampler', async () => {
    const id = await makeClass()
    await post(ada, `/classes/${id}/operations`, { baseRevision: 1, operations: [sent({ kind: 'add-learner', learner: tove, at: 0 })] })
    const file = (await ada.agent.get(`/api/samplers/${samplerId}/document`)).text
    expect(file).not.toContain('Tove')
    expect(file).not.toContain('learner\"')
  })

  it('prints the sheet of one learner, and refuses one who is not there', async () => {
    const id = await makeClass()
    await post(ada, `/classes/${id}/operations`, { baseRevision: 1, operations: [sent({ kind: 'add-learner', learner: tove, at: 0 })] })
    const sheet = await ada.agent.get(`/api/samplers/${samplerId}/sheet.pdf?lesson=l1&class=${id}&learner=p1`).buffer(true)
    expect(sheet.status).toBe(200)
    expect((await ada.agent.get(`/api/samplers/${samplerId}/sheet.pdf?class=${id}&learner=p9`)).status).toBe(422)
    expect((await ben.agent.get(`/api/samplers/${samplerId}/sheet.pdf?class=${id}&learner=p1`)).status).toBe(404)
    const book = await ada.agent.get(`/api/samplers/${samplerId}/book.pdf?class=${id}&learner=p1`).buffer(true)
    expect(book.status).toBe(200)
    expect((await ada.agent.get(`/api/samplers/${samplerId}/book.pdf?class=${id}&learner=p9`)).status).toBe(422)
  })
})

describe('a sampler of version 1', () => {
  const old = {
    format: 'lemmata-sampler',
    version: 1,
    name: 'From before',
    cloth: { kind: 'calico', colour: { name: 'Pale', hex: '#EFE6D2' }, widthMm: 200, heightMm: 200 },
    threads: [{ id: 't1', kind: 'stranded-cotton', colour: { name: 'Rain', hex: '#4B6D8F' } }],
    exercises: [{ id: 'e1', name: 'Rain', stitch: 'running-stitch', guide: { kind: 'line', path: 'M 20 50 L 120 50' }, thread: 't1', free: ['colour'] }],
    learnerVersions: [{ id: 'v1', name: 'Tove', hand: 'left', choices: { e1: { thread: 't1' } } }],
  }

  it('is imported as version 2, and its learners become a class', async () => {
    const made = await post(ada, '/samplers', { document: old })
    expect(made.status).toBe(201)
    expect(made.body.document).toMatchObject({ version: 2, exercises: [{ on: [{ guide: 'g1' }], materials: { main: { thread: 't1' } } }] })
    const [one] = (await ada.agent.get(`/api/samplers/${made.body.id}/classes`)).body
    expect(one).toMatchObject({ name: 'Learners', learners: 1 })
    expect((await ada.agent.get(`/api/classes/${one.id}`)).body.document.learners[0]).toMatchObject({ name: 'Tove', hand: 'left' })
  })

  it('one of a newer version is refused in a sentence', async () => {
    const made = await post(ada, '/samplers', { document: { ...old, version: 3 } })
    expect(made.status).toBe(422)
    expect(made.body.error.message).toMatch(/newer Lemmata.*version is 3.*Update/)
  })
})
