/**
 * `npm run bench:photo`: photographs of rows of known length, none of which was used to set a bound, measured: how far off, how many refused.
 * `npm run bench:photo -- FROM TO`: so many of them by their seed; `tune` before them: those that bounds were set on.
 */
import sharp from 'sharp'
import { areAlike, measureOpened, openPicture, type Picture, type RowPlan, type Verdict } from '@lemmata/core/photo'
import { paintScene, shoot, type Shot } from '@lemmata/core/stand-in-camera'
import { fairRow, type PhotographedRow, STITCHES, workedRow } from './photo-rows.ts'

const SCENE_PER_MM = 28
/** Seeds from here on were never looked at while bounds were set. */
const HELD_OUT = 2000

async function throughJpeg(picture: Picture, quality: number): Promise<Picture> {
  const { widthPx: width, heightPx: height } = picture
  const jpeg = await sharp(Buffer.from(picture.rgba.buffer), { raw: { width, height, channels: 4 } })
    .jpeg({ quality })
    .toBuffer()
  const { data } = await sharp(jpeg).ensureAlpha().raw().toBuffer({ resolveWithObject: true })
  return { widthPx: width, heightPx: height, rgba: new Uint8ClampedArray(data.buffer, data.byteOffset, data.length) }
}

const photograph = (one: PhotographedRow, more: Partial<Shot> = {}): Promise<Picture> =>
  throughJpeg(shoot(paintScene(one.row, one.look, SCENE_PER_MM), { ...one.shot, ...more }), one.quality)

interface Outcome {
  readonly verdict: Verdict
  readonly touched: boolean
  readonly ms: number
}

/** What else is in a sampler that has all six: `one` is in it as it was worked. */
function alike(one: PhotographedRow, row: RowPlan): readonly RowPlan[] {
  const plans = STITCHES.map((stitch) => (stitch === one.stitch ? one.plan : workedRow(stitch, 2, one.plan.clothHex, one.plan.threadHex).plan))
  return plans.filter((plan) => areAlike(row, plan))
}

function measure(picture: Picture, one: PhotographedRow, plan: RowPlan): Outcome {
  const began = performance.now()
  const opened = openPicture(picture)
  let verdict = opened.ok ? measureOpened(opened.value, plan, undefined, alike(one, plan)) : opened.verdict
  const touched = opened.ok && verdict.state === 'touch'
  if (opened.ok && verdict.state === 'touch') verdict = measureOpened(opened.value, plan, { touched: onThread(one), counted: null }, alike(one, plan))
  return { verdict, touched, ms: performance.now() - began }
}

/** In the middle of a stitch, as she would touch it. */
function onThread({ row }: PhotographedRow): { x: number; y: number } {
  const points = row.threads[Math.floor(row.threads.length / 2)]?.points ?? []
  return points[Math.floor(points.length / 2)] ?? { x: 0, y: 0 }
}

/**
 * Of what is told as sure: of stitches apart, one every so many mm; of those side by side or end to end, the stitch; of the rest, how far each
 * goes on from the last. Against the same of the row.
 */
function offBy({ plan, truth }: PhotographedRow, { figures }: Extract<Verdict, { state: 'measured' | 'whole' }>): number {
  if (plan.kind === 'apart') return figures.pitchMm / truth.pitchMm - 1
  return (plan.kind === 'side-by-side' || plan.kind === 'end-to-end' ? figures.lengthMm : figures.pitchMm) / truth.meanMm - 1
}

const percent = (share: number): string => `${(100 * share).toFixed(1)} %`

async function fair(from: number, to: number): Promise<void> {
  const by = new Map<string, { off: number[]; asWhole: number[]; about: number[]; states: string[]; counts: number[]; drift: number[]; ms: number[] }>()
  for (let seed = from; seed < to; seed += 1) {
    const one = fairRow(seed)
    const { verdict, touched, ms } = measure(await photograph(one), one, one.plan)
    const own = by.get(one.stitch) ?? { off: [], asWhole: [], about: [], states: [], counts: [], drift: [], ms: [] }
    by.set(one.stitch, own)
    own.states.push(verdict.state === 'refused' ? `refused ${verdict.why}` : `${verdict.state}${touched ? ' touched' : ''}`)
    own.ms.push(ms)
    if (verdict.state === 'refused' || verdict.state === 'touch') {
      say(`  ${seed} ${one.stitch} ${one.cloth} ${one.look.threadHex} ${one.look.lineHex ?? ''} ${own.states.at(-1)} ${JSON.stringify(verdict.quality)}`)
      continue
    }
    const off = offBy(one, verdict)
    const { figures } = verdict
    if (verdict.state === 'measured') {
      own.off.push(off)
      own.about.push(figures.lengthMm / one.truth.meanMm - 1)
      own.counts.push(Math.abs(figures.count - one.truth.count))
    } else own.asWhole.push(off)
    if (figures.driftMm !== null) own.drift.push(Math.abs(figures.driftMm - one.truth.driftMm))
    const isFar = Math.abs(off) > 0.02 || (verdict.state === 'measured' && Math.abs(figures.count - one.truth.count) > 1)
    if (isFar)
      say(
        `  ${seed} ${one.stitch} ${one.cloth} ${one.look.threadHex} ${one.look.lineHex ?? ''} ${verdict.state}${touched ? ' touched' : ''}: ${percent(off)}, ${figures.count} of ${one.truth.count}`,
      )
  }
  for (const [stitch, { off, asWhole, about, states, counts, drift, ms }] of by) {
    const within = (bound: number): number => off.filter((one) => Math.abs(one) <= bound).length
    const [exact, near] = [counts.filter((one) => one === 0).length, counts.filter((one) => one <= 1).length]
    const of = (state: string): number => states.filter((one) => one.startsWith(state)).length
    say(
      `${stitch}: ${states.length} pictures, ${of('refused')} refused, ${of('whole')} as a whole, ${states.filter((one) => one.endsWith('touched')).length} touched; ` +
        `of ${off.length} measured ${within(0.02)} within 2 %, worst ${percent(Math.max(0, ...off.map(Math.abs)))}, mean ${percent(mean(off))}; of ${asWhole.length} as a whole ${asWhole.filter((one) => Math.abs(one) <= 0.02).length} within 2 %, worst ${percent(Math.max(0, ...asWhole.map(Math.abs)))}; the stitch itself at most ${percent(Math.max(0, ...about.map(Math.abs)))}; ` +
        `count exact ${exact}, within one ${near}; drift off by at most ${Math.max(0, ...drift).toFixed(2)} mm; ${Math.round(mean(ms))} ms, at most ${Math.round(Math.max(...ms))}`,
    )
  }
  const all = [...by.values()]
  const off = all.flatMap((one) => one.off)
  const states = all.flatMap((one) => one.states)
  say(
    `all: ${states.length} pictures; refused ${percent(states.filter((one) => one.startsWith('refused')).length / states.length)}; of ${off.length} measured ` +
      `within 2 % ${percent(off.filter((one) => Math.abs(one) <= 0.02).length / off.length)}, beyond 5 % ${off.filter((one) => Math.abs(one) > 0.05).length}, ` +
      `count within one ${percent(all.flatMap((one) => one.counts).filter((one) => one <= 1).length / off.length)}`,
  )
}

/** What nobody could measure, each twice or more. */
const HOPELESS: readonly (readonly [string, Partial<Shot>])[] = [
  ['blurred', { blurPx: 5 }],
  ['very blurred', { blurPx: 8 }],
  ['moved', { movedPx: 16 }],
  ['far', { pixelsPerMm: 7.5 }],
  ['leaning', { tiltDeg: 42 }],
  ['dark', { exposure: 0.04, noise: 0.03 }],
  ['glare', { glare: 2.5 }],
  ['cut off', { fills: 1.2 }],
]

async function hopeless(from: number, to: number): Promise<void> {
  const told: string[] = []
  for (const [index, [name, shot]] of HOPELESS.entries())
    for (let seed = from + index; seed < to + index; seed += 1) {
      const one = fairRow(seed)
      const { verdict } = measure(await photograph(one, shot), one, one.plan)
      told.push(verdict.state)
      if (verdict.state !== 'refused') say(`  ${name} ${seed}: ${verdict.state}`)
    }
  say(`hopeless: ${told.length} pictures, refused ${percent(told.filter((one) => one === 'refused').length / told.length)}`)
}

async function wrongExercise(from: number, to: number): Promise<void> {
  const told: string[] = []
  for (let seed = from; seed < to; seed += 1) {
    const one = fairRow(seed)
    const picture = await photograph(one)
    for (const other of STITCHES) {
      if (other === one.stitch) continue
      const { plan } = workedRow(other, 2, one.plan.clothHex, one.plan.threadHex)
      const { verdict } = measure(picture, one, plan)
      told.push(verdict.state)
      if (verdict.state === 'measured' || verdict.state === 'whole') say(`  ${seed} ${one.stitch} told as ${other}: ${verdict.state}`)
    }
  }
  say(
    `told the wrong exercise: ${told.length}, measured ${told.filter((one) => one === 'measured').length}, as a whole ${told.filter((one) => one === 'whole').length}`,
  )
}

const mean = (values: readonly number[]): number => values.reduce((total, one) => total + one, 0) / Math.max(1, values.length)
const say = (line: string): void => void process.stdout.write(`${line}\n`)

const options = process.argv.slice(2)
const what = options.find((one) => Number.isNaN(Number(one))) ?? 'all'
const [from = 0, to = 204] = options.filter((one) => !Number.isNaN(Number(one))).map(Number)
const base = what === 'tune' ? 0 : HELD_OUT
if (what === 'tune' || what === 'all' || what === 'fair') await fair(base + from, base + to)
if (what === 'all' || what === 'hopeless') await hopeless(base + 300 + from, base + 300 + Math.min(to, from + 5))
if (what === 'all' || what === 'wrong') await wrongExercise(base + 400 + from, base + 400 + Math.min(to, from + 24))
