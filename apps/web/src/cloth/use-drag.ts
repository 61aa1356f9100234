/**
 * Dragging a handle: the guide being dragged lives here and is worked at once, one exercise in one frame; it
 * becomes one operation when released, and Escape drops it.
 */
import type { Surroundings } from '@lemmata/core/assign'
import { type WorkedExercise, workExercise } from '@lemmata/core/exercise'
import type { Point } from '@lemmata/core/geometry'
import type { Guide } from '@lemmata/core/guide'
import type { Exercise } from '@lemmata/core/sampler'
import { useCallback, useEffect, useRef, useState } from 'react'
import { edit } from '../store/index.ts'
import { type Handle, moveHandle } from '@lemmata/core/guide'

export interface Draft {
  readonly exercise: Exercise
  readonly done: WorkedExercise | null
}

interface Drag {
  readonly exercise: Exercise
  readonly handle: Handle
  /** From the pointer to the handle's middle, mm. */
  readonly grip: Point
}

export function useDrag(around: Surroundings, toCloth: (event: { clientX: number; clientY: number }) => Point) {
  const [draft, setDraft] = useState<Draft | null>(null)
  const drag = useRef<Drag | null>(null)
  const frame = useRef(0)
  const guide = useRef<Guide | null>(null)

  const drop = useCallback((): void => {
    cancelAnimationFrame(frame.current)
    drag.current = null
    guide.current = null
    setDraft(null)
  }, [])

  const begin = useCallback(
    (exercise: Exercise, handle: Handle, event: { clientX: number; clientY: number }): void => {
      const at = toCloth(event)
      drag.current = { exercise, handle, grip: { x: handle.at.x - at.x, y: handle.at.y - at.y } }
    },
    [toCloth],
  )

  const move = useCallback(
    (event: { clientX: number; clientY: number }): void => {
      const now = drag.current
      if (!now) return
      const at = toCloth(event)
      guide.current = moveHandle(now.exercise.guide, now.handle, { x: at.x + now.grip.x, y: at.y + now.grip.y })
      cancelAnimationFrame(frame.current)
      frame.current = requestAnimationFrame(() => {
        if (!guide.current) return
        const exercise = { ...now.exercise, guide: guide.current }
        const result = workExercise(exercise, around)
        setDraft({ exercise, done: result.ok ? result.value : null })
      })
    },
    [around, toCloth],
  )

  const end = useCallback((): void => {
    const now = drag.current
    const moved = guide.current
    drop()
    if (now && moved && JSON.stringify(moved) !== JSON.stringify(now.exercise.guide))
      edit({ kind: 'change-exercise', id: now.exercise.id, set: { guide: moved } })
  }, [drop])

  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.key === 'Escape') drop()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [drop])

  return { draft, begin, move, end, isDragging: () => drag.current !== null }
}
