/** The Express application: page, API, and how errors are answered. */
import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { constants } from 'node:zlib'
import compression from 'compression'
import express, { type Express, type RequestHandler } from 'express'
import expressStaticGzip from 'express-static-gzip'
import helmet from 'helmet'
import { Registry } from 'prom-client'
import { type AccountSettings, accountRoutes } from './accounts/index.ts'
import { calendarRoutes, openCalendarRoutes } from './calendars/index.ts'
import { classRoutes } from './classes/index.ts'
import { MOST_ARCHIVE_BYTES } from '@lemmata/contract'
import { answerErrors, notFound } from './http/errors.ts'
import { notSignedIn } from './http/problem.ts'
import { checkCsrf, sessions } from './http/sessions.ts'
import { laidPageRoutes } from './mail/index.ts'
import { learnerRoutes, learningRoutes } from './learning/index.ts'
import { samplerRoutes } from './samplers/index.ts'
import { pictureRoutes } from './pictures/index.ts'
import { printing, sheetRoutes } from './sheets/index.ts'
import { storesRoutes } from './stores/index.ts'
import { stitchRoutes } from './stitches/index.ts'
import { versionRoutes } from './versions/index.ts'
import { measureRequests, requestLog, watchRoutes } from './watching/index.ts'

export interface AppSettings extends AccountSettings {
  /** Folder of the built page, where it is another. */
  readonly page?: string
  /** Where data lies. */
  readonly folder?: string | undefined
  /** Where messages are laid that are not sent; left out where they are. */
  readonly laid?: string
  /** Figures of the whole process; left out, of this application alone. */
  readonly registry?: Registry
  /** Of all processes together, where several serve; left out: of this one. */
  readonly figures?: () => Promise<string>
}

const PAGE = join(dirname(fileURLToPath(import.meta.url)), '../../web/dist')

export function makeApp(settings: AppSettings): Express {
  const { page: folder = PAGE } = settings
  const app = express()
  app.disable('x-powered-by')
  // Nothing of what is worked out is kept by who asked, so that a mark to ask by would be reckoned for nobody. Files have their own.
  app.disable('etag')
  // Behind a proxy on this machine it is the proxy that knows who asks, and whether safely.
  const isHosted = settings.address?.startsWith('https://') ?? false
  if (isHosted) app.set('trust proxy', 'loopback')
  // Files need no rules for pages: of forty small ones those would be a tenth of what a phone loads.
  const registry = settings.registry ?? new Registry()
  app.use(requestLog(settings.log), measureRequests(registry))
  app.use('/assets', compression(), briefRules, assets(join(folder, 'assets')), notFound)
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          // The solver is WebAssembly.
          'script-src': ["'self'", "'wasm-unsafe-eval'"],
          // Ant Design writes its styles into the page.
          'style-src': ["'self'", "'unsafe-inline'"],
          'img-src': ["'self'", 'data:', 'blob:'],
          'worker-src': ["'self'", 'blob:'],
          'frame-src': ["'self'", 'blob:'],
          'upgrade-insecure-requests': isHosted ? [] : null,
        },
      },
      // As it stands it is plain http on loopback.
      strictTransportSecurity: isHosted ? { maxAge: 365 * 24 * 3600 } : false,
    }),
  )
  // A twentieth smaller than at 4, which it would be, and as fast; above 6 it takes several times as long.
  app.use(compression({ brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: 5 } } }))
  const api = express.Router()
  // Whatever is answered is somebody's own: nobody on the way keeps it. What may be kept says so itself.
  api.use((_request, response, next) => {
    response.set('cache-control', 'no-store')
    next()
  })
  api.use(watchRoutes({ sequelize: settings.sequelize, folder: settings.folder, registry, figures: settings.figures ?? (() => registry.metrics()), printing }))
  api.use(openCalendarRoutes())
  api.use(learnerRoutes(settings.sequelize, settings))
  api.use(sessions(settings.sequelize, settings.secret, isHosted))
  api.use(checkCsrf)
  api.use(pictureRoutes())
  // Larger than anything else that is sent, and read only where somebody is signed in.
  api.post('/account/everything', signedInOnly, express.json({ limit: MOST_ARCHIVE_BYTES }))
  api.use(express.json({ limit: '4mb' }))
  api.use(accountRoutes(settings))
  api.use(samplerRoutes(settings.sequelize))
  api.use(versionRoutes(settings.sequelize))
  api.use(classRoutes(settings.sequelize))
  api.use(calendarRoutes())
  api.use(learningRoutes(settings.sequelize))
  api.use(storesRoutes(settings.sequelize))
  api.use(sheetRoutes())
  api.use(stitchRoutes())
  api.use(notFound)
  app.use('/api', api)
  if (settings.laid !== undefined) app.use(laidPageRoutes(settings.laid, settings.secret))
  // Within an hour a phone that keeps them for later does not send for them a second time.
  app.use(express.static(folder, { index: false, maxAge: '1h' }))
  // Learners' pages: on every address below, for the link is part of it.
  app.get(['/learn', '/learn/{*rest}'], (_request, response, next) => {
    const page = join(folder, 'learn.html')
    if (!existsSync(page)) return next()
    response.set('cache-control', 'no-cache').sendFile(page)
  })
  app.get('/{*rest}', (request, response, next) => {
    // A file that is not there is none: the page has no dots in its addresses.
    if (FILE.test(request.path)) return next()
    const page = pageOf(folder, request.path)
    if (!existsSync(page)) return next()
    response.set('cache-control', 'no-cache').set('link', neededFirst(request.path)).sendFile(page)
  })
  app.use(notFound)
  app.use(answerErrors(settings.log))
  return app
}

const briefRules: RequestHandler = ({ path }, response, next) => {
  response.set('x-content-type-options', 'nosniff').removeHeader('x-request-id')
  // A worker has the rules of its own file; every other script those of its page.
  if (WORKER.test(path)) response.set('content-security-policy', "default-src 'self'; script-src 'self' 'wasm-unsafe-eval'")
  next()
}
const WORKER = /worker[^/]*\.js$/

/** Files whose names tell their contents: kept for good, and sent as small as they were made when the page was built. */
function assets(folder: string): RequestHandler {
  // What is kept for good is never asked about again: no mark to ask by.
  const kept = { immutable: true, maxAge: '1y', etag: false, lastModified: false, acceptRanges: false } as const
  if (!existsSync(folder)) return express.static(folder, kept)
  return expressStaticGzip(folder, { enableBrotli: true, orderPreference: ['br'], serveStatic: kept })
}

const signedInOnly: RequestHandler = (request, _response, next) => next(request.session.teacherId ? undefined : notSignedIn())

const FILE = /\.[a-z0-9]{1,8}$/i

/** A stage of a sampler has a page of its own, with what it needs in its head; everything else, and what has none, has the same. */
function pageOf(folder: string, path: string): string {
  const stage = /^\/samplers\/[^/]+\/(\w+)(\/|$)/.exec(path)?.[1]
  const own = join(folder, 'stages', `${stage}.html`)
  return stage !== undefined && existsSync(own) ? own : join(folder, 'index.html')
}

/** What a page asks for as soon as its code runs is sent for with the code: who is signed in, a sampler, and the stitches of one's own. */
function neededFirst(path: string): string {
  const id = /^\/samplers\/([\w-]{1,64})(\/|$)/.exec(path)?.[1]
  const wanted = ['/api/session', ...(id === undefined ? [] : [`/api/samplers/${id}`, '/api/stitches'])]
  return wanted.map((one) => `<${one}>; rel=preload; as=fetch; crossorigin`).join(', ')
}
