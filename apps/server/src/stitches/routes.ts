/** A teacher's own stitches: read, written, removed. */
import { stitchDocument } from '@lemmata/contract'
import { Router } from 'express'
import { parseBody } from '../http/parse.ts'
import { principalOf } from '../access/index.ts'
import { listStitches, putStitch, removeStitch } from './service.ts'

export function stitchRoutes(): Router {
  const routes = Router()
  routes.get('/stitches', async (request, response) => {
    response.json(await listStitches(principalOf(request)))
  })
  routes.put('/stitches/:id', async (request, response) => {
    const who = principalOf(request)
    await putStitch(who, request.params.id, parseBody(stitchDocument, request.body))
    response.status(204).end()
  })
  routes.delete('/stitches/:id', async (request, response) => {
    await removeStitch(principalOf(request), request.params.id)
    response.status(204).end()
  })
  return routes
}
