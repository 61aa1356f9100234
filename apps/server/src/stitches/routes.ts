/** A teacher's own stitches: read, written, removed. */
import { stitchDocument } from '@lemmata/contract'
import { Router } from 'express'
import { parseBody } from '../http/parse.ts'
import { signedIn } from '../http/sessions.ts'
import { listStitches, putStitch, removeStitch } from './service.ts'

export function stitchRoutes(): Router {
  const routes = Router()
  routes.get('/stitches', async (request, response) => {
    response.json(await listStitches(signedIn(request)))
  })
  routes.put('/stitches/:id', async (request, response) => {
    const teacherId = signedIn(request)
    await putStitch(teacherId, request.params.id, parseBody(stitchDocument, request.body))
    response.status(204).end()
  })
  routes.delete('/stitches/:id', async (request, response) => {
    await removeStitch(signedIn(request), request.params.id)
    response.status(204).end()
  })
  return routes
}
