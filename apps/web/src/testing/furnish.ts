/** What a browser has and jsdom lacks, asked for when modules are loaded and by the components. */
import { act } from '@testing-library/react'

const none = (): void => undefined

/** A worker that is asked and never answers: what it would compute is tested where it is computed. It can break. */
class SilentWorker extends EventTarget {
  static readonly begun: SilentWorker[] = []
  postMessage = none
  terminate = none
  constructor() {
    super()
    SilentWorker.begun.push(this)
  }
}

export function breakWorkers(): void {
  act(() => SilentWorker.begun.splice(0).forEach((worker) => worker.dispatchEvent(new Event('error'))))
}

class Face {
  readonly load = (): Promise<this> => Promise.resolve(this)
}

class Observer {
  observe = none
  unobserve = none
  disconnect = none
}

const query = (media: string) => ({
  ...{ matches: false, media, onchange: null, addEventListener: none, removeEventListener: none },
  ...{ addListener: none, removeListener: none, dispatchEvent: () => false },
})

Object.assign(window, { Worker: SilentWorker, FontFace: Face, ResizeObserver: Observer, matchMedia: query })
Object.assign(document, { fonts: { add: none } })
Object.assign(Element.prototype, { scrollIntoView: none })
// Drawing is tested where its items are made, and in a real browser.
HTMLCanvasElement.prototype.getContext = () => null
