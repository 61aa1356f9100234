/** Every request: an id that its answer carries, a line when it is answered, and how long those of its kind take. */
import { randomUUID } from 'node:crypto'
import type { Request, RequestHandler } from 'express'
import type { Logger } from 'pino'
import { Histogram, type Registry } from 'prom-client'

declare module 'express-serve-static-core' {
  interface Request {
    /** Said in what is answered, and found in the log. */
    noteId: string
  }
}

/** Sizes and times, no contents; an address as the route has it, without what somebody asked in it. */
export function requestLog(log: Logger): RequestHandler {
  return (request, response, next) => {
    request.noteId = randomUUID().slice(0, 8)
    response.set('x-request-id', request.noteId)
    const begun = performance.now()
    response.once('close', () => {
      const { statusCode: status } = response
      const line = {
        ...{ id: request.noteId, method: request.method, route: routeOf(request), status, ms: Math.round(performance.now() - begun) },
        ...{ in: Number(request.get('content-length') ?? 0), out: Number(response.get('content-length') ?? 0), isWhole: response.writableFinished },
      }
      if (status >= 500) log.warn(line, 'answered')
      else log.info(line, 'answered')
    })
    next()
  }
}

/** Bounds that tell apart what one does not notice, what one does, and what is too long; seconds. */
const BOUNDS = [0.005, 0.02, 0.05, 0.1, 0.3, 1, 3, 10, 30]

export function measureRequests(registry: Registry): RequestHandler {
  const took = new Histogram({
    ...{ name: 'lemmata_http_request_seconds', help: 'Time from a request to its answer', buckets: BOUNDS, registers: [registry] },
    labelNames: ['method', 'route', 'status'],
  })
  return (request, response, next) => {
    const begun = performance.now()
    response.once('close', () => {
      took.observe({ method: request.method, route: routeOf(request), status: response.statusCode }, (performance.now() - begun) / 1000)
    })
    next()
  }
}

/** As it is written in the program: few, and nobody's. Where an error was answered nothing but the address tells that it was of the API. */
function routeOf({ route, originalUrl }: Request): string {
  const { path } = (route ?? {}) as { readonly path?: string | readonly string[] }
  const base = originalUrl.startsWith('/api/') ? '/api' : ''
  if (path === undefined) return base === '' ? 'a file' : '/api, none'
  return `${base}${typeof path === 'string' ? path : (path[0] ?? '')}`
}
