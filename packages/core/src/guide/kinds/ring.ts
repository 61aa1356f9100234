/** A ring about its centre, travelled so that the centre lies to the left. */
import { success } from '../../base/index.ts'
import { type MeasuredPath, measurePath, scaleOf } from '../../geometry/index.ts'
import { carryLength, carryPair, carryTurn, noSuchPart, pointOf } from '../carry.ts'
import type { GuideTools, PracticeTools } from '../guide-tools.ts'
import { hundredths } from '../hundredths.ts'
import type { GuideOf } from '../types.ts'

export const ring: GuideTools<'ring'> = {
  word: 'a ring',
  read: (guide) => success({ kind: 'line', path: circle(guide), centre: pointOf(guide.at) }),
  transform: (guide, matrix) => ({
    ...guide,
    at: carryPair(guide.at, matrix),
    radiusMm: carryLength(guide.radiusMm, scaleOf(matrix)),
    ...carryTurn(guide.turnRad, matrix),
  }),
  handles: (guide) => [{ id: 'whole', name: 'the whole guide', at: pointOf(guide.at) }],
  reshape: () => null,
  sizes: (guide) => [{ id: 'radiusMm', name: 'Radius', kind: 'length', value: guide.radiusMm, min: 0.5, max: 100 }],
  withSize: (guide, id, value) => ({ ...guide, [id]: value }),
  parts: ['outline'],
  part: ({ at: [x, y], radiusMm: r }, part) =>
    part === 'outline'
      ? success({ kind: 'line', path: `M ${x + r} ${y} A ${r} ${r} 0 0 0 ${x - r} ${y} A ${r} ${r} 0 0 0 ${x + r} ${y} Z` })
      : noSuchPart('a ring', part, ring.parts),
  practice: 'ring',
}

function circle({ at, radiusMm, turnRad = 0 }: GuideOf<'ring'>): MeasuredPath {
  // Chords of 0.0005 mm sagitta, as curves are flattened.
  const steps = Math.max(24, Math.ceil((2 * Math.PI) / (2 * Math.acos(Math.max(0, 1 - 0.0005 / radiusMm)))))
  const points = Array.from({ length: steps + 1 }, (_, index) => {
    const angle = turnRad - (2 * Math.PI * (index % steps)) / steps
    return { x: at[0] + radiusMm * Math.cos(angle), y: at[1] + radiusMm * Math.sin(angle) }
  })
  return measurePath(points, true) as MeasuredPath
}

export const ringPractice: PracticeTools<'ring'> = {
  usual: { kind: 'ring', radiusMm: 7 },
  lay: ({ radiusMm }, { x, y }, mostMm) => ({ kind: 'ring', at: [hundredths(x), hundredths(y)], radiusMm: Math.min(radiusMm, mostMm / 2) }),
  halfHeightMm: ({ radiusMm }) => radiusMm,
  shortened: (wanted) => wanted,
}
