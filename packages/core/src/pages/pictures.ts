/** Small drawings of a book: a thread as it lies, one exercise by itself, the whole sampler with a part of it inked. */
import { drawExerciseThread, drawLine, type DrawingItem, moveItems, scaleItems, USUAL_SHEEN } from '../drawing/index.ts'
import type { AssignedThread } from '../assign/index.ts'
import type { Mark, WorkedExercise } from '../exercise/index.ts'
import { boxOfExercise, boxOfPiece } from '../extent/index.ts'
import type { Box } from '../geometry/index.ts'
import type { Block } from './blocks.ts'

const PAPER = '#FFFFFF'

/** As wide as it lies, but never so thin that its colour is lost, nor broader than its line. */
export function swatch(thread: Pick<AssignedThread, 'bundle' | 'kind'> & { readonly hex: string }, widthMm: number, heightMm: number): Block {
  const y = heightMm / 2
  const path = [
    { x: 0.6, y },
    { x: widthMm - 0.6, y },
  ]
  const lineWidthMm = Math.min(1.9, Math.max(1.1, thread.bundle.lineWidthMm))
  const look = { colour: thread.hex, diameterMm: lineWidthMm * 0.9, lineWidthMm, flatWidthMm: lineWidthMm, sheen: USUAL_SHEEN }
  return { heightMm, draw: () => drawLine(path, look, 16, PAPER) }
}

/** An exercise by itself, as large as its place allows and at most true size. */
export function exercisePicture(done: WorkedExercise, widthMm: number, heightMm: number): Block {
  return {
    heightMm,
    draw: () => {
      const whole = boxOfExercise(done)
      const [first] = done.pieces
      // Pieces all over the cloth would each be too small to be told: then the first of them.
      const isSpread = whole !== null && Math.min(widthMm / (whole.right - whole.left), heightMm / (whole.bottom - whole.top)) < 0.6
      const box = isSpread ? boxOfPiece(first) : whole
      const shown = isSpread ? { ...done, pieces: [first] as const } : done
      return box ? fitted(drawExerciseThread(shown, { side: 'front', detail: 'edged', cloth: PAPER }, 0), box, widthMm, heightMm, 1) : []
    },
  }
}

/** The lines of the whole sampler, thin and grey; what is asked for in its thread. */
export function thumbnail(all: readonly WorkedExercise[], inked: ReadonlySet<string>, widthMm: number, mostMm: number): Block {
  const box = boxOfAll(all)
  const scale = box ? Math.min(widthMm / (box.right - box.left), mostMm / (box.bottom - box.top)) : 1
  const heightMm = box ? (box.bottom - box.top) * scale : 0
  return {
    heightMm,
    draw: () => {
      if (!box) return []
      const grey = all.filter((one) => !inked.has(one.exercise.id)).flatMap(outlineOf)
      const bold = all
        .filter((one) => inked.has(one.exercise.id))
        .flatMap((one) => drawExerciseThread(one, { side: 'front', detail: 'chords', cloth: PAPER }, 0))
      return fitted([...grey, ...bold], box, widthMm, heightMm)
    },
  }
}

/** The finished piece as it is worked. */
export function finishedPiece(all: readonly WorkedExercise[], box: Box, widthMm: number, heightMm: number, round: readonly DrawingItem[]): Block {
  return {
    heightMm,
    draw: () =>
      fitted([...all.flatMap((one) => drawExerciseThread(one, { side: 'front', detail: 'edged', cloth: PAPER }, 0)), ...round], box, widthMm, heightMm),
  }
}

/** What the marks draw of it, thinned to lines; where nothing is marked, the thread's own way. */
function outlineOf(done: WorkedExercise): readonly DrawingItem[] {
  return done.pieces.flatMap(({ marks, worked }): readonly DrawingItem[] => {
    const lines = marks.filter((mark): mark is Extract<Mark, { kind: 'line' }> => mark.kind === 'line')
    const paths =
      lines.length > 0
        ? lines.map((mark) => (mark.closed && mark.points[0] ? [...mark.points, mark.points[0]] : mark.points))
        : worked.segments.filter((one) => one.side === 'front').map(({ points }) => [points[0], points.at(-1)].flatMap((at) => at ?? []))
    return [{ kind: 'stroke', paths, widthMm: 0.45, colour: '#A89B87' }]
  })
}

export function boxOfAll(all: readonly WorkedExercise[]): Box | null {
  const boxes = all.flatMap((one) => boxOfExercise(one) ?? [])
  if (boxes.length === 0) return null
  return {
    left: Math.min(...boxes.map((one) => one.left)),
    top: Math.min(...boxes.map((one) => one.top)),
    right: Math.max(...boxes.map((one) => one.right)),
    bottom: Math.max(...boxes.map((one) => one.bottom)),
  }
}

/** In the middle of its place. */
function fitted(items: readonly DrawingItem[], box: Box, widthMm: number, heightMm: number, most = Number.POSITIVE_INFINITY): readonly DrawingItem[] {
  const scale = Math.min(widthMm / Math.max(0.1, box.right - box.left), heightMm / Math.max(0.1, box.bottom - box.top), most)
  const at = { x: widthMm / 2 - (scale * (box.left + box.right)) / 2, y: heightMm / 2 - (scale * (box.top + box.bottom)) / 2 }
  return moveItems(scaleItems(items, scale), at)
}
