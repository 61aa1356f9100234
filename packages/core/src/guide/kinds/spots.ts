/** One spot, or many, each turned its own way or all alike. */
import { error, failure, type Result, success } from '../../base/index.ts'
import { carryAngle, type Matrix, type Point } from '../../geometry/index.ts'
import { carryPair, carryTurn, noSuchPart, pointOf } from '../carry.ts'
import type { GuideTools, PracticeTools } from '../guide-tools.ts'
import { hundredths } from '../hundredths.ts'
import { MOST_SPOTS } from '../limits.ts'
import type { GuideOf, ReadGuide } from '../types.ts'

export const spot: GuideTools<'spot'> = {
  word: 'a spot',
  read: (guide) => success({ kind: 'spots', at: [pointOf(guide.at)], turns: [guide.turnRad ?? 0] }),
  transform: (guide, matrix) => ({ ...guide, at: carryPair(guide.at, matrix), ...carryTurn(guide.turnRad, matrix) }),
  handles: (guide) => [{ id: 'spot-0', name: 'the spot', at: pointOf(guide.at) }],
  reshape: (guide, id, to) => (id === 'spot-0' ? { ...guide, at: [to.x, to.y] } : null),
  sizes: () => [],
  withSize: (guide) => guide,
  parts: [],
  part: (_guide, part) => noSuchPart('a spot', part, []),
  practice: 'spots',
}

export const spots: GuideTools<'spots'> = {
  word: 'spots',
  read: readSpots,
  transform: (guide, matrix) => ({ ...guide, at: guide.at.map((at) => carryPair(at, matrix)), ...carryTurns(guide, matrix) }),
  handles: (guide) => guide.at.map((at, index) => ({ id: `spot-${index}`, name: `spot ${index + 1}`, at: pointOf(at) })),
  reshape: (guide, id, to) => {
    const index = numberIn(id, 'spot')
    return index === null ? null : { ...guide, at: guide.at.map((at, place) => (place === index ? ([to.x, to.y] as const) : at)) }
  },
  sizes: () => [],
  withSize: (guide) => guide,
  parts: [],
  part: (_guide, part) => noSuchPart('spots', part, []),
  practice: 'spots',
}

function readSpots(guide: GuideOf<'spots'>): Result<ReadGuide> {
  if (guide.at.length === 0) return failure(error('guide.no-spots', ['at']))
  if (guide.at.length > MOST_SPOTS) return failure(error('guide.too-many-spots', ['at'], { spots: guide.at.length, most: MOST_SPOTS }))
  if (guide.turnsRad && guide.turnsRad.length !== guide.at.length)
    return failure(error('guide.turns', ['turnsRad'], { spots: guide.at.length, turns: guide.turnsRad.length }))
  return success({ kind: 'spots', at: guide.at.map(pointOf), turns: guide.turnsRad ?? guide.at.map(() => guide.turnRad ?? 0) })
}

function carryTurns(guide: GuideOf<'spots'>, matrix: Matrix): Pick<GuideOf<'spots'>, 'turnRad' | 'turnsRad'> {
  return guide.turnsRad ? { turnsRad: guide.turnsRad.map((turn) => carryAngle(matrix, turn)) } : carryTurn(guide.turnRad, matrix)
}

/** The number of a handle such as `spot-3`; null for another handle. */
export function numberIn(id: string, word: string): number | null {
  return id.startsWith(`${word}-`) ? Number(id.slice(word.length + 1)) : null
}

export const spotsPractice: PracticeTools<'spots'> = {
  usual: { kind: 'spots', count: 10, apartMm: 8 },
  lay: ({ count, apartMm }, { x, y }, mostMm) => {
    const apart = Math.min(apartMm, mostMm / Math.max(1, count - 1))
    const from: Point = { x: x - (apart * (count - 1)) / 2, y }
    return { kind: 'spots', at: Array.from({ length: count }, (_, index) => [hundredths(from.x + apart * index), hundredths(y)] as const) }
  },
  halfHeightMm: () => 2,
  shortened: (wanted) => ({ ...wanted, count: Math.max(2, Math.min(wanted.count, Math.floor(38 / wanted.apartMm))) }),
}
