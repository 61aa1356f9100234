/** What the benches have run in the page itself: each of these is sent there as it stands and may use nothing around it. */

/** Until the browser has kept something there. Runs in the page. */
export async function untilStored(name: string): Promise<void> {
  const { caches } = globalThis as unknown as { caches: { open: (name: string) => Promise<{ keys: () => Promise<readonly unknown[]> }> } }
  while ((await (await caches.open(name)).keys()).length === 0) await new Promise((resolve) => setTimeout(resolve, 100))
}

/** What the browser has kept of work is forgotten. Runs in the page. */
export async function forgetAll(): Promise<void> {
  const kept = globalThis as unknown as { indexedDB: { deleteDatabase: (name: string) => void }; caches: { delete: (name: string) => Promise<boolean> } }
  kept.indexedDB.deleteDatabase('lemmata-worked')
  await Promise.all(['lemmata-wall', 'lemmata-last-seen'].map((name) => kept.caches.delete(name)))
}

/** When every tile has its picture and the wall says so; until then nothing. Runs in the page. */
export function wallWhole(): number | null {
  const { document } = globalThis as unknown as { document: { querySelector: (what: string) => { readonly textContent: string } | null } }
  const note = document.querySelector('.wall-note')?.textContent ?? ''
  return /^(\d+) of \1 stitches, drawn at twice true size, the tallest smaller$/.test(note) ? performance.now() : null
}

/** Notes when the cloth as it was last seen is there. Runs in the page before anything of it. */
export function noteLastSeen(): void {
  const page = globalThis as unknown as {
    document: { addEventListener: (event: string, heard: (event: { readonly target: { readonly className?: string } }) => void, first: boolean) => void }
    lastSeenAt?: number
  }
  page.document.addEventListener(
    'load',
    ({ target }) => {
      if (target.className === 'last-seen') page.lastSeenAt ??= performance.now()
    },
    true,
  )
}

/** Every tile that is seen has its picture. Runs in the page. */
export function wallInView(): boolean {
  const page = globalThis as unknown as { innerHeight: number; document: { querySelectorAll: (what: string) => Iterable<Tile> } }
  const seen = [...page.document.querySelectorAll('.swatch')].filter((tile) => tile.getBoundingClientRect().top < page.innerHeight)
  return seen.length >= 12 && seen.every((tile) => tile.querySelector('img') !== null)
}

interface Tile {
  readonly getBoundingClientRect: () => { readonly top: number }
  readonly querySelector: (what: string) => unknown
}

/** Ids of all that hang on the wall. Runs in the page. */
export function stitchesOnWall(): string[] {
  const page = globalThis as unknown as { document: { querySelectorAll: (what: string) => Iterable<{ readonly dataset: Readonly<Record<string, string>> }> } }
  return [...page.document.querySelectorAll('[data-stitch]')].map((one) => one.dataset.stitch ?? '')
}

/** So many frames, each as long as it took, ms. Runs in the page. */
export function frames(count: number): Promise<number[]> {
  const later = (globalThis as unknown as { requestAnimationFrame: (next: (now: number) => void) => void }).requestAnimationFrame
  return new Promise((resolve) => {
    const times: number[] = []
    let before = performance.now()
    const next = (now: number): void => {
      times.push(now - before)
      before = now
      if (times.length < count) later(next)
      else resolve(times.slice(1))
    }
    later(next)
  })
}
