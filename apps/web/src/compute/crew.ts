/**
 * A few workers that share what there is to work: each has its next group in hand before it is through with the last, and
 * what is waited for most goes first. All of them do the same things, so what is asked does not say of whom.
 */
import type { RunningWorker } from './protocol.ts'

/** Smaller is sooner; what is not asked for yet is worked one group at a time, once nothing else has been asked for a moment. */
export type Urgency = 0 | 1 | 2 | typeof NOT_ASKED_YET
export const NOT_ASKED_YET = 3

export interface Job {
  /** Told when all groups are in, when it was dropped, or why it broke. */
  readonly ended: Promise<void>
  /** No further group is begun; those in hand are told when they are ready. */
  readonly drop: () => void
}

export interface Crew<Service> {
  /** Begins the workers, so that they are there when something is asked of them. */
  readonly ready: () => void
  /** What is waited for most is another than before. */
  readonly reconsider: () => void
  /** `onGroup` hears of groups as they are ready, which is not always in their order. An urgency that changes is asked for as often as a group is given out. */
  readonly inGroups: <One, Answer>(
    all: readonly One[],
    size: number,
    urgency: Urgency | (() => Urgency),
    ask: (service: RunningWorker<Service>['service'], group: readonly One[]) => Promise<Answer>,
    onGroup: (group: readonly One[], answer: Answer) => void,
  ) => Job
}

/** So many groups are with one worker at a time: the one it works on, and the next. */
const IN_HAND = 2
/** As long as a stage may take until it asks for what it shows. */
const CALM_MS = 1500

interface Waiting<Service> {
  readonly urgency: () => Urgency
  readonly ask: (worker: RunningWorker<Service>) => Promise<void>
  readonly job: object
}

export function makeCrew<Service>(make: () => RunningWorker<Service>, size: number): Crew<Service> {
  const places = Array.from({ length: size }, (): { worker: RunningWorker<Service> | null; inHand: number } => ({ worker: null, inHand: 0 }))
  let waiting: Waiting<Service>[] = []
  let calm = false
  let calming: ReturnType<typeof setTimeout> | null = null
  const calmDown = (): void => {
    calming ??= setTimeout(() => {
      calm = true
      calming = null
      give()
    }, CALM_MS)
  }
  const disturb = (): void => {
    calm = false
    if (calming !== null) clearTimeout(calming)
    calming = null
  }

  const give = (): void => {
    for (let hand = 0; hand < IN_HAND; hand += 1) {
      for (const place of places) {
        if (place.inHand > hand) continue
        const next = waiting.reduce<Waiting<Service> | null>((best, one) => (best === null || one.urgency() < best.urgency() ? one : best), null)
        if (!next) return
        if (next.urgency() !== NOT_ASKED_YET) disturb()
        else if (places.some((one) => one.inHand > 0)) return
        else if (!calm) return calmDown()
        waiting = waiting.filter((one) => one !== next)
        place.worker ??= make()
        const asked = place.worker
        place.inHand += 1
        void next
          .ask(asked)
          // Whoever asked has been told; here only the worker is put away.
          .catch(() => {
            if (place.worker !== asked) return
            asked.end()
            place.worker = null
          })
          .then(() => {
            place.inHand -= 1
            give()
          })
      }
    }
  }

  return {
    ready: () => {
      for (const place of places) place.worker ??= make()
    },
    reconsider: () => give(),
    inGroups: (all, groupSize, urgency, ask, onGroup) => {
      const job = {}
      const groups = Array.from({ length: Math.ceil(all.length / groupSize) }, (_, index) => all.slice(index * groupSize, (index + 1) * groupSize))
      let end: () => void = () => undefined
      let fail: (reason: unknown) => void = () => undefined
      const ended = new Promise<void>((resolve, reject) => {
        end = resolve
        fail = reject
      })
      let left = groups.length
      const drop = (): void => {
        waiting = waiting.filter((one) => one.job !== job)
        end()
      }
      if (left === 0) end()
      for (const group of groups)
        waiting.push({
          urgency: typeof urgency === 'function' ? urgency : () => urgency,
          job,
          ask: async (worker) => {
            try {
              const answer = await worker.ask((service) => ask(service, group))
              onGroup(group, answer)
              left -= 1
              if (left === 0) end()
            } catch (thrown) {
              fail(thrown)
              drop()
              throw thrown
            }
          },
        })
      give()
      return { ended, drop }
    },
  }
}
