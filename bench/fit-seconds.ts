/**
 * `npm run fit-seconds`: fits the seconds of each motion to what teachers reckon for a stitch, and shows what
 * is left over. Each stitch is worked by the core and its motions counted; the weights are the non-negative
 * least squares of the relative errors, held towards a first guess where the stitches say nothing.
 */
import { surroundingsOf } from '@lemmata/core/assign'
import { workExercise } from '@lemmata/core/exercise'
import { SECONDS } from '@lemmata/core/measure'
import type { Guide } from '@lemmata/core/guide'
import { layAlone, newSampler, type Level } from '@lemmata/core/sampler'
import { type Motion, MOTIONS } from '@lemmata/core/work'

const LEVELS: readonly Level[] = ['beginner', 'improver', 'experienced']
const straight: Guide = { kind: 'line', path: 'M 0 0 L 120 0' }
const band = (widthMm: number): Guide => ({ kind: 'band', path: 'M 0 0 L 120 0', widthMm })

/** Seconds a stitch, for the three levels: estimates of teachers, +-30 %. */
const RECKONED: readonly { stitch: string; guide: Guide; parameters: Record<string, number>; seconds: readonly [number, number, number] }[] = [
  { stitch: 'running-stitch', guide: straight, parameters: { L: 3, G: 1.5 }, seconds: [5, 3, 1.6] },
  { stitch: 'back-stitch', guide: straight, parameters: { L: 2.5 }, seconds: [10, 6, 3.5] },
  { stitch: 'split-stitch', guide: straight, parameters: { L: 3.5, f: 0.4 }, seconds: [14, 9, 6] },
  { stitch: 'stem-stitch', guide: straight, parameters: { L: 4 }, seconds: [12, 7, 4] },
  { stitch: 'chain-stitch', guide: straight, parameters: { L: 3 }, seconds: [15, 9, 5] },
  { stitch: 'french-knot', guide: { kind: 'spot', at: [0, 0] }, parameters: { wraps: 2 }, seconds: [40, 18, 9] },
  { stitch: 'double-running', guide: straight, parameters: { L: 2.5 }, seconds: [18, 12, 8] }, // two stitches a repeat
  { stitch: 'whipped-back', guide: straight, parameters: { L: 2.5 }, seconds: [15, 9, 5.5] },
  { stitch: 'twisted-chain', guide: straight, parameters: { L: 3 }, seconds: [18, 11, 6.5] },
  { stitch: 'feather-stitch', guide: band(7), parameters: { L: 3 }, seconds: [14, 9, 5] },
  { stitch: 'blanket-stitch', guide: straight, parameters: { L: 2.5 }, seconds: [15, 9, 5] },
  { stitch: 'knotted-buttonhole', guide: straight, parameters: { L: 2.5 }, seconds: [25, 15, 9] },
  { stitch: 'herringbone', guide: band(5), parameters: {}, seconds: [28, 16, 10] }, // two arms a repeat
  { stitch: 'cross-stitch', guide: band(2), parameters: { L: 2 }, seconds: [15, 9, 6] },
  { stitch: 'coral-knot', guide: straight, parameters: { L: 4 }, seconds: [22, 13, 8] },
  { stitch: 'palestrina-knot', guide: straight, parameters: { L: 4 }, seconds: [35, 20, 12] },
  { stitch: 'portuguese-knotted-stem', guide: straight, parameters: { L: 4 }, seconds: [30, 18, 11] },
  { stitch: 'pearl-stitch', guide: straight, parameters: { L: 2 }, seconds: [28, 17, 10] },
  { stitch: 'wheatear-stitch', guide: straight, parameters: { L: 4 }, seconds: [45, 28, 17] },
  { stitch: 'couching-stitch', guide: straight, parameters: { P: 4 }, seconds: [12, 7, 4] },
  { stitch: 'overcast-trailing', guide: straight, parameters: {}, seconds: [12, 8, 5] },
  { stitch: 'pekinese-stitch', guide: straight, parameters: { L: 3 }, seconds: [22, 14, 8.5] },
  { stitch: 'straight-stitch', guide: { kind: 'spot', at: [0, 0] }, parameters: {}, seconds: [10, 6, 4] },
  { stitch: 'detached-chain', guide: { kind: 'spot', at: [0, 0] }, parameters: {}, seconds: [22, 14, 8] },
  { stitch: 'fly-stitch', guide: band(5), parameters: {}, seconds: [22, 14, 8] },
  { stitch: 'pistil-stitch', guide: { kind: 'spot', at: [0, 0] }, parameters: {}, seconds: [42, 20, 10] },
  { stitch: 'bullion-knot', guide: { kind: 'spot', at: [0, 0] }, parameters: { L: 8 }, seconds: [180, 80, 40] },
  { stitch: 'cast-on-stitch', guide: { kind: 'spot', at: [0, 0] }, parameters: { L: 8 }, seconds: [240, 110, 60] },
  { stitch: 'drizzle-stitch', guide: { kind: 'spot', at: [0, 0] }, parameters: { H: 8 }, seconds: [240, 120, 65] },
  { stitch: 'sorbello-stitch', guide: { kind: 'square', at: [0, 0], sideMm: 5 }, parameters: {}, seconds: [60, 35, 20] },
  { stitch: 'woven-picot', guide: { kind: 'pins', base: [0, 0], pins: [[0, -10]] }, parameters: {}, seconds: [600, 300, 180] },
  { stitch: 'long-and-short', guide: { kind: 'shape', path: 'M 0 0 L 20 0 L 20 30 L 0 30 Z' }, parameters: {}, seconds: [15, 10, 7] },
  { stitch: 'fishbone-stitch', guide: { kind: 'shape', path: 'M 0 0 L 60 0 L 60 8 L 0 8 Z' }, parameters: {}, seconds: [35.6, 21.8, 14] }, // two slants a repeat
  { stitch: 'romanian-stitch', guide: band(8), parameters: {}, seconds: [30, 18, 11] },
  { stitch: 'satin-stitch', guide: { kind: 'shape', path: 'M 0 0 L 20 0 L 20 6 L 0 6 Z' }, parameters: { P: 0.48 }, seconds: [13.9, 8.9, 6] },
]

const FIRST_GUESS: Readonly<Record<Motion, number>> = {
  up: 2.5,
  down: 2.5,
  'shared-hole': 2,
  'turn-back': 2,
  split: 5,
  'leave-loop': 2,
  'catch-loop': 3,
  'cross-loop': 5,
  'keep-side': 2,
  wind: 18,
  wrap: 7,
  cast: 9.5,
  stand: 30,
  eight: 4,
  'pass-under': 5,
  'pass-over': 3,
  alternate: 1,
  weave: 3,
  edge: 2,
  width: 1,
  angle: 1,
  interlock: 2,
  count: 2,
  lay: 20,
  tie: 2,
  plunge: 15,
  pin: 20,
  'round-pin': 6,
  bead: 12,
  pad: 300,
  withdraw: 60,
  cut: 40,
}
/** How strongly a guess is held: one per cent of a stitch's own weight. */
const HOLD = 0.01

const around = surroundingsOf(newSampler('Fit'))
const rows = RECKONED.map(({ stitch, guide, parameters, seconds }) => {
  const result = workExercise(layAlone({ id: stitch, name: stitch, stitch, parameters, materials: { main: { strands: 2 } } }, guide), around)
  if (!result.ok) throw new Error(result.problems[0]?.code)
  const { motions, stitches } = result.value
  return { stitch, seconds, counts: MOTIONS.map((motion) => (motions[motion] ?? 0) / stitches) }
})

const fitted: Record<string, Record<string, number>> = {}
for (const [level, name] of LEVELS.entries()) {
  // Guesses are for beginners; the others are as much quicker as their running stitch.
  const share = (rows[1]?.seconds[level] ?? 1) / (rows[1]?.seconds[0] ?? 1)
  const weights = fit(
    rows.map((row) => row.counts),
    rows.map((row) => row.seconds[level] as number),
    MOTIONS.map((motion) => FIRST_GUESS[motion] * share),
  )
  // More practised hands are quicker at everything, also where the reckoning is too coarse to say so.
  const slower = fitted[LEVELS[level - 1] ?? '']
  if (slower) for (const [index, motion] of MOTIONS.entries()) weights[index] = Math.min(weights[index] as number, 0.9 * (slower[motion] as number))
  fitted[name] = Object.fromEntries(MOTIONS.map((motion, index) => [motion, Math.round((weights[index] as number) * 100) / 100]))
  process.stdout.write(`\n${name}\n`)
  for (const row of rows) {
    const model = row.counts.reduce((total, count, index) => total + count * (weights[index] as number), 0)
    const wanted = row.seconds[level] as number
    process.stdout.write(
      `  ${row.stitch.padEnd(16)} reckoned ${wanted.toFixed(1).padStart(5)} s   model ${model.toFixed(1).padStart(5)} s   ${(((model - wanted) / wanted) * 100).toFixed(0).padStart(4)} %\n`,
    )
  }
}
process.stdout.write(`\nThe table for packages/core/src/measure/minutes.ts:\n${JSON.stringify(fitted, null, 2)}\n`)
const same = LEVELS.every((level) => MOTIONS.every((motion) => Math.abs(SECONDS[level][motion] - (fitted[level]?.[motion] ?? Number.NaN)) < 0.011))
process.stdout.write(same ? '\nThe table in the code is this one.\n' : '\nThe table in the code differs: put this one in.\n')

/** Non-negative least squares of relative errors by coordinate descent, with a pull to the guess. */
function fit(counts: readonly (readonly number[])[], wanted: readonly number[], guess: readonly number[]): number[] {
  const weights = [...guess]
  for (let round = 0; round < 20_000; round += 1) {
    for (let index = 0; index < weights.length; index += 1) {
      let top = HOLD / (guess[index] as number)
      let bottom = HOLD / (guess[index] as number) ** 2
      for (const [row, count] of counts.entries()) {
        const target = wanted[row] as number
        const mine = (count[index] as number) / target
        const others = count.reduce((total, one, other) => (other === index ? total : total + (one * (weights[other] as number)) / target), 0)
        top += mine * (1 - others)
        bottom += mine * mine
      }
      // No motion takes less than a tenth of its guess: each is something that a hand does.
      weights[index] = Math.max(0.1 * (guess[index] as number), top / bottom)
    }
  }
  return weights
}
