/** What may be done while nobody uses the page: begun when it has been left alone for a while, stopped at the first touch. */

const QUIET_MS = 2500
const USES = ['pointerdown', 'pointermove', 'wheel', 'keydown', 'touchmove'] as const

/** `begin` answers with what stops it; it may be begun again. Answers with what ends all of it. */
export function whileQuiet(begin: () => () => void): () => void {
  let stop: (() => void) | null = null
  const later = (): ReturnType<typeof setTimeout> =>
    setTimeout(() => {
      stop = begin()
    }, QUIET_MS)
  let timer = later()
  const used = (): void => {
    stop?.()
    stop = null
    clearTimeout(timer)
    timer = later()
  }
  for (const use of USES) window.addEventListener(use, used, { capture: true, passive: true })
  return () => {
    stop?.()
    clearTimeout(timer)
    for (const use of USES) window.removeEventListener(use, used, { capture: true })
  }
}
