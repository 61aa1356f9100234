/**
 * Dragging a handle: the guide being dragged lives here. What is worked on it is worked in the worker, the newest place at
 * a time, so that the page goes on drawing; it becomes one operation when released, and Escape drops it.
 */
import type { Surroundings } from '@lemmata/core/assign'
import type { WorkedExercise } from '@lemmata/core/exercise'
import type { Point } from '@lemmata/core/geometry'
import type { GuideId } from '@lemmata/core/base'
import { type Guide, type Handle, handlesOf, moveHandle } from '@lemmata/core/guide'
import { moveHeld } from '@lemmata/core/layout'
import { type DrawnGuide, type GuideDrawing, layExercise, type Sampler } from '@lemmata/core/sampler'
import { useCallback, useEffect, useRef, useState } from 'react'
import { workElsewhere } from '../compute/workers.ts'
import { edit } from '../store/index.ts'

export interface Draft {
  readonly drawn: DrawnGuide
  /** As last worked; a moment behind the guide while it is dragged fast. */
  readonly done: readonly WorkedExercise[]
  /** Exercises that go along as they are, and how far, mm, from where `drawn` lies: nothing of them is worked anew. Null where the guide changes its form. */
  readonly carried: Carried | null
}

export interface Carried {
  readonly ids: ReadonlySet<string>
  readonly by: Point
}

interface Drag {
  readonly drawn: DrawnGuide
  readonly handle: Handle
  /** From the pointer to the handle's middle, mm. */
  readonly grip: Point
  /** Where all that is worked on it goes along unchanged. */
  readonly carries: ReadonlySet<string> | null
}

/** `together`: guides that go along when the whole of one of them is dragged. */
export function useDrag(sampler: Sampler, around: Surroundings, together: readonly GuideId[], toCloth: (event: { clientX: number; clientY: number }) => Point) {
  const [draft, setDraft] = useState<Draft | null>(null)
  const drag = useRef<Drag | null>(null)
  const frame = useRef(0)
  const guide = useRef<Guide | null>(null)
  /** Where the handle has been dragged to. */
  const to = useRef<Point | null>(null)
  const working = useRef(false)
  const surroundings = useRef({ sampler, around })
  surroundings.current = { sampler, around }

  const drop = useCallback((): void => {
    cancelAnimationFrame(frame.current)
    drag.current = null
    guide.current = null
    to.current = null
    setDraft(null)
  }, [])

  const begin = useCallback(
    (drawn: DrawnGuide, handle: Handle, event: { clientX: number; clientY: number }): void => {
      const at = toCloth(event)
      const carries =
        handle.id === 'whole' ? goAlong(surroundings.current.sampler, together.length > 1 && together.includes(drawn.id) ? together : [drawn.id]) : null
      drag.current = { drawn, handle, grip: { x: handle.at.x - at.x, y: handle.at.y - at.y }, carries }
    },
    [toCloth, together],
  )

  /** One at a time; when it comes back and the guide has moved on meanwhile, the newest place follows. */
  const work = useCallback(async (now: Drag): Promise<void> => {
    if (working.current) return
    working.current = true
    try {
      for (let worked: Guide | null = null; drag.current === now && guide.current && guide.current !== worked; ) {
        worked = guide.current
        const drawn = { ...now.drawn, guide: worked }
        const done = await workOn(drawn, surroundings.current.sampler, surroundings.current.around)
        if (drag.current === now) setDraft((before) => ({ drawn: before?.drawn ?? drawn, done, carried: null }))
      }
    } catch {
      // The worker broke: the guide is still dragged, and its thread is worked when it is put down.
    } finally {
      working.current = false
    }
  }, [])

  const move = useCallback(
    (event: { clientX: number; clientY: number }): void => {
      const now = drag.current
      if (!now) return
      const at = toCloth(event)
      const there = { x: at.x + now.grip.x, y: at.y + now.grip.y }
      to.current = there
      cancelAnimationFrame(frame.current)
      frame.current = requestAnimationFrame(() => {
        if (drag.current !== now) return
        const ids = now.carries
        if (ids) {
          // Nothing of it is read again: the guide is seen where it is carried to, and moved when it is put down.
          const by = { x: there.x - now.handle.at.x, y: there.y - now.handle.at.y }
          setDraft({ drawn: now.drawn, done: NOTHING, carried: { ids, by } })
          return
        }
        guide.current = moveHandle(now.drawn.guide, now.handle, there)
        const drawn = { ...now.drawn, guide: guide.current }
        setDraft((before) => ({ drawn, done: before?.done ?? NOTHING, carried: null }))
        void work(now)
      })
    },
    [toCloth, work],
  )

  const end = useCallback((): void => {
    const now = drag.current
    const moved = now && to.current ? moveHandle(now.drawn.guide, now.handle, to.current) : null
    drop()
    if (!now || !moved || JSON.stringify(moved) === JSON.stringify(now.drawn.guide)) return
    const there = handlesOf(moved).find((one) => one.id === now.handle.id)
    if (now.handle.id === 'whole' && there && together.length > 1 && together.includes(now.drawn.id))
      edit(moveHeld(together, { x: there.at.x - now.handle.at.x, y: there.at.y - now.handle.at.y }))
    else edit({ kind: 'change-guide', id: now.drawn.id, set: { guide: moved } })
  }, [drop, together])

  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.key === 'Escape') drop()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [drop])

  return { draft, begin, move, end, isDragging: () => drag.current !== null }
}

const NOTHING: readonly WorkedExercise[] = []

/**
 * The exercises that only change their place when these guides do; null where one of them has guides that stay, or copies that go
 * their own ways when a single guide is moved.
 */
function goAlong({ exercises, drawing }: Sampler, ids: readonly GuideId[]): ReadonlySet<string> | null {
  const touched = exercises.filter((one) => one.on.some((on) => ids.includes(on.guide)))
  if (touched.some((one) => one.on.some((on) => !ids.includes(on.guide)))) return null
  const copied =
    drawing.guides.some((one) => ids.includes(one.id) && one.copies) || drawing.groups.some((one) => one.copies && one.members.some((id) => ids.includes(id)))
  return copied && ids.length < 2 ? null : new Set(touched.map((one) => one.id))
}

/** Everything that is worked on that guide, with the guide where it is now. */
async function workOn(drawn: DrawnGuide, sampler: Sampler, around: Surroundings): Promise<readonly WorkedExercise[]> {
  const drawing: GuideDrawing = { ...sampler.drawing, guides: sampler.drawing.guides.map((one) => (one.id === drawn.id ? drawn : one)) }
  const laid = exercisesOn(sampler, drawn.id).flatMap((exercise) => {
    const one = layExercise(exercise, drawing)
    return one.ok ? [one.value] : []
  })
  const results = await workElsewhere(laid, around)
  return results.flatMap((result) => (result.ok ? [result.value] : []))
}

export function exercisesOn(sampler: Pick<Sampler, 'exercises'>, guideId: string) {
  return sampler.exercises.filter((exercise) => exercise.on.some((on) => on.guide === guideId))
}
