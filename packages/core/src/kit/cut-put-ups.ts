/** Lengths off skeins, balls and reels as they are sold: the longest first, each where it leaves least. mm */

export interface Lengths {
  readonly lengthMm: number
  readonly count: number
}

export interface CutPutUps {
  readonly putUps: number
  /** Left on all of them together. */
  readonly leftMm: number
  /** Fewer there cannot be: the lengths end to end. */
  readonly fewest: number
}

/** A length longer than a put-up is not cut from it: it is left out of the count, which the caller has seen to. */
export function cutPutUps(wanted: readonly Lengths[], putUpMm: number): CutPutUps {
  const kinds = wanted.filter((one) => one.count > 0 && one.lengthMm <= putUpMm).sort((a, b) => b.lengthMm - a.lengthMm)
  const left = kinds.map((one) => one.count)
  let [putUps, leftMm] = [0, 0]
  while (left.some((count) => count > 0)) {
    let room = putUpMm
    for (const [index, { lengthMm }] of kinds.entries()) {
      // A hair's breadth is no length.
      const taken = Math.min(left[index] as number, Math.floor(room / lengthMm + 1e-9))
      left[index] = (left[index] as number) - taken
      room -= taken * lengthMm
    }
    putUps += 1
    leftMm += room
  }
  const total = kinds.reduce((sum, one) => sum + one.lengthMm * one.count, 0)
  return { putUps, leftMm, fewest: Math.ceil(total / putUpMm - 1e-9) }
}
