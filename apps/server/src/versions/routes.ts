/** Named versions of a sampler: listed, kept, read, dropped. Putting one back is an edit like any other. */
import { keepVersion as keepVersionSchema } from '@lemmata/contract'
import { Router } from 'express'
import type { Sequelize } from 'sequelize'
import { principalOf } from '../access/index.ts'
import { parseBody } from '../http/parse.ts'
import { dropVersion, keepVersion, listVersions, readVersion } from './service.ts'

export function versionRoutes(sequelize: Sequelize): Router {
  const routes = Router()
  routes.get('/samplers/:id/versions', async (request, response) => {
    response.json(await listVersions(principalOf(request), request.params.id))
  })
  routes.post('/samplers/:id/versions', async (request, response) => {
    const who = principalOf(request)
    const { name } = parseBody(keepVersionSchema, request.body)
    response.status(201).json(await keepVersion(sequelize, who, request.params.id, name))
  })
  routes.get('/samplers/:id/versions/:version', async (request, response) => {
    response.json(await readVersion(principalOf(request), request.params.id, request.params.version))
  })
  routes.delete('/samplers/:id/versions/:version', async (request, response) => {
    await dropVersion(principalOf(request), request.params.id, request.params.version)
    response.status(204).end()
  })
  return routes
}
