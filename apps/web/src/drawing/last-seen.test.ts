// @vitest-environment jsdom
/** Which picture stands in, for whom, in which window; a browser that keeps nothing. */
import { Blob as NodeBlob } from 'node:buffer'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

const BOX = { left: 240, top: 97, width: 740, height: 703 }
/** Node's own: the answers are Node's too. */
const PICTURE = new NodeBlob(['x']) as Blob
const ID = '761edd2c-8f28-4d8d-b244-6772e21aa445'

/** What a browser keeps, in a map. */
function keepInMemory(): Map<string, Response> {
  const kept = new Map<string, Response>()
  const store = {
    match: (key: string) => Promise.resolve(kept.get(key)?.clone()),
    put: (key: string, answer: Response) => {
      kept.delete(key)
      return Promise.resolve(void kept.set(key, answer))
    },
    keys: () => Promise.resolve([...kept.keys()]),
    delete: (key: string) => Promise.resolve(kept.delete(key)),
  }
  vi.stubGlobal('caches', { open: () => Promise.resolve(store), delete: () => Promise.resolve(kept.clear()) })
  return kept
}

function signedInAs(id: string | null): void {
  const answer = { teacher: id === null ? null : { id, email: 'a@example.org', name: 'A' }, csrf: '' }
  vi.stubGlobal('fetch', () => Promise.resolve(new Response(JSON.stringify(answer))))
}

/** Whether the page is late is known to the module: a page each. */
async function newPage() {
  vi.resetModules()
  return import('./last-seen.ts')
}
const standsIn = (): HTMLImageElement | null => document.querySelector('img.last-seen')

beforeEach(() => {
  URL.createObjectURL = () => 'blob:picture'
  URL.revokeObjectURL = () => undefined
})
afterEach(() => {
  vi.unstubAllGlobals()
  document.body.replaceChildren()
})

describe('the cloth as it was last seen', () => {
  it('stands where it lay, and goes when the cloth is there', async () => {
    keepInMemory()
    signedInAs('one')
    const page = await newPage()
    await page.keepLastSeen('one', ID, PICTURE, BOX)
    await page.showLastSeen(`/samplers/${ID}/cloth`)
    expect(standsIn()?.style.left).toBe('240px')
    expect(standsIn()?.style.height).toBe('703px')
    page.lastSeenOver()
    expect(standsIn()).toBeNull()
  })

  it('is shown to nobody but who saw it', async () => {
    keepInMemory()
    const page = await newPage()
    await page.keepLastSeen('one', ID, PICTURE, BOX)
    for (const other of ['two', null]) {
      signedInAs(other)
      await page.showLastSeen(`/samplers/${ID}/cloth`)
      expect(standsIn(), String(other)).toBeNull()
    }
    signedInAs('one')
    await page.showLastSeen(`/samplers/${ID}/order`)
    await page.showLastSeen('/samplers/another/cloth')
    expect(standsIn()).toBeNull()
  })

  it('is not shown in a window of another size, nor after the cloth itself', async () => {
    const kept = keepInMemory()
    signedInAs('one')
    const page = await newPage()
    await page.keepLastSeen('one', ID, PICTURE, BOX)
    const before = window.innerWidth
    window.innerWidth = before - 100
    await page.showLastSeen(`/samplers/${ID}/cloth`)
    expect(standsIn()).toBeNull()
    window.innerWidth = before
    const showing = page.showLastSeen(`/samplers/${ID}/cloth`)
    page.lastSeenOver()
    await showing
    expect(standsIn()).toBeNull()
    expect(kept.size).toBe(1)
    await page.forgetLastSeen()
    expect(kept.size).toBe(0)
  })

  it('of the samplers seen last are kept, the others go', async () => {
    const kept = keepInMemory()
    const page = await newPage()
    for (let sampler = 1; sampler <= 30; sampler += 1) await page.keepLastSeen('one', `s${sampler}`, PICTURE, BOX)
    await page.keepLastSeen('one', 's7', PICTURE, BOX)
    const names = [...kept.keys()].map((key) => key.split('/').at(-1))
    expect(names).toHaveLength(24)
    expect(names.at(-1)).toBe('s7')
    expect(names[0]).toBe('s8')
  })

  it('a browser that keeps nothing, or a server that does not answer, only makes one wait', async () => {
    const page = await newPage()
    await page.keepLastSeen('one', ID, PICTURE, BOX)
    await page.showLastSeen(`/samplers/${ID}/cloth`)
    await page.forgetLastSeen()
    keepInMemory()
    vi.stubGlobal('fetch', () => Promise.reject(new Error('no line')))
    await page.showLastSeen(`/samplers/${ID}/cloth`)
    expect(standsIn()).toBeNull()
  })
})
