/** The figures of every stitch of the library, beside those that must go with them: sums, orders, the same twice over. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { type Guide, practiceFor, practiceGuide } from '../guide/index.ts'
import { SLACK, TAILS_MM } from '../measure/index.ts'
import { newSampler, type Level, type Sampler } from '../sampler/index.ts'
import { LIBRARY } from '../stitches/index.ts'
import { sentenceOf, type ShortExercise, workAlone } from '../testing/index.ts'

const base = newSampler('Figures')
const at = (level: Level, change: Partial<Sampler> = {}) => surroundingsOf({ ...base, ...change, brief: { ...base.brief, level } })
const around = at('beginner')
const guideFor = (id: string): Guide => {
  const document = LIBRARY.find((one) => one.id === id)
  if (!document) throw new Error(id)
  return practiceGuide(document.practice ?? practiceFor(document), 100, 100, 120)
}

function work(id: string, surroundings = around, more: Partial<ShortExercise> = {}) {
  const worked = workAlone({ id: 'e', name: 'Row', stitch: id, guide: guideFor(id), ...more }, surroundings)
  if (!worked.ok) throw new Error(`${id}: ${sentenceOf(worked.problems)}`)
  return worked.value
}
const ALL = LIBRARY.map((one) => [one.id] as const)
const KINDS = ['front', 'back', 'through', 'loops', 'wraps', 'slack', 'tails', 'total', 'needlefuls'] as const

describe.each(ALL)('%s', (id) => {
  const worked = work(id)

  it('uses as much thread as its threads together, part by part', () => {
    for (const kind of KINDS) {
      const sum = worked.threads.reduce((total, one) => total + one.use[kind], 0)
      expect(worked.thread[kind], kind).toBeCloseTo(sum, 6)
    }
  })

  it('adds up: what lies, the trips, the slack of five hundredths, and two tails to a needleful', () => {
    for (const { use, role } of worked.threads) {
      const lying = use.front + use.back + use.through + use.loops + use.wraps
      expect(use.slack, role).toBeCloseTo(SLACK * lying, 6)
      expect(use.total, role).toBeCloseTo(lying + use.slack + use.tails, 6)
      expect(use.tails, role).toBeLessThanOrEqual(use.needlefuls * TAILS_MM + 1e-6)
      expect(use.needlefuls).toBeGreaterThanOrEqual(1)
    }
  })

  it('lies in front as long as its segments, and goes through as often as it has holes', () => {
    const front = worked.worked.segments.filter((one) => one.side === 'front' && one.kind !== 'loop').reduce((total, one) => total + one.lengthMm, 0)
    expect(worked.thread.front).toBeCloseTo(front, 6)
    const { up = 0, down = 0 } = worked.motions
    expect(up + down).toBe(worked.worked.holes.length)
  })

  it('takes longer for hands that know less, and its minutes are their parts', () => {
    const [beginner, improver, experienced] = (['beginner', 'improver', 'experienced'] as const).map((level) => work(id, at(level)).minutes)
    expect(improver?.total).toBeLessThan(beginner?.total ?? 0)
    expect(experienced?.total).toBeLessThan(improver?.total ?? 0)
    const { stitching, needlefuls, settingOut, total } = worked.minutes
    expect(stitching + needlefuls + settingOut).toBeCloseTo(total, 9)
  })

  it('is rated between nothing and a hundred, the stitch alone no higher than with its setting, the parts adding up', () => {
    const { difficulty, stitchDifficulty } = worked
    expect(difficulty.score).toBeGreaterThan(0)
    expect(difficulty.score).toBeLessThan(100)
    expect(stitchDifficulty.score).toBeLessThanOrEqual(difficulty.score + 1e-9)
    expect(difficulty.parts.reduce((total, part) => total + part.score, 0)).toBeCloseTo(difficulty.score, 6)
  })

  it('is the same worked twice, and worked by the left hand uses the same thread', () => {
    expect(work(id).worked.holes).toEqual(worked.worked.holes)
    expect(JSON.stringify(work(id).thread)).toBe(JSON.stringify(worked.thread))
  })

  it('reads as wide as something that thread can be, and covers no more than all', () => {
    expect(worked.widthMm).toBeGreaterThan(0.2)
    expect(worked.widthMm).toBeLessThan(130)
    expect(worked.coverage).toBeGreaterThan(0)
    expect(worked.coverage).toBeLessThanOrEqual(1 + 1e-9)
  })
})

describe('thicker cloth', () => {
  it.each(['back-stitch', 'satin-stitch', 'chain-stitch'])('takes more thread for %s, by eight tenths of its thickness a trip', (id) => {
    const thin = work(id, at('beginner', { cloth: { ...base.cloth, thicknessMm: 0.3 } }))
    const thick = work(id, at('beginner', { cloth: { ...base.cloth, thicknessMm: 0.8 } }))
    expect(thick.worked.holes.length).toBe(thin.worked.holes.length)
    expect(thick.thread.through - thin.thread.through).toBeCloseTo(0.8 * 0.5 * thin.worked.holes.length, 6)
  })
})

describe('a longer needleful', () => {
  const cutTo = (needlefulMm: number) => {
    const brief = { ...base.brief, level: 'beginner' as const, waysOfWorking: { ...base.brief.waysOfWorking, needlefulMm } }
    return work('satin-stitch', surroundingsOf({ ...base, brief })).thread
  }

  it('is as many as the thread needs, less their tails, and fewer the longer they are', () => {
    let before = Infinity
    for (const mm of [250, 350, 450, 600, 900]) {
      const { total, tails, needlefuls } = cutTo(mm)
      expect(needlefuls).toBe(Math.ceil((total - tails) / (mm - TAILS_MM) - 1e-9))
      expect(needlefuls).toBeLessThanOrEqual(before)
      before = needlefuls
    }
  })
})
