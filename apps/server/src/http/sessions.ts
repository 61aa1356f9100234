/** Sessions in MariaDB, a CSRF token in each, and who is signed in. */
import { createHmac, randomBytes } from 'node:crypto'
import connectSessionSequelize from 'connect-session-sequelize'
import type { NextFunction, Request, RequestHandler, Response } from 'express'
import session from 'express-session'
import type { Sequelize } from 'sequelize'
import { HttpProblem, notSignedIn } from './problem.ts'
import { isSame } from './same.ts'

declare module 'express-serve-static-core' {
  interface Request {
    /** What tokens of strangers are signed with. */
    tokenSecret: string
  }
}

declare module 'express-session' {
  interface SessionData {
    teacherId: string
    csrf: string
    /** The day on which it was used last, counted from 1970. */
    usedOn: number
  }
}

const DAY_MS = 24 * 3600 * 1000
const FOURTEEN_DAYS_MS = 14 * DAY_MS

/** Whose it is stands beside it too: all of one teacher's are found by it. */
const withTeacher = (fields: object, { teacherId = null }: { readonly teacherId?: string | null }): object => ({ ...fields, teacherId })

/** `isHosted`: reached over https alone, so that the cookie goes over nothing else. */
export function sessions(sequelize: Sequelize, secret: string, isHosted: boolean): RequestHandler {
  const Store = connectSessionSequelize(session.Store)
  const store = new Store({
    db: sequelize,
    table: 'SessionRow',
    extendDefaultFields: withTeacher,
    checkExpirationInterval: 15 * 60 * 1000,
    expiration: FOURTEEN_DAYS_MS,
    // Else every request would be a write that the disk is waited for.
    ...{ disableTouch: true },
  })
  const handle = session({
    name: 'lemmata',
    secret,
    store,
    resave: false,
    saveUninitialized: false,
    rolling: false,
    cookie: { httpOnly: true, sameSite: 'lax', secure: isHosted, maxAge: FOURTEEN_DAYS_MS },
  })
  return (request, response, next) => {
    request.tokenSecret = secret
    handle(request, response, (error?: unknown) => {
      if (!error) stayIn(request)
      next(error)
    })
  }
}

/** Fourteen days from when it was used last: written down once a day. */
function stayIn({ session: own }: Request): void {
  const today = Math.floor(Date.now() / DAY_MS)
  if (own.teacherId && own.usedOn !== today) own.usedOn = today
}

/** Of whoever is signed in it stands in her session. Nobody else has one that is kept: hers tells by itself that it is ours, and how old it is. */
export function csrfToken(request: Request): string {
  if (!request.session.teacherId) return strangersToken(request.tokenSecret, Date.now())
  request.session.csrf ??= randomBytes(24).toString('base64url')
  return request.session.csrf
}

const STRANGERS_FOR_MS = 24 * 3600 * 1000

function strangersToken(secret: string, at: number): string {
  const sign = createHmac('sha256', secret).update(`stranger ${at}`).digest('base64url')
  return `${at}.${sign}`
}

function isStrangersToken(secret: string, sent: string): boolean {
  const at = Number(sent.split('.')[0])
  return Number.isInteger(at) && Math.abs(Date.now() - at) < STRANGERS_FOR_MS && isSame(sent, strangersToken(secret, at))
}

/** Requests that change something carry a token in a header, which no other site can read. */
export function checkCsrf(request: Request, _response: Response, next: NextFunction): void {
  if (['GET', 'HEAD', 'OPTIONS'].includes(request.method)) return next()
  const sent = request.get('x-csrf-token') ?? ''
  const { teacherId, csrf } = request.session
  if (teacherId ? isSame(sent, csrf ?? '') && sent !== '' : isStrangersToken(request.tokenSecret, sent)) return next()
  // Whoever was signed in when the page was opened is not any more.
  next(
    teacherId
      ? new HttpProblem(403, 'session.token', 'This page is from an earlier session. Reload it and try again; what you changed is kept.')
      : notSignedIn(),
  )
}

/** A new session id at every sign-in, so that one known beforehand is worth nothing. */
export function beginSession(request: Request, teacherId: string): Promise<void> {
  return new Promise((resolve, reject) => {
    request.session.regenerate((error: unknown) => {
      if (error) return reject(asError(error))
      request.session.teacherId = teacherId
      stayIn(request)
      csrfToken(request)
      request.session.save((failed: unknown) => (failed ? reject(asError(failed)) : resolve()))
    })
  })
}

export function endSession(request: Request): Promise<void> {
  return new Promise((resolve, reject) => request.session.destroy((error: unknown) => (error ? reject(asError(error)) : resolve())))
}

function asError(thrown: unknown): Error {
  return thrown instanceof Error ? thrown : new Error(String(thrown))
}
