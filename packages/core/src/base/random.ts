/** Chance that is the same on every machine. */

/** Thirty-two bits stirred (mulberry32): the same throws for the same seed. 0 to 1, without 1. */
export function seeded(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let mixed = Math.imul(state ^ (state >>> 15), state | 1)
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61)
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296
  }
}

/** About 0, with a spread of 1 (Box and Muller). */
export function normal(random: () => number): number {
  const [a, b] = [1 - random(), random()]
  return Math.sqrt(-2 * Math.log(a)) * Math.cos(2 * Math.PI * b)
}
