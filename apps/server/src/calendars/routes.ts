import type { CalendarAddress } from '@lemmata/contract'
import { Router } from 'express'
import { principalOf } from '../access/index.ts'
import { HttpProblem } from '../http/problem.ts'
import { endAddress, fileAt, readAddress, renewAddress } from './service.ts'

const FILE = /^([\w-]{20,64})\.ics$/

/** Asked for by calendar programs, which sign in nowhere: the address itself is the key. */
export function openCalendarRoutes(): Router {
  const routes = Router()
  routes.get('/calendars/:file', async (request, response) => {
    const secret = FILE.exec(request.params.file)?.[1]
    const text = secret === undefined ? null : await fileAt(secret)
    if (text === null) throw new HttpProblem(404, 'calendar.none', 'There is no calendar at this address any more. Ask whoever gave it to you for the new one.')
    response.type('text/calendar').set('cache-control', 'no-store').send(text)
  })
  return routes
}

const answer = (secret: string | null): CalendarAddress => ({ path: secret === null ? null : `/api/calendars/${secret}.ics` })

export function calendarRoutes(): Router {
  const routes = Router()
  routes.get('/classes/:id/calendar-address', async (request, response) => {
    response.json(answer(await readAddress(principalOf(request), request.params.id)))
  })
  routes.post('/classes/:id/calendar-address', async (request, response) => {
    response.status(201).json(answer(await renewAddress(principalOf(request), request.params.id)))
  })
  routes.delete('/classes/:id/calendar-address', async (request, response) => {
    await endAddress(principalOf(request), request.params.id)
    response.status(204).end()
  })
  return routes
}
