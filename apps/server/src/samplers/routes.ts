import { copySampler as copySamplerSchema, makeSampler as makeSamplerSchema, sendOperations } from '@lemmata/contract'
import { Router } from 'express'
import type { Sequelize } from 'sequelize'
import { parseBody } from '../http/parse.ts'
import { principalOf } from '../access/index.ts'
import {
  answerFor,
  answerTextFor,
  copySampler,
  documentOf,
  findSampler,
  listSamplers,
  makeSampler,
  removeSampler,
  restoreSampler,
  writeSampler,
} from './service.ts'

export function samplerRoutes(sequelize: Sequelize): Router {
  const routes = Router()
  routes.get('/samplers', async (request, response) => {
    response.json(await listSamplers(principalOf(request)))
  })
  routes.post('/samplers', async (request, response) => {
    const who = principalOf(request)
    response.status(201).json(answerFor(await makeSampler(sequelize, who, parseBody(makeSamplerSchema, request.body))))
  })
  routes.get('/samplers/:id', async (request, response) => {
    response.type('json').send(answerTextFor(await findSampler(principalOf(request), request.params.id)))
  })
  routes.post('/samplers/:id/operations', async (request, response) => {
    const who = principalOf(request)
    response.json(await writeSampler(sequelize, who, request.params.id, parseBody(sendOperations, request.body)))
  })
  routes.post('/samplers/:id/copy', async (request, response) => {
    const who = principalOf(request)
    const { forNextClass = false } = parseBody(copySamplerSchema, request.body)
    response.status(201).json(answerFor(await copySampler(sequelize, who, request.params.id, forNextClass)))
  })
  routes.delete('/samplers/:id', async (request, response) => {
    await removeSampler(principalOf(request), request.params.id)
    response.status(204).end()
  })
  routes.post('/samplers/:id/restore', async (request, response) => {
    response.json(answerFor(await restoreSampler(principalOf(request), request.params.id)))
  })
  routes.get('/samplers/:id/document', async (request, response) => {
    const document = documentOf(await findSampler(principalOf(request), request.params.id))
    response
      .attachment(`${fileName(document.name)}.json`)
      .type('application/json')
      .send(`${JSON.stringify(document, null, 2)}\n`)
  })
  return routes
}

/** Letters and digits of any script; nothing that a file system minds. */
export function fileName(name: string): string {
  return (
    name
      .replace(/[^\p{L}\p{N}]+/gu, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 60) || 'sampler'
  )
}
