/** A photographed row measured on the command line: as on a phone, out of a file. */
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { bandSampler } from '@lemmata/contract/testing'
import { practiceRow } from '@lemmata/core/photo'
import { EVEN_HANDWORK, paintScene, PLAIN_SHOT, sewRow, shoot } from '@lemmata/core/stand-in-camera'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { measure } from './measure-command.ts'

const sampler = { ...bandSampler('2031-01-09'), exercises: [{ id: 'e1', name: 'Drizzle', stitch: 'chain-stitch', on: [] }], lessons: [] }
let folder: string
const file = (name: string): string => join(folder, name)

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'lemmata-photo-'))
  const row = practiceRow(sampler, sampler.exercises[0] as never)
  if (!row) throw new Error('no row')
  const { done, plan } = row
  const sewn = sewRow(done, plan, { ...EVEN_HANDWORK, scatterMm: 0.1, seed: 2 })
  const look = { clothHex: plan.clothHex, weaveMm: 0.42, threadHex: plan.threadHex, lineHex: null, fuzzMm: 0.02, seed: 2 }
  const { rgba, widthPx: width, heightPx: height } = shoot(paintScene(sewn, look, 18), { ...PLAIN_SHOT, pixelsPerMm: 12, tiltDeg: 8 })
  const raw = sharp(Buffer.from(rgba.buffer), { raw: { width, height, channels: 4 } })
  // Held upright: the camera says how it is to be turned.
  await raw.clone().rotate(90).jpeg({ quality: 85 }).withMetadata({ orientation: 8 }).toFile(file('row.jpg'))
  writeFileSync(file('no-picture.jpg'), 'no picture')
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

describe('measure', () => {
  it('gives figures and one thing to change, the picture turned as the camera was held', async () => {
    const answer = await measure(sampler, { photo: file('row.jpg'), exercise: 'e1' })
    if (!answer.ok) throw new Error(JSON.stringify(answer.problems))
    expect(answer.value).toMatchObject({ wrong: false, output: { state: 'measured', kind: 'looped', advice: expect.stringMatching(/\.$/) } })
    const { lengthMm, plannedMm } = answer.value.output as { lengthMm: number; plannedMm: number }
    expect(lengthMm / plannedMm).toBeCloseTo(1, 1)
  })

  it('says what is missing: the picture, the exercise, or a stitch that can be measured', async () => {
    const codeOf = async (given: object, options: Record<string, string>): Promise<string> => {
      const answer = await measure(given, options)
      return answer.ok ? 'done' : (answer.problems[0]?.code ?? '')
    }
    expect(await codeOf(sampler, { photo: file('no-picture.jpg'), exercise: 'e1' })).toBe('cli.no-photo')
    expect(await codeOf(sampler, { photo: file('gone.jpg'), exercise: 'e1' })).toBe('cli.no-photo')
    expect(await codeOf({ ...sampler, exercises: [] }, { photo: file('row.jpg') })).toBe('cli.no-exercise')
    const knots = { ...sampler, exercises: [{ id: 'e1', name: 'Hail', stitch: 'french-knot', on: [] }] }
    expect(await codeOf(knots, { photo: file('row.jpg') })).toBe('cli.not-measured')
  })
})
