/** Every error ends as a status and a sentence; unknown ones are logged with an id that is shown. */
import type { ErrorRequestHandler, RequestHandler } from 'express'
import type { Logger } from 'pino'
import { HttpProblem } from './problem.ts'

export const notFound: RequestHandler = (_request, _response, next) =>
  next(new HttpProblem(404, 'address.none', 'There is nothing at this address. Go back to the shelf.'))

export function answerErrors(log: Logger): ErrorRequestHandler {
  // Four parameters, by which it is known as what answers errors.
  return (error: unknown, request, response, _next) => {
    if (response.headersSent) {
      log.error({ err: error, id: request.noteId }, 'unexpected')
      // Whoever asked was told already, or sees that the answer was cut off.
      if (!response.writableEnded) response.destroy()
      return
    }
    const problem = asProblem(error)
    if (problem) {
      response.status(problem.status).json(problem.answer())
      return
    }
    const id = request.noteId
    log.error({ err: error, id }, 'unexpected')
    response.status(500).json({
      error: { code: 'server.unexpected', message: `Something went wrong on the server (note ${id}). What is told as saved is saved: try again in a moment.` },
    })
  }
}

/** The database will never keep this, however often it is sent: text it cannot write or compare, JSON it cannot read, an id met before. */
const NEVER_KEPT = new Set([1062, 1153, 1264, 1267, 1366, 1406, 3141, 4025, 4037, 4038])

/** There is no room on the disk: for a table, for what it sorts on the way, for a file of its own. */
const NO_ROOM = new Set([1021, 1026, 1114])

/** The connection broke off in the middle of a question, or the database is going. */
/** The one without a telling name is how a node of a cluster says that it is not one of it just now. */
const LOST = new Set([
  'ER_UNKNOWN_COM_ERROR',
  'PROTOCOL_CONNECTION_LOST',
  'ECONNRESET',
  'ECONNREFUSED',
  'EPIPE',
  'ER_SERVER_SHUTDOWN',
  'ER_CONNECTION_KILLED',
  'ER_NORMAL_SHUTDOWN',
])

function asProblem(error: unknown): HttpProblem | null {
  if (error instanceof HttpProblem) return error
  if (typeof error !== 'object' || error === null) return null
  const { type, name, original, status } = error as { type?: string; name?: string; status?: number; original?: { errno?: number; code?: string } }
  if (original?.errno !== undefined && NEVER_KEPT.has(original.errno))
    return new HttpProblem(
      422,
      'input.not-kept',
      'This cannot be kept as it is: it is too large, too deeply nested, or holds what is no text. Change it and try again.',
    )
  if (original?.errno !== undefined && NO_ROOM.has(original.errno))
    return new HttpProblem(
      503,
      'disk.full',
      'The server\u2019s disk is full: nothing more can be kept until whoever runs it makes room. What you changed stays in this page and is sent then.',
    )
  if (type === 'entity.too.large')
    return new HttpProblem(413, 'input.too-large', 'This is larger than 4 MB, which no sampler needs. Simplify the paths in it, or divide it.')
  if (type === 'entity.parse.failed') return new HttpProblem(400, 'input.not-json', 'This could not be read as JSON. Reload the page and try again.')
  if (type === 'encoding.unsupported' || type === 'charset.unsupported') return new HttpProblem(415, 'input.encoding', 'Send this as plain UTF-8 JSON.')
  if (type === 'request.aborted') return new HttpProblem(400, 'input.cut-off', 'The connection broke off while sending. Try again.')
  if (name === 'URIError') return new HttpProblem(400, 'address.wrong', 'This address cannot be read. Go back to the shelf.')
  if (
    name === 'SequelizeConnectionRefusedError' ||
    name === 'SequelizeConnectionError' ||
    name === 'SequelizeConnectionAcquireTimeoutError' ||
    name === 'SequelizeHostNotReachableError' ||
    (original?.code !== undefined && LOST.has(original.code))
  ) {
    return new HttpProblem(503, 'database.away', 'The database does not answer just now. What you changed is kept in this page and sent when it is back.')
  }
  // Whatever reads a request says so of what it cannot read.
  if (status !== undefined && status >= 400 && status < 500)
    return new HttpProblem(status, 'input.wrong', 'This request cannot be read. Reload the page and try again.')
  return null
}
