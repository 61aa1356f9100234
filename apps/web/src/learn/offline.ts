/** The page is kept on the device, so that it opens without a connection. Where a browser keeps nothing, it works while there is one. */
import { laterPages } from './later-pages.ts'

const KEPT = 'lemmata-learn'

export async function keepForOffline(): Promise<void> {
  if (!('serviceWorker' in navigator) || !('caches' in window)) return
  try {
    await navigator.serviceWorker.register('/learn-worker.js', { scope: '/learn' })
    await navigator.serviceWorker.ready
    // What came before the worker was there it has not seen: it is put beside.
    const files = performance.getEntriesByType('resource').map((one) => new URL(one.name).pathname)
    const kept = await caches.open(KEPT)
    await Promise.all(
      ['/learn', '/mark.svg', ...new Set(files.filter((one) => one.startsWith('/assets/')))].map(async (file) => {
        if (!(await kept.match(file))) await kept.add(file)
      }),
    )
    // What she has not gone to yet comes now, by way of the worker that keeps it.
    await Promise.all(Object.values(laterPages).map((load) => load()))
  } catch {
    // Refused, as in a private window: nothing else depends on it.
  }
}
