/** A square, or a row of squares that share their sides. */
import { success } from '../../base/index.ts'
import { fromAngle, leftOf, type Matrix, type Point, scaleOf, step, UNMOVED } from '../../geometry/index.ts'
import { carryLength, carryPair, carryTurn, countAfter, noSuchPart, pathData, pointOf } from '../carry.ts'
import type { GuideTools, PracticeTools } from '../guide-tools.ts'
import { hundredths } from '../hundredths.ts'
import type { GuideOf } from '../types.ts'

export const square: GuideTools<'square'> = {
  word: 'a square',
  read: (guide) => {
    const at = middlesOf(guide)
    return success({ kind: 'spots', at, turns: at.map(() => guide.turnRad ?? 0), sideMm: guide.sideMm })
  },
  transform,
  refit: (guide, matrix) => {
    const carried = transform(guide, matrix)
    const repeat = countAfter(guide.repeat ?? 1, scaleOf(matrix))
    const middle = step(pointOf(carried.at), fromAngle(carried.turnRad ?? 0), (carried.sideMm * ((guide.repeat ?? 1) - 1)) / 2)
    const first = step(middle, fromAngle(carried.turnRad ?? 0), (-guide.sideMm * (repeat - 1)) / 2)
    return { ...carried, at: carryPair([first.x, first.y], UNMOVED), sideMm: guide.sideMm, ...(guide.repeat === undefined ? {} : { repeat }) }
  },
  handles: (guide) => [{ id: 'whole', name: 'the whole guide', at: pointOf(guide.at) }],
  reshape: () => null,
  sizes: (guide) => [
    { id: 'sideMm', name: 'Side', kind: 'length', value: guide.sideMm, min: 0.5, max: 60 },
    { id: 'repeat', name: 'Squares in a row', kind: 'count', value: guide.repeat ?? 1, min: 1, max: 100 },
  ],
  withSize: (guide, id, value) => ({ ...guide, [id]: value }),
  parts: ['outline'],
  part: (guide, part) => (part === 'outline' ? success({ kind: 'line', path: pathData(outlineOf(guide), true) }) : noSuchPart('a square', part, square.parts)),
  practice: 'square',
}

function transform(guide: GuideOf<'square'>, matrix: Matrix): GuideOf<'square'> {
  return { ...guide, at: carryPair(guide.at, matrix), sideMm: carryLength(guide.sideMm, scaleOf(matrix)), ...carryTurn(guide.turnRad, matrix) }
}

function middlesOf(guide: GuideOf<'square'>): Point[] {
  const along = fromAngle(guide.turnRad ?? 0)
  return Array.from({ length: guide.repeat ?? 1 }, (_, index) => step(pointOf(guide.at), along, guide.sideMm * index))
}

/** The outline of the whole row. */
function outlineOf(guide: GuideOf<'square'>): Point[] {
  const along = fromAngle(guide.turnRad ?? 0)
  const half = guide.sideMm / 2
  const corner = (forward: number, left: number): Point => step(step(pointOf(guide.at), along, forward), leftOf(along), left)
  const far = half + guide.sideMm * ((guide.repeat ?? 1) - 1)
  return [corner(-half, half), corner(far, half), corner(far, -half), corner(-half, -half), corner(-half, half)]
}

export const squarePractice: PracticeTools<'square'> = {
  usual: { kind: 'square', sideMm: 6, repeat: 6 },
  lay: ({ sideMm, repeat: wanted }, { x, y }, mostMm) => {
    const repeat = Math.max(1, Math.min(wanted, Math.floor(mostMm / sideMm)))
    return { kind: 'square', at: [hundredths(x - ((repeat - 1) * sideMm) / 2), hundredths(y)], sideMm, repeat }
  },
  halfHeightMm: ({ sideMm }) => sideMm / 2,
  shortened: (wanted) => ({ ...wanted, repeat: Math.max(1, Math.min(wanted.repeat, Math.floor(40 / wanted.sideMm))) }),
}
