/** A print in one answer, on the real application and a real MariaDB: how far it is, then the file; stopped by hanging up; what hinders it. */
import type { PrintLine } from '@lemmata/contract'
import { bandSampler } from '@lemmata/contract/testing'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { makeServer, makeTeacher, post, type TestServer, type TestTeacher } from '../testing/make-server.ts'

let server: TestServer
let ada: TestTeacher
let ben: TestTeacher
beforeAll(async () => {
  server = await makeServer('prints')
  ada = await makeTeacher(server)
  ben = await makeTeacher(server)
})
afterAll(() => server.stop())

async function makeSampler(document: unknown): Promise<string> {
  const made = await post(ada, '/samplers', { document })
  expect(made.status).toBe(201)
  return made.body.id as string
}

/** The lines before the file, and what follows them. */
async function printed(teacher: TestTeacher, path: string): Promise<{ readonly lines: readonly PrintLine[]; readonly file: Buffer }> {
  const answer = await post(teacher, path, {}).buffer(true).parse(whole)
  expect([answer.status, answer.headers['cache-control']]).toEqual([200, 'no-store, no-transform'])
  const lines: PrintLine[] = []
  let rest = answer.body as Buffer
  while (rest.length > 0 && !(lines.at(-1) && 'bytes' in (lines.at(-1) as object))) {
    const end = rest.indexOf('\n')
    lines.push(JSON.parse(rest.subarray(0, end).toString()) as PrintLine)
    rest = rest.subarray(end + 1)
  }
  return { lines, file: rest }
}

type Parser = NonNullable<Parameters<ReturnType<typeof post>['parse']>[0]>
const whole: Parser = (response, done) => {
  const parts: Buffer[] = []
  response.on('data', (part: Buffer) => parts.push(part))
  response.on('end', () => done(null, Buffer.concat(parts)))
}

it('says how far it is, never going back, and then is the file, noted as printed', async () => {
  const id = await makeSampler(bandSampler('2026-11-23'))
  const { lines, file } = await printed(ada, `/samplers/${id}/book.pdf?form=compact`)
  const shares = lines.flatMap((line) => ('share' in line ? [line.share] : []))
  expect(shares.length).toBeGreaterThan(3)
  expect(shares).toEqual([...shares].sort((a, b) => a - b))
  expect(lines.at(-1)).toEqual({ bytes: file.byteLength, name: expect.stringMatching(/book$/) })
  expect(file.subarray(0, 5).toString()).toBe('%PDF-')
  expect((await ada.agent.get(`/api/samplers/${id}`)).body.printedRevision).toBe(1)
  expect((await post(ben, `/samplers/${id}/book.pdf`, {})).status).toBe(404)
})

it('is stopped by hanging up, and then is on nobody\u2019s paper', async () => {
  const id = await makeSampler(bandSampler('2026-11-23'))
  await new Promise<void>((resolve) => {
    const asked = post(ada, `/samplers/${id}/book.pdf`, {}).buffer(true)
    const hangUp: Parser = (response, _done) => {
      response.once('data', () => void asked.abort())
    }
    asked.parse(hangUp).then(
      () => undefined,
      () => undefined,
    )
    asked.once('abort', resolve)
  })
  // Jobs go through one worker: when this is made, the other would have been.
  await printed(ada, `/samplers/${await makeSampler(bandSampler('2026-11-23'))}/book.pdf`)
  expect((await ada.agent.get(`/api/samplers/${id}`)).body.printedRevision).toBeNull()
})

it('says what hinders it as its last line', async () => {
  const id = await makeSampler({ ...bandSampler('2026-11-23'), lessons: [] })
  const { lines, file } = await printed(ada, `/samplers/${id}/book.pdf`)
  expect([lines.at(-1), file.byteLength]).toMatchObject([{ error: { code: 'print.no-lessons' } }, 0])
})
