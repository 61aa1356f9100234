/** Threads that wait in their own needles while another is worked: in front, as they lie, or behind. */
import type { Point3 } from '../geometry/index.ts'
import type { Under } from './front-way.ts'
import type { ThreadSettings } from './thread-settings.ts'

export interface WaitingThread {
  readonly role: ThreadSettings['role']
  /** Null where it waits behind. */
  readonly way: Point3[] | null
  readonly lastHole: number
  readonly pierced: boolean
  readonly lies: boolean
  readonly unders: Under[]
}

export class WaitingThreads {
  /** In the order in which they were put aside. */
  private readonly aside: WaitingThread[] = []

  put(thread: WaitingThread): void {
    this.aside.push(thread)
  }

  /** The one that has waited longest. */
  takeUp(role: WaitingThread['role']): WaitingThread | null {
    const at = this.aside.findIndex((one) => one.role === role)
    return at < 0 ? null : (this.aside.splice(at, 1)[0] ?? null)
  }

  /** A new needleful of this role begins: those that ended behind are done with. */
  forget(role: WaitingThread['role']): void {
    for (let at = this.aside.length - 1; at >= 0; at -= 1) if (this.aside[at]?.role === role && !this.aside[at]?.way) this.aside.splice(at, 1)
  }

  get anyInFront(): boolean {
    return this.aside.some((one) => one.way)
  }
}
