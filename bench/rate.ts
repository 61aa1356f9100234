/** How often something is done in a second by so many at once, each again and again for so long. */
export async function rate(count: number, forMs: number, act: (index: number) => Promise<unknown>): Promise<number> {
  const until = performance.now() + forMs
  let done = 0
  await Promise.all(
    Array.from({ length: count }, async (_, index) => {
      while (performance.now() < until) {
        await act(index)
        done += 1
      }
    }),
  )
  return done / (forMs / 1000)
}
