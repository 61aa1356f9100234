/**
 * Every route by who asks. The routes are read off the application itself: a new one that is not said here to be open, a learner's or its
 * owner's alone is taken for a teacher's, and has to turn everybody else away.
 */
import { bandSampler } from '@lemmata/contract/testing'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { makeServer, makeTeacher, post, type TestServer, type TestTeacher } from './testing/make-server.ts'

type Method = 'get' | 'post' | 'put' | 'delete'
interface Route {
  readonly method: Method
  readonly path: string
}
interface Layer {
  readonly route?: { readonly path: string | readonly string[]; readonly methods: Readonly<Record<string, boolean>> }
  readonly handle?: { readonly stack?: readonly Layer[] }
}

/** Of every router below this one, however deep. */
const routesIn = (stack: readonly Layer[]): readonly Route[] =>
  stack.flatMap(({ route, handle }): readonly Route[] => {
    if (!route) return handle?.stack ? routesIn(handle.stack) : []
    const paths = typeof route.path === 'string' ? [route.path] : route.path
    return paths.flatMap((path) => Object.keys(route.methods).map((method) => ({ method: method as Method, path })))
  })

/** Asked by anybody, with nothing to show. */
const OPEN = [
  ...['get /live', 'get /health', 'get /metrics', 'get /session', 'post /session', 'delete /session', 'post /accounts', 'get /calendars/:file'],
  ...['post /account/forgotten', 'post /account/new-password', 'post /accounts/by-message'],
  ...['get /learn/codes/:code', 'post /learn/join', 'get /learn/links/:link', 'post /learn/open'],
  // Under an address that is told to whoever runs it alone.
  'get /messages/:key',
  // The page, and learners' page: files, the same for everybody.
  ...['get /learn', 'get /learn/{*rest}', 'get /{*rest}'],
]
/** Under an id that every teacher has for herself: nothing of anybody else's is reached by it. */
const EACH_HER_OWN = ['put /stitches/:id', 'delete /stitches/:id']
const BODIES: Readonly<Record<string, (ids: Readonly<Record<string, string>>) => object>> = {
  'post /samplers/:id/operations': () => ({ baseRevision: 1, operations: [{ id: crypto.randomUUID(), operation: { kind: 'rename', name: 'Mine' } }] }),
  'post /classes/:id/operations': () => ({ baseRevision: 1, operations: [{ id: crypto.randomUUID(), operation: { kind: 'rename-class', name: 'Mine' } }] }),
  'post /samplers/:id/versions': () => ({ name: 'Mine' }),
  'post /classes': ({ sampler = '' }) => ({ name: 'Mine', sampler }),
}

let server: TestServer
let ada: TestTeacher
let ben: TestTeacher
let learnerKey: string
let ids: Record<string, string>
let routes: readonly Route[]

beforeAll(async () => {
  server = await makeServer('routes')
  ;[ada, ben] = [await makeTeacher(server), await makeTeacher(server)]
  const sampler = (await post(ada, '/samplers', { document: bandSampler('2026-11-23') })).body.id as string
  const group = (await post(ada, '/classes', { sampler, name: 'Thursdays' })).body.id as string
  const code = (await post(ada, `/classes/${group}/join-code`, {})).body.code as string
  learnerKey = (await request(server.app).post('/api/learn/join').send({ code, name: 'Ivar', hand: 'right', word: 'drizzle' })).body.key as string
  const week = (await request(server.app).get('/api/learn/week').set('authorization', `Bearer ${learnerKey}`)).body
  const version = (await post(ada, `/samplers/${sampler}/versions`, { name: 'Before' })).body.id as string
  const check = (await post(ada, '/ruler-checks', { method: 1, kind: 'apart', stitch: 'Running stitch', measuredMm: 6, rulerMm: 6 })).body.id as string
  ids = { sampler, group, version, check, learner: week.learner.id as string, none: '00000000-0000-4000-8000-000000000000' }
  routes = routesIn((server.app as unknown as { router: { stack: readonly Layer[] } }).router.stack)
})
afterAll(() => server.stop())

const nameOf = ({ method, path }: Route): string => `${method} ${path}`
const isOpen = (route: Route): boolean => OPEN.includes(nameOf(route))
const isLearners = ({ path }: Route): boolean => path.startsWith('/learn/')

/** With the ids of what is there, and is Ada's. */
function addressOf({ path }: Route): string {
  const kind = path.split('/')[1]
  const first = kind === 'classes' ? ids.group : kind === 'samplers' ? ids.sampler : kind === 'ruler-checks' ? ids.check : ids.none
  return `/api${path
    .replace(':id', first ?? '')
    .replace(':version', ids.version ?? '')
    .replace(':learner', ids.learner ?? '')
    .replace(/:\w+/, ids.none ?? '')}`
}

const ask = async (route: Route, as: TestTeacher | null, key: string | null = null): Promise<number> => {
  const agent = as ? as.agent : request(server.app)
  const asked = agent[route.method](addressOf(route)).set('x-csrf-token', as?.csrf ?? '')
  if (key !== null) void asked.set('authorization', `Bearer ${key}`)
  const body = BODIES[nameOf(route)]?.(ids) ?? {}
  return (await (route.method === 'get' ? asked : asked.send(body))).status
}

describe('every route', () => {
  it('is found', () => {
    expect(routes.length).toBeGreaterThan(50)
    const names = new Set(routes.map(nameOf))
    for (const said of [...OPEN, ...EACH_HER_OWN, ...Object.keys(BODIES)]) expect(names).toContain(said)
  })

  it('turns away whoever has not signed in, and a learner where it is a teacher\u2019s', async () => {
    for (const route of routes.filter((one) => !isOpen(one))) {
      expect([nameOf(route), await ask(route, null)]).toEqual([nameOf(route), 401])
      expect([nameOf(route), await ask(route, null, 'x'.repeat(32))]).toEqual([nameOf(route), 401])
      if (!isLearners(route)) expect([nameOf(route), await ask(route, null, learnerKey)]).toEqual([nameOf(route), 401])
    }
  })

  it('turns away a teacher where it is a learner\u2019s', async () => {
    for (const route of routes.filter((one) => isLearners(one) && !isOpen(one))) expect([nameOf(route), await ask(route, ada)]).toEqual([nameOf(route), 401])
  })

  it('of what is Ada\u2019s tells Ben that it is not there, and changes nothing of it', async () => {
    const hers = routes.filter(
      (one) => !isOpen(one) && !isLearners(one) && (one.path.includes(':') || nameOf(one) === 'post /classes') && !EACH_HER_OWN.includes(nameOf(one)),
    )
    expect(hers.length).toBeGreaterThan(25)
    for (const route of hers) expect([nameOf(route), await ask(route, ben)]).toEqual([nameOf(route), 404])
    // It is there all the same: whatever of it can be read, Ada reads.
    for (const route of hers.filter((one) => one.method === 'get' && !one.path.includes(':picture') && !one.path.startsWith('/pictures')))
      expect([nameOf(route), await ask(route, ada)]).toEqual([nameOf(route), 200])
  }, 60_000)
})
