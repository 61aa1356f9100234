/** A picture is sent as it is, kept as the server makes it anew, and read by whoever sent it. */
import express, { Router } from 'express'
import { principalOf } from '../access/index.ts'
import { HttpProblem } from '../http/problem.ts'
import { dropPicture, keepPicture, readPicture } from './service.ts'

/** What a camera of a telephone makes, and not more. */
const MOST_BYTES = 12 * 1024 * 1024

export function pictureRoutes(): Router {
  const routes = Router()
  routes.post('/pictures', express.raw({ type: 'image/*', limit: MOST_BYTES }), async (request, response) => {
    const who = principalOf(request)
    const sent: unknown = request.body
    if (!Buffer.isBuffer(sent) || sent.length === 0) throw new HttpProblem(415, 'picture.none', 'This is not a picture. Send a JPEG, PNG or WebP file.')
    response.status(201).json(await keepPicture(who, sent))
  })
  routes.get('/pictures/:id', async (request, response) => {
    const { bytes } = await readPicture(principalOf(request), request.params.id)
    // It never changes: another picture has another id.
    response.set({ 'content-type': 'image/webp', 'cache-control': 'private, max-age=31536000, immutable', 'content-disposition': 'inline' }).send(bytes)
  })
  routes.delete('/pictures/:id', async (request, response) => {
    await dropPicture(principalOf(request), request.params.id)
    response.status(204).end()
  })
  return routes
}
