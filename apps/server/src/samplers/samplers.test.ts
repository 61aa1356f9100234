/** Samplers on the real application and a real MariaDB: allowed, not allowed, bad input, stale writes, printing. */
import { randomUUID } from 'node:crypto'
import { applySamplerOperations, problemInWords } from '@lemmata/contract'
import { anyOperation, bandSampler, editedSampler } from '@lemmata/contract/testing'
import { invertOperation, type Operation, type Sampler } from '@lemmata/core/sampler'
import fc from 'fast-check'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { SamplerRow } from '../database/index.ts'
import { makeServer, makeTeacher, post, type TestServer, type TestTeacher } from '../testing/make-server.ts'

let server: TestServer
let ada: TestTeacher
let ben: TestTeacher
beforeAll(async () => {
  server = await makeServer('samplers')
  ada = await makeTeacher(server)
  ben = await makeTeacher(server)
})
afterAll(() => server.stop())

const rename = (name: string, id: string = randomUUID()) => ({ id, operation: { kind: 'rename', name } })
async function makeSampler(teacher: TestTeacher, body: unknown = { name: 'Weather' }): Promise<{ id: string; revision: number }> {
  const made = await post(teacher, '/samplers', body)
  expect(made.status).toBe(201)
  return made.body as { id: string; revision: number }
}

describe('the shelf', () => {
  it('makes, lists, copies, deletes and restores', async () => {
    const { id } = await makeSampler(ada)
    const copy = await post(ada, `/samplers/${id}/copy`, {})
    expect(copy.body.document.name).toBe('Copy of Weather')
    expect((await ada.agent.delete(`/api/samplers/${id}`).set('x-csrf-token', ada.csrf)).status).toBe(204)
    expect((await ada.agent.get(`/api/samplers/${id}`)).status).toBe(404)
    expect((await post(ada, `/samplers/${id}/restore`, {})).status).toBe(200)
    expect((await ada.agent.get(`/api/samplers/${id}`)).body.document.name).toBe('Weather')
  })

  it('takes a document in and gives the same out', async () => {
    const document = bandSampler('2026-11-23')
    const { id } = await makeSampler(ada, { document })
    const out = await ada.agent.get(`/api/samplers/${id}/document`)
    expect(out.headers['content-disposition']).toContain('Six-Thursdays.json')
    // Compressed on its way.
    expect(out.headers['content-encoding']).toBe('gzip')
    expect(JSON.parse(out.text)).toEqual(JSON.parse(JSON.stringify(document)))
  })

  it('shows another teacher\u2019s sampler to nobody, by any route', async () => {
    const { id } = await makeSampler(ada)
    const answers = [
      await ben.agent.get(`/api/samplers/${id}`),
      await ben.agent.get(`/api/samplers/${id}/document`),
      await ben.agent.get(`/api/samplers/${id}/sheet.pdf`),
      await post(ben, `/samplers/${id}/copy`, {}),
      await post(ben, `/samplers/${id}/restore`, {}),
      await post(ben, `/samplers/${id}/operations`, { baseRevision: 1, operations: [rename('mine now')] }),
      await ben.agent.delete(`/api/samplers/${id}`).set('x-csrf-token', ben.csrf),
    ]
    expect(answers.map((answer) => answer.status)).toEqual(answers.map(() => 404))
    expect((await ben.agent.get('/api/samplers')).body).toEqual([])
    expect((await ada.agent.get(`/api/samplers/${id}`)).body.document.name).toBe('Weather')
  })

  it('shows nothing to who is not signed in', async () => {
    const { id } = await makeSampler(ada)
    const stranger = request.agent(server.app)
    const { csrf } = (await stranger.get('/api/session')).body
    for (const path of ['/samplers', `/samplers/${id}`, `/samplers/${id}/document`, `/samplers/${id}/sheet.pdf`])
      expect((await stranger.get(`/api${path}`)).status).toBe(401)
    expect((await stranger.post('/api/samplers').set('x-csrf-token', csrf).send({ name: 'x' })).status).toBe(401)
  })
})

describe('operations', () => {
  it('are applied, counted and kept', async () => {
    const { id, revision } = await makeSampler(ada)
    const done = await post(ada, `/samplers/${id}/operations`, { baseRevision: revision, operations: [rename('Fog'), rename('Mist')] })
    expect(done.body).toEqual({ revision: 2, refused: [] })
    expect((await ada.agent.get(`/api/samplers/${id}`)).body.document.name).toBe('Mist')
  })

  it('two thousand of every kind, taken back and done again, leave what the page has, byte for byte', async () => {
    const { id } = await makeSampler(ada, { document: editedSampler })
    const steps: { readonly done: Operation; readonly back: Operation }[] = []
    const stored = async (): Promise<Sampler> => ((await ada.agent.get(`/api/samplers/${id}`)).body as { document: Sampler }).document
    const begun = await stored()
    let now = begun
    for (const operation of fc.sample(anyOperation, { numRuns: 6000, seed: 81 })) {
      if (steps.length === 2000) break
      const back = invertOperation(now, operation)
      const { document, applied } = applySamplerOperations(now, [{ id: 'x', operation }])
      if (!back || applied.length === 0) continue
      now = document
      steps.push({ done: operation, back })
    }
    expect(steps.length).toBe(2000)
    let revision = 1
    const send = async (operations: readonly Operation[]): Promise<void> => {
      for (let at = 0; at < operations.length; at += 250) {
        const body = { baseRevision: revision, operations: operations.slice(at, at + 250).map((operation) => ({ id: randomUUID(), operation })) }
        const answer = await post(ada, `/samplers/${id}/operations`, body)
        expect(answer.body).toMatchObject({ refused: [] })
        revision = (answer.body as { revision: number }).revision
      }
    }
    await send(steps.map((step) => step.done))
    expect(JSON.stringify(await stored())).toBe(JSON.stringify(now))
    await send(steps.map((step) => step.back).reverse())
    expect(JSON.stringify(await stored())).toBe(JSON.stringify(begun))
    await send(steps.map((step) => step.done))
    expect(JSON.stringify(await stored())).toBe(JSON.stringify(now))
  })

  it('a stale write is answered 409 with the current state, and changes nothing', async () => {
    const { id } = await makeSampler(ada)
    await post(ada, `/samplers/${id}/operations`, { baseRevision: 1, operations: [rename('First')] })
    const stale = await post(ada, `/samplers/${id}/operations`, { baseRevision: 1, operations: [rename('Second')] })
    expect(stale.status).toBe(409)
    expect(stale.body.current.document.name).toBe('First')
    expect(stale.body.current.revision).toBe(2)
    expect(stale.body.applied).toEqual([])
  })

  it('an operation sent twice, because its answer was lost, is applied once', async () => {
    const { id } = await makeSampler(ada)
    const one = rename('Once')
    await post(ada, `/samplers/${id}/operations`, { baseRevision: 1, operations: [one] })
    const again = await post(ada, `/samplers/${id}/operations`, { baseRevision: 1, operations: [one] })
    expect(again.status).toBe(409)
    expect(again.body.applied).toEqual([one.id])
    const fresh = await post(ada, `/samplers/${id}/operations`, { baseRevision: 2, operations: [one] })
    expect(fresh.body).toEqual({ revision: 2, refused: [] })
    // Beside one that is new, and where it could not be made a second time.
    const { drawing, exercises } = editedSampler
    const added = { id: randomUUID(), operation: { kind: 'add-guide', guide: drawing.guides[0], at: 0 } }
    expect((await post(ada, `/samplers/${id}/operations`, { baseRevision: 2, operations: [one, added] })).body).toEqual({ revision: 3, refused: [] })
    const exercise = { id: randomUUID(), operation: { kind: 'add-exercise', exercise: exercises[0], at: 0 } }
    const both = await post(ada, `/samplers/${id}/operations`, { baseRevision: 3, operations: [added, exercise, added] })
    expect(both.body).toEqual({ revision: 4, refused: [] })
    const { document } = (await ada.agent.get(`/api/samplers/${id}`)).body as { document: Sampler }
    expect([document.name, document.drawing.guides.length, document.exercises.length]).toEqual(['Once', 1, 1])
  })

  it('of ten writers at once on one base exactly one wins', async () => {
    const { id } = await makeSampler(ada)
    const answers = await Promise.all(
      Array.from({ length: 10 }, (_, index) => post(ada, `/samplers/${id}/operations`, { baseRevision: 1, operations: [rename(`Writer ${index}`)] })),
    )
    const statuses = answers.map((answer) => answer.status).sort()
    expect(statuses).toEqual([200, ...Array.from({ length: 9 }, () => 409)])
  })

  it('two who write at the very same moment come one after the other: the row is locked from reading to writing', async () => {
    const { id } = await makeSampler(ada)
    // The row is held here until both have asked: without a lock of their own both would read the same revision meanwhile.
    const holder = await server.sequelize.transaction()
    await SamplerRow.findByPk(id, { transaction: holder, lock: holder.LOCK.UPDATE })
    const both = ['One', 'Two'].map((name) =>
      post(ada, `/samplers/${id}/operations`, { baseRevision: 1, operations: [rename(name)] }).then((answer) => answer.status),
    )
    await waitFor(async () => (await waitingForLocks()) >= 2)
    await holder.commit()
    expect((await Promise.all(both)).sort()).toEqual([200, 409])
  })

  const line = (id: string) => ({ kind: 'add-guide', at: 0, guide: { id, guide: { kind: 'line', path: 'M 0 0 L 50 0' } } })
  const deep = (levels: number): unknown => (levels === 0 ? 1 : [deep(levels - 1)])

  it.each([
    ['an unknown kind', { kind: 'explode' }],
    ['an exercise that is not there', { kind: 'remove-exercise', id: 'e99' }],
    ['a path of a million points', { kind: 'add-guide', at: 0, guide: { id: 'big', guide: { kind: 'line', path: `M 0 0 ${'L 1 1 '.repeat(400_000)}` } } }],
    ['a length that is no number', { kind: 'add-guide', at: 0, guide: { id: 'nan', guide: { kind: 'spot', at: ['NaN', 0] } } }],
    ['taking away what an exercise needs', { kind: 'change-exercise', id: 'e1', set: {}, clear: ['on'] }],
    ['a matrix that bends', { kind: 'transform-guides', ids: ['g1'], matrix: [1, 0, 2, 1, 0, 0] }],
    ['half of a letter', { kind: 'rename', name: 'Fog \ud83c' }],
    ['nesting past what the database reads', { kind: 'put-stitch', stitch: { moves: deep(60) } }],
    [
      'a batch of which one part is wrong',
      {
        kind: 'batch',
        operations: [
          { kind: 'rename', name: 'Half' },
          { kind: 'remove-exercise', id: 'e99' },
        ],
      },
    ],
    [
      'the hundred and sixty-first exercise',
      {
        kind: 'batch',
        operations: [
          line('g1'),
          ...Array.from({ length: 161 }, (_, at) => ({
            kind: 'add-exercise',
            at,
            exercise: { id: `x${at}`, name: 'X', stitch: 'back-stitch', on: [{ guide: 'g1' }] },
          })),
        ],
      },
    ],
  ])('%s is refused by itself, with a sentence; what was sent beside it is kept', async (_what, operation) => {
    const { id } = await makeSampler(ada)
    const wrong = { id: randomUUID(), operation }
    const answer = await post(ada, `/samplers/${id}/operations`, {
      baseRevision: 1,
      operations: [rename('Before'), wrong, { id: randomUUID(), operation: { kind: 'set-units', units: 'in' } }],
    })
    expect(answer.status).toBe(200)
    expect(answer.body.revision).toBe(2)
    expect(answer.body.refused.map((one: { id: string }) => one.id)).toEqual([wrong.id])
    expect(problemInWords(answer.body.refused[0].problems[0]).length).toBeGreaterThan(10)
    expect((await ada.agent.get(`/api/samplers/${id}`)).body.document).toMatchObject({ name: 'Before', units: 'in' })
  })

  it('a batch of which nothing can be kept leaves the revision as it was', async () => {
    const { id } = await makeSampler(ada)
    const answer = await post(ada, `/samplers/${id}/operations`, { baseRevision: 1, operations: [{ id: randomUUID(), operation: { kind: 'explode' } }] })
    expect(answer.body).toMatchObject({ revision: 1, refused: [{}] })
  })

  it('an id that another sampler has met is refused, and never tried for ever', async () => {
    const [one, other] = [await makeSampler(ada), await makeSampler(ada)]
    const sent = rename('Met')
    await post(ada, `/samplers/${one.id}/operations`, { baseRevision: 1, operations: [sent] })
    const again = await post(ada, `/samplers/${other.id}/operations`, { baseRevision: 1, operations: [sent] })
    expect(again.status).toBe(200)
    expect(again.body.refused).toMatchObject([{ id: sent.id, problems: [{ code: 'operation.id-used' }] }])
  })

  it('what is stored can be exported and imported again, as it was', async () => {
    const { id } = await makeSampler(ada, { document: bandSampler('2026-11-23') })
    const operations = [
      { kind: 'rename', name: 'Weather \u2014 \u{1F327} \u0000 "quoted" \\ 天気' },
      { kind: 'change-guide', id: 'g1', set: { copies: { kind: 'round', centre: [155, 155], count: 8 } } },
      { kind: 'assign', id: 'e1', role: 'main', set: { shades: ['t1', 't2'] } },
    ].map((operation) => ({ id: randomUUID(), operation }))
    expect((await post(ada, `/samplers/${id}/operations`, { baseRevision: 1, operations })).body).toEqual({ revision: 2, refused: [] })
    const out = JSON.parse((await ada.agent.get(`/api/samplers/${id}/document`)).text)
    const again = await post(ada, '/samplers', { document: out })
    expect(again.status).toBe(201)
    expect(again.body.document).toEqual(out)
  })
})

/** Requests that stand at the held row, to read it or to write it. */
async function waitingForLocks(): Promise<number> {
  const [rows] = await server.sequelize.query('SHOW FULL PROCESSLIST')
  return (rows as { Command: string; Info: string | null }[]).filter(({ Command, Info }) => Command === 'Query' && /`samplers`/.test(Info ?? '')).length
}

async function waitFor(happened: () => Promise<boolean>): Promise<void> {
  const until = Date.now() + 10_000
  while (!(await happened())) if (Date.now() > until) throw new Error('it did not happen within ten seconds')
}

describe('bad input', () => {
  it('a body of 50 MB is refused before it is read', async () => {
    const answer = await ada.agent
      .post('/api/samplers')
      .set('x-csrf-token', ada.csrf)
      .set('content-type', 'application/json')
      .send(`{"name":"${'x'.repeat(50_000_000)}"}`)
    expect(answer.status).toBe(413)
    expect(answer.body.error.message).toMatch(/larger than 4 MB/)
  })

  it('what is no JSON, no sampler, no address', async () => {
    const broken = await ada.agent.post('/api/samplers').set('x-csrf-token', ada.csrf).set('content-type', 'application/json').send('{"name":')
    expect(broken.status).toBe(400)
    const other = await post(ada, '/samplers', { document: { format: 'something-else', exercises: 'many' } })
    expect(other.status).toBe(422)
    expect((await ada.agent.get('/api/samplers/not-an-id')).status).toBe(404)
    expect((await ada.agent.get('/api/nothing')).status).toBe(404)
    expect((await ada.agent.get('/api/samplers/%E0%A4%A')).status).toBe(400)
  })

  it('an unknown stitch is kept in the document and said when it is printed', async () => {
    const document = {
      ...bandSampler('2026-11-23'),
      lessons: [],
      exercises: [{ id: 'e1', name: 'What', stitch: 'no-such-stitch', guide: { kind: 'line', path: 'M 0 0 L 50 0' } }],
    }
    const { id } = await makeSampler(ada, { document })
    const answer = await ada.agent.get(`/api/samplers/${id}/sheet.pdf`)
    expect(answer.status).toBe(422)
    expect(answer.body.error.message).toMatch(/no stitch called "no-such-stitch"/)
  })
})

describe('printing', () => {
  it('gives a PDF and notes which revision is on paper', async () => {
    const { id } = await makeSampler(ada, { document: bandSampler('2026-11-23') })
    const pdf = await ada.agent.get(`/api/samplers/${id}/sheet.pdf?page=letter&hand=left&lesson=l1`).buffer(true)
    expect(pdf.status).toBe(200)
    expect(pdf.headers['content-type']).toBe('application/pdf')
    expect((await ada.agent.get(`/api/samplers/${id}`)).body.printedRevision).toBe(1)
  })

  it('gives the learner\u2019s book with its parts to go to, and refuses what it cannot set', async () => {
    const { id } = await makeSampler(ada, { document: bandSampler('2026-11-23') })
    const pdf = await ada.agent.get(`/api/samplers/${id}/book.pdf?form=compact`).buffer(true)
    expect(pdf.status).toBe(200)
    const text = (pdf.body as Buffer).toString('latin1')
    expect(text.startsWith('%PDF-')).toBe(true)
    expect(text).toContain('/Outlines')
    expect((await ada.agent.get(`/api/samplers/${id}`)).body.printedRevision).toBe(1)
    expect((await ada.agent.get(`/api/samplers/${id}/book.pdf?form=tiny`)).status).toBe(422)
    expect((await ben.agent.get(`/api/samplers/${id}/book.pdf`)).status).toBe(404)
    const empty = await makeSampler(ada, { document: { ...bandSampler('2026-11-23'), lessons: [] } })
    const answer = await ada.agent.get(`/api/samplers/${empty.id}/book.pdf`)
    expect([answer.status, answer.body.error.code]).toEqual([422, 'print.no-lessons'])
  })

  it('gives the teacher\u2019s book, cards, a slip since a version, and the book as a page of the web that is kept as a file', async () => {
    const { id } = await makeSampler(ada, { document: bandSampler('2026-11-23') })
    const get = (what: string) => ada.agent.get(`/api/samplers/${id}/${what}`).buffer(true)
    for (const what of ['book.pdf?kind=teacher', 'book.pdf?kind=cards&ink=black', 'book.pdf?form=compact&booklet=yes&pattern=a3']) {
      const pdf = await get(what)
      expect([what, pdf.status, (pdf.body as Buffer).subarray(0, 5).toString()]).toEqual([what, 200, '%PDF-'])
    }
    // A slip is between two prints: which is the earlier must be said, and be one of this sampler's.
    const without = await get('book.pdf?kind=slip')
    expect([without.status, JSON.parse(without.text ?? without.body.toString()).error.code]).toEqual([422, 'print.no-since'])
    const version = await post(ada, `/samplers/${id}/versions`, { name: 'first print' })
    expect((await get(`book.pdf?kind=slip&since=${version.body.id as string}`)).status).toBe(200)
    const other = await makeSampler(ada, { document: bandSampler('2026-11-23') })
    expect((await ada.agent.get(`/api/samplers/${other.id}/book.pdf?kind=slip&since=${version.body.id as string}`)).status).toBe(404)
    const page = await get('book.html')
    expect([page.status, page.headers['content-disposition']]).toEqual([200, expect.stringContaining('attachment')])
    expect(page.text).toContain('<!doctype html>')
    expect((await ben.agent.get(`/api/samplers/${id}/book.html`)).status).toBe(404)
  })

  it('refuses an unknown lesson and an unknown paper', async () => {
    const { id } = await makeSampler(ada, { document: bandSampler('2026-11-23') })
    expect((await ada.agent.get(`/api/samplers/${id}/sheet.pdf?lesson=nope`)).status).toBe(422)
    expect((await ada.agent.get(`/api/samplers/${id}/sheet.pdf?page=a0`)).status).toBe(422)
    // A bar that measured so little was fitted to the page.
    expect((await ada.agent.get(`/api/samplers/${id}/sheet.pdf?bar=40`)).status).toBe(422)
    expect((await ada.agent.get(`/api/samplers/${id}/sheet.pdf?lesson=l1&bar=49.3`)).status).toBe(200)
  })
})
