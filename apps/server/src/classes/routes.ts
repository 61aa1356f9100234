import { makeClass as makeClassSchema, sendOperations } from '@lemmata/contract'
import { Router } from 'express'
import type { Sequelize } from 'sequelize'
import { principalOf } from '../access/index.ts'
import { parseBody } from '../http/parse.ts'
import { classAnswerFor, findClass, listClasses, makeClass, removeClass, writeClass } from './service.ts'

export function classRoutes(sequelize: Sequelize): Router {
  const routes = Router()
  routes.get('/samplers/:id/classes', async (request, response) => {
    response.json(await listClasses(principalOf(request), request.params.id))
  })
  routes.post('/classes', async (request, response) => {
    const who = principalOf(request)
    response.status(201).json(classAnswerFor(await makeClass(sequelize, who, parseBody(makeClassSchema, request.body))))
  })
  routes.get('/classes/:id', async (request, response) => {
    response.json(classAnswerFor(await findClass(principalOf(request), request.params.id)))
  })
  routes.post('/classes/:id/operations', async (request, response) => {
    const who = principalOf(request)
    response.json(await writeClass(sequelize, who, request.params.id, parseBody(sendOperations, request.body)))
  })
  routes.delete('/classes/:id', async (request, response) => {
    await removeClass(principalOf(request), request.params.id)
    response.status(204).end()
  })
  return routes
}
