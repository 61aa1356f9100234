/** What the browser keeps between pages, under a name: pictures that would have to be drawn again. */

/** Browsers have it only for pages that came by a safe way; elsewhere nothing is kept. */
export const openStore = async (name: string): Promise<Cache | null> => (typeof caches === 'undefined' ? null : caches.open(name).catch(() => null))

/** `most`: so many stay, those that were kept last. */
export async function keepIn(name: string, address: string, answer: Response, most: number): Promise<void> {
  const store = await openStore(name)
  // A full disk is no fault of the work: it will be drawn again.
  await store?.put(address, answer).catch(() => undefined)
  // In the order in which they were kept.
  for (const old of ((await store?.keys()) ?? []).slice(0, -most)) await store?.delete(old)
}
