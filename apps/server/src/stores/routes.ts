import { sendOperations } from '@lemmata/contract'
import { Router } from 'express'
import type { Sequelize } from 'sequelize'
import { principalOf } from '../access/index.ts'
import { parseBody } from '../http/parse.ts'
import { findStores, storesAnswerFor, writeStores } from './service.ts'

export function storesRoutes(sequelize: Sequelize): Router {
  const routes = Router()
  routes.get('/stores', async (request, response) => {
    response.json(storesAnswerFor(await findStores(principalOf(request))))
  })
  routes.post('/stores/operations', async (request, response) => {
    const who = principalOf(request)
    response.json(await writeStores(sequelize, who, parseBody(sendOperations, request.body)))
  })
  return routes
}
