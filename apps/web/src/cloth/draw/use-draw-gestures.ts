/** What pointer and keys mean while a tool is in hand. */
import type { Point } from '@lemmata/core/geometry'
import type { DrawnGuide } from '@lemmata/core/sampler'
import { useCallback, useRef, useState } from 'react'
import { type NeatGround, snap } from './snap.ts'
import type { Drawing } from './use-drawing.ts'

export interface DrawGestures {
  readonly pointer: Point | null
  readonly words: string | null
  readonly onMove: (at: Point, keys: Keys) => void
  readonly onDrag: (at: Point, phase: 'first' | 'more' | 'last', keys: Keys) => void
  readonly onTap: (at: Point, keys: Keys) => void
}

interface Keys {
  readonly shiftKey: boolean
  readonly altKey: boolean
  readonly timeStamp: number
}

/** A press this near the last, so soon after it, ends what is drawn. */
const TWICE_PX = 8
const TWICE_MS = 500
const SNAP_PX = 9
/** A hand's places are kept this far apart. */
const HAND_PX = 2

export function useDrawGestures(
  drawing: Drawing | null,
  guides: readonly DrawnGuide[],
  nameOf: (guide: DrawnGuide) => string,
  scale: number,
  ground: NeatGround,
  onDone: (places: readonly Point[], byHand?: boolean) => void,
): DrawGestures {
  const [pointer, setPointer] = useState<Snapshot | null>(null)
  const hand = useRef<Point[]>([])
  const lastTap = useRef<{ readonly at: Point; readonly time: number } | null>(null)

  const snapped = useCallback(
    (at: Point, keys: Keys, last: Point | null): Snapshot => {
      if (keys.altKey) return { at, words: null }
      return snap(at, guides, nameOf, SNAP_PX / scale, last, keys.shiftKey, ground)
    },
    [guides, nameOf, scale, ground],
  )

  const onMove = useCallback(
    (at: Point, keys: Keys): void => {
      if (!drawing) return
      const here = snapped(at, keys, drawing.places.at(-1) ?? null)
      setPointer(here)
      if (drawing.tool.taking !== 'drag' && drawing.places.length > 0 && drawing.places.length < 40) drawing.setPlaces(drawing.places, here.at)
    },
    [drawing, snapped],
  )

  const onTap = useCallback(
    (at: Point, keys: Keys): void => {
      if (!drawing) return
      const { tool, places } = drawing
      const before = lastTap.current
      // When the hand pressed, not when a busy page came to hear of it.
      lastTap.current = { at, time: keys.timeStamp }
      const twice = before && keys.timeStamp - before.time < TWICE_MS && Math.hypot(before.at.x - at.x, before.at.y - at.y) < TWICE_PX / scale
      if (twice && tool.places === null && drawing.finished().length > 0) return onDone(places)
      const next = [...places, snapped(at, keys, places.at(-1) ?? null).at]
      // What is dragged from its middle stands there in its usual, or typed, size when it is only pressed.
      if (tool.taking === 'drag' && tool.least === 1 && drawing.finished(next).length > 0) return onDone(next)
      if (tool.places !== null && next.length >= tool.places) return onDone(next)
      drawing.setPlaces(next)
    },
    [drawing, onDone, scale, snapped],
  )

  const onDrag = useCallback(
    (at: Point, phase: 'first' | 'more' | 'last', keys: Keys): void => {
      if (!drawing) return
      const { tool } = drawing
      if (tool.taking === 'freehand') {
        if (phase === 'first') hand.current = [at]
        const last = hand.current.at(-1)
        if (!last || Math.hypot(last.x - at.x, last.y - at.y) > HAND_PX / scale) hand.current = [...hand.current, at]
        setPointer({ at, words: null })
        if (phase === 'last') onDone(hand.current, true)
        else drawing.setStroke(hand.current)
        return
      }
      if (phase === 'first') hand.current = [snapped(at, keys, null).at]
      const [from] = hand.current
      if (!from) return
      const to = snapped(at, keys, from)
      setPointer(to)
      if (tool.taking === 'presses') {
        // A drag is its two ends.
        if (phase === 'last') drawing.setPlaces([...drawing.places, ...(drawing.places.length === 0 ? [from] : []), to.at])
        else drawing.setPlaces(drawing.places.length === 0 ? [from] : drawing.places, to.at)
        return
      }
      if (phase === 'last') onDone([from, to.at])
      else drawing.setPlaces([from, to.at])
    },
    [drawing, onDone, scale, snapped],
  )

  return { pointer: drawing ? (pointer?.at ?? null) : null, words: pointer?.words ?? null, onMove, onDrag, onTap }
}

interface Snapshot {
  readonly at: Point
  readonly words: string | null
}
