/** A line: open or closed, straight or not. It is its own only part. */
import { error, failure, mm, success } from '../../base/index.ts'
import { boxOf, parsePath, placeAt, startAtCorner } from '../../geometry/index.ts'
import { carryPath, noSuchPart } from '../carry.ts'
import { dragPathEnd } from '../drag-end.ts'
import { pointHandles, reshapePath } from '../path-points.ts'
import type { GuideTools, PracticeTools } from '../guide-tools.ts'
import { hundredths } from '../hundredths.ts'
import { SHORTEST_MM } from '../limits.ts'
import type { Handle } from '../types.ts'

export const line: GuideTools<'line'> = {
  word: 'a line',
  read: (guide) => {
    const path = parsePath(guide.path)
    if (!path.ok) return path
    if (path.value.length < SHORTEST_MM)
      return failure(error('guide.too-short', ['path'], { what: 'line', length: mm(path.value.length), least: mm(SHORTEST_MM) }))
    return success({ kind: 'line', path: startAtCorner(path.value) })
  },
  transform: (guide, matrix) => ({ ...guide, path: carryPath(guide.path, matrix) }),
  handles: (guide) => [...pathHandles(guide.path), ...pointHandles(guide.path)],
  reshape: (guide, id, to) => {
    if (id === 'start' || id === 'end') return { ...guide, path: dragPathEnd(guide.path, id, to) }
    const path = reshapePath(guide.path, id, to)
    return path === null ? null : { ...guide, path }
  },
  sizes: () => [],
  withSize: (guide) => guide,
  parts: [],
  part: (_guide, part) => noSuchPart('a line', part, []),
  practice: 'line',
}

/** Both ends and the middle; of a closed path only the middle of what it encloses. */
export function pathHandles(data: string): readonly Handle[] {
  const path = parsePath(data)
  if (!path.ok) return []
  if (path.value.closed) {
    const box = boxOf(path.value.points)
    return box ? [{ id: 'whole', name: 'the whole guide', at: { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 } }] : []
  }
  return [
    { id: 'start', name: 'its start', at: placeAt(path.value, 0).at },
    { id: 'end', name: 'its end', at: placeAt(path.value, path.value.length, true).at },
    { id: 'whole', name: 'the whole guide', at: placeAt(path.value, path.value.length / 2).at },
  ]
}

export const linePractice: PracticeTools<'line'> = {
  usual: { kind: 'line', lengthMm: 90 },
  lay: ({ lengthMm }, { x, y }, mostMm) => ({ kind: 'line', path: level(x, y, Math.min(lengthMm, mostMm)) }),
  halfHeightMm: () => 2,
  shortened: (wanted) => ({ ...wanted, lengthMm: 40 }),
}

/** A level line about a middle. */
export function level(x: number, y: number, lengthMm: number): string {
  return `M ${hundredths(x - lengthMm / 2)} ${hundredths(y)} L ${hundredths(x + lengthMm / 2)} ${hundredths(y)}`
}
