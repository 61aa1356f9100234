/** Rows for `bench/photo.ts`: six stitches on three cloths, as many hands, cameras and lights, all by a seed. */
import { normal, seeded } from '@lemmata/core/base'
import { type PracticeRow, practiceRow, type RowPlan } from '@lemmata/core/photo'
import { newSampler } from '@lemmata/core/sampler'
import { EVEN_HANDWORK, type Handwork, PLAIN_SHOT, type RowTruth, type SceneLook, type Shot, sewRow, type SewnRow } from '@lemmata/core/stand-in-camera'

export interface PhotographedRow {
  readonly stitch: string
  readonly cloth: string
  readonly plan: RowPlan
  readonly row: SewnRow
  readonly look: SceneLook
  readonly shot: Shot
  readonly truth: RowTruth
  readonly quality: number
}

export const STITCHES = ['running-stitch', 'back-stitch', 'stem-stitch', 'chain-stitch', 'cross-stitch', 'satin-stitch'] as const
const CLOTHS = [
  { id: 'calico', hex: '#e9e0cc', weaveMm: 0.42 },
  { id: 'linen', hex: '#cdbd9c', weaveMm: 0.72 },
  { id: 'navy', hex: '#27364f', weaveMm: 0.42 },
] as const
const THREADS = [
  '#22386b',
  '#8a2d2b',
  '#2f6b4f',
  '#b8742a',
  '#e9e4d4',
  '#f2c45a',
  '#5a3a70',
  '#1f7f86',
  '#c2577b',
  '#e06a4a',
  '#7fa6c9',
  '#3b3b3b',
  '#93a04b',
  '#d9a7a0',
  '#705038',
  '#f4f1e8',
]
const PENS = ['#4a7fd0', '#6a6a72', '#b070b0']
/** Of holes about where they were meant: a beginner's most, mm. Short stitches are not worked so wide of the mark. */
const MOST_SCATTER: Readonly<Record<string, number>> = {
  'running-stitch': 0.6,
  'back-stitch': 0.4,
  'stem-stitch': 0.35,
  'chain-stitch': 0.4,
  'cross-stitch': 0.4,
  'satin-stitch': 0.11,
}

const worked = new Map<string, PracticeRow>()

export function workedRow(stitch: string, strands: number, clothHex: string, threadHex: string): PracticeRow {
  const key = `${stitch} ${strands}`
  const row = worked.get(key) ?? practiceRow(newSampler('Photographs'), { id: 'e1', name: 'Row', stitch, on: [], materials: { main: { strands } } })
  if (!row) throw new Error(`${stitch} makes no row`)
  worked.set(key, row)
  return { ...row, plan: { ...row.plan, clothHex, threadHex } }
}

/** A fair photograph of a row as learners work it. */
export function fairRow(seed: number): PhotographedRow {
  const random = seeded(seed * 7919 + 13)
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T
  const between = (low: number, high: number): number => low + (high - low) * random()
  const stitch = STITCHES[seed % STITCHES.length] as string
  const cloth = CLOTHS[Math.floor(seed / STITCHES.length) % CLOTHS.length] as (typeof CLOTHS)[number]
  const threadHex = pick(THREADS.filter((hex) => apart(hex, cloth.hex) > 60))
  const { done, plan } = workedRow(stitch, pick([2, 2, 3]), cloth.hex, threadHex)
  const isBand = plan.acrossMm > 0
  const isSide = plan.kind === 'side-by-side'
  const hand: Handwork = {
    ...EVEN_HANDWORK,
    ...{
      scatterMm: between(0.05, MOST_SCATTER[stitch] ?? 0.3),
      bendMm: isBand ? 0 : between(0, 0.6),
      trend: random() < 0.3 && !isSide ? between(-0.35, 0.35) : 0,
    },
    ...{ leanDeg: isSide ? between(-12, 12) : 0, seed: seed * 17 + 5 },
    missing: isSide && random() < 0.3 ? Array.from({ length: 1 + Math.floor(random() * 2) }, () => 10 + Math.floor(random() * 100)) : [],
  }
  const hasLine = !isBand && random() < 0.25
  const row = sewRow(done, plan, hand)
  const look: SceneLook = { clothHex: cloth.hex, weaveMm: cloth.weaveMm, threadHex, lineHex: hasLine ? pick(PENS) : null, fuzzMm: between(0.01, 0.035), seed }
  const shot: Shot = {
    ...PLAIN_SHOT,
    ...{ pixelsPerMm: between(12, 20), distanceMm: between(210, 260), tiltDeg: between(0, 25), tiltTowardsDeg: between(0, 360), rollDeg: between(-12, 12) },
    ...{ fills: between(0.76, 0.86), bend: between(-0.03, 0.03), bowMm: between(0, 1), liftMm: between(0, 0.6), gradient: between(0, 0.35) },
    ...{ gradientDeg: between(0, 360), shadow: random() < 0.35 ? between(0.2, 0.5) : 0, shadowDeg: between(0, 360), shadowAtMm: between(-30, 30) },
    ...{ vignette: between(0, 0.25), exposure: between(0.4, 0.8), cast: [between(0.9, 1.12), between(0.82, 1.1)], blurPx: between(0.5, 1.5) },
    ...{ sharpen: between(0, 0.6), noise: between(0.004, 0.014), seed },
  }
  // What the document says of the colours never quite matches what lies there.
  const off = (hex: string): string => shiftHex(hex, () => 14 * normal(random))
  return {
    ...{ stitch, cloth: cloth.id, row, look, shot, truth: row.truth, quality: 70 + Math.floor(random() * 16) },
    plan: { ...plan, threadHex: off(threadHex), clothHex: off(cloth.hex) },
  }
}

const bytes = (hex: string): readonly number[] => [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16))
const apart = (a: string, b: string): number => Math.hypot(...bytes(a).map((one, index) => one - (bytes(b)[index] ?? 0)))
const shiftHex = (hex: string, by: () => number): string =>
  `#${bytes(hex)
    .map((one) =>
      Math.min(255, Math.max(0, Math.round(one + by())))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`
