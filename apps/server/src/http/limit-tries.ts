/**
 * Tries that were not right: so many from one address or at one account, and then none for a while. They are counted in the database, so
 * that all processes count together and a restart forgets nothing. Success is never counted.
 */
import { createHash } from 'node:crypto'
import type { Request, RequestHandler, Response } from 'express'
import { RateLimiterMemory, RateLimiterMySQL, RateLimiterRes } from 'rate-limiter-flexible'
import type { Sequelize } from 'sequelize'
import { HttpProblem } from './problem.ts'

export interface Tries {
  /** What is tried: tries of one are not those of another. */
  readonly of: string
  readonly most: number
  readonly minutes?: number
  /** Of the answer, beside its sentence. */
  readonly code: string
  /** Also those that were answered well. */
  readonly countsAll?: boolean
  /** Whose tries are counted together; left out: those from one address. Null: not counted. */
  readonly by?: (request: Request) => string | null
}

const MINUTES = 5

export function limitTries(sequelize: Sequelize, { of, most, minutes = MINUTES, code, countsAll = false, by = addressOf }: Tries): RequestHandler {
  const usual = { points: most, duration: minutes * 60, keyPrefix: of }
  const counter = new RateLimiterMySQL({
    ...usual,
    ...{
      storeClient: sequelize,
      storeType: 'sequelize',
      dbName: sequelize.config.database,
      tableName: 'tries',
      tableCreated: true,
      clearExpiredByTimeout: false,
    },
    // Where the database does not answer the tries are counted here, and the request ends by itself.
    insuranceLimiter: new RateLimiterMemory(usual),
  })
  return async (request, response, next) => {
    const tried = by(request)
    if (tried === null) return next()
    // Neither an address nor a name is written down.
    const key = createHash('sha256').update(tried).digest('base64url').slice(0, 24)
    // Counted before it is answered, or many at once would each find that none was counted yet; what was right is taken off again.
    const counted: unknown = await counter.consume(key).catch((refused: unknown) => refused)
    if (!(counted instanceof RateLimiterRes)) return next(counted)
    if (counted.consumedPoints > most) return next(tooMany(response, counted.msBeforeNext, code))
    if (!countsAll)
      response.once('close', () => {
        const { statusCode: status } = response
        if (status < 400 || status >= 500) void counter.reward(key, 1).catch(() => undefined)
      })
    next()
  }
}

const addressOf = (request: Request): string => request.ip ?? ''

function tooMany(response: Response, waitMs: number, code: string): HttpProblem {
  const minutes = Math.max(1, Math.ceil(waitMs / 60_000))
  response.set('retry-after', String(Math.ceil(waitMs / 1000)))
  return new HttpProblem(429, code, `Too many tries. Wait ${minutes === 1 ? 'a minute' : `${minutes} minutes`} and try again.`)
}
