/* Keeps the learner's page for when there is no connection: its files for good, the page itself as it was last. What she tells is kept by the page. */
const KEPT = 'lemmata-learn'

self.addEventListener('install', () => self.skipWaiting())
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()))

self.addEventListener('fetch', (event) => {
  const { request } = event
  const address = new URL(request.url)
  if (request.method !== 'GET' || address.origin !== self.location.origin || address.pathname.startsWith('/api/')) return
  if (address.pathname.startsWith('/assets/')) event.respondWith(first(request))
  else if (request.mode === 'navigate' || address.pathname.startsWith('/mark') || address.pathname.startsWith('/learn')) event.respondWith(fresh(request))
})

/* A file of such a name never changes. */
async function first(request) {
  return (await caches.match(request)) ?? keep(request, await fetch(request))
}

async function fresh(request) {
  const as = request.mode === 'navigate' ? '/learn' : request
  try {
    return await keep(as, await fetch(request))
  } catch (lost) {
    const kept = await caches.match(as)
    if (kept) return kept
    throw lost
  }
}

async function keep(as, answer) {
  if (answer.ok) await (await caches.open(KEPT)).put(as, answer.clone())
  return answer
}
