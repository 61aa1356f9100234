/**
 * `npm run bench:fuzz -- 100000 [SEED]`: so many requests on every route of the real server, made from the schemas and spoiled by a seeded dice,
 * by a teacher, a learner and nobody. Says every answer of 500 or more, every answer that took longer than ten seconds, and the server's
 * memory as it goes. Ends with 1 where there was one of the first two.
 */
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import {
  accountArchive,
  changePassword,
  classOperation,
  copySampler,
  deleteAccount,
  forgottenPassword,
  joinClass,
  keepVersion,
  makeAccount,
  makeClass,
  makeSampler,
  markPractice,
  newPassword,
  openAccount,
  openLink,
  operation,
  rulerCheck,
  signIn as signInSchema,
  storesOperation,
  tellPractice,
} from '@lemmata/contract'
import { seeded } from '@lemmata/core/base'
import { z } from 'zod'
import { type Dice, HOSTILE, oneOf, type Schema, spoiled, valueOf } from './any-value.ts'
import { ask, classCodes, joinAs, type Session, signIn } from './asked.ts'

const [count = 20_000, seed = 1] = process.argv
  .slice(2)
  .filter((one) => /^\d+$/.test(one))
  .map(Number)
const SIDE_BY_SIDE = 8
const LONGEST_MS = 10_000
const PRINTED_MS = 150_000
/** A print takes a second or two: so many in a hundred of the requests that could be one. */
const PRINTS_IN_100 = 4

const root = join(dirname(fileURLToPath(import.meta.url)), '../..')

const schemaOf = (schema: z.ZodType): Schema => z.toJSONSchema(schema, { unrepresentable: 'any', io: 'input' }) as Schema
const operations = (of: z.ZodType): Schema => ({
  type: 'object',
  properties: {
    baseRevision: { type: 'integer', minimum: 1, maximum: 40 },
    operations: {
      type: 'array',
      items: { type: 'object', properties: { id: { type: 'string', format: 'uuid' }, operation: schemaOf(of) }, required: ['id', 'operation'] },
    },
  },
  required: ['baseRevision', 'operations'],
})

/** What a route takes; any other takes anything. */
const BODIES: Readonly<Record<string, Schema>> = {
  'POST /accounts': schemaOf(makeAccount),
  'POST /session': schemaOf(signInSchema),
  'PUT /account/password': schemaOf(changePassword),
  'POST /account/forgotten': schemaOf(forgottenPassword),
  'POST /account/new-password': schemaOf(newPassword),
  'POST /accounts/by-message': schemaOf(openAccount),
  'POST /account/everything': schemaOf(accountArchive),
  'DELETE /account': schemaOf(deleteAccount),
  'POST /samplers': schemaOf(makeSampler),
  'POST /samplers/:id/copy': schemaOf(copySampler),
  'POST /samplers/:id/operations': operations(operation),
  'POST /samplers/:id/versions': schemaOf(keepVersion),
  'POST /classes': schemaOf(makeClass),
  'POST /classes/:id/operations': operations(classOperation),
  'POST /classes/:id/events': schemaOf(markPractice),
  'POST /stores/operations': operations(storesOperation),
  'POST /ruler-checks': schemaOf(rulerCheck),
  'POST /learn/join': schemaOf(joinClass),
  'POST /learn/open': schemaOf(openLink),
  'POST /learn/events': schemaOf(tellPractice),
}

interface Route {
  readonly method: string
  readonly path: string
}

/** As they are written in the program: whatever is added is asked too. */
function routesOf(): readonly Route[] {
  const source = ['accounts', 'samplers', 'versions', 'classes', 'calendars', 'learning', 'stores', 'sheets', 'stitches', 'pictures', 'watching'].map((one) =>
    readFileSync(join(root, `apps/server/src/${one}/routes.ts`), 'utf8'),
  )
  return source.flatMap((text) =>
    [...text.matchAll(/routes\.(get|post|put|delete)\(\s*[`'](\/[^`'$]*)[`']/g)].map(([, method = 'get', path = '/']) => ({
      method: method.toUpperCase(),
      path,
    })),
  )
}

interface World {
  readonly api: string
  readonly session: Session
  readonly learner: string
  readonly ids: readonly string[]
}

async function worldOf(address: string): Promise<World> {
  const api = `${address}/api`
  const session = await signIn(api)
  const [code = ''] = await classCodes(api, session)
  const learner = await joinAs(api, code, 'Ivar')
  const samplers = await ask<readonly { readonly id: string }[]>(api, session, 'GET', '/samplers')
  const classes = await Promise.all(samplers.map(({ id }) => ask<readonly { readonly id: string }[]>(api, session, 'GET', `/samplers/${id}/classes`)))
  return { api, session, learner, ids: [...samplers, ...classes.flat()].map((one) => one.id) }
}

const isPrint = (path: string): boolean => /\.(pdf|html)$/.test(path)

/** Nobody is signed out, nor is the account's password changed by chance. */
const LEFT_OUT = new Set(['DELETE /session', 'DELETE /account/sessions'])

function request(world: World, routes: readonly Route[], roll: Dice): { readonly name: string; readonly url: string; readonly init: RequestInit } {
  const route = oneOf(roll, routes)
  if (isPrint(route.path) && roll() * 100 > PRINTS_IN_100) return request(world, routes, roll)
  const name = `${route.method} ${route.path}`
  const path = route.path.replace(/:\w+/g, () =>
    roll() < 0.8 ? oneOf(roll, world.ids) : encodeURIComponent(String(oneOf(roll, ['x', '..', '%', 'null', '-1', 'x'.repeat(300), '\u{1f9f5}']))),
  )
  const query =
    roll() < 0.25
      ? `?${oneOf(roll, ['page', 'class', 'learner', 'kind', 'known', 'exercise', 'hand', 'bar'])}=${encodeURIComponent(String(oneOf(roll, ['a4', 'rows', 'x', '', '-1', '1e9', ...world.ids])))}`
      : ''
  const who = roll()
  const headers: Record<string, string> = {
    'content-type': roll() < 0.95 ? 'application/json' : oneOf(roll, ['text/plain', 'image/png', 'application/json; charset=snow', '']),
  }
  if (path.startsWith('/learn') ? who < 0.8 : who < 0.05) headers.authorization = `Bearer ${roll() < 0.95 ? world.learner : 'x'.repeat(32)}`
  else if (who < 0.9) Object.assign(headers, { cookie: world.session.cookie, 'x-csrf-token': roll() < 0.97 ? world.session.csrf : 'x' })
  const body = route.method === 'GET' ? undefined : bodyOf(name, world, roll)
  return { name, url: `${world.api}${path}${query}`, init: { method: route.method, headers, ...(body === undefined ? {} : { body }) } }
}

function bodyOf(name: string, { ids }: World, roll: Dice): string | undefined {
  const schema = BODIES[name]
  const value = schema ? valueOf(schema, roll, ids) : oneOf(roll, HOSTILE)
  const sent = roll() < 0.5 ? spoiled(value, roll) : value
  const text = JSON.stringify(sent)
  return roll() < 0.03 ? text?.slice(0, Math.floor(roll() * text.length)) : text
}

const bodyText = ({ body }: RequestInit): string => (typeof body === 'string' ? body : '')

/** Of the whole process with its printing workers, and of what is in use in its own thread. */
async function memoryOf({ api }: World): Promise<string> {
  const figures = await (await fetch(`${api}/metrics`)).text()
  const [resident, used] = ['process_resident_memory_bytes', 'nodejs_heap_size_used_bytes'].map(
    (name) => Number(new RegExp(`^${name} (\\S+)`, 'm').exec(figures)?.[1] ?? 0) / 1e6,
  )
  return `${Math.round(resident ?? 0)} MB, ${Math.round(used ?? 0)} of it in use by its own thread`
}

interface Service {
  readonly address: string
  readonly stop: () => Promise<void>
}

const { startService } = (await import(join(root, 'scripts/lib/service.mjs'))) as { startService: (root: string, options: object) => Promise<Service> }
const folder = mkdtempSync(join(tmpdir(), 'lemmata-fuzz-'))
const service = await startService(root, { folder, port: 0 })
const wrong: string[] = []
try {
  const roll = seeded(seed)
  const world = await worldOf(service.address)
  const routes = routesOf().filter((one) => !LEFT_OUT.has(`${one.method} ${one.path}`))
  const answers = new Map<number, number>()
  const asked = new Set<string>()
  const began = performance.now()
  let sent = 0
  process.stdout.write(`${routes.length} routes, seed ${seed}; ${await memoryOf(world)} at first\n`)
  const one = async (): Promise<void> => {
    while (sent < count) {
      sent += 1
      if (sent % Math.ceil(count / 10) === 0)
        process.stdout.write(`${sent} sent, ${Math.round(sent / ((performance.now() - began) / 1000))} a second, ${await memoryOf(world)}\n`)
      const { name, url, init } = request(world, routes, roll)
      asked.add(name)
      const from = performance.now()
      const answer = await fetch(url, { ...init, signal: AbortSignal.timeout(2 * PRINTED_MS) }).then(
        async (got) => ({ status: got.status, text: got.status >= 500 ? await got.text() : (await got.arrayBuffer(), '') }),
        (thrown: unknown) => ({ status: 0, text: String(thrown) }),
      )
      answers.set(answer.status, (answers.get(answer.status) ?? 0) + 1)
      const ms = performance.now() - from
      // 503 with its code is an answer: many prints are waiting.
      if ((answer.status >= 500 && !answer.text.includes('print.busy')) || answer.status === 0)
        wrong.push(`${answer.status} ${name} ${answer.text.slice(0, 200)} ${bodyText(init).slice(0, 300)}`)
      // An account's prints are made one after the other, and each may take half a minute.
      if (ms > (isPrint(name) ? PRINTED_MS : LONGEST_MS)) wrong.push(`${Math.round(ms)} ms ${name} ${bodyText(init).slice(0, 200)}`)
    }
  }
  await Promise.all(Array.from({ length: SIDE_BY_SIDE }, one))
  process.stdout.write(
    `${asked.size} of ${routes.length} routes asked; answers: ${[...answers]
      .sort(([a], [b]) => a - b)
      .map(([status, many]) => `${status}: ${many}`)
      .join(', ')}\n`,
  )
} finally {
  await service.stop()
  rmSync(folder, { recursive: true, force: true })
}
for (const line of wrong.slice(0, 40)) process.stdout.write(`WRONG ${line}\n`)
process.stdout.write(`${wrong.length} wrong\n`)
process.exitCode = wrong.length > 0 ? 1 : 0
