/** A band: a path with a width, or two rails. Both are worked alike: along a middle line, out to two rails. */
import { error, failure, mm, type Result, success } from '../../base/index.ts'
import { type MeasuredPath, parsePath } from '../../geometry/index.ts'
import { bandBetweenRails, middleOfRails, railBeside } from '../rails.ts'
import { carryLength, carryPath, noSuchPart, pathData } from '../carry.ts'
import { dragPathEnd } from '../drag-end.ts'
import type { GuideTools, PracticeTools } from '../guide-tools.ts'
import { scaleOf } from '../../geometry/index.ts'
import { innerHandles, pointHandles, reshapeInner, reshapePath } from '../path-points.ts'
import { NARROWEST_BAND_MM, SHORTEST_MM } from '../limits.ts'
import type { Guide, GuideOf } from '../types.ts'
import { level, pathHandles } from './line.ts'

export const band: GuideTools<'band'> = {
  word: 'a band',
  read: (guide) => {
    if (guide.rails) {
      const rails = readRails(guide.rails)
      return rails.ok ? bandBetweenRails(rails.value[0], rails.value[1]) : rails
    }
    const path = readMiddle(guide)
    if (!path.ok) return path
    return success({ kind: 'line', path: path.value, width: { kind: 'even', halfMm: (guide.widthMm as number) / 2 } })
  },
  transform: (guide, matrix) => ({
    ...guide,
    ...(guide.path === undefined ? {} : { path: carryPath(guide.path, matrix) }),
    ...(guide.widthMm === undefined ? {} : { widthMm: carryLength(guide.widthMm, scaleOf(matrix)) }),
    ...(guide.rails === undefined ? {} : { rails: guide.rails.map((data) => carryPath(data, matrix)) }),
  }),
  handles: (guide) => (guide.path === undefined ? railHandles(guide) : [...pathHandles(guide.path), ...pointHandles(guide.path)]),
  reshape: (guide, id, to) => {
    if (guide.path === undefined) return reshapeInner(guide, id, to)
    if (id === 'start' || id === 'end') return { ...guide, path: dragPathEnd(guide.path, id, to) }
    const path = reshapePath(guide.path, id, to)
    return path === null ? null : { ...guide, path }
  },
  sizes: (guide) =>
    guide.widthMm === undefined ? [] : [{ id: 'widthMm', name: 'Width of the band', kind: 'length', value: guide.widthMm, min: NARROWEST_BAND_MM, max: 60 }],
  withSize: (guide, id, value) => ({ ...guide, [id]: value }),
  parts: ['left-rail', 'right-rail', 'centre-line'],
  part: (guide, part) => {
    if (part !== 'left-rail' && part !== 'right-rail' && part !== 'centre-line') return noSuchPart('a band', part, band.parts)
    if (guide.rails) {
      const rails = readRails(guide.rails)
      if (!rails.ok) return rails
      if (part === 'left-rail') return lineOf(guide.rails[0] as string)
      if (part === 'right-rail') return lineOf(guide.rails[1] as string)
      const middle = middleOfRails(rails.value[0], rails.value[1])
      return middle ? lineOf(pathData(middle.points, middle.closed)) : failure(error('guide.rails', ['rails']))
    }
    const path = readMiddle(guide)
    if (!path.ok) return path
    if (part === 'centre-line') return lineOf(guide.path as string)
    const rail = railBeside(path.value, ((guide.widthMm as number) / 2) * (part === 'left-rail' ? 1 : -1))
    return rail ? lineOf(pathData(rail.points, rail.closed)) : failure(error('guide.rail', ['part']))
  },
  practice: 'band',
}

const lineOf = (path: string): Result<Guide> => success({ kind: 'line', path })

function readRails(rails: readonly string[]): Result<readonly [MeasuredPath, MeasuredPath]> {
  const [left, right] = rails.map((data) => parsePath(data))
  const missing = failure(error('guide.two-rails', ['rails']))
  if (!left?.ok) return left ?? missing
  if (!right?.ok) return right ?? missing
  return success([left.value, right.value])
}

function readMiddle({ path, widthMm }: GuideOf<'band'>): Result<MeasuredPath> {
  if (path === undefined || widthMm === undefined) return failure(error('guide.band', ['path']))
  if (widthMm < NARROWEST_BAND_MM) return failure(error('guide.too-narrow', ['widthMm'], { width: mm(widthMm), least: mm(NARROWEST_BAND_MM) }))
  const parsed = parsePath(path)
  if (parsed.ok && parsed.value.length < SHORTEST_MM)
    return failure(error('guide.too-short', ['path'], { what: 'band', length: mm(parsed.value.length), least: mm(SHORTEST_MM) }))
  return parsed
}

function railHandles(guide: GuideOf<'band'>) {
  const rails = readRails(guide.rails ?? [])
  const middle = rails.ok ? middleOfRails(rails.value[0], rails.value[1]) : null
  const whole = middle ? pathHandles(pathData(middle.points, middle.closed)).filter((handle) => handle.id === 'whole') : []
  return [...whole, ...innerHandles(guide)]
}

export const bandPractice: PracticeTools<'band'> = {
  usual: { kind: 'band', lengthMm: 80, widthMm: 8 },
  lay: ({ lengthMm, widthMm }, { x, y }, mostMm) => ({ kind: 'band', path: level(x, y, Math.min(lengthMm, mostMm)), widthMm }),
  halfHeightMm: ({ widthMm }) => widthMm / 2,
  shortened: (wanted) => ({ ...wanted, lengthMm: 40 }),
}
