/** Sessions in MariaDB, a CSRF token in each, and who is signed in. */
import { randomBytes, timingSafeEqual } from 'node:crypto'
import connectSessionSequelize from 'connect-session-sequelize'
import type { NextFunction, Request, RequestHandler, Response } from 'express'
import session from 'express-session'
import type { Sequelize } from 'sequelize'
import { HttpProblem, notSignedIn } from './problem.ts'

declare module 'express-session' {
  interface SessionData {
    teacherId: string
    csrf: string
  }
}

const FOURTEEN_DAYS_MS = 14 * 24 * 3600 * 1000

/** Whose it is stands beside it too: all of one teacher's are found by it. */
const withTeacher = (fields: object, { teacherId = null }: { readonly teacherId?: string | null }): object => ({ ...fields, teacherId })

export function sessions(sequelize: Sequelize, secret: string): RequestHandler {
  const Store = connectSessionSequelize(session.Store)
  const store = new Store({
    db: sequelize,
    table: 'SessionRow',
    extendDefaultFields: withTeacher,
    checkExpirationInterval: 15 * 60 * 1000,
    expiration: FOURTEEN_DAYS_MS,
  })
  return session({
    name: 'lemmata',
    secret,
    store,
    resave: false,
    saveUninitialized: false,
    rolling: false,
    cookie: { httpOnly: true, sameSite: 'lax', maxAge: FOURTEEN_DAYS_MS },
  })
}

export function csrfToken(request: Request): string {
  request.session.csrf ??= randomBytes(24).toString('base64url')
  return request.session.csrf
}

/** Requests that change something carry the session's token in a header, which no other site can read. */
export function checkCsrf(request: Request, _response: Response, next: NextFunction): void {
  if (['GET', 'HEAD', 'OPTIONS'].includes(request.method)) return next()
  const sent = Buffer.from(request.get('x-csrf-token') ?? '')
  const kept = Buffer.from(request.session.csrf ?? '')
  if (kept.length === 0) return next(notSignedIn())
  if (sent.length !== kept.length || !timingSafeEqual(sent, kept)) {
    return next(new HttpProblem(403, 'session.token', 'This page is from an earlier session. Reload it and try again; what you changed is kept.'))
  }
  next()
}

/** A new session id at every sign-in, so that one known beforehand is worth nothing. */
export function beginSession(request: Request, teacherId: string): Promise<void> {
  return new Promise((resolve, reject) => {
    request.session.regenerate((error: unknown) => {
      if (error) return reject(asError(error))
      request.session.teacherId = teacherId
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
