/** What comes out even: whole numbers of stitches that divide a length. */

export interface EvenCount {
  readonly count: number
  readonly pitchMm: number
}

/** Pitches that one sets out by eye, mm: quarters up to three, halves above. */
function isNeat(pitchMm: number): boolean {
  const step = pitchMm < 3 ? 0.25 : 0.5
  return Math.abs(pitchMm / step - Math.round(pitchMm / step)) < 1e-6
}

/** Pitches between two bounds that divide a length exactly and are neat, the nearest to what is asked first: 96 mm is 32 of 3, 24 of 4. */
export function evenCounts(lengthMm: number, askedMm: number, leastMm: number, mostMm: number, most = 3): readonly EvenCount[] {
  const found: EvenCount[] = []
  for (let count = Math.max(1, Math.ceil(lengthMm / mostMm - 1e-9)); count <= Math.min(5000, lengthMm / leastMm + 1e-9); count += 1) {
    const pitchMm = lengthMm / count
    if (isNeat(pitchMm)) found.push({ count, pitchMm: Math.round(pitchMm * 1e6) / 1e6 })
  }
  return found.sort((a, b) => Math.abs(a.pitchMm - askedMm) - Math.abs(b.pitchMm - askedMm)).slice(0, most)
}
