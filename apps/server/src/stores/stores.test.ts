/** The stores on the real application and a real MariaDB: whose they are, two windows at once, and hostile input. */
import { randomUUID } from 'node:crypto'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { makeServer, makeTeacher, post, type TestServer, type TestTeacher } from '../testing/make-server.ts'

let server: TestServer
let ada: TestTeacher
let ben: TestTeacher
beforeAll(async () => {
  server = await makeServer('stores')
  ada = await makeTeacher(server)
  ben = await makeTeacher(server)
})
afterAll(() => server.stop())

const sent = (operation: object, id = randomUUID()) => ({ id, operation })
const rain = { id: 't1', kind: 'stranded-cotton', colour: { name: 'Rainwater', hex: '#4B6D8F' }, left: 20_000 }
const put = sent({ kind: 'put-stored', shelf: 'threads', item: rain, at: 0 })
const take = (id: string, amount: number) => sent({ kind: 'take', taken: { id, for: 's1', parts: [{ shelf: 'threads', item: 't1', amount }] } })
const write = (who: TestTeacher, baseRevision: number, ...operations: object[]) => post(who, '/stores/operations', { baseRevision, operations })
const read = async (who: TestTeacher) => (await who.agent.get('/api/stores')).body

describe('the stores', () => {
  it('are there and empty for everyone, and one\u2019s own: what one puts in nobody else sees', async () => {
    expect(await read(ada)).toMatchObject({ revision: 1, document: { currency: 'EUR', threads: [], taken: [] } })
    expect((await write(ada, 1, put)).body).toEqual({ revision: 2, refused: [] })
    expect((await read(ada)).document.threads).toEqual([rain])
    expect((await read(ben)).document.threads).toEqual([])
    expect((await request.agent(server.app).get('/api/stores')).status).toBe(401)
    expect((await write(ben, 1, put)).body.refused.map((one: { problems: { code: string }[] }) => one.problems[0]?.code)).toEqual(['operation.id-used'])
  })

  it('asked for the first time by eight windows at once are made once', async () => {
    const cy = await makeTeacher(server)
    const answers = await Promise.all(Array.from({ length: 8 }, () => cy.agent.get('/api/stores')))
    expect(new Set(answers.map((one) => `${one.status} ${one.body.id} ${one.body.revision}`)).size).toBe(1)
  })

  it('cut from two windows at once are taken once: the metres that are left and those that were taken are all there were', async () => {
    const { revision } = await read(ada)
    // Both windows tick the same ten kits, and each goes on from the other\u2019s state when it comes second.
    const window = async (from: number): Promise<void> => {
      let base = from
      for (let kit = 1; kit <= 10; kit += 1) {
        const one = take(`kit ${kit}`, 3000)
        let answer = await write(ada, base, one)
        for (; answer.status === 409; answer = await write(ada, base, one)) base = answer.body.current.revision as number
        expect(answer.status).toBe(200)
        base = answer.body.revision as number
      }
    }
    await Promise.all([window(revision as number), window(revision as number)])
    const { document } = await read(ada)
    const taken = (document.taken as { parts: { amount: number }[] }[]).flatMap((one) => one.parts).reduce((sum, one) => sum + one.amount, 0)
    expect(document.taken).toHaveLength(10)
    expect(taken).toBe(20_000)
    expect(document.threads[0].left).toBe(0)
  })

  it('give back what was undone, once, and a second time say why not', async () => {
    const { revision } = await read(ada)
    const done = await write(ada, revision, sent({ kind: 'give-back', id: 'kit 1' }), sent({ kind: 'give-back', id: 'kit 1' }))
    expect(done.body.refused.map((one: { problems: { code: string }[] }) => one.problems[0]?.code)).toEqual(['stores.not-taken'])
    expect((await read(ada)).document.threads[0].left).toBe(3000)
  })

  it.each([
    ['less than nothing', { kind: 'put-stored', shelf: 'threads', item: { ...rain, id: 'x', left: -1 }, at: 0 }],
    ['no such kind', { kind: 'put-stored', shelf: 'threads', item: { ...rain, id: 'x', kind: '__proto__' }, at: 0 }],
    ['a needle on the shelf of threads', { kind: 'put-stored', shelf: 'threads', item: { id: 'x', kind: 'embroidery', size: 8, left: 1 }, at: 0 }],
    ['a size that its kind has not', { kind: 'put-stored', shelf: 'needles', item: { id: 'x', kind: 'tapestry', size: 7, left: 1 }, at: 0 }],
    ['a shelf of no such name', { kind: 'remove-stored', shelf: 'constructor', id: 't1' }],
    ['taking less than nothing', { kind: 'take', taken: { id: 'k', for: 's', parts: [{ shelf: 'threads', item: 't1', amount: -5 }] } }],
    ['a field of another shelf that makes it unreadable', { kind: 'change-stored', shelf: 'threads', id: 't1', set: { kind: 'embroidery' } }],
    ['a currency in words', { kind: 'set-currency', currency: 'crowns' }],
  ])('refuse %s alone, and keep the rest', async (_name, operation) => {
    const { revision } = await read(ada)
    const done = await write(ada, revision, sent(operation), sent({ kind: 'change-stored', shelf: 'threads', id: 't1', set: { note: _name } }))
    expect(done.status).toBe(200)
    expect(done.body.refused).toHaveLength(1)
    expect((await read(ada)).document.threads).toEqual([{ ...rain, left: 3000, note: _name }])
  })
})
