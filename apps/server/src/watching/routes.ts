/** Asked by whoever keeps it running, and by what watches for them. */
import { statfs } from 'node:fs/promises'
import { Router } from 'express'
import type { Registry } from 'prom-client'
import { Gauge } from 'prom-client'
import { QueryTypes, type Sequelize } from 'sequelize'
import { HttpProblem } from '../http/problem.ts'

export interface WatchSettings {
  readonly sequelize: Sequelize
  /** Where data lies; left out, its disk is not looked at. */
  readonly folder: string | undefined
  readonly registry: Registry
  /** Its figures; of several processes those of all together. */
  readonly figures: () => Promise<string>
  readonly printing: () => { readonly making: number; readonly waiting: number }
}

/** Less than this and a backup, or a burst of writing, may not find room. */
const LEAST_FREE_BYTES = 300e6
const WAIT_MS = 5000

export function watchRoutes({ sequelize, folder, registry, figures, printing }: WatchSettings): Router {
  const routes = Router()
  for (const what of ['making', 'waiting'] as const)
    new Gauge({
      ...{ name: `lemmata_prints_${what}`, help: `Prints that are ${what}`, registers: [registry] },
      collect() {
        this.set(printing()[what])
      },
    })

  // The process answers, whatever else does not: begun anew only where this does not come.
  routes.get('/live', (_request, response) => {
    response.json({ ok: true })
  })

  // It can work: asked before people are sent to it.
  routes.get('/health', async (_request, response) => {
    const [database, disk] = await Promise.all([canWrite(sequelize), hasRoom(folder)])
    const ok = database === 'ok' && disk === 'ok'
    response.status(ok ? 200 : 503).json({ ok, database, disk, prints: printing() })
  })

  // Figures tell how many people work and when: for this machine alone.
  routes.get('/metrics', async (request, response) => {
    if (!/^(::ffff:)?127\.|^::1$/.test(request.ip ?? '')) throw new HttpProblem(404, 'address.none', 'There is nothing at this address. Go back to the shelf.')
    response.type(registry.contentType).send(await figures())
  })
  return routes
}

type Verdict = 'ok' | 'not written' | 'no answer' | 'nearly full' | 'not read'

async function canWrite(sequelize: Sequelize): Promise<Verdict> {
  const write = sequelize.query("REPLACE INTO tries (`key`, points, expire) VALUES ('health', 0, 0)", { type: QueryTypes.RAW }).then(
    (): Verdict => 'ok',
    (): Verdict => 'not written',
  )
  let timer: NodeJS.Timeout | undefined
  const late = new Promise<Verdict>((resolve) => {
    timer = setTimeout(resolve, WAIT_MS, 'no answer')
  })
  return Promise.race([write, late]).finally(() => clearTimeout(timer))
}

async function hasRoom(folder: string | undefined): Promise<Verdict> {
  if (folder === undefined) return 'ok'
  try {
    const { bavail, bsize } = await statfs(folder)
    return bavail * bsize >= LEAST_FREE_BYTES ? 'ok' : 'nearly full'
  } catch {
    return 'not read'
  }
}
