/** The real application on a database of its own, and teachers who talk to it. */
import { inject } from 'vitest'
import { pino } from 'pino'
import { Sequelize } from 'sequelize'
import request, { type Agent } from 'supertest'
import { makeApp } from '../app.ts'
import { connectDatabase, defineModels, migrate } from '../database/index.ts'
import type { Message } from '../mail/index.ts'
import { stopPrinting } from '../sheets/index.ts'

export interface TestServer {
  readonly app: ReturnType<typeof makeApp>
  readonly sequelize: Sequelize
  /** The application once more, as another process has it. */
  readonly another: (more?: { readonly folder?: string; readonly byMessage?: boolean; readonly laid?: string }) => TestServer['app']
  /** Messages that were sent. */
  readonly sent: Message[]
  readonly stop: () => Promise<void>
}

/** `page`: folder of a built page, where one is asked for. `address`: under which people reach it. */
export async function makeServer(name: string, page?: string, address = 'http://lemmata.example'): Promise<TestServer> {
  const { host, port, database, user, password } = inject('database')
  const own = `${database}_${name}`
  const admin = new Sequelize('', user, password, { host, port, dialect: 'mysql', logging: false })
  await admin.query(`DROP DATABASE IF EXISTS \`${own}\``)
  await admin.query(`CREATE DATABASE \`${own}\``)
  await admin.close()
  return serverOn(
    connectDatabase({ DATABASE_HOST: host, DATABASE_PORT: port, DATABASE_NAME: own, DATABASE_USER: user, DATABASE_PASSWORD: password }),
    page,
    address,
  )
}

/** On a database that is there. */
export async function serverOn(sequelize: Sequelize, page?: string, address = 'http://lemmata.example'): Promise<TestServer> {
  defineModels(sequelize)
  await migrate(sequelize)
  const sent: Message[] = []
  const another = (more: { readonly folder?: string; readonly byMessage?: boolean; readonly laid?: string } = {}) =>
    makeApp({
      ...{ sequelize, secret: 'a secret for tests only', log: pino({ level: 'silent' }), mostTries: 20, mostSignUps: 20, address, laid: 'none-are-laid' },
      post: (message) => Promise.resolve(void sent.push(message)),
      ...(page === undefined ? {} : { page }),
      ...more,
    })
  return {
    app: another(),
    another,
    sequelize,
    sent,
    stop: async () => {
      await stopPrinting()
      await sequelize.close()
    },
  }
}

export interface TestTeacher {
  readonly agent: Agent
  readonly csrf: string
}

let made = 0

/** A new teacher, signed in. */
export async function makeTeacher(server: TestServer): Promise<TestTeacher> {
  made += 1
  const number = made
  const agent = request.agent(server.app)
  const first = await agent.get('/api/session')
  const answer = await agent
    .post('/api/accounts')
    .set('x-csrf-token', first.body.csrf as string)
    .send({ email: `teacher${number}@example.org`, name: `Teacher ${number}`, password: 'rain on the window' })
  if (answer.status !== 201) throw new Error(JSON.stringify(answer.body))
  return { agent, csrf: answer.body.csrf as string }
}

/** As the page sends: with the token of her session. */
export const post = (teacher: TestTeacher, path: string, body: unknown) =>
  teacher.agent
    .post(`/api${path}`)
    .set('x-csrf-token', teacher.csrf)
    .send(body as object)
