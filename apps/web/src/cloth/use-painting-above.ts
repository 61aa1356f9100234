/** What lies over the picture while it moves or grows: carried as it is, worked anew, or just being drawn. */
import { drawExerciseThread, drawMarkItems, marksOn } from '@lemmata/core/drawing'
import type { WorkedExercise } from '@lemmata/core/exercise'
import { type RefObject, useEffect, useMemo } from 'react'
import { paintItems, prepareCanvas } from '../drawing/paint.ts'
import type { Draft } from './use-drag.ts'
import type { View } from './view.ts'

const NOTHING: readonly WorkedExercise[] = []

/** What rests in the picture, and what is drawn over it. */
export function useParted(done: readonly WorkedExercise[], carried: ReadonlySet<string> | null, draft: Draft | null, preview: WorkedExercise | null) {
  const draftId = draft && draft.done.length > 0 ? draft.drawn.id : null
  const resting = useMemo(() => {
    if (carried) return done.filter((one) => !carried.has(one.exercise.id))
    return draftId === null ? done : done.filter((one) => !one.exercise.on.some((on) => on.guide === draftId))
  }, [done, draftId, carried])
  const above = useMemo(() => {
    if (carried) return done.filter((one) => carried.has(one.exercise.id))
    return draft?.done ?? (preview ? [preview] : NOTHING)
  }, [carried, done, draft?.done, preview])
  return { resting, above }
}

export function usePaintingAbove(
  ref: RefObject<HTMLCanvasElement | null>,
  above: readonly WorkedExercise[],
  shown: { readonly worked: boolean; readonly marks: boolean },
  clothHex: string,
  view: View | null,
  width: number,
  height: number,
): void {
  useEffect(() => {
    const canvas = ref.current
    if (!canvas || !view || width === 0) return
    const context = prepareCanvas(canvas, width, height)
    if (!context || above.length === 0) return
    context.translate(view.x, view.y)
    context.scale(view.scale, view.scale)
    const ink = marksOn(clothHex)
    const pixelsPerMm = view.scale * (window.devicePixelRatio || 1)
    for (const one of above) {
      if (shown.marks) for (const piece of one.pieces) paintItems(context, drawMarkItems(piece.marks, ink))
      if (shown.worked) paintItems(context, drawExerciseThread(one, { side: 'front', pixelsPerMm, cloth: clothHex }, 0))
    }
  }, [ref, above, shown, clothHex, view, width, height])
}
