/**
 * A length is cut in all its strands and parted: three of six for one needleful, the other three for another. As few lengths as the
 * bundles need: the fullest fit first, which for six strands and fewer is the least there is.
 */

export interface Bundles {
  readonly strands: number
  readonly count: number
}

/** A length, by the bundles that are parted from it. */
export interface Parting {
  readonly bundles: readonly number[]
  readonly lengths: number
}

export interface Parted {
  readonly lengths: number
  /** How the lengths are parted, the commonest first. */
  readonly partings: readonly Parting[]
  /** Strands of those lengths that nothing is worked with. */
  readonly spareStrands: number
}

/** `strands`: that one length has. A bundle of more is put together from whole lengths. */
export function partStrands(wanted: readonly Bundles[], strands: number): Parted {
  const open: { left: number; bundles: number[] }[] = []
  let whole = 0
  const used = wanted.reduce((total, one) => total + one.strands * one.count, 0)
  for (const { strands: bundle, count } of [...wanted].sort((a, b) => b.strands - a.strands)) {
    for (let made = 0; made < count; made += 1) {
      whole += Math.floor(bundle / strands)
      const rest = bundle % strands
      if (rest === 0) continue
      // Into the length whose rest it fills best.
      const best = open.reduce<(typeof open)[number] | null>(
        (found, one) => (one.left >= rest && (found === null || one.left < found.left) ? one : found),
        null,
      )
      if (best) {
        best.left -= rest
        best.bundles.push(rest)
      } else open.push({ left: strands - rest, bundles: [rest] })
    }
  }
  const lengths = whole + open.length
  const byParting = new Map<string, { bundles: readonly number[]; lengths: number }>()
  if (whole > 0) byParting.set('whole', { bundles: [strands], lengths: whole })
  for (const { bundles } of open) {
    const key = bundles.join(' ')
    byParting.set(key, { bundles, lengths: (byParting.get(key)?.lengths ?? 0) + 1 })
  }
  return { lengths, partings: [...byParting.values()].sort((a, b) => b.lengths - a.lengths), spareStrands: lengths * strands - used }
}

/** Fewer there cannot be: all strands side by side, and no two of what fills more than half a length in one. */
export function fewestLengths(wanted: readonly Bundles[], strands: number): number {
  const all = wanted.reduce((total, one) => total + one.strands * one.count, 0)
  const alone = wanted.reduce((total, one) => total + (one.strands % strands > strands / 2 ? one.count : 0) + Math.floor(one.strands / strands) * one.count, 0)
  return Math.max(Math.ceil(all / strands), alone)
}
