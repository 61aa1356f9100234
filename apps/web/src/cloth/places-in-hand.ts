/** Of a guide's pins, those that are places it goes through. */
import type { Point } from '@lemmata/core/geometry'
import { editPoint, type Guide, type Handle, handlesOf, innerOf, moveHandle, type PointEdit } from '@lemmata/core/guide'

/** One of the places that the guide goes through. */
export function isPlace(handle: Handle): boolean {
  return handle.id !== 'whole' && handle.of === undefined
}

/** On a guide that is smaller on the screen, what lies within it would hide it. */
const ROOM_PX = 90

/** The pins that are shown: curves of the place in hand only, and what lies within a guide where there is room for it. */
export function handlesInView(guide: Guide, inHand: string | null, scale: number): readonly Handle[] {
  const handles = handlesOf(guide).filter((handle) => handle.of === undefined || handle.of === inHand)
  const reach = (axis: 'x' | 'y'): number => Math.max(...handles.map(({ at }) => at[axis])) - Math.min(...handles.map(({ at }) => at[axis]))
  const hasRoom = handles.length > 0 && Math.hypot(reach('x'), reach('y')) * scale >= ROOM_PX
  return hasRoom ? handles : handles.filter((handle) => innerOf(handle.id) === null)
}

/** Half way to the next pin: where a place is added by keyboard. */
function nextTo(handle: Handle, handles: readonly Handle[]): Point {
  const places = handles.filter((one) => one.of === undefined && one.id !== 'whole' && innerOf(one.id) === innerOf(handle.id))
  const order = [
    ...places.filter((one) => one.id === 'start'),
    ...places.filter((one) => one.id !== 'start' && one.id !== 'end'),
    ...places.filter((one) => one.id === 'end'),
  ]
  const at = order.findIndex((one) => one.id === handle.id)
  const next = order[at + 1] ?? order[at - 1] ?? handle
  return { x: (handle.at.x + next.at.x) / 2, y: (handle.at.y + next.at.y) / 2 }
}

interface Key {
  readonly key: string
  readonly shiftKey: boolean
}

const STEPS: Readonly<Record<string, Point>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
}

/**
 * The guide after a key was pressed on one of its pins: arrows move it by a millimetre, with Shift by a tenth; Delete, S and A
 * take its place away, turn it smooth or sharp, and add one after it. Undefined when the key is not for the pin, null when it
 * is and nothing can be done.
 */
export function guideAfterKey(guide: Guide, handle: Handle, handles: readonly Handle[], { key, shiftKey }: Key): Guide | null | undefined {
  const edit = isPlace(handle) ? placeEdit(handle, handles, key) : null
  if (edit) return editPoint(guide, edit)
  const step = STEPS[key]
  if (!step) return undefined
  const by = shiftKey ? 0.1 : 1
  return moveHandle(guide, handle, { x: handle.at.x + step.x * by, y: handle.at.y + step.y * by })
}

function placeEdit(handle: Handle, handles: readonly Handle[], key: string): PointEdit | null {
  if (key === 'Delete' || key === 'Backspace') return { kind: 'remove', handleId: handle.id }
  if (key === 's') return { kind: 'turn', handleId: handle.id }
  if (key !== 'a') return null
  const within = innerOf(handle.id)
  return { kind: 'add', near: nextTo(handle, handles), ...(within === null ? {} : { within }) }
}
