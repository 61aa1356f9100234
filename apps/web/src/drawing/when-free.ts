/** What is only for the eye is painted when the page has nothing more pressing to do, one after the other. */

/** Longer than a sampler takes to open. */
const LATEST_MS = 5000

/** Answers with what calls it off. A browser without idle time does it at the next turn. */
export function whenFree(paint: () => void): () => void {
  if (typeof requestIdleCallback === 'undefined') {
    const timer = setTimeout(paint)
    return () => clearTimeout(timer)
  }
  const asked = requestIdleCallback(paint, { timeout: LATEST_MS })
  return () => cancelIdleCallback(asked)
}
