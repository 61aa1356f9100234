/** For tests: a practice row of a stitch of the library, worked by a hand and photographed. */
import { type Picture, type PracticeRow, practiceRow, type RowPlan } from '../photo/index.ts'
import { newSampler } from '../sampler/index.ts'
import { EVEN_HANDWORK, type Handwork, paintScene, PLAIN_SHOT, type RowTruth, type SceneLook, sewRow, shoot, type Shot } from '../stand-in-camera/index.ts'

export interface TestRow {
  readonly plan: RowPlan
  readonly truth: RowTruth
  /** On the thread, mm of the card. */
  readonly onThread: { readonly x: number; readonly y: number }
  readonly photograph: (shot?: Partial<Shot>) => Picture
}

const CALICO = '#e9e0cc'

export const planFor = (stitch: string, threadHex = '#22386b'): RowPlan | null => {
  const row = workedFor(stitch)
  return row && { ...row.plan, threadHex }
}

/** On calico, in two strands. */
export function workedFor(stitch: string): PracticeRow | null {
  const sampler = newSampler('Rows')
  return practiceRow(
    { ...sampler, cloth: { ...sampler.cloth, colour: { ...sampler.cloth.colour, hex: CALICO } } },
    { id: 'e1', name: 'Row', stitch, on: [], materials: { main: { strands: 2 } } },
  )
}

export function testRow(stitch: string, hand: Partial<Handwork> = {}, look: Partial<SceneLook> = {}): TestRow {
  const threadHex = look.threadHex ?? '#8a2d2b'
  const worked = workedFor(stitch)
  if (!worked) throw new Error(`${stitch} makes no row`)
  const plan = { ...worked.plan, threadHex }
  const row = sewRow(worked.done, plan, { ...EVEN_HANDWORK, scatterMm: 0.12, seed: 3, ...hand })
  const scene = paintScene(row, { clothHex: CALICO, weaveMm: 0.42, threadHex, lineHex: null, fuzzMm: 0.02, seed: 3, ...look }, 17)
  const points = row.threads[Math.floor(row.threads.length / 2)]?.points ?? []
  return {
    ...{ plan: { ...plan, clothHex: look.clothHex ?? CALICO }, truth: row.truth, onThread: points[Math.floor(points.length / 2)] ?? { x: 0, y: 0 } },
    photograph: (shot = {}) => shoot(scene, { ...PLAIN_SHOT, pixelsPerMm: 12, tiltDeg: 12, tiltTowardsDeg: 70, rollDeg: 5, noise: 0.006, ...shot }),
  }
}
