/// <reference lib="webworker" />
/**
 * Keeps the learner's page for when there is no connection: its files for good, the page itself as it was last. What she tells is kept by the
 * page. It stands by itself: a browser asks for this one file, without what it would import.
 */
const scope = self as unknown as ServiceWorkerGlobalScope

const KEPT = 'lemmata-learn'

scope.addEventListener('install', () => void scope.skipWaiting())
scope.addEventListener('activate', (event) => event.waitUntil(scope.clients.claim()))

scope.addEventListener('fetch', (event) => {
  const { request } = event
  const { origin, pathname } = new URL(request.url)
  if (request.method !== 'GET' || origin !== scope.location.origin || pathname.startsWith('/api/')) return
  if (pathname.startsWith('/assets/')) event.respondWith(once(request))
  else if (request.mode === 'navigate' || pathname.startsWith('/mark') || pathname.startsWith('/learn')) event.respondWith(fresh(request))
})

/** A file of such a name never changes. */
async function once(request: Request): Promise<Response> {
  return (await caches.match(request)) ?? keep(request, await fetch(request))
}

async function fresh(request: Request): Promise<Response> {
  const as = request.mode === 'navigate' ? '/learn' : request
  try {
    return await keep(as, await fetch(request))
  } catch (lost) {
    const kept = await caches.match(as)
    if (kept) return kept
    throw lost
  }
}

async function keep(as: RequestInfo, answer: Response): Promise<Response> {
  if (answer.ok) await (await caches.open(KEPT)).put(as, answer.clone())
  return answer
}

export {}
