/** A process that is begun again when it ends by itself: at once at first, then after longer and longer pauses, and not for ever. */
import { say } from './say.mjs'

const PAUSES_MS = [0, 1000, 2000, 5000, 10_000, 30_000]
/** Who runs so long has recovered. */
const WELL_AFTER_MS = 60_000

/** As a sentence tells it. */
export const endedAs = ({ code, signal }) => (signal ? `was ended by ${signal}` : `ended with code ${code}`)

/**
 * `begin`: starts it, and resolves to `{ ended, end }`: a promise of `{ code, signal }`, and what ends it. Resolves once it runs for the
 * first time. `giveUp`: told in a sentence when it cannot be kept running. `stop`: it is ended, also where it is just being begun again.
 */
export async function keepRunning({ name, begin, giveUp }) {
  let stopping = false
  let failures = 0
  let now = await begin()
  /** Under way; null where none is. */
  let beginning = null
  const watch = async () => {
    for (;;) {
      const began = Date.now()
      const how = await now.ended
      if (stopping) return
      failures = Date.now() - began > WELL_AFTER_MS ? 1 : failures + 1
      const pause = PAUSES_MS[failures - 1]
      if (pause === undefined) return giveUp(`${name} ${endedAs(how)}, again and again. What it said stands above.`)
      say(`${name} ${endedAs(how)}. It is started again${pause > 0 ? ` in ${pause / 1000} s` : ''} …`)
      await new Promise((resolve) => setTimeout(resolve, pause))
      if (stopping) return
      beginning = begin()
      try {
        now = await beginning
        if (!stopping) say(`${name} is running again.`)
      } catch (error) {
        say(error.message)
        // What cannot be begun has ended at once.
        now = { ended: Promise.resolve({ code: 1, signal: null }), end: () => undefined }
      }
      beginning = null
    }
  }
  void watch()
  return {
    now: () => now,
    stop: async () => {
      stopping = true
      await beginning?.catch(() => undefined)
      await now.end()
    },
  }
}
