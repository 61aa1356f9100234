/** A photographed practice row of an exercise, measured. */
import { error, failure, type Result, success } from '@lemmata/core/base'
import { advise, measureRow, type Picture, practiceRow, ROW_WORDS, summaryOf } from '@lemmata/core/photo'
import { formatStitchLength } from '@lemmata/core/units'
import { readSampler } from '@lemmata/contract'
import type { Answer } from './command.ts'

/** Longer sides are made smaller, as on a phone. */
const LONGEST_PX = 4032

export async function measure(given: unknown, { photo, exercise, touched, counted }: Readonly<Record<string, string>>): Promise<Result<Answer>> {
  const read = readSampler(given)
  if (!read.ok) return read
  const sampler = read.value
  const own = sampler.exercises.find((one) => one.id === exercise) ?? (sampler.exercises.length === 1 ? sampler.exercises[0] : undefined)
  if (!own) return failure(error('cli.no-exercise', [], { exercise: exercise ?? '', known: sampler.exercises.map((one) => one.id) }))
  const plan = practiceRow(sampler, own)?.plan
  if (!plan) return failure(error('cli.not-measured', [], { exercise: own.name }))
  const picture = photo === undefined ? null : await decoded(photo)
  if (!picture) return failure(error('cli.no-photo', [], { photo: photo ?? '' }))
  const at = touched?.split(',').map(Number)
  const verdict = measureRow(picture, plan, {
    touched: at?.length === 2 && at.every(Number.isFinite) ? { x: at[0] as number, y: at[1] as number } : null,
    counted: counted !== undefined && /^\d{1,3}$/.test(counted) ? Number(counted) : null,
  })
  if (verdict.state === 'touch') return success({ output: { state: 'touch', why: ROW_WORDS.en.touch, quality: verdict.quality }, wrong: true })
  if (verdict.state === 'refused')
    return success({ output: { state: 'refused', why: ROW_WORDS.en.refused[verdict.why], code: verdict.why, quality: verdict.quality }, wrong: true })
  const summary = summaryOf(verdict.figures, plan, { isCounted: verdict.state === 'measured', isPutRight: counted !== undefined })
  const advice = ROW_WORDS.en.advice(advise(summary, []), (mm) => formatStitchLength(mm, sampler.units))
  return success({
    output: { state: verdict.state, ...summary, lengthsMm: verdict.figures.lengthsMm, pitchMm: verdict.figures.pitchMm, advice, quality: verdict.quality },
    wrong: false,
  })
}

/** Turned as the camera was held; null where it is no picture that can be read. */
async function decoded(file: string): Promise<Picture | null> {
  const { default: sharp } = await import('sharp')
  try {
    const { data, info } = await sharp(file, { limitInputPixels: 80_000_000 })
      .rotate()
      .resize({ width: LONGEST_PX, height: LONGEST_PX, fit: 'inside', withoutEnlargement: true })
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true })
    return { widthPx: info.width, heightPx: info.height, rgba: new Uint8ClampedArray(data.buffer, data.byteOffset, data.length) }
  } catch {
    return null
  }
}
