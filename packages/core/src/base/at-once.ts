/** Work that is done in steps, for whoever has nothing else to do meanwhile: all of them, and what they come to. */
export function atOnce<T>(steps: Generator<unknown, T>): T {
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
  }
}
