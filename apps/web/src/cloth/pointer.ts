/** What the pointer is on, and whether a wheel is a mouse's or a pad's. */

/** A pin, a knot, a handle: what begins there is theirs. */
export function isOnPin(event: Event): boolean {
  return event.target instanceof Element && event.target.closest('.handle, .caution-knot, .scale-slip, .sketch, .guide-line, .transform-box') !== null
}

/** A pad sends small steps both ways, in pixels; a mouse's wheel sends large ones, one way. */
export function isPad(event: WheelEvent): boolean {
  return event.deltaMode === 0 && (event.deltaX !== 0 || (Number.isInteger(event.deltaY) && Math.abs(event.deltaY) < 40))
}
