/**
 * The post office that ships with it: messages are texts in a folder, which go to nobody, and are read on a page by whoever runs it. The
 * page's address is told at start alone: it follows from the server's secret, as nobody's guess does.
 */
import { createHmac, randomUUID } from 'node:crypto'
import { mkdir, readdir, readFile, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { Router } from 'express'
import { isSame } from '../http/same.ts'
import type { Post } from './message.ts'

const SHOWN = 50

export function layInto(folder: string): Post {
  return async ({ to, subject, text }) => {
    await mkdir(folder, { recursive: true })
    const name = `${new Date().toISOString().replaceAll(':', '-')}-${randomUUID().slice(0, 8)}.txt`
    await writeFile(join(folder, name), `To: ${to}\nSubject: ${subject}\n\n${text}`, { mode: 0o600 })
  }
}

/** Where the page is, below the server's address. */
export function laidPagePath(secret: string): string {
  return `/messages/${createHmac('sha256', secret).update('page of messages').digest('base64url')}`
}

/** `next` answers whoever asks under another address than its own, as it answers where there is nothing. */
export function laidPageRoutes(folder: string, secret: string): Router {
  const routes = Router()
  routes.get('/messages/:key', async (request, response, next) => {
    if (!isSame(request.path, laidPagePath(secret))) return next()
    response
      .set('cache-control', 'no-store')
      .type('html')
      .send(pageOf(await laidIn(folder)))
  })
  return routes
}

/** The latest first; one that cannot be read is none. */
async function laidIn(folder: string): Promise<readonly string[]> {
  const names = await readdir(folder).catch((): string[] => [])
  const latest = names
    .filter((name) => name.endsWith('.txt'))
    .sort()
    .reverse()
    .slice(0, SHOWN)
  const texts = await Promise.all(latest.map((name) => readFile(join(folder, name), 'utf8').catch(() => null)))
  return texts.filter((text) => text !== null)
}

function pageOf(messages: readonly string[]): string {
  const all = messages.map((text) => `<li><pre>${withLinks(escaped(text))}</pre></li>`).join('\n')
  const none = '<p>None yet. Where somebody forgets her password, the link for a new one lies here, to be handed on to her.</p>'
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Messages that were not sent</title>
<style>body{font:16px/1.5 system-ui,sans-serif;max-width:46rem;margin:2rem auto;padding:0 1rem;color:#22262b;background:#fbfaf7}
ol{padding:0;list-style:none}li{border-top:1px solid #8a8578;padding:.5rem 0}pre{font:inherit;white-space:pre-wrap;overflow-wrap:anywhere;margin:0}</style>
</head><body><main><h1>Messages that were not sent</h1>
<p>No post office is set, so messages stay here, the latest first. Links in them let somebody in: hand each on to whom it is for, and to nobody else.</p>
${messages.length === 0 ? none : `<ol>\n${all}\n</ol>`}
</main></body></html>
`
}

const ENTITIES: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' }
const escaped = (text: string): string => text.replace(/[&<>"]/g, (sign) => ENTITIES[sign] ?? '')
/** Of what is escaped already: an address ends before whatever it could be broken by. */
const withLinks = (text: string): string => text.replace(/https?:\/\/[\w\-.~:/?=%&;]+/g, (link) => `<a href="${link}">${link}</a>`)
