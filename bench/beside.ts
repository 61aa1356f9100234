/**
 * `npm run bench:beside -- FOLDER`: how many samplers are read and how many edits are kept in a second by eight teachers at once, beside
 * the same with another state of this project, checked out in FOLDER and built there (`npm ci`, `npm start` once). Both serve in turns on
 * the same machine, and what counts is the middle of the ratios: machines have better and worse minutes.
 */
import { mkdtempSync, rmSync } from 'node:fs'
import { Agent, request } from 'node:http'
import { tmpdir } from 'node:os'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { ask, type Session, signIn } from './asked.ts'
import { rate } from './rate.ts'

const root = join(dirname(fileURLToPath(import.meta.url)), '../..')
const FOR_MS = 4000
const TURNS = 6
const TEACHERS = 8

interface Desk {
  readonly id: string
  revision: number
}

interface Side {
  readonly read: (index: number) => Promise<unknown>
  readonly edit: (index: number) => Promise<unknown>
  readonly stop: () => Promise<void>
}

/** An answer read as it comes, so that little of the machine's time goes to whoever asks. */
function send(agent: Agent, url: string, session: Session, body?: object): Promise<string> {
  return new Promise((done, failed) => {
    const headers = { cookie: session.cookie, 'x-csrf-token': session.csrf, ...(body ? { 'content-type': 'application/json' } : {}) }
    const asked = request(url, { agent, method: body ? 'POST' : 'GET', headers }, (answer) => {
      const parts: Buffer[] = []
      answer.on('data', (part: Buffer) => parts.push(part))
      answer.on('error', failed)
      answer.on('end', () => {
        const text = (): string => Buffer.concat(parts).toString()
        if (answer.statusCode !== 200) failed(new Error(`${url}: ${answer.statusCode ?? 0} ${text().slice(0, 200)}`))
        else done(body ? text() : '')
      })
    })
    asked.on('error', failed)
    asked.end(body && JSON.stringify(body))
  })
}

async function begin(folder: string, env: Readonly<Record<string, string>> = {}): Promise<Side> {
  const { startService } = (await import(join(folder, 'scripts/lib/service.mjs'))) as {
    startService: (root: string, options: object) => Promise<{ readonly address: string; readonly stop: () => Promise<void> }>
  }
  const data = mkdtempSync(join(tmpdir(), 'lemmata-beside-'))
  const service = await startService(folder, { folder: data, port: 0, env })
  const api = `${service.address}/api`
  const session = await signIn(api)
  const [demo] = await ask<readonly Desk[]>(api, session, 'GET', '/samplers')
  const desks: Desk[] = []
  for (let index = 0; index < TEACHERS; index += 1) desks.push(await ask<Desk>(api, session, 'POST', `/samplers/${demo?.id ?? ''}/copy`, {}))
  const agent = new Agent({ keepAlive: true, maxSockets: TEACHERS })
  return {
    read: (index) => send(agent, `${api}/samplers/${desks[index]?.id ?? ''}`, session),
    edit: async (index) => {
      const desk = desks[index] as Desk
      const operations = [{ id: crypto.randomUUID(), operation: { kind: 'rename', name: `Rain ${desk.revision}` } }]
      const answer = await send(agent, `${api}/samplers/${desk.id}/operations`, session, { baseRevision: desk.revision, operations })
      desk.revision = (JSON.parse(answer) as { readonly revision: number }).revision
    },
    stop: async () => {
      agent.destroy()
      await service.stop()
      rmSync(data, { recursive: true, force: true })
    },
  }
}

const middle = (all: readonly number[]): number => [...all].sort((a, b) => a - b)[Math.floor(all.length / 2)] ?? 0

const other = process.argv[2]
if (other === undefined) {
  process.stderr.write('Give the folder of the other state: npm run bench:beside -- FOLDER\n')
  process.exit(2)
}
const sides: readonly (readonly [string, Side])[] = [
  ['the other', await begin(resolve(other))],
  ['this', await begin(root)],
  ['this, two processes', await begin(root, { PROCESSES: '2' })],
]
try {
  for (const what of ['read', 'edit'] as const) {
    // What runs first is compiled first.
    for (const [, side] of sides) await rate(TEACHERS, FOR_MS, side[what])
    const rates = sides.map((): number[] => [])
    for (let turn = 0; turn < TURNS; turn += 1) for (const [index, [, side]] of sides.entries()) rates[index]?.push(await rate(TEACHERS, FOR_MS, side[what]))
    for (const [index, [name]] of sides.entries()) {
      const ratios = (rates[index] ?? []).map((one, turn) => one / (rates[0]?.[turn] ?? 1))
      const told = index === 0 ? '' : `, ${middle(ratios).toFixed(1)} x (${Math.min(...ratios).toFixed(1)} to ${Math.max(...ratios).toFixed(1)})`
      process.stdout.write(`${what === 'read' ? 'samplers read' : 'edits kept'} in a second, ${name}: ${middle(rates[index] ?? []).toFixed(0)}${told}\n`)
    }
  }
} finally {
  for (const [, side] of sides) await side.stop()
}
