/** Of a guide's pins, those that are places it goes through. */
import type { Point } from '@lemmata/core/geometry'
import type { Handle } from '@lemmata/core/guide'

/** One of the places that the guide goes through. */
export function isPlace(handle: Handle): boolean {
  return handle.id !== 'whole' && handle.of === undefined
}

/** Half way to the next pin: where a place is added by keyboard. */
export function nextTo(handle: Handle, handles: readonly Handle[]): Point {
  const places = handles.filter((one) => one.of === undefined && one.id !== 'whole')
  const order = [
    ...places.filter((one) => one.id === 'start'),
    ...places.filter((one) => one.id.startsWith('point-')),
    ...places.filter((one) => one.id === 'end'),
  ]
  const at = order.findIndex((one) => one.id === handle.id)
  const next = order[at + 1] ?? order[at - 1] ?? handle
  return { x: (handle.at.x + next.at.x) / 2, y: (handle.at.y + next.at.y) / 2 }
}
